import { formatDistance, type LensRing, ringOf, type UnitSystem } from '@still-heron/core';
import { useRef } from 'react';
import clsx from 'clsx';
import { arrowStep } from '../../../shared/gestures/arrowStep';
import { useDrag } from '../../../shared/gestures/useDrag';
import { useSize } from '../../../shared/useSize';
import { nudgeDistance } from '../../../ui/fields/readDistance';
import { type RingLayout, ringLayout, type RingPip, type RingScene } from './ringLayout';
import styles from './RingDrawing.module.css';

interface Props extends RingScene {
  readonly onTurn: (ringDeg: number) => void;
}

/** The ring seen from behind the camera. It turns by drag or arrow keys; the distance under the witness mark follows. */
export function RingDrawing(props: Props) {
  const { ref, size } = useSize();
  const sizePx = size ? Math.min(size.width, size.height) : 0;
  return (
    <div data-testid="ring-drawing" className={styles.ringDrawing} ref={ref}>
      {sizePx > 220 && <Drawing {...props} sizePx={sizePx} />}
    </div>
  );
}

function Drawing({ onTurn, sizePx, ...scene }: Props & { readonly sizePx: number }) {
  const ring = ringOf(scene.lens);
  const layout = ringLayout(scene, sizePx);
  const { centre, radius } = layout;
  return (
    <svg width={sizePx} height={sizePx} role="group" aria-label="The ring from behind the camera">
      <circle cx={centre[0]} cy={centre[1]} r={radius + 3} className={styles.ringTeeth} />
      <circle cx={centre[0]} cy={centre[1]} r={radius - 2} className={styles.ringBody} />
      <circle cx={centre[0]} cy={centre[1]} r={radius * 0.62} className={styles.ringGlass} />
      <path d={layout.scaleArc} className={styles.ringScale} />
      {layout.windowArc && <path d={layout.windowArc} className={styles.ringWindow} data-testid="ring-window" />}
      {layout.ends.map((path) => (
        <path key={path} d={path} className={styles.ringEnd} />
      ))}
      {layout.ticks.map(({ label, x, y, inner, outer }) => (
        <g key={label}>
          <line x1={inner[0]} y1={inner[1]} x2={outer[0]} y2={outer[1]} className={styles.ringTick} />
          <text
            x={x}
            y={y}
            data-testid="ring-figure"
            className={styles.ringFigure}
            textAnchor="middle"
            dominantBaseline="central"
          >
            {label}
          </text>
        </g>
      ))}
      {layout.pips.map((pip) => (
        <Pip key={pip.index} pip={pip} />
      ))}
      <Reading layout={layout} ring={ring} atDeg={scene.atDeg} units={scene.units} />
      <NearerArrow layout={layout} />
      <Witness layout={layout} />
      <Grip layout={layout} ring={ring} atDeg={scene.atDeg} units={scene.units} onTurn={onTurn} />
    </svg>
  );
}

/** A scale point: a dot where it was read, connected to its fitted position. A slanted line shows a residual. */
function Pip({ pip: { x, y, fitted, standsOut, isWrong, residualDeg } }: { readonly pip: RingPip }) {
  const isOff = standsOut || isWrong;
  return (
    <g data-testid="ring-pip" data-off={isOff || undefined} className={clsx(styles.ringPip, isOff && styles.isOff)}>
      {fitted && <line x1={x} y1={y} x2={fitted[0]} y2={fitted[1]} />}
      {isOff ? <path d={`M${x - 6},${y - 6}l12,12m0,-12l-12,12`} /> : <circle cx={x} cy={y} r={3.5} />}
      {isOff && residualDeg !== null && (
        <text x={x} y={y - 12} textAnchor="middle">
          {residualDeg > 0 ? '+' : '−'}
          {Math.abs(residualDeg).toFixed(1)}°
        </text>
      )}
    </g>
  );
}

/** Distance under the witness mark, in large type in the centre. */
function Reading({ layout: { centre }, ring, atDeg, units }: Omit<GripProps, 'onTurn'>) {
  return (
    <g aria-hidden="true">
      <text x={centre[0]} y={centre[1] - 4} className={styles.ringDistance} textAnchor="middle">
        {formatDistance(ring.distanceAt(atDeg), units)}
      </text>
      <text x={centre[0]} y={centre[1] + 30} className={styles.ringDegrees} textAnchor="middle">
        {atDeg.toFixed(1)}°
      </text>
    </g>
  );
}

function NearerArrow({ layout: { arrow, centre, radius } }: { readonly layout: RingLayout }) {
  return (
    <g className={styles.ringArrow}>
      <path d={arrow.path} className={styles.ringArrowLine} />
      <path d={arrow.head} />
      <text x={centre[0]} y={centre[1] + radius * 0.5 - 14} textAnchor="middle">
        nearer
      </text>
    </g>
  );
}

function Witness({ layout: { centre, radius } }: { readonly layout: RingLayout }) {
  const top = centre[1] - radius;
  return <path d={`M${centre[0]},${top - 2}l-9,-16h18z`} className={styles.ringWitness} />;
}

interface GripProps {
  readonly layout: RingLayout;
  readonly ring: LensRing;
  readonly atDeg: number;
  readonly units: UnitSystem;
  readonly onTurn: (ringDeg: number) => void;
}

function Grip({ layout, ring, atDeg, units, onTurn }: GripProps) {
  const { centre, radius } = layout;
  const circle = useRef<SVGCircleElement>(null);
  const grabbed = useRef<{ layout: RingLayout; atDeg: number; from: readonly [number, number] | null }>({
    layout,
    atDeg,
    from: null,
  });
  const drag = useDrag({
    onStart: () => (grabbed.current = { layout, atDeg, from: null }),
    onDrag: ({ dx, dy, clientX, clientY }) => {
      const box = circle.current!.ownerSVGElement!.getBoundingClientRect();
      const to = [clientX - box.left, clientY - box.top] as const;
      onTurn(grabbed.current.layout.turned([to[0] - dx, to[1] - dy], to));
    },
    onGiveUp: () => onTurn(grabbed.current.atDeg),
  });
  const distanceMm = ring.distanceAt(atDeg);
  return (
    <circle
      ref={circle}
      {...drag}
      cx={centre[0]}
      cy={centre[1]}
      r={radius - 14}
      className={styles.ringGrip}
      role="slider"
      tabIndex={0}
      aria-label="The ring"
      aria-valuenow={Math.round(atDeg * 10) / 10}
      aria-valuetext={`${formatDistance(distanceMm, units)} at ${atDeg.toFixed(1)}°`}
      onKeyDown={(event) => {
        const by = arrowStep(event);
        if (!by) return;
        const range = { minMm: ring.closeFocusMm, maxMm: ring.farthestMm };
        const nextMm = nudgeDistance(distanceMm, by * (event.shiftKey ? 10 : 1), units, range);
        onTurn(ring.angleAt(nextMm));
      }}
    />
  );
}
