import { Button } from 'antd';
import type { ReactNode } from 'react';

interface Props {
  /** What was changed elsewhere, and how it differs */
  readonly children: ReactNode;
  readonly onMine: () => void;
  readonly onTheirs: () => void;
}

/** Something was saved elsewhere meanwhile: the person chooses which goes on. */
export function ConflictChoice({ children, onMine, onTheirs }: Props) {
  return (
    <aside className="conflict" role="alert">
      <p>{children} Nothing is overwritten until you choose.</p>
      <Button type="primary" onClick={onMine}>
        Keep mine
      </Button>
      <Button onClick={onTheirs}>Take theirs</Button>
    </aside>
  );
}
