import { formatStops, type ShotPlan, type StopFigures } from '@still-heron/core';
import { of100 } from '@still-heron/wording';
import clsx from 'clsx';
import { type BlurDisc, FOOT, type SurfaceLayout } from './surfaceLayout';
import styles from './SurfaceLanes.module.css';
import textStyles from '../../ui/text.module.css';

const SHARE_WORDS = { 0: 'none', 0.5: 'half', 1: 'all takes' } as const;

/** Keep rate by stop, with the target line; the lost share lies above the curve. */
export function KeepLane({ layout, plan }: { readonly layout: SurfaceLayout; readonly plan: ShotPlan }) {
  const { keep, left, right, y } = layout;
  const wantedY = y(plan.goals.targetKeepRate);
  return (
    <g>
      <path d={layout.lostArea} fill="url(#stop-lost)" className={styles.stopLost} />
      <path d={layout.keptArea} className={styles.stopKept} />
      {layout.diffractedFromX !== null && (
        <rect
          x={layout.diffractedFromX}
          width={Math.max(right - layout.diffractedFromX, 0)}
          y={keep.top}
          height={keep.height}
          className={styles.stopDiffracted}
        />
      )}
      <path d={layout.sharpLine} className={styles.stopSharp} />
      <path d={layout.keptLine} className={styles.stopLine} />
      {([0, 0.5, 1] as const).map((share) => (
        <text key={share} x={left - 8} y={y(share) + 5} textAnchor="end" className={styles.laneName}>
          {SHARE_WORDS[share]}
        </text>
      ))}
      {layout.diffractedFromX !== null && layout.diffractedFromX > left + DIFFRACTION_WORD && (
        <text x={layout.diffractedFromX - 8} y={keep.top + keep.height - 8} textAnchor="end" className={textStyles.chartLabel}>
          diffraction softens →
        </text>
      )}
      <line x1={left} x2={right} y1={wantedY} y2={wantedY} className={styles.stopWanted} />
      <text x={right - 4} y={wantedY + 18} textAnchor="end" className={styles.stopWantedWord}>
        {of100(plan.goals.targetKeepRate)} goal
      </text>
    </g>
  );
}

interface LightProps {
  readonly layout: SurfaceLayout;
  readonly plan: ShotPlan;
  readonly figures: readonly StopFigures[];
}

/** Width of the diffraction label. */
const DIFFRACTION_WORD = 300;

/** Exposure by stop: too bright above the line, too dark below it. */
export function LightLane({ layout, figures }: LightProps) {
  const { light, left, right, xs, lightY } = layout;
  const middle = lightY(0);
  const every = labelEvery(xs, 58);
  const isMetered = figures.every(({ brighterStops }) => brighterStops !== null);
  return (
    <g>
      <text x={left - 8} y={middle + 5} textAnchor="end" className={styles.laneName}>
        light
      </text>
      {isMetered ? (
        <>
          <line x1={left} x2={right} y1={middle} y2={middle} className={styles.lightEven} />
          {figures.map(({ stop, brighterStops }, k) => (
            <g key={stop}>
              <title>{lightTitle(brighterStops!)}</title>
              <line x1={xs[k]} x2={xs[k]} y1={middle} y2={lightY(brighterStops!)} className={styles.lightBar} />
              {k % every === 0 && (
                <text
                  x={xs[k]}
                  y={brighterStops! > EVEN ? middle + 16 : middle - 6}
                  textAnchor="middle"
                  className={styles.blurFigure}
                >
                  {lightFigure(brighterStops!)}
                </text>
              )}
            </g>
          ))}
        </>
      ) : (
        <text x={left + 8} y={light.top + light.height / 2 + 5} className={textStyles.chartLabel}>
          not metered: type the metered stop under Light
        </text>
      )}
    </g>
  );
}

/** Smaller differences in stops are ignored. */
const EVEN = 1 / 6;

/** +1⅓ for too bright, −⅔ for too dark. */
function lightFigure(brighter: number): string {
  if (Math.abs(brighter) < EVEN) return '0';
  return `${brighter > 0 ? '+' : '−'}${formatStops(brighter).replace(/ stops?$/, '')}`;
}

function lightTitle(brighter: number): string {
  return Math.abs(brighter) < EVEN ? 'as metered' : `${formatStops(brighter)} too ${brighter > 0 ? 'bright' : 'dark'}`;
}

interface BlurProps {
  readonly name: string;
  readonly top: number;
  readonly discs: readonly BlurDisc[];
  readonly layout: SurfaceLayout;
}

/** Label interval, so that labels keep a minimum distance. */
function labelEvery(xs: readonly number[], widthPx: number): number {
  const gap = (xs.at(-1)! - xs[0]!) / Math.max(xs.length - 1, 1);
  return gap === 0 ? 1 : Math.max(1, Math.ceil(widthPx / gap));
}

/** Length at which a name is cut. */
const MAX_NAME_LETTERS = 13;

/** Blur discs at the size they would have in a picture as wide as the surface. */
export function BlurLane({ name, top, discs, layout: { left, xs } }: BlurProps) {
  const middle = top + 27;
  const every = labelEvery(xs, 58);
  return (
    <g>
      <text x={left - 8} y={middle + 5} textAnchor="end" className={styles.laneName}>
        {name.length > MAX_NAME_LETTERS ? `${name.slice(0, MAX_NAME_LETTERS - 1)}…` : name}
        <title>{`Blur of ${name}, in percent of the picture’s width`}</title>
      </text>
      {discs.map(({ x, diameter, percent, isCut }, k) => (
        <g key={x} transform={`translate(${x},${middle})`}>
          <title>{`${percent.toFixed(2)} % of the picture’s width${isCut ? ', larger than drawn' : ''}`}</title>
          <circle r={Math.max(diameter / 2, 0.6)} className={clsx(styles.blurDisc, isCut && styles.isCut)} />
          {k % every === 0 && (
            <text y={26} textAnchor="middle" className={styles.blurFigure}>
              {percent < 10 ? percent.toFixed(1) : percent.toFixed(0)} %
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Stop labels, as many as are readable. */
export function Ticks({
  layout: { xs, left },
  stops,
  now,
  height,
}: {
  layout: SurfaceLayout;
  stops: readonly number[];
  now: number;
  height: number;
}) {
  const every = labelEvery(xs, 34);
  return (
    <g data-testid="stop-ticks" className={styles.stopTicks}>
      <text x={left - 8} y={height - 9} textAnchor="end" className={styles.laneName}>
        stop
      </text>
      {stops.map((stop, k) => (
        <g key={stop} transform={`translate(${xs[k]!},${height - FOOT})`} className={clsx(k === now && styles.isNow)}>
          <line y1={0} y2={5} />
          {(k % every === 0 || k === now) && !(k !== now && Math.abs(k - now) < every) && (
            <text y={21} textAnchor="middle">
              {Number(stop.toFixed(1))}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
