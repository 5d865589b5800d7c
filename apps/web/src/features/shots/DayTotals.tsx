import { counted, minutesText } from '@still-heron/wording';
import type { DayTotal } from './useForecasts';
import styles from './DayTotals.module.css';
import textStyles from '../../ui/text.module.css';

/** Takes and time of each shooting day, as far as known. */
export function DayTotals({ days }: { readonly days: readonly DayTotal[] }) {
  return (
    <ul className={styles.dayTotals} aria-label="Time of each day">
      {days.map(({ day, shots, takes, minutes, unknown }) => (
        <li key={day}>
          <strong>Day {day}</strong> {shots} {shots === 1 ? 'shot' : 'shots'}
          {takes > 0 && ` · ${takes} ${takes === 1 ? 'take' : 'takes'} · ${minutesText(minutes)}`}
          {unknown > 0 && <span className={textStyles.toneEdge}> · {counted(unknown, 'shot')} without an estimate</span>}
        </li>
      ))}
    </ul>
  );
}
