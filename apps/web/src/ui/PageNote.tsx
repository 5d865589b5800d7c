import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly children?: ReactNode;
}

/** Replaces the main area: says what to do first, or what went wrong and how to fix it. */
export function PageNote({ title, children }: Props) {
  return (
    <section className="page-note">
      <h1>{title}</h1>
      {children}
    </section>
  );
}
