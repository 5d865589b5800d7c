import { type ReactNode, useState } from 'react';
import layoutStyles from './layout.module.css';

/** Titles of the folds that are open, so that the next mark or pull shows the same fields. */
const opened = new Set<string>();

/** Fields that are rarely needed, under a title. It stays open for the next thing that has the same fold. */
export function RememberedFold({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  const [isOpen, setIsOpen] = useState(opened.has(title));
  return (
    <details
      className={layoutStyles.moreOfIt}
      open={isOpen}
      onToggle={({ currentTarget: { open } }) => {
        if (open) opened.add(title);
        else opened.delete(title);
        setIsOpen(open);
      }}
    >
      <summary>{title}</summary>
      {children}
    </details>
  );
}
