import type { Drawn } from './byDrawing.js';
import { hiddenFramesOf } from './hiddenFrames.js';
import { automaticFrames } from './methodParts.js';
import type { ShotPlan } from './shotPlan.js';

/** By frame, 1 where a subject counts neither as sharp nor as soft: it is hidden, or left to autofocus. null if all frames count. Not to be written to. */
export function unjudgedFramesOf(plan: Drawn & Pick<ShotPlan, 'method' | 'laterMethods'>, subjectId: string): Uint8Array | null {
  const hidden = hiddenFramesOf(plan, subjectId);
  const automatic = automaticFrames(plan);
  if (hidden === null || automatic === null) return hidden ?? automatic;
  return automatic.map((one, frame) => one | hidden[frame]!);
}
