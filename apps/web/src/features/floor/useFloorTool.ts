import { addLandmark, addSubjectAt, moveCameraTo, type Place, setAim, type ShotPlan, walkTo } from '@still-heron/core';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import type { FloorLayout } from './floorLayout';
import { type ToolName, useWalker } from './FloorTools';

/** Presses this close to someone mean them, in pixels. */
const NEAR_PX = 26;
/** An aim this early is the one the shot begins with. */
const AT_START_S = 0.05;

/** What a press on the floor does with the tool that is held. */
export function useFloorTool(plan: ShotPlan, layout: FloorLayout, tool: ToolName | null): (place: Place) => void {
  const dispatch = useAppDispatch();
  const { timeS } = useAppSelector(selectSession);
  const walker = useWalker(plan);
  return (place) => {
    switch (tool) {
      case 'someone': {
        const name = `Someone ${plan.subjects.length + 1}`;
        dispatch(editPlan(`put ${name} down`, (now) => addSubjectAt(now, name, place)));
        break;
      }
      case 'walk':
        if (walker) dispatch(editPlan(`${walker.name} goes on`, (now) => walkTo(now, walker.id, place, timeS)));
        break;
      case 'camera':
        dispatch(editPlan('the camera goes', (now) => moveCameraTo(now, place, timeS)));
        break;
      case 'aim': {
        const near = layout.subjects.find(({ now }) => {
          const [x, y] = layout.toPx(place);
          return now && Math.hypot(now[0] - x, now[1] - y) < NEAR_PX;
        });
        const target = near ? ({ kind: 'subject', subjectId: near.subjectId } as const) : ({ kind: 'point', ...place } as const);
        dispatch(editPlan(near ? `look at ${near.name}` : 'look there', (now) => setAim(now, target, timeS, timeS > AT_START_S)));
        break;
      }
      case 'post':
      case 'box':
      case 'wall':
      case 'door':
      case 'track':
        dispatch(
          editPlan(`a ${tool}`, (now) => addLandmark(now, tool, `${tool} ${(now.floor?.landmarks.length ?? 0) + 1}`, place)),
        );
        break;
      case 'scale':
      case null:
    }
  };
}
