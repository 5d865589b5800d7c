import {
  cameraPlaceAt,
  frameAtOrAfter,
  type CompleteVerdict,
  type Place,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { type WheelEvent, useRef, useState } from 'react';
import clsx from 'clsx';
import { type Size, useSize } from '../../shared/useSize';
import { useAppSelector } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { selectSession } from '../shot/sessionSlice';
import { fittedView, floorLayout, type FloorView, scaledView, type FloorLayout } from './floorLayout';
import { FloorGround } from './FloorGround';
import { Grid, ScaleBar } from './FloorGrid';
import { FloorLens } from './FloorLens';
import { FloorPeople, FloorThings } from './FloorThings';
import type { ToolName } from './FloorTools';
import { PictureHandles } from './PictureHandles';
import { PictureLayer } from './PictureLayer';
import type { Guide } from './snap';
import { useFloorTool } from './useFloorTool';
import { usePinchedView } from './usePinchedView';
import styles from './FloorDrawing.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: CompleteVerdict | null;
  readonly units: UnitSystem;
  readonly tool: ToolName | null;
  /** Read-only preview of a plan */
  readonly isPreview: boolean;
  /** A line drawn on the picture whose length is not yet known */
  readonly knownLength: Guide | null;
  /** The view is fitted again when this changes */
  readonly fitFor: string;
  readonly onToolDone: () => void;
  readonly onLength: (from: Place, to: Place) => void;
  /** Spot on the floor to which a tape is held */
  readonly spot: Place | null;
  readonly onSpot: (spot: Place) => void;
}

/** Floor plan to scale. Things can be dragged; a press uses the current tool; dragging the ground pans, and the wheel zooms. */
export function FloorDrawing(props: Props) {
  const { ref, size } = useSize();
  return (
    <div className={styles.floorDrawing} ref={ref}>
      {size && size.width > 200 && size.height > 120 && <Drawing {...props} size={size} />}
    </div>
  );
}

interface DrawingProps extends Props {
  readonly size: Size;
}

/** Pan step of an arrow key, and zoom factor of a wheel notch. */
const STEP_PX = 60;
const WHEEL = 1.12;

function Drawing({ plan, verdict, units, tool, isPreview, fitFor, knownLength, size, ...props }: DrawingProps) {
  const { spot, onSpot, onToolDone, onLength } = props;
  const { timeS } = useAppSelector(selectSession);
  const { view, setView, drawing, onWheel } = useFloorView(plan, size, fitFor);
  const [guides, setGuides] = useState<readonly Guide[]>([]);
  const frame = verdict ? Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1) : 0;
  const focusMm = verdict ? verdict.track.focusMm[frame]! : null;
  const layout = floorLayout({ plan, timeS, focusMm, view }, size);
  const taped: Guide[] = spot ? [{ from: cameraPlaceAt(plan.floor!, timeS), to: spot }] : [];
  const given = [...(knownLength ? [knownLength] : []), ...taped];
  const applyTool = useFloorTool(plan, layout, tool, onSpot);
  return (
    <svg
      ref={drawing}
      width={size.width}
      height={size.height}
      role="group"
      aria-label="The set from above"
      className={clsx(tool && styles.hasTool)}
      onWheel={onWheel}
    >
      <PictureLayer picture={plan.floor!.picture} layout={layout} pxPerMm={view.pxPerMm} />
      <Grid layout={layout} size={size} />
      <path d={layout.wedge} className={styles.floorWedge} />
      {layout.zone && <path d={layout.zone} className={styles.floorZone} data-testid="floor-zone" />}
      <FloorGround
        plan={plan}
        layout={layout}
        view={view}
        size={size}
        tool={tool}
        onView={setView}
        onTool={(place) => {
          applyTool(place);
          onToolDone();
        }}
        onLength={onLength}
      />
      <FloorThings
        plan={plan}
        layout={layout}
        pxPerMm={view.pxPerMm}
        units={units}
        isOutOfReach={tool !== null || isPreview}
        onGuides={setGuides}
      />
      <Guides guides={[...guides, ...given]} layout={layout} />
      <FloorPeople layout={layout} />
      <FloorLens layout={layout} />
      {tool === 'picture' && <PictureHandles plan={plan} layout={layout} pxPerMm={view.pxPerMm} units={units} />}
      <ScaleBar layout={layout} size={size} units={units} pxPerMm={view.pxPerMm} />
    </svg>
  );
}

/** The view with its keys, wheel and pinch. @param fitFor - it is fitted again when this changes */
function useFloorView(plan: ShotPlan, size: Size, fitFor: string) {
  const [view, setView] = useState<FloorView>(() => fittedView(plan, size));
  const [fittedFor, setFittedFor] = useState(fitFor);
  if (fittedFor !== fitFor) {
    setFittedFor(fitFor);
    setView(fittedView(plan, size));
  }
  const drawing = useRef<SVGSVGElement>(null);
  usePinchedView(drawing, { view, size, onView: setView });
  const scale = useViewKeys(size, setView, () => setView(fittedView(plan, size)));
  const onWheel = (event: WheelEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    scale(event.deltaY < 0 ? WHEEL : 1 / WHEEL, [event.clientX - box.left, event.clientY - box.top]);
  };
  return { view, setView, drawing, onWheel };
}

function Guides({ guides, layout }: { readonly guides: readonly Guide[]; readonly layout: FloorLayout }) {
  return guides.map(({ from, to }, index) => {
    const [[x1, y1], [x2, y2]] = [layout.toPx(from), layout.toPx(to)];
    return <line key={index} x1={x1} y1={y1} x2={x2} y2={y2} className={styles.floorGuide} />;
  });
}

/** Keys of the view: scale, pan and fit. Returns how to scale it about a point of the drawing. */
function useViewKeys(size: Size, onView: (change: (now: FloorView) => FloorView) => void, onFit: () => void) {
  const middle = [size.width / 2, size.height / 2] as const;
  const scale = (factor: number, about: readonly [number, number] = middle) =>
    onView((now) => scaledView(now, factor, about, size));
  const shift = (x: number, y: number) => () =>
    onView((now) => ({ ...now, centre: { xMm: now.centre.xMm + x / now.pxPerMm, yMm: now.centre.yMm + y / now.pxPerMm } }));
  // `+` separates keys in this library unless another separator is set
  useKeys('+', () => scale(1.25), { useKey: true, ignoreModifiers: true, splitKey: '|' });
  useKeys('-', () => scale(0.8), { useKey: true });
  useKeys('f', onFit);
  // with the focus on a thing or a slider, arrow keys belong to it
  const onGround = {
    ignoreEventWhen: ({ target }: KeyboardEvent) =>
      target instanceof Element && target.closest('svg, aside, [role=slider]') !== null,
  };
  useKeys('left', shift(-STEP_PX, 0), onGround);
  useKeys('right', shift(STEP_PX, 0), onGround);
  useKeys('up', shift(0, STEP_PX), onGround);
  useKeys('down', shift(0, -STEP_PX), onGround);
  return scale;
}
