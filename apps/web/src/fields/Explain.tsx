import { Popover } from 'antd';
import type { ReactNode } from 'react';
import './explain.css';

interface Props {
  readonly children: ReactNode;
  /** What the figure is, in a few words */
  readonly what: string;
  /** The formula with this shot's values in it, and what it assumes: a line each */
  readonly lines: readonly string[];
}

/** A figure that can be argued with: on hover or focus it says where it comes from. */
export function Explain({ children, what, lines }: Props) {
  return (
    <Popover
      trigger={['hover', 'focus']}
      mouseEnterDelay={0.25}
      classNames={{ root: 'explain' }}
      content={
        <div className="explain-body">
          <strong>{what}</strong>
          {lines.map((line) => (
            <p key={line} className="figure">
              {line}
            </p>
          ))}
        </div>
      }
    >
      <button type="button" className="explained" aria-label={`${what}: where it comes from`}>
        {children}
      </button>
    </Popover>
  );
}
