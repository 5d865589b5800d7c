import { focusesForBlur, type LensRing, ringOf, withinReach } from '../kit/index.js';
import type { ZoneLens } from '../optics/index.js';
import { frameCount as countFrames } from '../units/index.js';
import {
  type Beat,
  beatFrames,
  isSteady,
  pictureWidthMm,
  planDistances,
  plannedBeats,
  ringReach,
  type RingReach,
  type ShotPlan,
  unjudgedFramesOf,
  zoneLensAt,
} from '../plan/index.js';
import { maxRingDegPerS } from './solvers/maxRingSpeed.js';
import { softSides } from './softSides.js';
import type { SharpWindow, Tube } from './allowedBand.js';

export type { SharpWindow, Tube };

/**
 * Ring angles at which a subject at a distance is sharp, meaning its blur is at most the circle of confusion. Exact, including
 * lens extension.
 *
 * @param distanceMm - tape distance; Infinity allowed
 * @returns null if no angle of this ring makes it sharp
 */
export function sharpWindow(lens: ZoneLens, ring: LensRing, distanceMm: number): SharpWindow | null {
  return blurWindow(lens, ring, distanceMm, lens.circleOfConfusionMm);
}

/** Ring angles at which a subject has at most the given blur. */
function blurWindow(lens: ZoneLens, ring: LensRing, distanceMm: number, blurMm: number): SharpWindow | null {
  const { nearMm, farMm } = focusesForBlur(lens, distanceMm, blurMm);
  // so near that it is sharp up to life size, or never
  const fromMm = Number.isNaN(nearMm) ? ring.closeFocusMm : nearMm;
  if (Number.isNaN(farMm) || farMm < ring.closeFocusMm || fromMm > ring.farthestMm) return null;
  const ends = [fromMm, farMm].map((mm) => ring.angleAt(withinReach(ring, mm)));
  return { lowDeg: Math.min(...ends), highDeg: Math.max(...ends) };
}

/**
 * Allowed band of a plan, in the shown alternate. Frames without requirement allow the whole ring, or the range between its
 * hard stops. A subject that must be soft is so on two sides. For a whole beat the tube takes one side; the sides of all beats are
 * chosen together (see `softSides`).
 */
export function tubeOf(plan: ShotPlan): Tube {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const reach = ringReach(plan);
  const tube = {
    lowDeg: new Float64Array(frames).fill(reach.lowDeg),
    highDeg: new Float64Array(frames).fill(reach.highDeg),
    required: new Uint8Array(frames),
  };
  const beats = plannedBeats(plan).filter(({ subjectId }) =>
    plan.subjects.some(({ id, stays }) => id === subjectId && stays.length > 0),
  );
  for (const beat of beats) {
    if (beat.requirement !== 'sharp') continue;
    for (const [frame, window] of windowsOf(plan, beat, frames, (lens) => lens.circleOfConfusionMm)) {
      tube.required[frame] = 1;
      tube.lowDeg[frame] = Math.max(tube.lowDeg[frame]!, window?.lowDeg ?? Infinity);
      tube.highDeg[frame] = Math.min(tube.highDeg[frame]!, window?.highDeg ?? -Infinity);
    }
  }
  const soft = beats.filter(({ requirement }) => requirement === 'soft');
  if (soft.length > 0)
    excludeWindows(
      tube,
      soft.map((beat) => {
        const blurMm = (beat.blurPercent / 100) * pictureWidthMm(plan.optics);
        return windowsOf(plan, beat, frames, () => blurMm);
      }),
      { mostDeg: maxRingDegPerS(plan) / plan.captureFps, marginDeg: (reach.highDeg - reach.lowDeg) * EDGE_SHARE },
    );
  if (reach.stepDeg !== null) snapToSteps(tube, reach);
  return tube;
}

/**
 * By frame of a beat in which its subject is seen: ring angles at which its subject has at most the given blur. A standing subject keeps the window of the
 * previous frame.
 */
function windowsOf(
  plan: ShotPlan,
  beat: Beat,
  frames: number,
  blurOf: (lens: ZoneLens) => number,
): (readonly [frame: number, window: SharpWindow | null])[] {
  const ring = ringOf(plan.optics.lens);
  const { focusMmAt } = planDistances(plan);
  const steadyLens = isSteady(plan.optics) ? zoneLensAt(plan.optics, 0) : null;
  const subject = plan.subjects.find(({ id }) => id === beat.subjectId)!;
  let known: SharpWindow | null = null;
  let knownMm = NaN;
  const { fromFrame: firstFrame, toFrame: endFrame } = beatFrames(beat, plan.captureFps, frames);
  const unjudged = unjudgedFramesOf(plan, beat.subjectId);
  const seen = Array.from({ length: Math.max(0, endFrame - firstFrame) }, (_, k) => firstFrame + k).filter((k) => !unjudged?.[k]);
  return seen.map((frame) => {
    const timeS = frame / plan.captureFps;
    const mm = focusMmAt(subject, timeS);
    const lens = steadyLens ?? zoneLensAt(plan.optics, timeS);
    if (steadyLens === null || mm !== knownMm) known = blurWindow(lens, ring, mm, blurOf(lens));
    knownMm = mm;
    return [frame, known] as const;
  });
}

/** Just outside a window: exactly at its edge, rounding would decide. As a share of the reach. */
const EDGE_SHARE = 1e-9;

/** Removes the windows of beats that must be soft from the tube, each beat on one side. */
function excludeWindows(
  tube: Tube,
  beats: readonly (readonly (readonly [number, SharpWindow | null])[])[],
  { mostDeg, marginDeg }: { readonly mostDeg: number; readonly marginDeg: number },
): void {
  const asked = beats.map((windows) => windows.filter((item): item is readonly [number, SharpWindow] => item[1] !== null));
  const sides = softSides(tube, asked, mostDeg);
  for (const [index, windows] of asked.entries())
    for (const [frame, { lowDeg, highDeg }] of windows) {
      if (sides[index] === 'below') tube.highDeg[frame] = Math.min(tube.highDeg[frame]!, lowDeg - marginDeg);
      else tube.lowDeg[frame] = Math.max(tube.lowDeg[frame]!, highDeg + marginDeg);
    }
  for (const windows of beats) for (const [frame] of windows) tube.required[frame] = 1;
}

/** Restricts the tube to the steps of a ring in steps. */
function snapToSteps({ lowDeg, highDeg, required }: Tube, { nearest, stepDeg }: RingReach): void {
  for (let frame = 0; frame < required.length; frame++) {
    const [low, high] = [nearest(lowDeg[frame]!), nearest(highDeg[frame]!)];
    if (!Number.isFinite(lowDeg[frame]!) || !Number.isFinite(highDeg[frame]!)) continue;
    lowDeg[frame] = low < lowDeg[frame]! - 1e-9 ? low + stepDeg! : low;
    highDeg[frame] = high > highDeg[frame]! + 1e-9 ? high - stepDeg! : high;
  }
}
