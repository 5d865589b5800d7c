import { frameAtOrAfter, type JudgedPull, type Place, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { type WheelEvent, useState } from 'react';
import { type Size, useSize } from '../../charts/useSize';
import { useAppSelector } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { selectSession } from '../shot/sessionSlice';
import { fittedView, floorLayout, type FloorView } from './floorLayout';
import { FloorGround } from './FloorGround';
import { Grid, ScaleBar } from './FloorGrid';
import { FloorLens } from './FloorLens';
import { FloorPeople, FloorThings } from './FloorThings';
import type { ToolName } from './FloorTools';
import { PictureLayer } from './PictureLayer';
import type { Guide } from './snap';
import { useFloorTool } from './useFloorTool';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: JudgedPull | null;
  readonly units: UnitSystem;
  readonly tool: ToolName | null;
  /** The plan is only shown, as it would become: nothing on it can be taken hold of */
  readonly isPreview: boolean;
  /** A length that was drawn on the picture, until it is said how long it is */
  readonly knownLength: Guide | null;
  /** All of it is fitted in anew when this changes */
  readonly fitsAnewFor: string;
  readonly onToolDone: () => void;
  readonly onLength: (from: Place, to: Place) => void;
}

/** The set from above, to scale: drag what stands on it, press with a tool, drag the ground to move it and turn the wheel to draw it larger. */
export function FloorDrawing(props: Props) {
  const { ref, size } = useSize();
  return (
    <div className="floor-drawing" ref={ref}>
      {size && size.width > 200 && size.height > 120 && <Drawing {...props} size={size} />}
    </div>
  );
}

const SMALLEST_PX_PER_MM = 0.002;
const LARGEST_PX_PER_MM = 2;

function Drawing({
  plan,
  verdict,
  units,
  tool,
  isPreview,
  fitsAnewFor,
  knownLength,
  onToolDone,
  onLength,
  size,
}: Props & { readonly size: Size }) {
  const { timeS } = useAppSelector(selectSession);
  const [view, setView] = useState<FloorView>(() => fittedView(plan, size));
  const [fittedFor, setFittedFor] = useState(fitsAnewFor);
  if (fittedFor !== fitsAnewFor) {
    setFittedFor(fitsAnewFor);
    setView(fittedView(plan, size));
  }
  const [guides, setGuides] = useState<readonly Guide[]>([]);
  const frame = verdict ? Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1) : 0;
  const focusMm = verdict ? verdict.line.focusMm[frame]! : null;
  const layout = floorLayout({ plan, timeS, focusMm, view }, size);
  const applyTool = useFloorTool(plan, layout, tool);
  const scale = (factor: number) =>
    setView((now) => ({
      ...now,
      pxPerMm: Math.min(Math.max(now.pxPerMm * factor, SMALLEST_PX_PER_MM), LARGEST_PX_PER_MM),
    }));
  useKeys('+', () => scale(1.25), { useKey: true, ignoreModifiers: true });
  useKeys('-', () => scale(0.8), { useKey: true });
  useKeys('f', () => setView(fittedView(plan, size)));
  return (
    <svg
      width={size.width}
      height={size.height}
      role="group"
      aria-label="The set from above"
      className={tool ? 'has-tool' : undefined}
      onWheel={(event: WheelEvent) => scale(event.deltaY < 0 ? 1.12 : 1 / 1.12)}
    >
      <PictureLayer picture={plan.floor!.picture} layout={layout} pxPerMm={view.pxPerMm} />
      <Grid layout={layout} size={size} />
      <path d={layout.wedge} className="floor-wedge" />
      {layout.zone && <path d={layout.zone} className="floor-zone" data-testid="floor-zone" />}
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
      {[...guides, ...(knownLength ? [knownLength] : [])].map(({ from, to }, index) => {
        const [[x1, y1], [x2, y2]] = [layout.toPx(from), layout.toPx(to)];
        return <line key={index} x1={x1} y1={y1} x2={x2} y2={y2} className="floor-guide" />;
      })}
      <FloorPeople layout={layout} />
      <FloorLens layout={layout} />
      <ScaleBar layout={layout} size={size} units={units} pxPerMm={view.pxPerMm} />
    </svg>
  );
}
