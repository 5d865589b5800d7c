import { changeLandmark, type ShotPlan, type UnitSystem } from '@still-heron/core';
import clsx from 'clsx';
import { subjectColour } from '../../charts/subjectColour';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { selectHeld } from '../shot/sessionSlice';
import { abandonGesture, editPlan } from '../shot/shotSlice';
import { tapeCss } from '../marks/tapes';
import { FloorHandle } from './FloorHandle';
import type { FloorLayout } from './floorLayout';
import { labelRows } from './labelRows';
import { LandmarkShape } from './LandmarkShape';
import type { Guide } from './snap';
import { TurnHandle } from './TurnHandle';
import styles from './FloorThings.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly layout: FloorLayout;
  readonly pxPerMm: number;
  readonly units: UnitSystem;
  readonly isOutOfReach: boolean;
  readonly onGuides: (guides: readonly Guide[]) => void;
}

/** Static things on the floor: landmarks, paths, marks and camera keys. Subjects at the playhead are drawn on top. */
export function FloorThings({ plan, layout, ...shared }: Props) {
  const { landmarks, camera } = plan.floor!;
  const rows = labelRows(
    plan.marks.map(({ place }) => place && layout.toPx(place)),
    18,
  );
  const cameraRows = labelRows(
    camera.map((key, index) => (showsTime(camera.length, index) ? layout.toPx(key) : null)),
    46,
  );
  return (
    <>
      {landmarks.map((landmark) => (
        <LandmarkShape key={landmark.id} landmark={landmark} layout={layout} {...shared} />
      ))}
      {layout.plane && <path d={layout.plane} className={styles.floorPlane} data-testid="floor-plane" />}
      <path d={layout.cameraWay} className={styles.floorCameraWay} />
      {layout.subjects.map(({ subjectId, way, subjectIndex }) => (
        <path key={subjectId} d={way} className={styles.floorWay} style={{ color: subjectColour(subjectIndex) }} />
      ))}
      {plan.marks.map((mark, index) => {
        if (!mark.place) return null;
        const subjectIndex = plan.subjects.findIndex(({ id }) => id === mark.subjectId);
        return (
          <FloorHandle
            key={mark.id}
            item={{ kind: 'mark', id: mark.id }}
            label={`Mark ${mark.letter}, ${plan.subjects[subjectIndex]?.name ?? 'no subject'}`}
            undoName={`move mark ${mark.letter}`}
            letter={mark.letter}
            labelRow={rows[index]!}
            colour={subjectColour(subjectIndex)}
            tapeColour={mark.tapeColour && tapeCss(mark.tapeColour)}
            tapeShape={mark.tapeShape}
            place={mark.place}
            layout={layout}
            testId={`floor-mark-${mark.letter}`}
            {...shared}
          />
        );
      })}
      {camera.map((key, index) => (
        <FloorHandle
          key={key.id}
          item={{ kind: 'camera', id: key.id }}
          label={`Camera at ${key.timeS.toFixed(1)} s`}
          undoName="move the camera"
          letter={showsTime(camera.length, index) ? `${key.timeS.toFixed(1)} s` : ''}
          labelRow={-cameraRows[index]!}
          colour="var(--text)"
          place={key}
          layout={layout}
          testId={`floor-camera-${index + 1}`}
          {...shared}
        />
      ))}
      {!shared.isOutOfReach && <LandmarkTurn plan={plan} layout={layout} pxPerMm={shared.pxPerMm} />}
    </>
  );
}

/** The knob that turns the selected landmark. A post looks the same from all sides. */
function LandmarkTurn({ plan, layout, pxPerMm }: Pick<Props, 'plan' | 'layout' | 'pxPerMm'>) {
  const dispatch = useAppDispatch();
  const held = useAppSelector(selectHeld);
  const [only] = held.length === 1 ? held : [];
  const landmark = plan.floor!.landmarks.find(({ id }) => only?.kind === 'landmark' && id === only.id);
  if (!landmark || landmark.shape === 'post') return null;
  return (
    <TurnHandle
      name={landmark.name}
      at={layout.toPx(landmark)}
      armPx={(landmark.widthMm * pxPerMm) / 2 + 34}
      turnedDeg={landmark.turnedDeg}
      onTurn={(turnedDeg, gesture) =>
        dispatch(editPlan(`turn ${landmark.name}`, (now) => changeLandmark(now, landmark.id, { turnedDeg }), gesture))
      }
      onGiveUp={(gesture) => dispatch(abandonGesture(gesture))}
    />
  );
}

/** Whether a camera key gets a time label. With many keys, as on an arc, only some do. */
function showsTime(count: number, index: number): boolean {
  if (count === 1) return false;
  const every = Math.ceil(count / 6);
  return index === 0 || index === count - 1 || (index % every === 0 && count - index > every);
}

/** Subjects at the playhead with their names. */
export function FloorPeople({ layout }: { readonly layout: FloorLayout }) {
  return layout.subjects.map(
    ({ subjectId, now, name, subjectIndex, isInFrame }) =>
      now && (
        <g
          key={subjectId}
          transform={`translate(${now[0]},${now[1]})`}
          data-testid="floor-person"
          className={clsx(styles.floorPerson, !isInFrame && styles.isOut)}
          style={{ color: subjectColour(subjectIndex) }}
        >
          <circle r={10} />
          <text y={-16} textAnchor="middle">
            {name}
          </text>
        </g>
      ),
  );
}
