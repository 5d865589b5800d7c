import {
  addLandmark,
  addSubjectAt,
  changeCameraKey,
  changeLandmark,
  frameAtOrAfter,
  type JudgedPull,
  moveCameraTo,
  type Place,
  placeMark,
  setAim,
  type ShotPlan,
  type UnitSystem,
  walkTo,
} from '@still-heron/core';
import { currentColour } from '../../charts/currentColour';
import { type KeyboardEvent, type PointerEvent, type WheelEvent, useEffect, useRef, useState } from 'react';
import { useDrag } from '../../charts/useDrag';
import { type Size, useSize } from '../../charts/useSize';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { fittedView, floorLayout, type FloorView } from './floorLayout';
import { FloorHandle } from './FloorHandle';
import { Grid, ScaleBar } from './FloorGrid';
import { FloorLens } from './FloorLens';
import { LandmarkShape } from './LandmarkShape';
import { type ToolName, useWalker } from './FloorTools';

interface Props {
  readonly plan: ShotPlan;
  readonly verdict: JudgedPull | null;
  readonly units: UnitSystem;
  readonly tool: ToolName | null;
  readonly onToolDone: () => void;
}

/** The set from above, to scale: drag what stands on it, press with a tool, drag the ground to move it and turn the wheel to draw it larger. */
export function FloorDrawing(props: Props) {
  const { ref, size } = useSize();
  return (
    <div className="floor-drawing" ref={ref}>
      {size && size.width > 200 && size.height > 160 && <Drawing {...props} size={size} />}
    </div>
  );
}

/** Presses this close to someone mean them, in pixels. */
const NEAR_PX = 26;

