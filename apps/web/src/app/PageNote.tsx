import type { ReactNode } from 'react';

interface Props {
  readonly title: string;
  readonly children?: ReactNode;
}

/** In place of a surface: what to do first, or what went wrong and what would do. */
export function PageNote({ title, children }: Props) {
  return (
    <section className="page-note">
      <h1>{title}</h1>
      {children}
    </section>
  );
}
