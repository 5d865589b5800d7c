import { depthSentence } from '@still-heron/wording';
import { depthOfField, formatDistance, ringOf, withinReach, zoneLensOf } from '@still-heron/core';
import { useRef, useState } from 'react';
import clsx from 'clsx';
import { arrowStep } from '../../shared/gestures/arrowStep';
import { useDrag } from '../../shared/gestures/useDrag';
import { type Size, useSize } from '../../shared/useSize';
import { nudgeDistance } from '../../ui/fields/readDistance';
import { depthLayout, type DepthLayout } from './depthLayout';
import type { CalculatorProps } from './calculatorProps';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import styles from './DepthView.module.css';

/** Depth of the zone over distance: behind the plane of focus upward, in front of it downward, one line per stop. */
export function DepthView(props: CalculatorProps) {
  const { optics, units } = props;
  const { ref, size } = useSize();
  const [triedMm, setTriedMm] = useState(3000);
  const ring = ringOf(optics.lens);
  const atMm = Math.max(withinReach(ring, triedMm), 4 * optics.focalLengthMm + optics.lens.principalSeparationMm);
  const zone = depthOfField({ ...zoneLensOf(optics), focusDistanceMm: atMm });
  return (
    <>
      <Sentence
        parts={depthSentence({ zone, focusMm: atMm, stop: optics.stop, stopScale: optics.lens.stopScale }, units)}
        aria-live="polite"
      />
      <div className={styles.depthChart} ref={ref}>
        {size && size.width > 240 && size.height > 160 && <Chart {...props} size={size} atMm={atMm} onTry={setTriedMm} />}
      </div>
    </>
  );
}

function Chart({
  optics,
  units,
  onStop,
  size,
  atMm,
  onTry,
}: CalculatorProps & { size: Size; atMm: number; onTry: (mm: number) => void }) {
  const layout = depthLayout(optics, units, size);
  const grabbedX = useRef(0);
  const grabbedMm = useRef(atMm);
  const drag = useDrag({
    onStart: () => {
      grabbedX.current = layout.x(atMm);
      grabbedMm.current = atMm;
    },
    onDrag: ({ dx }) => onTry(layout.distanceAt(grabbedX.current + dx)),
    onGiveUp: () => onTry(grabbedMm.current),
  });
  const { left, right, top, bottom, zeroY } = layout;
  const ring = ringOf(optics.lens);
  return (
    <svg width={size.width} height={size.height} role="group" aria-label="Zone by distance">
      <path d={layout.zone} className={styles.depthZone} />
      <DepthTicks layout={layout} left={left} right={right} bottom={bottom} top={top} />
      <line x1={left} x2={right} y1={zeroY} y2={zeroY} className={styles.depthFocus} />
      <DepthCurves layout={layout} onStop={onStop} />
      <g
        {...drag}
        className={styles.depthCursor}
        transform={`translate(${layout.x(atMm)},0)`}
        role="slider"
        tabIndex={0}
        aria-label="Distance"
        aria-valuenow={Math.round(atMm)}
        aria-valuetext={formatDistance(atMm, units)}
        onKeyDown={(event) => {
          const by = arrowStep(event);
          if (!by) return;
          onTry(nudgeDistance(atMm, by * (event.shiftKey ? 10 : 1), units, { minMm: ring.closeFocusMm, maxMm: 30_000 }));
        }}
      >
        <rect x={-14} width={28} y={top} height={bottom - top} fill="transparent" />
        <line y1={top} y2={bottom} />
        <circle cy={zeroY} r={7} />
      </g>
    </svg>
  );
}

interface DepthTicksProps {
  readonly layout: DepthLayout;
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

function DepthTicks({ layout, left, right, bottom, top }: DepthTicksProps) {
  return (
    <>
      {layout.yTicks.map(({ at, label }) => (
        <g key={`${label}${at}`}>
          <line x1={left} x2={right} y1={at} y2={at} className={styles.depthGrid} />
          <text x={left - 8} y={at} className={textStyles.chartLabel} textAnchor="end" dominantBaseline="middle">
            {label}
          </text>
        </g>
      ))}
      {layout.xTicks.map(({ at, label }) => (
        <text key={label} x={at} y={bottom + 20} className={textStyles.chartLabel} textAnchor="middle">
          {label}
        </text>
      ))}
      <text x={left} y={top - 10} className={textStyles.chartLabel}>
        sharp behind
      </text>
      <text x={left} y={bottom - 6} className={textStyles.chartLabel}>
        sharp in front
      </text>
    </>
  );
}

function DepthCurves({ layout, onStop }: { readonly layout: DepthLayout; readonly onStop: (stop: number) => void }) {
  return (
    <>
      {layout.curves.map(({ stop, label, isHere, behind, front, labelX, labelY }) => (
        <g key={stop} className={clsx(styles.depthCurve, isHere && styles.isHere)}>
          <path d={behind} />
          <path d={front} />
          <text
            x={labelX}
            y={labelY}
            dominantBaseline="middle"
            role="button"
            tabIndex={0}
            aria-label={`Set ${label}`}
            onClick={() => onStop(stop)}
            onKeyDown={(event) => event.key === 'Enter' && onStop(stop)}
          >
            {label}
          </text>
        </g>
      ))}
    </>
  );
}
