import { Popover } from 'antd';

interface Props {
  readonly what: string;
  readonly lines: readonly string[];
}

/** The explanation itself, open as long as it is here: laid over the figure it stands beside. */
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
