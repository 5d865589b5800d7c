import type { ReactNode } from 'react';
import { Button } from './Button';
import styles from './ConflictChoice.module.css';

interface Props {
  /** What differs between the two versions */
  readonly children: ReactNode;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Bar for an edit conflict: the user chooses which version to keep. */
export function ConflictChoice({ children, onMine, onTheirs }: Props) {
  return (
    <aside className={styles.conflict} role="alert">
      <p>{children} Nothing is overwritten until you choose.</p>
      <Button look="main" onClick={onMine}>
        Keep mine
      </Button>
      <Button onClick={onTheirs}>Use theirs</Button>
    </aside>
  );
}
