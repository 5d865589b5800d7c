import { offersRate } from '../../kit/index.js';
import { isPulled, methodAt, methodsOf } from '../methodParts.js';
import type { ShotPlan } from '../shotPlan.js';
import { handClashes, handReliefs, handSpans } from '../handTasks.js';
import type { PlanNote } from './planNote.js';

/** A frame rate that the recording mode or the camera does not have. Nothing is said of figures that nobody has typed. */
export function recordingNotes({ captureFps, optics: { camera } }: Pick<ShotPlan, 'captureFps' | 'optics'>): PlanNote[] {
  const { fastestFps, frameRates, mode, name } = camera;
  if (offersRate(camera, captureFps)) return [];
  if (fastestFps !== null && !offersRate({ fastestFps, frameRates: [] }, captureFps))
    return [{ code: 'rate-too-fast', kind: 'blocks', captureFps, fastestFps, mode: mode || name }];
  return [{ code: 'rate-not-offered', kind: 'blocks', captureFps, frameRates, camera: name }];
}

/** Somebody would need a third hand, the hands are needed elsewhere, or the plan has pulls that its method does not make. */
export function handsNotes(plan: ShotPlan): PlanNote[] {
  const { areHandsNeeded } = plan;
  const notes: PlanNote[] = [];
  const [clash, ...others] = plan.rig === null ? [] : handClashes(handSpans(plan));
  if (clash) {
    const relief = handReliefs(plan, clash)[0] ?? null;
    notes.push({ code: 'hands-clash', kind: 'warning', clash, times: others.length + 1, relief });
  }
  if (areHandsNeeded) notes.push({ code: 'hands-needed', kind: 'caution', isPulled: methodsOf(plan).some(isPulled) });
  return [...notes, ...unusedPulls(plan)];
}

/** Pulls that start in a part whose method makes none, by the first such method. */
function unusedPulls(plan: ShotPlan): PlanNote[] {
  const unused = plan.focusTrack.pulls.map(({ startS }) => methodAt(plan, startS)).filter((method) => !isPulled(method));
  const [method] = unused;
  return method === undefined ? [] : [{ code: 'pulls-unused', kind: 'hint', pulls: unused.length, method }];
}
