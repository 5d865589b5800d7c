import {
  addLandmark,
  addSubjectAt,
  type FloorItem,
  moveCameraTo,
  type Place,
  setAim,
  type ShotPlan,
  walkTo,
} from '@still-heron/core';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import type { FloorLayout } from './floorLayout';
import { type ToolName, useWalker } from './FloorTools';

/** Presses within this distance of a subject select it, in pixels. */
const NEAR_PX = 26;
/** Aims before this time count as the first aim of the shot. */
const AT_START_S = 0.05;

/**
 * Action of a press on the floor with the current tool.
 *
 * @param onSpot - a spot was chosen to which a tape is held
 */
export function useFloorTool(
  plan: ShotPlan,
  layout: FloorLayout,
  tool: ToolName | null,
  onSpot: (place: Place) => void,
): (place: Place) => void {
  const dispatch = useAppDispatch();
  const { timeS } = useAppSelector(selectSession);
  const walker = useWalker(plan);
  const store = useAppStore();
  /** Selects the item that was just added. */
  const select = (kind: FloorItem['kind'], idOf: (plan: ShotPlan) => string | undefined) => {
    const id = idOf(selectPlan(store.getState())!);
    if (id !== undefined) dispatch(itemSelected({ kind, id }));
  };
  const lastMark = ({ marks }: ShotPlan) => marks[marks.length - 1]?.id;
  return (place) => {
    switch (tool) {
      case 'subject': {
        const name = `Subject ${plan.subjects.length + 1}`;
        dispatch(editPlan(`add ${name}`, (now) => addSubjectAt(now, name, place)));
        select('mark', lastMark);
        break;
      }
      case 'walk':
        if (!walker) break;
        dispatch(editPlan(`${walker.name} walks on`, (now) => walkTo(now, walker.id, place, timeS)));
        select('mark', lastMark);
        break;
      case 'camera':
        dispatch(editPlan('move the camera', (now) => moveCameraTo(now, place, timeS)));
        select('camera', ({ floor }) => floor?.camera.find((key) => Math.abs(key.timeS - timeS) < 0.03)?.id);
        break;
      case 'aim':
        dispatch(aimEdit(layout, place, timeS));
        break;
      case 'post':
      case 'box':
      case 'wall':
      case 'door':
      case 'track':
        dispatch(
          editPlan(`a ${tool}`, (now) => addLandmark(now, tool, `${tool} ${(now.floor?.landmarks.length ?? 0) + 1}`, place)),
        );
        select('landmark', ({ floor }) => floor?.landmarks[floor.landmarks.length - 1]?.id);
        break;
      case 'tape':
        onSpot(place);
        break;
      case 'scale':
      case 'picture':
      case null:
    }
  };
}

/** Edit that aims the camera at a place, or at the subject that is pressed. */
function aimEdit(layout: FloorLayout, place: Place, timeS: number) {
  const near = layout.subjects.find(({ now }) => {
    const [x, y] = layout.toPx(place);
    return now && Math.hypot(now[0] - x, now[1] - y) < NEAR_PX;
  });
  const target = near
    ? ({ kind: 'subject', subjectId: near.subjectId } as const)
    : ({ kind: 'point', ...place, heightMm: null } as const);
  return editPlan(near ? `aim at ${near.name}` : 'aim at a point', (now) =>
    setAim(now, target, { atS: timeS, isNew: timeS > AT_START_S }),
  );
}
