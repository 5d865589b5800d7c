import { ringOf, withinReach } from '../kit/index.js';
import { markFocusMm } from './planDistances.js';
import { activeBeats, type ShotPlan } from './shotPlan.js';

/** A hard stop of the wheel, set at a mark. */
export interface HardStop {
  readonly markId: string;
  /** Ring angle of the mark as measured */
  readonly ringDeg: number;
  /** End of the ring that it cuts off: angles below it, or above it */
  readonly bounds: 'low' | 'high';
}

/** A wheel has two hard stops, one at each end of its turn. */
export const MAX_HARD_STOPS = 2;

/**
 * Hard stops in effect. Two bound both ends of the ring. One bounds the end beyond which fewer of the needed angles lie, because the
 * pulls run against it from the other side. Three can't be set, so that none of them counts.
 *
 * @returns empty without a wheel that has hard stops
 */
export function hardStopsOf(plan: ShotPlan): readonly HardStop[] {
  const marks = plan.wheel?.hasEndStops === true ? plan.marks.filter(({ hasHardStop }) => hasHardStop) : [];
  if (marks.length === 0 || marks.length > MAX_HARD_STOPS) return [];
  const degOf = markAngles(plan);
  const set = marks.map(({ id }) => ({ markId: id, ringDeg: degOf(id) })).sort((a, b) => a.ringDeg - b.ringDeg);
  if (set.length === 2)
    return [
      { ...set[0]!, bounds: 'low' },
      { ...set[1]!, bounds: 'high' },
    ];
  return set.map((one) => {
    const moreBelow = (degs: readonly number[]) =>
      degs.filter((deg) => deg < one.ringDeg).length - degs.filter((deg) => deg > one.ringDeg).length;
    // marks count before typed distances
    const surplus = moreBelow(neededMarkIds(plan).map(degOf)) || moreBelow(distanceAngles(plan));
    return { ...one, bounds: surplus >= 0 ? 'high' : 'low' };
  });
}

/** Marks that the ring goes to, and marks of subjects that must be sharp. */
export function neededMarkIds(plan: ShotPlan): readonly string[] {
  const { start, pulls } = plan.focusTrack;
  const targets = [start, ...pulls.map(({ target }) => target)];
  const goesTo = new Set(targets.flatMap((target) => (target?.kind === 'mark' ? target.markId : [])));
  const sharp = new Set(activeBeats(plan).flatMap(({ requirement, subjectId }) => (requirement === 'sharp' ? subjectId : [])));
  return plan.marks
    .filter(({ id, subjectId }) => goesTo.has(id) || (subjectId !== null && sharp.has(subjectId)))
    .map(({ id }) => id);
}

/** Ring angles of targets that are typed distances. */
function distanceAngles({ focusTrack: { start, pulls }, optics }: ShotPlan): number[] {
  const ring = ringOf(optics.lens);
  return [start, ...pulls.map(({ target }) => target)].flatMap((target) =>
    target?.kind === 'distance' ? ring.angleAt(withinReach(ring, target.distanceMm ?? Infinity)) : [],
  );
}

/** Ring angle of a mark by its id, as measured and as the track sets it. */
export function markAngles(plan: ShotPlan): (markId: string) => number {
  const ring = ringOf(plan.optics.lens);
  return (markId) => ring.angleAt(withinReach(ring, markFocusMm(plan, markId)));
}
