import { type Lens, lensProblems, readingsProblems, type Problem, type RingPoint } from '@still-heron/core';

/** Problems of scale points by index, or of readings if the ring was fitted to such; -1 for the list as a whole. An empty list has none. */
export function checkPoints(lens: Lens, points: readonly RingPoint[]): ReadonlyMap<number, Problem> {
  const found = new Map<number, Problem>();
  if (points.length === 0) return found;
  const problems =
    lens.ring.kind === 'fitted'
      ? readingsProblems(lens, points)
      : lensProblems({ ...lens, ring: { kind: 'table', points } }, 'lens');
  for (const problem of problems) {
    const at = /points\[(\d+)\]/.exec(problem.path);
    const isTooNear = problem.code === 'closer-than-life-size';
    const wholeIndex = isTooNear ? nearestOf(points) : -1;
    const index = at ? Number(at[1]) : wholeIndex;
    if (!found.has(index)) found.set(index, problem);
  }
  return found;
}

function nearestOf(points: readonly RingPoint[]): number {
  const distances = points.map(({ distanceMm }) => distanceMm ?? Infinity);
  return distances.indexOf(Math.min(...distances));
}
