import type { KeptView, StatisticsView } from '@still-heron/contract';
import type { MeasuredError } from '@still-heron/core';
import { methodName, predictionText } from '@still-heron/wording';
import { calibrationLayout, CHART, overTimeLayout } from './logCharts';
import { Kept } from './Kept';
import textStyles from '../../ui/text.module.css';
import styles from './LogStatistics.module.css';

/** Statistics: kept takes by lens, stop and more; predictions against results; measured errors. */
export function LogStatistics({ statistics }: { readonly statistics: StatisticsView }) {
  const { byLens, byStop, byMethod, byDifficulty, byPuller, byDay, calibration, errors } = statistics;
  return (
    <>
      <Kept title="Kept, by lens" views={byLens} />
      <Kept title="by stop" views={byStop} />
      <Kept title="by method" views={byMethod.map((view) => ({ ...view, name: methodName(view.name) }))} />
      <Kept title="by difficulty" views={byDifficulty} />
      {byPuller.some(({ name }) => name !== '') && (
        <Kept title="by puller" views={byPuller.map((view) => ({ ...view, name: view.name || 'unknown' }))} />
      )}
      {calibration.length > 0 && <Calibration statistics={statistics} />}
      {byDay.length > 1 && <OverTime days={byDay} />}
      <section>
        <h2>Measured errors</h2>
        <Measured what="pulls" unit="s" fit={errors.late} words={['late', 'early']} decimals={2} />
        <Measured what="ring at rest" unit="°" fit={errors.off} words={['towards near', 'towards far']} decimals={1} />
        <Measured
          what="people"
          unit="mm"
          fit={errors.markMisses}
          words={['behind the mark', 'in front of the mark']}
          decimals={0}
        />
        {!errors.late && !errors.off && !errors.markMisses && (
          <p className={textStyles.muted}>
            Nothing yet. Takes with a recorded ring track, or with missed marks, give these figures.
          </p>
        )}
      </section>
    </>
  );
}

/** Predicted against actual keep rate; on the diagonal both agree. */
function Calibration({ statistics: { calibration } }: { readonly statistics: StatisticsView }) {
  const { diagonal, ticks, points } = calibrationLayout(calibration);
  return (
    <section>
      <h2>Predicted and actual</h2>
      <svg
        className={styles.logChart}
        viewBox={`0 0 ${CHART.width} ${CHART.height}`}
        role="img"
        aria-label={predictionText(points)}
      >
        {ticks.map(({ share, x, y }) => (
          <g key={share}>
            <line className={styles.logGrid} x1={CHART.left} x2={CHART.width - CHART.right} y1={y} y2={y} />
            <text x={CHART.left - 6} y={y + 4} textAnchor="end">
              {share * 100} %
            </text>
            <text x={x} y={CHART.height - 14} textAnchor="middle">
              {share * 100} %
            </text>
          </g>
        ))}
        <line className={styles.logDiagonal} {...diagonal} />
        {points.map(({ x, y, lowY, highY, radius, predicted }) => (
          <g key={predicted}>
            <line className={styles.logRange} x1={x} x2={x} y1={lowY} y2={highY} />
            <circle className={styles.logDot} cx={x} cy={y} r={radius} />
          </g>
        ))}
        <text x={CHART.width - CHART.right} y={CHART.height - 1} textAnchor="end">
          predicted →
        </text>
      </svg>
      <p className={textStyles.muted}>{predictionText(points)}</p>
    </section>
  );
}

function OverTime({ days }: { readonly days: readonly KeptView[] }) {
  const { points, path, ticks, dates } = overTimeLayout(days);
  return (
    <section>
      <h2>Kept by day</h2>
      <svg
        className={styles.logChart}
        viewBox={`0 0 ${CHART.width} ${CHART.height}`}
        role="img"
        aria-label="Share of takes kept by day"
      >
        {ticks.map(({ share, y }) => (
          <g key={share}>
            <line className={styles.logGrid} x1={CHART.left} x2={CHART.width - CHART.right} y1={y} y2={y} />
            <text x={CHART.left - 6} y={y + 4} textAnchor="end">
              {share * 100} %
            </text>
          </g>
        ))}
        <path className={styles.logPath} d={path ?? ''} />
        {points.map(({ name, x, y, radius }) => (
          <circle key={name} className={styles.logDot} cx={x} cy={y} r={radius} />
        ))}
        {dates.map(({ name, x }) => (
          <text key={name} x={x} y={CHART.height - 12} textAnchor="middle">
            {name.slice(5)}
          </text>
        ))}
      </svg>
    </section>
  );
}

interface MeasuredProps {
  readonly what: string;
  readonly unit: string;
  readonly fit: MeasuredError | null;
  /** Words for a positive and a negative mean */
  readonly words: readonly [string, string];
  readonly decimals: number;
}

function Measured({ what, unit, fit, words, decimals }: MeasuredProps) {
  if (!fit) return null;
  const mean = Math.abs(fit.mean).toFixed(decimals);
  return (
    <p>
      {what} <strong className={textStyles.figure}>{mean}</strong> {unit} {words[fit.mean >= 0 ? 0 : 1]}, spread{' '}
      <strong className={textStyles.figure}>{fit.sigma.toFixed(decimals)}</strong> {unit}{' '}
      <span className={textStyles.muted}>({fit.count} measured)</span>
    </p>
  );
}
