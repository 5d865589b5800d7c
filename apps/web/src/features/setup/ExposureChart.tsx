import type { ShotPlan } from '@still-heron/core';
import { lightAlongSentence, textOf } from '@still-heron/wording';
import { useSize } from '../../shared/useSize';
import { exposureLayout } from './exposureLayout';
import styles from './ExposureChart.module.css';

const HEIGHT = 190;

/** Light and iris over the shot: the iris should stay within the band round the light. */
export function ExposureChart({ plan }: { readonly plan: ShotPlan }) {
  const { ref, size } = useSize();
  const layout = size && size.width > 200 ? exposureLayout(plan, { width: size.width, height: HEIGHT }) : null;
  return (
    <div ref={ref} className={styles.chart}>
      {layout && (
        <svg width={size!.width} height={HEIGHT} role="img" aria-label={`Light and iris: ${textOf(lightAlongSentence(plan))}`}>
          {layout.stops.map(({ y, text }) => (
            <g key={text}>
              <line x1={layout.left} x2={layout.right} y1={y} y2={y} className={styles.grid} />
              <text x={layout.left - 8} y={y + 4} textAnchor="end" className={styles.words}>
                {text}
              </text>
            </g>
          ))}
          {layout.times.map(({ x, text }) => (
            <text key={text} x={x} y={HEIGHT - 6} textAnchor="middle" className={styles.words}>
              {text}
            </text>
          ))}
          <path d={layout.tolerated} className={styles.tolerated} />
          <path d={layout.metered} className={styles.metered} />
          <path d={layout.set} className={styles.set} />
        </svg>
      )}
      <p className={styles.key}>
        <span className={styles.keySet} /> iris as set <span className={styles.keyMetered} /> what the meter shows, with its
        tolerance
      </p>
    </div>
  );
}
