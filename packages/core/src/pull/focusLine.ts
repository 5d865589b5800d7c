import { type LensRing, withinReach } from '../kit/index.js';
import { focusForBlur } from './blurredFocus.js';
import { eased } from './easing.js';
import { zoneLensAt } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import { type RingReach, ringReach } from './ringReach.js';
import { type CoursePoint, type LineTarget, pictureWidthMm, rackEndS, type ShotPlan } from './shotPlan.js';

/** A target put on the ring at a time: where it is, and whether the ring gets there. */
export interface LineSetting {
  readonly target: LineTarget;
  readonly wantedMm: number;
  /** `wantedMm`, or the end of the ring when it does not reach that far or near */
  readonly distanceMm: number;
  readonly ringDeg: number;
  readonly reachable: boolean;
}

/** A move put on the ring. */
export interface LineMove {
  readonly moveId: string;
  readonly startS: number;
  readonly endS: number;
  /** As the move starts */
  readonly from: LineSetting;
  /** As it lands */
  readonly to: LineSetting;
  /** Whether the ring goes on with someone, or along a course, once it has landed */
  readonly goesOn: boolean;
}

/** The focus line in ring angle over time. */
export interface FocusLine {
  readonly start: LineSetting;
  readonly moves: readonly LineMove[];
  /** Ring angle at a time of the shot: where a target keeps it, and between two of them as a move is eased. */
  ringDegAt(timeS: number): number;
}

/**
 * Lays the planned line on the ring. A move to someone who walks, or onto a course, runs into it and goes on with it.
 *
 * @returns null while the line has no start
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

/** A target on the ring over time. */
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

/** Between two points evenly in angle; before the first and after the last it stays. */
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

/** Where a target is as the ring comes to it, Infinity for none; of a subject or a course, at `timeS`. */
export function targetMm(plan: ShotPlan, ring: LensRing, target: LineTarget, timeS: number): number {
  return placed(plan, ring, ringReach(plan), target, timeS).at(timeS).wantedMm;
}
