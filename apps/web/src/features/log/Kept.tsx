import type { KeptView } from '@still-heron/contract';
import clsx from 'clsx';
import { keptBars } from './logCharts';
import textStyles from '../../ui/text.module.css';
import styles from './LogStatistics.module.css';

/** Shares of kept takes as bars, each with its interval and its number of takes. */
export function Kept({ title, views }: { readonly title: string; readonly views: readonly KeptView[] }) {
  const bars = keptBars(views);
  if (bars.length === 0) return null;
  return (
    <section>
      <h2>{title}</h2>
      <ul data-testid="kept-bars" className={styles.keptBars}>
        {bars.map(({ name, takes, share, low, high }) => (
          <li key={name}>
            <span>{name}</span>
            <span className={styles.keptTrack} aria-hidden="true">
              <span style={{ width: `${share * 100}%` }} />
              <i style={{ left: `${low * 100}%`, width: `${(high - low) * 100}%` }} />
            </span>
            <span className={textStyles.figure}>{Math.round(share * 100)} %</span>
            <span className={clsx(textStyles.muted, textStyles.figure)}>{takes}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
