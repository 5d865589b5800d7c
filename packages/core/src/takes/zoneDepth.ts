import { activeBeats, beatFrames, type ShotPlan } from '../plan/index.js';
import { evaluatePull } from '../verdict/index.js';

const known = new WeakMap<ShotPlan, number | null>();

/**
 * Smallest depth of the zone in the frames in which somebody has to be sharp, as planned.
 *
 * @returns mm; null if nothing has to be sharp, a distance is missing, or the zone never ends
 */
export function shallowestZoneMm(plan: ShotPlan): number | null {
  const found = known.get(plan);
  if (found !== undefined) return found;
  const depth = depthOf(plan);
  known.set(plan, depth);
  return depth;
}

function depthOf(plan: ShotPlan): number | null {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') return null;
  const { track, captureFps, frameCount } = verdict;
  let depthMm = Infinity;
  for (const beat of activeBeats(plan)) {
    if (beat.requirement !== 'sharp') continue;
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let frame = fromFrame; frame < toFrame; frame++) depthMm = Math.min(depthMm, track.farMm[frame]! - track.nearMm[frame]!);
  }
  return Number.isFinite(depthMm) ? Math.round(depthMm * 10) / 10 : null;
}

/** Upper limits of the groups by which takes are counted, in mm; the last group has none. */
export const ZONE_DEPTH_LIMITS_MM = [20, 50, 100, 200, 500, 1000] as const;
