import { focusesForBlur, type LensRing, ringOf, withinReach } from '../kit/index.js';
import type { ZoneLens } from '../optics/index.js';
import { frameCount as countFrames } from '../units/index.js';
import {
  activeBeats,
  type Beat,
  beatFrames,
  isSteady,
  pictureWidthMm,
  planDistances,
  ringReach,
  type RingReach,
  type ShotPlan,
  zoneLensAt,
} from '../plan/index.js';

/** Ring angles at which a subject is sharp. */
export interface SharpWindow {
  readonly lowDeg: number;
  readonly highDeg: number;
}

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

/** Allowed band: by frame at the capture rate, the ring angles that meet all requirements. */
export interface Tube {
  readonly lowDeg: Float64Array;
  /** Below `lowDeg` if no angle meets all of them */
  readonly highDeg: Float64Array;
  /** 1 for a frame in which something is required */
  readonly required: Uint8Array;
}

/**
 * Allowed band of a plan, in the shown alternate. Frames without requirement allow the whole ring, or the range between its
 * hard stops. A subject that must be soft is so on two sides. For a whole beat the tube takes one side: the one that leaves
 * room for the others, and of two such sides the one with less turn.
 */
export function tubeOf(plan: ShotPlan): Tube {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const reach = ringReach(plan);
  const tube = {
    lowDeg: new Float64Array(frames).fill(reach.lowDeg),
    highDeg: new Float64Array(frames).fill(reach.highDeg),
    required: new Uint8Array(frames),
  };
  const beats = activeBeats(plan).filter(({ subjectId }) =>
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
  for (const beat of beats) {
    if (beat.requirement !== 'soft') continue;
    const blurMm = (beat.blurPercent / 100) * pictureWidthMm(plan.optics);
    excludeWindows(
      tube,
      reach,
      windowsOf(plan, beat, frames, () => blurMm),
    );
  }
  if (reach.stepDeg !== null) snapToSteps(tube, reach);
  return tube;
}

/**
 * By frame of a beat: ring angles at which its subject has at most the given blur. A standing subject keeps the window of the
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
  return Array.from({ length: Math.max(0, endFrame - firstFrame) }, (_, k) => {
    const timeS = (firstFrame + k) / plan.captureFps;
    const mm = focusMmAt(subject, timeS);
    const lens = steadyLens ?? zoneLensAt(plan.optics, timeS);
    if (steadyLens === null || mm !== knownMm) known = blurWindow(lens, ring, mm, blurOf(lens));
    knownMm = mm;
    return [firstFrame + k, known] as const;
  });
}

/** Removes windows from the tube, all of them on the same side. */
function excludeWindows(tube: Tube, reach: RingReach, windows: readonly (readonly [number, SharpWindow | null])[]): void {
  const asked = windows.filter((item): item is readonly [number, SharpWindow] => item[1] !== null);
  for (const [frame] of windows) tube.required[frame] = 1;
  if (asked.length === 0) return;
  const before = asked[0]![0] - 1;
  const after = asked[asked.length - 1]![0] + 1;
  const isBound = (frame: number) => tube.required[frame] === 1 && tube.lowDeg[frame]! <= tube.highDeg[frame]!;
  const middleDeg = (frame: number) => (isBound(frame) ? (tube.lowDeg[frame]! + tube.highDeg[frame]!) / 2 : NaN);
  const nearby = [middleDeg(before), middleDeg(after)].filter((deg) => !Number.isNaN(deg));
  const sides = (['below', 'above'] as const).map((side) => {
    let [missed, turnDeg] = [0, 0];
    for (const [frame, { lowDeg, highDeg }] of asked) {
      if (side === 'below' ? tube.lowDeg[frame]! >= lowDeg : tube.highDeg[frame]! <= highDeg) missed++;
      for (const deg of nearby) turnDeg += side === 'below' ? Math.max(0, deg - lowDeg) : Math.max(0, highDeg - deg);
    }
    return { side, missed, turnDeg };
  });
  const { side } = sides.sort((a, b) => a.missed - b.missed || a.turnDeg - b.turnDeg)[0]!;
  // just outside: exactly at the edge, rounding would decide
  const marginDeg = (reach.highDeg - reach.lowDeg) * 1e-9;
  for (const [frame, { lowDeg, highDeg }] of asked) {
    if (side === 'below') tube.highDeg[frame] = Math.min(tube.highDeg[frame]!, lowDeg - marginDeg);
    else tube.lowDeg[frame] = Math.max(tube.lowDeg[frame]!, highDeg + marginDeg);
  }
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
