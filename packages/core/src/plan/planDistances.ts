import { floorDistances, type FloorDistances, type Mark, nextAtMark } from '../floor/index.js';
import { type FocusTarget, pullEndS, type ShotPlan } from './shotPlan.js';

/** Cached distances by the marks of a plan. A plan is immutable, and many callers ask for the same one. */
const known = new WeakMap<ShotPlan['marks'], { plan: Drawn; distances: FloorDistances }>();

type Drawn = Pick<ShotPlan, 'floor' | 'subjects' | 'marks'>;

/** Focus distances of all subjects of a plan over time, drawn or taped. */
export function planDistances(plan: Drawn): FloorDistances {
  const { floor, subjects, marks } = plan;
  const last = known.get(marks);
  if (last?.plan.floor === floor && last.plan.subjects === subjects) return last.distances;
  const distances = floorDistances(floor, subjects, marks);
  known.set(marks, { plan: { floor, subjects, marks }, distances });
  return distances;
}

/** First time at which a focus track lands at a mark, or at a blur beside it: 0 for its start; null if it never does. */
export function markLandingS({ focusTrack: { start, pulls } }: Pick<ShotPlan, 'focusTrack'>, markId: string): number | null {
  const isThere = (target: FocusTarget | null) =>
    (target?.kind === 'mark' || target?.kind === 'blur') && target.markId === markId;
  if (isThere(start)) return 0;
  const first = pulls.find(({ target }) => isThere(target));
  return first ? pullEndS(first) : null;
}

/** Time for which the ring is set at a mark: the first landing there, or the arrival of the subject after it. */
export function markSetS(plan: ShotPlan, mark: Mark): number {
  return nextAtMark(plan.subjects, mark, markLandingS(plan, mark.id) ?? 0).atS;
}

/**
 * What the ring is set to for a mark: where the first pull to it lands, with the camera as it is then. For a mark without a pull, what it is
 * on the first arrival there.
 *
 * @returns mm, Infinity for infinity
 */
export function markFocusMm(plan: ShotPlan, markId: string): number {
  return planDistances(plan).markFocusAt(markId, markLandingS(plan, markId) ?? 0);
}

/** By mark id: `markFocusMm`. */
export function markFocusDistances(plan: ShotPlan): Map<string, number> {
  return new Map(plan.marks.map(({ id }) => [id, markFocusMm(plan, id)]));
}
