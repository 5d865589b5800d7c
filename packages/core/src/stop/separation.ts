import { ringOf } from '../kit/index.js';
import { blurDiameterMm, depthOfField, type ZoneLens } from '../optics/index.js';
import { focusLine, pictureWidthMm, type ShotPlan, zoneLensAt } from '../pull/index.js';

/** A picture as far as separation goes: what is focused on, what lies behind, and what comes of it. */
export interface SeparatedPicture {
  readonly focalLengthMm: number;
  readonly focusMm: number;
  /** Infinity for what is at the horizon */
  readonly backgroundMm: number;
  readonly backgroundPercent: number;
  /** The zone from near to far; Infinity from the hyperfocal distance on */
  readonly zoneMm: number;
  /** How much larger what is focused on becomes: 1 at the same framing */
  readonly framing: number;
}

/** One way to make what lies behind softer at the same stop. */
export interface SeparationWay extends SeparatedPicture {
  /** A longer lens from farther back, at the same framing; the same lens nearer; the background farther behind */
  readonly kind: 'longer-lens' | 'nearer' | 'farther-background';
  /** Whether it gets as soft as wanted; otherwise the figures are of the farthest it goes */
  readonly isEnough: boolean;
}

/** Longer lenses than so many times what is on are not thought of. */
const LONGEST_TIMES = 6;
/** Halvings of a range: to a millionth of it. */
const HALVINGS = 40;

/**
 * What else than the stop makes the background as soft as wanted, and what that costs in zone. What is focused on and the background keep their distance from each other, but where it is the background that goes.
 *
 * @param timeS - when: where the line is then is what is focused on
 * @param percent - of the picture's width
 * @returns null while the line has no start, or focus is as far as what should lie behind
 */
export function separation(
  plan: ShotPlan,
  timeS: number,
  percent: number,
): { readonly now: SeparatedPicture; readonly ways: readonly SeparationWay[] } | null {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  const focusMm = line ? ring.distanceAt(line.ringDegAt(timeS)) : Infinity;
  const behindMm = plan.wanted.background.distanceMm ?? Infinity;
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
    const focalLengthMm = lens.focalLengthMm * LONGEST_TIMES ** share;
    const atMm = distanceFor(focalLengthMm, magnification, lens.principalSeparationMm ?? 0);
    return pictureOf(focalLengthMm, atMm, atMm + gapMm);
  });
  const nearer = way('nearer', (share) => {
    const atMm = focusMm * (ring.closeFocusMm / focusMm) ** share;
    return pictureOf(lens.focalLengthMm, atMm, atMm + gapMm);
  });
  // evenly in one over the distance, up to infinity
  const farther = way('farther-background', (share) =>
    pictureOf(lens.focalLengthMm, focusMm, share === 1 ? Infinity : behindMm / (1 - share)),
  );
  const ways = [longer, nearer, farther].filter(({ backgroundPercent }) => backgroundPercent > now.backgroundPercent * 1.001);
  return { now, ways };
}

/** The least share for which something holds that holds for 1, and once it holds goes on to. */
function leastShare(holds: (share: number) => boolean): number {
  let [low, high] = [0, 1];
  if (holds(0)) return 0;
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** The tape distance at which a lens shows things at a magnification: u = f (1 + 1/m), v = f (1 + m). */
function distanceFor(focalLengthMm: number, magnification: number, separationMm: number): number {
  return focalLengthMm * (2 + magnification + 1 / magnification) + separationMm;
}
