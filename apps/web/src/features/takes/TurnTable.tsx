import type { ShotPlan, TurnFigures } from '@still-heron/core';
import { TURN_HEADINGS, turnCells } from '@still-heron/wording';
import textStyles from '../../ui/text.module.css';
import styles from './TurnTable.module.css';

/** One turn of the ring, and the same one in the run before. */
export interface TurnRow {
  readonly id: string;
  /** Where it went */
  readonly name: string;
  readonly turn: TurnFigures;
  readonly before?: TurnFigures | null;
}

interface Props {
  readonly rows: readonly TurnRow[];
  /** Angles are those of the wheel; of the ring without one */
  readonly wheel: ShotPlan['wheel'];
}

const TONES = { sharp: textStyles.toneSharp, edge: textStyles.toneEdge, soft: textStyles.toneSoft, plain: undefined };

/** What each turn was like: a figure and a word each, with those of the run before beneath. */
export function TurnTable({ rows, wheel }: Props) {
  if (rows.length === 0) return null;
  return (
    <table className={styles.turns} aria-label="How the ring was turned">
      <thead>
        <tr>
          <th scope="col">to</th>
          {Object.values(TURN_HEADINGS).map((heading) => (
            <th key={heading} scope="col">
              {heading}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, name, turn, before }) => {
          const old = before ? turnCells(before, wheel) : null;
          return (
            <tr key={id}>
              <th scope="row">{name}</th>
              {turnCells(turn, wheel).map((cell, index) => (
                <td key={cell.name} data-label={TURN_HEADINGS[cell.name]}>
                  <span className={textStyles.figure}>{cell.figure}</span> <span className={TONES[cell.tone]}>{cell.word}</span>
                  {old && <span className={styles.before}>before: {old[index]!.figure || old[index]!.word}</span>}
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