function Drawing({ plan, verdict, units, tool, onToolDone, size }: Props & { readonly size: Size }) {
  const dispatch = useAppDispatch();
  const { timeS } = useAppSelector(selectSession);
  const [view, setView] = useState<FloorView>(() => fittedView(plan, size));
  const walker = useWalker(plan);
  const frame = verdict ? Math.min(frameAtOrAfter(timeS, verdict.captureFps), verdict.frameCount - 1) : 0;
  const focusMm = verdict ? verdict.line.focusMm[frame]! : null;
  const layout = floorLayout({ plan, timeS, focusMm, view }, size);
  const scale = (factor: number) => setView((now) => ({ ...now, pxPerMm: Math.min(Math.max(now.pxPerMm * factor, 0.002), 2) }));
  useKeys('+', () => scale(1.25), { useKey: true, ignoreModifiers: true });
  useKeys('-', () => scale(0.8), { useKey: true });
  useKeys('f', () => setView(fittedView(plan, size)));
  const ground = useRef<SVGRectElement>(null);
  useEffect(() => {
    if (tool) ground.current?.focus();
  }, [tool]);
  const grabbed = useRef(view);
  const pan = useDrag({
    onStart: () => (grabbed.current = view),
    onDrag: ({ dx, dy }) => {
      const { centre, pxPerMm } = grabbed.current;
      setView({ pxPerMm, centre: { xMm: centre.xMm - dx / pxPerMm, yMm: centre.yMm + dy / pxPerMm } });
    },
    onGiveUp: () => setView(grabbed.current),
  });

  function applyTool(place: Place): void {
    const near = layout.subjects.find(({ now }) => {
      const [x, y] = layout.toPx(place);
      return now && Math.hypot(now[0] - x, now[1] - y) < NEAR_PX;
    });
    const isLater = timeS > 0.05;
    if (tool === 'someone') {
      const name = `Someone ${plan.subjects.length + 1}`;
      dispatch(editPlan(`put ${name} down`, (now) => addSubjectAt(now, name, place)));
    } else if (tool === 'walk' && walker)
      dispatch(editPlan(`${walker.name} goes on`, (now) => walkTo(now, walker.id, place, timeS)));
    else if (tool === 'camera') dispatch(editPlan('the camera goes', (now) => moveCameraTo(now, place, timeS)));
    else if (tool === 'aim')
      dispatch(
        editPlan(near ? `look at ${near.name}` : 'look there', (now) =>
          setAim(now, near ? { kind: 'subject', subjectId: near.subjectId } : { kind: 'point', ...place }, timeS, isLater),
        ),
      );
    else if (tool === 'post' || tool === 'box' || tool === 'wall')
      dispatch(
        editPlan(`a ${tool}`, (now) => addLandmark(now, tool, `${tool} ${(now.floor?.landmarks.length ?? 0) + 1}`, place)),
      );
    onToolDone();
  }
  function onPointerDown(event: PointerEvent<SVGRectElement>): void {
    if (tool === null) {
      dispatch(itemSelected(null));
      pan.onPointerDown(event);
    } else if (event.button === 0) {
      const box = event.currentTarget.getBoundingClientRect();
      applyTool(layout.toPlace([event.clientX - box.left, event.clientY - box.top]));
    }
  }
  function onGroundKey(event: KeyboardEvent): void {
    if (event.key !== 'Enter' || tool === null) return;
    event.preventDefault();
    applyTool(view.centre);
  }
  const select = (kind: 'mark' | 'camera' | 'landmark', id: string) => dispatch(itemSelected({ kind, id }));
  const giveUp = (gesture: string) => dispatch(abandonGesture(gesture));
  return (
    <svg
      width={size.width}
      height={size.height}
      role="group"
      aria-label="The set from above"
      className={tool ? 'has-tool' : undefined}
      onWheel={(event: WheelEvent) => scale(event.deltaY < 0 ? 1.12 : 1 / 1.12)}
    >
      <Grid layout={layout} size={size} />
      <path d={layout.wedge} className="floor-wedge" />
      {layout.zone && <path d={layout.zone} className="floor-zone" data-testid="floor-zone" />}
      <rect
        ref={ground}
        width={size.width}
        height={size.height}
        fill="transparent"
        className="floor-ground"
        data-testid="floor-ground"
        tabIndex={tool ? 0 : undefined}
        role={tool ? 'button' : undefined}
        aria-label={tool ? 'The middle of what is shown' : undefined}
        onPointerDown={onPointerDown}
        onKeyDown={onGroundKey}
      />
      {tool && <path d={`M${size.width / 2 - 8},${size.height / 2}h16m-8,-8v16`} className="floor-middle" />}
      {plan.floor!.landmarks.map((landmark) => (
        <LandmarkShape
          key={landmark.id}
          landmark={landmark}
          layout={layout}
          pxPerMm={view.pxPerMm}
          units={units}
          isHeld={tool !== null}
          onSelect={() => select('landmark', landmark.id)}
          onMove={(place, gesture) =>
            dispatch(editPlan(`move ${landmark.name}`, (now) => changeLandmark(now, landmark.id, place), gesture))
          }
          onGiveUp={giveUp}
        />
      ))}
      {layout.plane && <path d={layout.plane} className="floor-plane" data-testid="floor-plane" />}
      <path d={layout.cameraWay} className="floor-camera-way" />
      {layout.subjects.map(({ subjectId, way, current }) => (
        <path key={subjectId} d={way} className="floor-way" style={{ color: currentColour(current) }} />
      ))}
      {plan.marks.map((mark) => {
        if (!mark.place) return null;
        const current = plan.subjects.findIndex(({ id }) => id === mark.subjectId);
        return (
          <FloorHandle
            key={mark.id}
            kind="mark"
            label={`Mark ${mark.letter}, ${plan.subjects[current]?.name ?? 'a place'}`}
            letter={mark.letter}
            colour={currentColour(current)}
            place={mark.place}
            layout={layout}
            pxPerMm={view.pxPerMm}
            units={units}
            isHeld={tool !== null}
            testId={`floor-mark-${mark.letter}`}
            onSelect={() => select('mark', mark.id)}
            onMove={(place, gesture) =>
              dispatch(editPlan(`move mark ${mark.letter}`, (now) => placeMark(now, mark.id, place), gesture))
            }
            onGiveUp={giveUp}
          />
        );
      })}
      {layout.subjects.map(
        ({ subjectId, now, name, current }) =>
          now && (
            <g
              key={subjectId}
              transform={`translate(${now[0]},${now[1]})`}
              className="floor-person"
              style={{ color: currentColour(current) }}
            >
              <circle r={10} />
              <text y={-16} textAnchor="middle">
                {name}
              </text>
            </g>
          ),
      )}
      {plan.floor!.camera.map((key, index) => (
        <FloorHandle
          key={key.id}
          kind="camera"
          label={`Camera at ${key.timeS.toFixed(1)} s`}
          letter={plan.floor!.camera.length > 1 ? `${key.timeS.toFixed(1)} s` : ''}
          colour="var(--mist)"
          place={key}
          layout={layout}
          pxPerMm={view.pxPerMm}
          units={units}
          isHeld={tool !== null}
          testId={`floor-camera-${index + 1}`}
          onSelect={() => select('camera', key.id)}
          onMove={(place, gesture) =>
            dispatch(editPlan('move the camera', (now) => changeCameraKey(now, key.id, place), gesture))
          }
          onGiveUp={giveUp}
        />
      ))}
      <FloorLens layout={layout} />
      <ScaleBar layout={layout} size={size} units={units} pxPerMm={view.pxPerMm} />
    </svg>
  );
}
