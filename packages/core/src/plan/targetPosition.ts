import { focusForBlur, type LensRing, withinReach } from '../kit/index.js';
import { zoneLensAt } from './opticsOverTime.js';
import { planDistances } from './planDistances.js';
import { type RingReach, ringReach } from './ringReach.js';
import { type CoursePoint, type FocusTarget, pictureWidthMm, type ShotPlan } from './shotPlan.js';

/** A focus target at one time, as the ring can reach it. */
export interface TrackPosition {
  readonly target: FocusTarget;
  readonly requestedMm: number;
  /** `requestedMm`, clamped to the ends of the ring */
  readonly distanceMm: number;
  readonly ringDeg: number;
  readonly reachable: boolean;
}

/** Ring angle of a target over time. */
export interface TargetOverTime {
  readonly isMoving: boolean;
  degAt(timeS: number): number;
  at(timeS: number): TrackPosition;
}

/** @param landsS - time at which the focus arrives there: a mark is set with the camera of that time, a blur with its optics too */
export function targetOverTime(
  plan: ShotPlan,
  target: FocusTarget,
  landsS: number,
  { ring, reach }: { readonly ring: LensRing; readonly reach: RingReach },
): TargetOverTime {
  const settingAt = (requestedMm: number): TrackPosition => {
    const angleDeg = ring.angleAt(withinReach(ring, requestedMm));
    const ringDeg = reach.nearest(angleDeg);
    const isThere = Math.abs(ringDeg - angleDeg) < 1e-9;
    const distanceMm = isThere ? withinReach(ring, requestedMm) : ring.distanceAt(ringDeg);
    return { target, requestedMm, distanceMm, ringDeg, reachable: distanceMm === requestedMm };
  };
  const still = (position: TrackPosition): TargetOverTime => ({
    isMoving: false,
    degAt: () => position.ringDeg,
    at: () => position,
  });
  const tracking = (mmAt: (timeS: number) => number): TargetOverTime => ({
    isMoving: true,
    degAt: (timeS) => settingAt(mmAt(timeS)).ringDeg,
    at: (timeS) => settingAt(mmAt(timeS)),
  });
  const { markFocusAt, focusMmAt } = planDistances(plan);
  switch (target.kind) {
    case 'mark':
      return still(settingAt(markFocusAt(target.markId, landsS)));
    case 'distance':
      return still(settingAt(target.distanceMm ?? Infinity));
    case 'blur': {
      const lens = zoneLensAt(plan.optics, landsS);
      const distanceMm = markFocusAt(target.markId, landsS);
      const blurMm = (target.blurPercent / 100) * pictureWidthMm(plan.optics);
      return still(settingAt(focusForBlur(lens, ring, { distanceMm, blurMm, towards: target.towards })));
    }
    case 'subject': {
      const subject = plan.subjects.find(({ id }) => id === target.subjectId)!;
      const within = (timeS: number) => Math.min(Math.max(timeS, 0), plan.durationS);
      return tracking((timeS) => focusMmAt(subject, within(timeS + target.leadS)));
    }
    case 'course': {
      const degs = target.points.map(({ distanceMm }) => settingAt(distanceMm ?? Infinity).ringDeg);
      const degAt = (timeS: number) => courseDeg(target.points, degs, timeS);
      return { isMoving: true, degAt, at: (timeS) => settingAt(ring.distanceAt(degAt(timeS))) };
    }
  }
}

/** Interpolates linearly in angle between two points; constant before the first and after the last. */
function courseDeg(points: readonly CoursePoint[], degs: readonly number[], timeS: number): number {
  let [low, high] = [0, points.length - 1];
  if (timeS <= points[0]!.timeS) return degs[0]!;
  if (timeS >= points[high]!.timeS) return degs[high]!;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[middle]!.timeS <= timeS) low = middle;
    else high = middle;
  }
  const share = (timeS - points[low]!.timeS) / (points[high]!.timeS - points[low]!.timeS);
  return degs[low]! + (degs[high]! - degs[low]!) * share;
}

/** Distance of a target, Infinity for infinity. A subject or a course is taken at `timeS`. */
export function targetDistanceMm(plan: ShotPlan, ring: LensRing, target: FocusTarget, timeS: number): number {
  return targetOverTime(plan, target, timeS, { ring, reach: ringReach(plan) }).at(timeS).requestedMm;
}
