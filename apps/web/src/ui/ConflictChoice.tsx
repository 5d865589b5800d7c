import { Button } from 'antd';
import type { ReactNode } from 'react';

interface Props {
  /** What differs between the two versions */
  readonly children: ReactNode;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Bar for an edit conflict: the user chooses which version to keep. */
export function ConflictChoice({ children, onMine, onTheirs }: Props) {
  return (
    <aside className="conflict" role="alert">
      <p>{children} Nothing is overwritten until you choose.</p>
      <Button type="primary" onClick={onMine}>
        Keep mine
      </Button>
      <Button onClick={onTheirs}>Use theirs</Button>
    </aside>
  );
}
