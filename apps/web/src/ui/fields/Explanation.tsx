import { Popover } from '../antd/Popover';
import styles from './Explanation.module.css';
import textStyles from '../text.module.css';

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
        <div className={styles.explainBody}>
          <strong>{what}</strong>
          {lines.map((line) => (
            <p key={line} className={textStyles.figure}>
              {line}
            </p>
          ))}
        </div>
      }
    >
      <span className={styles.explainSpot} />
    </Popover>
  );
}
