import { line } from 'd3-shape';
import type { ShotSummary } from '../../shared/workers/protocol';
import styles from './TrackSketch.module.css';

const WIDTH = 150;
const HEIGHT = 44;
const PAD = 5;

/** Small drawing of a focus track: time across, near at the bottom; soft spans hatched. */
export function TrackSketch({ summary }: { readonly summary: ShotSummary | null }) {
  if (!summary || summary.sketch.length === 0) return <span data-testid="sketch" className={styles.sketch} aria-hidden="true" />;
  const low = Math.min(...summary.sketch);
  const high = Math.max(...summary.sketch);
  // a small pull fills the height; a hold lies in the middle
  const span = Math.max(high - low, 1e-6);
  const y = (turn: number) => (high === low ? HEIGHT / 2 : PAD + ((turn - low) / span) * (HEIGHT - 2 * PAD));
  const path = line<number>((_, index) => (index / (summary.sketch.length - 1)) * WIDTH, y)(summary.sketch);
  return (
    <svg data-testid="sketch" className={styles.sketch} width={WIDTH} height={HEIGHT} aria-hidden="true">
      <defs>
        <pattern id="sketch-soft" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <rect width="1.6" height="5" fill="var(--error)" />
        </pattern>
      </defs>
      {summary.softSpans.map(({ from, to }) => (
        <rect
          key={from}
          x={from * WIDTH}
          width={Math.max(2, (to - from) * WIDTH)}
          y={0}
          height={HEIGHT}
          fill="url(#sketch-soft)"
        />
      ))}
      <path d={path ?? ''} fill="none" stroke="var(--accent)" strokeWidth="2" />
    </svg>
  );
}
