import clsx from 'clsx';
import type { ComponentProps } from 'react';
import styles from './Button.module.css';

interface Props extends ComponentProps<'button'> {
  /** Main: the one main action of a screen. Quiet: text or an icon without a box. */
  readonly look?: 'main' | 'plain' | 'quiet';
  readonly size?: 'small' | 'medium' | 'large';
  /** Takes the whole width */
  readonly isBlock?: boolean;
}

/** The page's button. It submits a form only with `type="submit"`. */
export function Button({ look = 'plain', size = 'medium', isBlock, className, ...rest }: Props) {
  return (
    <button
      type="button"
      className={clsx(styles[look], size !== 'medium' && styles[size], isBlock && styles.block, className)}
      {...rest}
    />
  );
}
