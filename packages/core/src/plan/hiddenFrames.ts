import { type FloorPlan, type HiddenRun, hiddenRuns } from '../floor/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { planDistances } from './planDistances.js';
import { byDrawing, type Drawn } from './byDrawing.js';

interface Hidden {
  readonly runs: ReadonlyMap<string, readonly HiddenRun[]>;
  readonly frames: ReadonlyMap<string, Uint8Array>;
}

const NOBODY: Hidden = { runs: new Map(), frames: new Map() };
const NO_RUNS: readonly HiddenRun[] = [];

/** When a subject is hidden from the lens, and by what, in order of time. Empty without a floor plan. */
export function hiddenRunsOf(plan: Drawn, subjectId: string): readonly HiddenRun[] {
  return hiddenIn(plan).runs.get(subjectId) ?? NO_RUNS;
}

/** By frame, 1 where a subject is hidden from the lens; null if it never is. Not to be written to. */
export function hiddenFramesOf(plan: Drawn, subjectId: string): Uint8Array | null {
  return hiddenIn(plan).frames.get(subjectId) ?? null;
}

const hiddenIn = byDrawing((plan) => (plan.floor === null ? NOBODY : findHidden(plan, plan.floor)));

function findHidden(plan: Drawn, { landmarks }: FloorPlan): Hidden {
  const { subjects, durationS, captureFps } = plan;
  const timesS = new Float64Array(countFrames(durationS, captureFps));
  for (let frame = 0; frame < timesS.length; frame++) timesS[frame] = frame / captureFps;
  const distances = planDistances(plan);
  const placesOf = (subject: Drawn['subjects'][number]) => distances.placesOver(subject, timesS);
  const runs = hiddenRuns({ subjects, landmarks, placesOf, poses: distances.posesOver(timesS) });
  const frames = new Map(
    [...runs].map(([id, spans]) => {
      const column = new Uint8Array(timesS.length);
      for (const { fromFrame, toFrame } of spans) column.fill(1, fromFrame, toFrame);
      return [id, column] as const;
    }),
  );
  return { runs, frames };
}
