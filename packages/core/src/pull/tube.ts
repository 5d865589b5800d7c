import { type LensRing, ringOf, withinReach } from '../kit/index.js';
import { tapeAtExtension, type ZoneLens } from '../optics/index.js';
import { frameCount as countFrames } from '../units/index.js';
import { isSteady, zoneLensAt } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';

/** Where the ring may stand for a subject to be sharp, in ring degrees. */
export interface SharpWindow {
  readonly lowDeg: number;
  readonly highDeg: number;
}

/**
 * The ring angles at which a subject at a distance is sharp: its blur is at most the circle. Exact, also for how the lens moves as it focuses.
 *
 * @param distanceMm - tape distance, Infinity allowed
 * @returns null where no setting of this ring makes it sharp
 *
 * Source: with the image plane D = d - s before the subject and the lens v before the image plane, the subject's image lies at v' = f (D - v) / (D - v - f), and its blur is
 * (f / N) |v' - v| / v'. It equals C where v = (1 ± k) v' with k = N C / f, a quadratic in v; the smaller root is the lens nearer the image plane.
 */
export function sharpWindow(lens: ZoneLens, ring: LensRing, distanceMm: number): SharpWindow | null {
  const { focalLengthMm: f, fNumber, circleOfConfusionMm, principalSeparationMm: s = 0 } = lens;
  const k = (fNumber * circleOfConfusionMm) / f;
  const reachMm = distanceMm - s;
  /** Tape distance the lens is focused at when the subject blurs to just the circle; NaN where it never does. */
  const focusedAt = (side: 1 | -1): number => {
    const a = (1 + side * k) * f;
    if (distanceMm === Infinity) return tapeAtExtension(f, a - f, s);
    const sum = reachMm - f + a;
    const root = sum * sum - 4 * a * reachMm;
    return root < 0 ? NaN : tapeAtExtension(f, (2 * a * reachMm) / (sum + Math.sqrt(root)) - f, s);
  };
  const nearestMm = focusedAt(1);
  const farthestMm = focusedAt(-1);
  // so close that it is sharp up to life size, or never
  const fromMm = Number.isNaN(nearestMm) ? ring.closeFocusMm : nearestMm;
  if (Number.isNaN(farthestMm) || farthestMm < ring.closeFocusMm || fromMm > ring.farthestMm) return null;
  const ends = [fromMm, farthestMm].map((mm) => ring.angleAt(withinReach(ring, mm)));
  return { lowDeg: Math.min(...ends), highDeg: Math.max(...ends) };
}

/** Frame by frame at the capture rate, the ring angles that keep everyone sharp who must be. */
export interface Tube {
  readonly lowDeg: Float64Array;
  /** Below `lowDeg` where nothing keeps all of them sharp at once */
  readonly highDeg: Float64Array;
  /** 1 for a frame in which someone must be sharp */
  readonly required: Uint8Array;
}

/** The tube of a plan: everything that plans or judges a pull works on it. Where nobody need be sharp it is as wide as the ring. */
export function tubeOf(plan: ShotPlan): Tube {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const ring = ringOf(plan.optics.lens);
  const ends = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
  const tube = {
    lowDeg: new Float64Array(frames).fill(Math.min(...ends)),
    highDeg: new Float64Array(frames).fill(Math.max(...ends)),
    required: new Uint8Array(frames),
  };
  const { focusMmAt } = planDistances(plan);
  const steadyLens = isSteady(plan.optics) ? zoneLensAt(plan.optics, 0) : null;
  for (const beat of plan.beats) {
    const subject = plan.subjects.find(({ id }) => id === beat.subjectId);
    if (!subject || subject.stays.length === 0) continue;
    // someone who stands still has the same window as a frame before
    let known: SharpWindow | null = null;
    let knownMm = NaN;
    const firstFrame = Math.max(0, Math.ceil(beat.fromS * plan.captureFps - 1e-6));
    const endFrame = Math.min(frames, Math.ceil(beat.toS * plan.captureFps - 1e-6));
    for (let frame = firstFrame; frame < endFrame; frame++) {
      const timeS = frame / plan.captureFps;
      const mm = focusMmAt(subject, timeS);
      if (steadyLens === null || mm !== knownMm) known = sharpWindow(steadyLens ?? zoneLensAt(plan.optics, timeS), ring, mm);
      knownMm = mm;
      tube.required[frame] = 1;
      tube.lowDeg[frame] = Math.max(tube.lowDeg[frame]!, known?.lowDeg ?? Infinity);
      tube.highDeg[frame] = Math.min(tube.highDeg[frame]!, known?.highDeg ?? -Infinity);
    }
  }
  return tube;
}
