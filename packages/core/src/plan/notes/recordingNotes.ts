import { offersRate } from '../../kit/index.js';
import type { ShotPlan } from '../shotPlan.js';
import type { PlanNote } from './planNote.js';

/** A frame rate that the recording mode or the camera does not have. Nothing is said of figures that nobody has typed. */
export function recordingNotes({ captureFps, optics: { camera } }: Pick<ShotPlan, 'captureFps' | 'optics'>): PlanNote[] {
  const { fastestFps, frameRates, mode, name } = camera;
  if (offersRate(camera, captureFps)) return [];
  if (fastestFps !== null && !offersRate({ fastestFps, frameRates: [] }, captureFps))
    return [{ code: 'rate-too-fast', kind: 'blocks', captureFps, fastestFps, mode: mode || name }];
  return [{ code: 'rate-not-offered', kind: 'blocks', captureFps, frameRates, camera: name }];
}

/** The hands are needed elsewhere, or the plan has pulls that its method does not make. */
export function handsNotes({ areHandsNeeded, method, focusTrack }: ShotPlan): PlanNote[] {
  const notes: PlanNote[] = [];
  const isPulled = method === 'rack' || method === 'follow';
  if (areHandsNeeded) notes.push({ code: 'hands-needed', kind: 'caution', isPulled });
  const pulls = focusTrack.pulls.length;
  if (!isPulled && pulls > 0) notes.push({ code: 'pulls-unused', kind: 'hint', pulls, method });
  return notes;
}
