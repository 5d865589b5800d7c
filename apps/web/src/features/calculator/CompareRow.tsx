import type { ComparedSetup, UnitSystem } from '@still-heron/core';
import clsx from 'clsx';
import type { CompareLayout, CompareRow } from './compareLayout';
import zoneStyles from '../../charts/zone.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './CompareRow.module.css';

const HEIGHT = 106;
const AXIS_Y = 62;
const FRAME = { width: 176, height: 100 };
/** Height of a head, chin to crown: scale of the figure in the small picture. */
const HEAD_MM = 235;

interface Props {
  readonly layout: CompareLayout;
  readonly row: CompareRow;
}

/** Side view of a set-up: its place and its zone around the subject. */
export function CompareRowView({ layout, row }: Props) {
  const { subjectX, backgroundX } = layout;
  const { cameraX, nearX, farX, isFarBeyond, isReached, loupe } = row;
  return (
    <svg width="100%" height={HEIGHT} aria-hidden="true">
      <line x1={cameraX} x2="100%" y1={AXIS_Y} y2={AXIS_Y} className={zoneStyles.zoneGround} />
      {isReached && (
        <>
          <rect x={nearX} width={Math.max(farX - nearX, 2)} y={AXIS_Y - 30} height={44} className={zoneStyles.zoneBand} />
          {isFarBeyond && (
            <text x={farX - 4} y={AXIS_Y - 36} textAnchor="end" className={textStyles.chartLabel}>
              to infinity ›
            </text>
          )}
        </>
      )}
      <line
        x1={subjectX}
        x2={subjectX}
        y1={AXIS_Y - 38}
        y2={AXIS_Y + 38}
        className={clsx(styles.compareSubject, !isReached && styles.isOff)}
      />
      {backgroundX !== null && (
        <line x1={backgroundX} x2={backgroundX} y1={AXIS_Y - 34} y2={AXIS_Y + 14} className={styles.compareBackground} />
      )}
      {loupe && layout.loupeTimes > 1.5 && (
        <rect x={loupe[0]} width={Math.max(loupe[1] - loupe[0], 1)} y={AXIS_Y + 24} height={12} className={styles.compareLoupe} />
      )}
      <g transform={`translate(${cameraX},${AXIS_Y})`} className={zoneStyles.zoneCamera}>
        <rect x={-18} y={-8} width={18} height={16} rx={2} className={zoneStyles.zoneSolid} />
        <rect x={0} y={-5} width={10} height={10} rx={1} className={zoneStyles.zoneSolid} />
      </g>
    </svg>
  );
}

/** Small picture: the subject as this set-up frames it, and lights in the background with their blur. */
export function Frame({
  at: { fieldWidthMm, fieldHeightMm, backgroundPercent },
}: {
  readonly at: NonNullable<ComparedSetup['at']>;
}) {
  const height = Math.min(FRAME.height, (FRAME.width * fieldHeightMm) / fieldWidthMm);
  const width = (height * fieldWidthMm) / fieldHeightMm;
  const perMm = width / fieldWidthMm;
  const head = HEAD_MM * perMm;
  const blur = (width * backgroundPercent) / 100;
  const [cx, cy] = [width * 0.5, height * 0.46];
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Its picture: lights in the background blur to ${backgroundPercent.toFixed(1)} percent of its width`}
    >
      <rect width={width} height={height} className={styles.comparePicture} />
      {[0.13, 0.31, 0.74, 0.9].map((share, index) => (
        <circle
          key={share}
          cx={width * share}
          cy={height * (0.22 + 0.16 * (index % 2))}
          r={Math.max(blur / 2, 0.9)}
          className={styles.compareLight}
        />
      ))}
      <g className={styles.compareFigure}>
        <ellipse cx={cx} cy={cy} rx={head * 0.36} ry={head * 0.5} />
        <path d={bust(cx, cy, head, height)} />
      </g>
    </svg>
  );
}

/** Axis of distances from the subject to the cameras, common to all rows. */
export function RowAxis({ layout, units }: { readonly layout: CompareLayout; readonly units: UnitSystem }) {
  return (
    <svg width="100%" height={34} aria-hidden="true">
      {layout.ticks.map(({ x, label }) => (
        <text key={label} x={x} y={16} className={textStyles.chartLabel} textAnchor="middle">
          {label}
        </text>
      ))}
      <text x={layout.subjectX} y={16} className={clsx(textStyles.chartLabel, styles.compareHere)} textAnchor="middle">
        subject
      </text>
      <text x={0} y={33} className={clsx(textStyles.chartLabel, styles.compareScale)}>
        {units === 'metric' ? 'metres, to scale' : 'feet, to scale'}
        {layout.loupeTimes > 1.5 && `; zones below, enlarged ${Math.round(layout.loupeTimes)} ×`}
      </text>
    </svg>
  );
}

/** Outline of neck, shoulders and arms below a head, down to the edge of the picture. */
function bust(cx: number, cy: number, head: number, bottom: number): string {
  const right = [
    `L${cx + head * 0.2},${cy + head * 0.4}`,
    `V${cy + head * 0.62}`,
    `L${cx + head * 0.7},${cy + head * 0.78}`,
    `Q${cx + head * 0.98},${cy + head * 0.86} ${cx + head * 1.02},${cy + head * 1.3}`,
    `L${cx + head * 1.08},${bottom + head}`,
  ];
  return [
    `M${cx - head * 1.08},${bottom + head}`,
    `L${cx - head * 1.02},${cy + head * 1.3}`,
    `Q${cx - head * 0.98},${cy + head * 0.86} ${cx - head * 0.7},${cy + head * 0.78}`,
    `L${cx - head * 0.2},${cy + head * 0.62}`,
    `V${cy + head * 0.4}`,
    ...right,
    'Z',
  ].join('');
}
