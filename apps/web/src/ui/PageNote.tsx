import type { ReactNode } from 'react';
import styles from './PageNote.module.css';

interface Props {
  readonly title: string;
  readonly children?: ReactNode;
}

/** Replaces the main area: says what to do first, or what went wrong and how to fix it. */
export function PageNote({ title, children }: Props) {
  return (
    <section className={styles.pageNote}>
      <h1>{title}</h1>
      {children}
    </section>
  );
}
