import { CoreError } from '../errors.js';
import { problem } from '../problems.js';
import { monotoneCubic } from './monotoneCubic.js';
import type { LensRing, RingPoint } from './ring.js';
import { assertOnRing, assertReach } from './ringEnds.js';

/**
 * A ring from scale points: shape-preserving cubic of angle over 1/distance.
 *
 * @param points - two or more, in any order, with distinct distances; angles must change in one direction
 * @throws {CoreError} `too-few`, `not-a-number`, `distance-twice`, `turns-back`, each naming the point
 */
export function tableRing(points: readonly RingPoint[]): LensRing {
  const sorted = checkedPoints(points);
  const nearnesses = sorted.map(({ nearness }) => nearness);
  const angles = sorted.map(({ ringDeg }) => ringDeg);
  const cubic = monotoneCubic(nearnesses, angles);
  const farthestMm = 1 / nearnesses[0]!;
  const closeFocusMm = 1 / nearnesses[nearnesses.length - 1]!;
  const farEndDeg = angles[0]!;
  const nearEndDeg = angles[angles.length - 1]!;
  return {
    throwDeg: Math.abs(nearEndDeg - farEndDeg),
    closeFocusMm,
    farthestMm,
    angleAt(distanceMm) {
      assertReach(distanceMm, closeFocusMm, farthestMm);
      return cubic.valueAt(1 / distanceMm);
    },
    distanceAt(ringDeg) {
      assertOnRing(ringDeg, farEndDeg, nearEndDeg);
      return 1 / cubic.inverseAt(ringDeg);
    },
  };
}

/** Checks the points and sorts them from far to near, with 1/distance instead of distance. */
function checkedPoints(points: readonly RingPoint[]): { nearness: number; ringDeg: number }[] {
  const count = points.length;
  if (count < 2) throw new CoreError(problem('too-few', 'points', { count, min: 2, counted: 'scale-points' }));
  const sorted = points
    .map(({ distanceMm, ringDeg }, index) => {
      const path = `points[${index}]`;
      if (!Number.isFinite(ringDeg)) throw new CoreError(problem('not-a-number', `${path}.ringDeg`, { given: String(ringDeg) }));
      if (distanceMm !== null && !(distanceMm > 0)) {
        const values = { given: String(distanceMm), above: 0, allowsInfinity: true };
        throw new CoreError(problem('not-a-number', `${path}.distanceMm`, values));
      }
      return { path, nearness: distanceMm === null ? 0 : 1 / distanceMm, ringDeg };
    })
    .sort((a, b) => a.nearness - b.nearness);
  const turn = Math.sign(sorted[sorted.length - 1]!.ringDeg - sorted[0]!.ringDeg);
  for (let k = 1; k < sorted.length; k++) {
    const { path, nearness, ringDeg } = sorted[k]!;
    const before = sorted[k - 1]!;
    if (nearness === before.nearness) throw new CoreError(problem('distance-twice', path, {}));
    if (turn === 0 || Math.sign(ringDeg - before.ringDeg) !== turn)
      throw new CoreError(problem('turns-back', path, { ringDeg, betweenDeg: [before.ringDeg] }));
  }
  return sorted;
}
