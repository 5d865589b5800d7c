import { displayStepMm, formatDistance, formatGap, markFocusMm, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { subjectColour } from '../../charts/subjectColour';
import { useRef } from 'react';
import { arrowStep } from '../../shared/gestures/arrowStep';
import { useDrag } from '../../shared/gestures/useDrag';
import { useSize, type Size } from '../../shared/useSize';
import { nudgeDistance } from '../../ui/fields/readDistance';
import type { ZoneFigures } from './zoneFigures';
import { FIGURE_MM, type ZoneLayout, zoneLayout } from './zoneLayout';
import { CameraDrawing } from './CameraDrawing';
import { personOutline } from './personOutline';
import styles from './ZoneDrawing.module.css';
import zoneStyles from '../../charts/zone.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly figures: ZoneFigures;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly onFocus: (mm: number) => void;
}

/** Side view of the zone to scale: lens, angle of view, zone, and a standing figure. The plane of focus can be dragged. */
export function ZoneDrawing(props: Props) {
  const { ref, size } = useSize();
  return (
    <div data-testid="zone-drawing" className={styles.zoneDrawing} ref={ref}>
      {size && size.width > 200 && <Drawing {...props} size={size} />}
    </div>
  );
}

function Drawing({ figures, plan, units, onFocus, size }: Props & { readonly size: Size }) {
  const { zone, focusMm, closeFocusMm } = figures;
  const layout = zoneLayout({ ...figures, units }, size);
  const { groundY, rightX, focusX, nearX, farX } = layout;
  return (
    <svg width={size.width} height={size.height} aria-label="The zone from the side, to scale" role="group">
      <path d={layout.wedge} className={styles.zoneWedge} />
      <rect x={nearX} width={Math.max(farX - nearX, 1.5)} y={20} height={groundY - 20} className={zoneStyles.zoneBand} />
      <line x1={20} x2={rightX} y1={groundY} y2={groundY} className={zoneStyles.zoneGround} />
      {layout.ticks.map(({ at, label }) => (
        <g key={label} transform={`translate(${at},${groundY})`}>
          <line y2={6} className={zoneStyles.zoneGround} />
          <text y={22} className={textStyles.chartLabel} textAnchor="middle">
            {label}
          </text>
        </g>
      ))}
      <text x={rightX} y={22} textAnchor="end" className={textStyles.chartLabel}>
        {units === 'metric' ? 'metres from the image plane, to scale' : 'feet from the image plane, to scale'}
      </text>
      <CameraDrawing support={plan.rig?.support ?? 'legs'} layout={layout} />
      {focusX !== null && <Figure x={focusX} layout={layout} />}
      <Marks plan={plan} layout={layout} onFocus={onFocus} />
      {layout.hyperfocalX !== null && (
        <g transform={`translate(${layout.hyperfocalX},${groundY})`}>
          <line y1={0} y2={-16} className={styles.zoneHyperfocal} />
          <text y={-21} className={textStyles.chartLabel} textAnchor="middle">
            hyperfocal
          </text>
        </g>
      )}
      <Limits
        layout={layout}
        near={formatGap(zone.inFrontMm, units)}
        far={zone.behindMm === Infinity ? '' : formatGap(zone.behindMm, units)}
      />
      {focusX !== null && (
        <FocusPlane x={focusX} layout={layout} focusMm={focusMm} closeFocusMm={closeFocusMm} units={units} onFocus={onFocus} />
      )}
    </svg>
  );
}

/** A person 1.75 m tall with the eye in the plane of focus. */
function Figure({ x, layout: { groundY, pxPerMm } }: { readonly x: number; readonly layout: ZoneLayout }) {
  const outline = personOutline(x, groundY, pxPerMm, -1);
  return (
    <g className={styles.zoneFigure}>
      <path d={outline} />
      <ellipse cx={x + 84 * pxPerMm} cy={groundY - 1640 * pxPerMm} rx={98 * pxPerMm} ry={(FIGURE_MM - 1640) * pxPerMm} />
    </g>
  );
}

