import type { ReactNode } from 'react';
import { Button } from './Button';
import styles from './ConflictChoice.module.css';

interface Props {
  /** What was changed elsewhere */
  readonly children: ReactNode;
  /** What differs, in lines */
  readonly details?: ReactNode;
  /** Keeps the changes of both sides; absent where they can’t be put together */
  readonly both?: { readonly label: string; readonly onChoose: () => void } | undefined;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Bar for an edit conflict: the user chooses what to keep. */
export function ConflictChoice({ children, details, both, onMine, onTheirs }: Props) {
  return (
    <aside className={styles.conflict} role="alert">
      <p>{children} Nothing is overwritten until you choose.</p>
      {both && (
        <Button look="main" onClick={both.onChoose}>
          {both.label}
        </Button>
      )}
      <Button look={both ? 'plain' : 'main'} onClick={onMine}>
        Keep mine
      </Button>
      <Button onClick={onTheirs}>Use theirs</Button>
      {details}
    </aside>
  );
}
