import type { Camera, Lens } from '../../kit/index.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { rackEndS, type ShotPlan } from '../shotPlan.js';
import { SHORTEST_BEAT_S } from './beats.js';
import { clamp } from './ids.js';

/** The shortest the shot can be with its moves where they are. */
export function shortestDurationS(plan: ShotPlan): number {
  const last = plan.line.moves[plan.line.moves.length - 1];
  return Math.max(PLAN_LIMITS.durationS.min, last ? rackEndS(last) : 0);
}

/**
 * Makes the shot longer or shorter, never shorter than its moves. What reached to the old end reaches to the new one; what would lie past it is cut.
 */
export function setDuration(plan: ShotPlan, wantedS: number): ShotPlan {
  const durationS = clamp(wantedS, shortestDurationS(plan), PLAN_LIMITS.durationS.max);
  const end = (timeS: number) => (timeS >= plan.durationS ? durationS : Math.min(timeS, durationS));
  return {
    ...plan,
    durationS,
    subjects: plan.subjects.map((subject) => ({
      ...subject,
      stays: subject.stays.map((stay) => ({ ...stay, fromS: Math.min(stay.fromS, durationS), untilS: end(stay.untilS) })),
    })),
    beats: plan.beats
      .filter((beat) => beat.fromS <= durationS - SHORTEST_BEAT_S)
      .map((beat) => ({ ...beat, toS: end(beat.toS) })),
  };
}

/** Sets the stop, within what the lens offers. */
export function setStop(plan: ShotPlan, stop: number): ShotPlan {
  const { lens } = plan.optics;
  return { ...plan, optics: { ...plan.optics, stop: clamp(stop, lens.widestStop, lens.narrowestStop) } };
}

/** Puts another lens on, or corrects the one that is on; the stop stays within its range, and its close focus within what optics allow. */
export function setLens(plan: ShotPlan, changes: Partial<Lens>): ShotPlan {
  const wanted = { ...plan.optics.lens, ...changes };
  const closestMm = 4 * wanted.focalLengthMm + wanted.principalSeparationMm;
  const lens = {
    ...wanted,
    closeFocusMm: Math.max(wanted.closeFocusMm, closestMm),
    narrowestStop: Math.max(wanted.narrowestStop, wanted.widestStop),
  };
  return setStop({ ...plan, optics: { ...plan.optics, lens } }, plan.optics.stop);
}

export function setCamera(plan: ShotPlan, camera: Camera): ShotPlan {
  return { ...plan, optics: { ...plan.optics, camera } };
}
