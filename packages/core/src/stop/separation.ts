import { ringOf } from '../kit/index.js';
import { blurDiameterMm, depthOfField, type ZoneLens } from '../optics/index.js';
import { focusTrack } from '../track/index.js';
import { pictureWidthMm, type ShotPlan, zoneLensAt } from '../plan/index.js';

/** A picture with regard to separation: focus, background and their blur. */
export interface SeparatedPicture {
  readonly focalLengthMm: number;
  readonly focusMm: number;
  /** Infinity for a background at the horizon */
  readonly backgroundMm: number;
  readonly backgroundPercent: number;
  /** Depth of the zone; Infinity from the hyperfocal distance on */
  readonly zoneMm: number;
  /** Size of the focused subject relative to the original picture: 1 for equal framing */
  readonly framing: number;
}

/** One way to blur the background more at the same stop. */
export interface SeparationWay extends SeparatedPicture {
  /** A longer lens from farther back with equal framing; the same lens from nearer; or a background farther away */
  readonly kind: 'longer-lens' | 'nearer' | 'farther-background';
  /** Whether it reaches the requested blur; if not, the figures are for its limit */
  readonly isEnough: boolean;
}

/** Longest lens considered, as a multiple of the current focal length. */
const MAX_LENS_FACTOR = 6;
/** Bisection steps: to a millionth of the range. */
const BISECTION_STEPS = 40;

/**
 * Ways other than the stop to reach a background blur, with their effect on the zone. The background keeps its distance to the
 * subject, except where it is the one that moves.
 *
 * @param timeS - the focus distance at this time is used
 * @param percent - requested blur in percent of the picture's width
 * @returns null if the track has no start, or if the background is not behind the focus
 */
export function separation(
  plan: ShotPlan,
  timeS: number,
  percent: number,
): { readonly now: SeparatedPicture; readonly ways: readonly SeparationWay[] } | null {
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  const focusMm = track ? ring.distanceAt(track.ringDegAt(timeS)) : Infinity;
  const behindMm = plan.goals.background.distanceMm ?? Infinity;
  if (focusMm >= behindMm) return null;
  const lens = zoneLensAt(plan.optics, timeS);
  const magnificationAt = (focalLengthMm: number, mm: number) =>
    depthOfField({ ...lens, focalLengthMm, focusDistanceMm: mm }).magnification;
  const magnification = magnificationAt(lens.focalLengthMm, focusMm);
  const pictureOf = (focalLengthMm: number, atMm: number, backgroundMm: number): SeparatedPicture => {
    const glass: ZoneLens = { ...lens, focalLengthMm };
    const blurMm = blurDiameterMm({ ...glass, focusDistanceMm: atMm, subjectDistanceMm: backgroundMm });
    return {
      focalLengthMm,
      focusMm: atMm,
      backgroundMm,
      backgroundPercent: (100 * blurMm) / pictureWidthMm(plan.optics),
      zoneMm: depthOfField({ ...glass, focusDistanceMm: atMm }).totalMm,
      framing: magnificationAt(focalLengthMm, atMm) / magnification,
    };
  };
  const gapMm = behindMm - focusMm;
  const now = pictureOf(lens.focalLengthMm, focusMm, behindMm);
  const way = (kind: SeparationWay['kind'], pictureAt: (share: number) => SeparatedPicture): SeparationWay => {
    const farthest = pictureAt(1);
    if (farthest.backgroundPercent < percent) return { kind, ...farthest, isEnough: false };
    return { kind, ...pictureAt(leastShare((share) => pictureAt(share).backgroundPercent >= percent)), isEnough: true };
  };
  const longer = way('longer-lens', (share) => {
    const focalLengthMm = lens.focalLengthMm * MAX_LENS_FACTOR ** share;
    const atMm = distanceFor(focalLengthMm, magnification, lens.principalSeparationMm ?? 0);
    return pictureOf(focalLengthMm, atMm, atMm + gapMm);
  });
  const nearer = way('nearer', (share) => {
    const atMm = focusMm * (ring.closeFocusMm / focusMm) ** share;
    return pictureOf(lens.focalLengthMm, atMm, atMm + gapMm);
  });
  // evenly in 1/distance, up to infinity
  const farther = way('farther-background', (share) =>
    pictureOf(lens.focalLengthMm, focusMm, share === 1 ? Infinity : behindMm / (1 - share)),
  );
  const ways = [longer, nearer, farther].filter(({ backgroundPercent }) => backgroundPercent > now.backgroundPercent * 1.001);
  return { now, ways };
}

/** Smallest share at which a monotone condition holds; it holds for 1. */
function leastShare(holds: (share: number) => boolean): number {
  let [low, high] = [0, 1];
  if (holds(0)) return 0;
  for (let k = 0; k < BISECTION_STEPS; k++) {
    const middle = (low + high) / 2;
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** Tape distance at a given magnification: u = f (1 + 1/m), v = f (1 + m). */
function distanceFor(focalLengthMm: number, magnification: number, separationMm: number): number {
  return focalLengthMm * (2 + magnification + 1 / magnification) + separationMm;
}
