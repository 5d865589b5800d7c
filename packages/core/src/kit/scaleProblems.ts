import { problem, type Problem } from '../problems.js';
import type { RingPoint } from './ring.js';

/**
 * Lists every reason why scale points make no ring, by point. `lensRing` throws only the first.
 *
 * @param points - in any order, as typed
 * @returns paths `points[k]` into the list given; empty for a ring that works
 */
export function scaleProblems(points: readonly RingPoint[]): Problem[] {
  const problems: Problem[] = [];
  const valid = points.flatMap(({ distanceMm, ringDeg }, index) => {
    const path = `points[${index}]`;
    if (!Number.isFinite(ringDeg)) {
      problems.push(problem('not-a-number', path, { given: String(ringDeg) }));
      return [];
    }
    if (distanceMm !== null && !(distanceMm > 0)) {
      problems.push(problem('not-a-number', path, { given: String(distanceMm), above: 0, allowsInfinity: true }));
      return [];
    }
    return [{ index, nearness: distanceMm === null ? 0 : 1 / distanceMm, ringDeg }];
  });
  const sorted = valid.sort((a, b) => a.nearness - b.nearness || a.index - b.index);
  const singles = sorted.filter((point, k) => {
    const isTwin = k > 0 && point.nearness === sorted[k - 1]!.nearness;
    if (isTwin) problems.push(problem('distance-twice', `points[${point.index}]`, {}));
    return !isTwin;
  });
  const angles = singles.map(({ ringDeg }) => ringDeg);
  const rising = longestRising(angles);
  const falling = longestRising(angles.map((deg) => -deg));
  const inOrder = rising.size >= falling.size ? rising : falling;
  singles.forEach(({ index, ringDeg }, k) => {
    if (inOrder.has(k)) return;
    const [before, after] = [neighbour(singles, inOrder, k, -1), neighbour(singles, inOrder, k, 1)];
    const betweenDeg = [before, after].flatMap((point) => (point ? [point.ringDeg] : [])).sort((a, b) => a - b);
    problems.push(problem('turns-back', `points[${index}]`, { ringDeg, betweenDeg }));
  });
  if (points.length < 2) problems.push(problem('too-few', 'points', { count: points.length, min: 2, counted: 'scale-points' }));
  return problems;
}

function neighbour<T>(items: readonly T[], kept: ReadonlySet<number>, from: number, step: number): T | undefined {
  for (let k = from + step; k >= 0 && k < items.length; k += step) if (kept.has(k)) return items[k];
  return undefined;
}

/** Indices of a longest strictly increasing subsequence. The other values are the fewest that break the order. */
function longestRising(values: readonly number[]): Set<number> {
  const lengths: number[] = [];
  const previous: number[] = [];
  values.forEach((value, k) => {
    lengths[k] = 1;
    previous[k] = -1;
    for (let j = 0; j < k; j++) {
      if (values[j]! < value && lengths[j]! + 1 > lengths[k]!) {
        lengths[k] = lengths[j]! + 1;
        previous[k] = j;
      }
    }
  });
  const places = new Set<number>();
  for (let k = lengths.indexOf(Math.max(...lengths)); k >= 0; k = previous[k]!) places.add(k);
  return places;
}
