import { type LensRing, withinReach } from '../kit/index.js';
import { focusForBlur } from './blurredFocus.js';
import { eased } from './easing.js';
import { zoneLensAt } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import { type RingReach, ringReach } from './ringReach.js';
import { type CoursePoint, type LineTarget, pictureWidthMm, rackEndS, type ShotPlan } from './shotPlan.js';

/** A focus target at one time, as the ring can reach it. */
export interface LineSetting {
  readonly target: LineTarget;
  readonly wantedMm: number;
  /** `targetMm`, clamped to the ends of the ring */
  readonly distanceMm: number;
  readonly ringDeg: number;
  readonly reachable: boolean;
}

/** A pull in ring angles. */
export interface LineMove {
  readonly moveId: string;
  readonly startS: number;
  readonly endS: number;
  /** Position at the start of the pull */
  readonly from: LineSetting;
  /** Position at its landing */
  readonly to: LineSetting;
  /** Whether the ring keeps moving with a subject or a course after the landing */
  readonly goesOn: boolean;
}

/** The focus track: ring angle over time. */
export interface FocusLine {
  readonly start: LineSetting;
  readonly moves: readonly LineMove[];
  /** Ring angle at a time: held by the target, or eased between two targets during a pull. */
  ringDegAt(timeS: number): number;
}

/**
 * Computes the focus track of a plan. A pull to a walking subject or a course meets it in motion and then tracks it.
 *
 * @returns null if the track has no start
 */
export function focusLine(plan: ShotPlan, ring: LensRing): FocusLine | null {
  if (plan.line.start === null) return null;
  const reach = ringReach(plan);
  const place = (target: LineTarget, landsS: number) => placed(plan, ring, reach, target, landsS);
  const start = place(plan.line.start, 0);
  const pieces: { easing: Parameters<typeof eased>[0]; move: LineMove; to: Placed }[] = [];
  let from = start;
  for (const rack of plan.line.moves) {
    const endS = rackEndS(rack);
    const to = place(rack.target, endS);
    const move: LineMove = {
      moveId: rack.id,
      startS: rack.startS,
      endS,
      from: from.at(rack.startS),
      to: to.at(endS),
      goesOn: to.isMoving,
    };
    pieces.push({ easing: rack.easing, move, to });
    from = to;
  }
  const smoothDegAt = (timeS: number): number => {
    let standing = start;
    for (const { easing, move, to } of pieces) {
      if (timeS < move.startS) break;
      if (timeS < move.endS) {
        const fromDeg = move.from.ringDeg;
        const progress = (timeS - move.startS) / (move.endS - move.startS);
        return fromDeg + (to.degAt(timeS) - fromDeg) * eased(easing, progress);
      }
      standing = to;
    }
    return standing.degAt(timeS);
  };
  return {
    start: start.at(0),
    moves: pieces.map(({ move }) => move),
    ringDegAt: reach.stepDeg === null ? smoothDegAt : (timeS) => reach.nearest(smoothDegAt(timeS)),
  };
}

/** Ring angle of a target over time. */
interface Placed {
  readonly isMoving: boolean;
  degAt(timeS: number): number;
  at(timeS: number): LineSetting;
}

function placed(plan: ShotPlan, ring: LensRing, reach: RingReach, target: LineTarget, landsS: number): Placed {
  const settingAt = (wantedMm: number): LineSetting => {
    const angleDeg = ring.angleAt(withinReach(ring, wantedMm));
    const ringDeg = reach.nearest(angleDeg);
    const isThere = Math.abs(ringDeg - angleDeg) < 1e-9;
    const distanceMm = isThere ? withinReach(ring, wantedMm) : ring.distanceAt(ringDeg);
    return { target, wantedMm, distanceMm, ringDeg, reachable: distanceMm === wantedMm };
  };
  const still = (setting: LineSetting): Placed => ({ isMoving: false, degAt: () => setting.ringDeg, at: () => setting });
  const goingOn = (mmAt: (timeS: number) => number): Placed => ({
    isMoving: true,
    degAt: (timeS) => settingAt(mmAt(timeS)).ringDeg,
    at: (timeS) => settingAt(mmAt(timeS)),
  });
  const { markFocusMm, focusMmAt } = planDistances(plan);
  switch (target.kind) {
    case 'mark':
      return still(settingAt(markFocusMm.get(target.markId)!));
    case 'distance':
      return still(settingAt(target.distanceMm ?? Infinity));
    case 'blur': {
      const lens = zoneLensAt(plan.optics, landsS);
      const blurMm = (target.blurPercent / 100) * pictureWidthMm(plan.optics);
      return still(settingAt(focusForBlur(lens, ring, markFocusMm.get(target.markId)!, blurMm, target.towards)));
    }
    case 'subject': {
      const subject = plan.subjects.find(({ id }) => id === target.subjectId)!;
      const within = (timeS: number) => Math.min(Math.max(timeS, 0), plan.durationS);
      return goingOn((timeS) => focusMmAt(subject, within(timeS + target.leadS)));
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
export function targetMm(plan: ShotPlan, ring: LensRing, target: LineTarget, timeS: number): number {
  return placed(plan, ring, ringReach(plan), target, timeS).at(timeS).wantedMm;
}