/** Marks of the shot as buttons: pressing one sets focus there. */
function Marks({
  plan,
  layout,
  onFocus,
}: {
  readonly plan: ShotPlan;
  readonly layout: ZoneLayout;
  readonly onFocus: (mm: number) => void;
}) {
  return plan.marks.map(({ id, letter, subjectId }) => {
    const focusMm = markFocusMm(plan, id);
    const x = layout.x(focusMm);
    if (!(x <= layout.rightX)) return null;
    const at = plan.subjects.findIndex((subject) => subject.id === subjectId);
    return (
      <g key={id} transform={`translate(${x},${layout.groundY})`} style={{ color: subjectColour(at) }}>
        <path d="M-7,31H7M0,31V38" className={styles.zoneTape} />
        <text
          y={53}
          className={styles.zoneLetter}
          textAnchor="middle"
          role="button"
          tabIndex={0}
          aria-label={`Focus on mark ${letter}`}
          onClick={() => onFocus(focusMm)}
          onKeyDown={(event) => event.key === 'Enter' && onFocus(focusMm)}
        >
          {letter}
        </text>
      </g>
    );
  });
}

function Limits({
  layout: { nearX, farX, focusX, isFarBeyond },
  near,
  far,
}: {
  readonly layout: ZoneLayout;
  readonly near: string;
  readonly far: string;
}) {
  const isWide = farX - nearX > 150;
  const middle = focusX ?? farX;
  return (
    <g className={styles.zoneLimits}>
      <text x={isWide ? (nearX + middle) / 2 : nearX - 8} y={36} textAnchor={isWide ? 'middle' : 'end'}>
        {near}
      </text>
      {isFarBeyond ? (
        <text x={farX - 4} y={36} textAnchor="end">
          to ∞ ›
        </text>
      ) : (
        <text x={isWide ? (middle + farX) / 2 : farX + 8} y={36} textAnchor={isWide ? 'middle' : 'start'}>
          {far}
        </text>
      )}
    </g>
  );
}

interface PlaneProps {
  readonly x: number;
  readonly layout: ZoneLayout;
  readonly focusMm: number;
  readonly closeFocusMm: number;
  readonly units: UnitSystem;
  readonly onFocus: (mm: number) => void;
}

function FocusPlane({ x, layout, focusMm, closeFocusMm, units, onFocus }: PlaneProps) {
  const grabbed = useRef({ x, focusMm, layout });
  const drag = useDrag({
    onStart: () => {
      grabbed.current = { x, focusMm, layout };
    },
    onDrag: ({ dx }) => {
      // keep the scale at the start of the drag: the drawing may rescale under the pointer
      const mm = grabbed.current.layout.distanceAt(grabbed.current.x + dx);
      const step = displayStepMm(mm, units);
      onFocus(Math.max(Math.round(mm / step) * step, closeFocusMm));
    },
    onGiveUp: () => onFocus(grabbed.current.focusMm),
  });
  return (
    <g
      {...drag}
      className={styles.zoneFocus}
      transform={`translate(${x},0)`}
      role="slider"
      tabIndex={0}
      aria-label="Focus distance"
      aria-valuenow={focusMm}
      aria-valuetext={formatDistance(focusMm, units)}
      onKeyDown={(event) => {
        const direction = arrowStep(event);
        if (!direction) return;
        onFocus(nudgeDistance(focusMm, direction * (event.shiftKey ? 10 : 1), units, { minMm: closeFocusMm, maxMm: Infinity }));
      }}
    >
      <rect x={-16} width={32} y={10} height={layout.groundY - 10} className={styles.zoneGrab} />
      <line y1={14} y2={layout.groundY} />
      <circle cy={layout.eyeY} r={6} />
      <path d="M-9,8H9L0,18Z" />
    </g>
  );
}
