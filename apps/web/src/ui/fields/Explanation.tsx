import { Popover } from 'antd';

interface Props {
  readonly what: string;
  readonly lines: readonly string[];
}

/** Explanation popover of a figure, open while mounted. */
export function Explanation({ what, lines }: Props) {
  return (
    <Popover
      open
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
      <span className="explain-spot" />
    </Popover>
  );
}
