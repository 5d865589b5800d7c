import clsx from 'clsx';
import type { ComponentProps } from 'react';
import styles from './Key.module.css';

interface Props extends ComponentProps<'kbd'> {
  /** Inside a main button */
  readonly isOnAccent?: boolean;
}

/** A key, named beside what it does. */
export function Key({ isOnAccent, ...rest }: Props) {
  return <kbd className={clsx(styles.key, isOnAccent && styles.keyOnAccent)} {...rest} />;
}
