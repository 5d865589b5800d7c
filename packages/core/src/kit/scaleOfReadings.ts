import { conjugates } from '../optics/index.js';
import { problem, type Problem } from '../problems.js';
import { KIT_LIMITS } from './kitLimits.js';
import { type FittedRing, type Lens, ringOf } from './lens.js';
import type { RingPoint } from './ring.js';
import { fitHelicoid } from './ringFit.js';
import { scaleProblems } from './scaleProblems.js';

/** A scale that readings make whose distances were measured as well. */
export interface ScaleOfReadings {
  readonly ring: FittedRing;
  /** Each reading, in the order given, minus what the scale has there */
  readonly offDeg: readonly number[];
  /** Indices of readings so far off that they are probably wrong */
  readonly standOut: readonly number[];
}

/** Two readings of one distance may differ by this much: as two looks at the same mark do. */
const SAME_DEG = 4;

/** Spread of readings around an engraved scale, and least spread around one of their own. Assumed. */
const SCALE_DEG = 0.5;
/** Spread of readings around a scale of two: nothing shows how well they fit. Assumed. */
const UNTESTED_DEG = 1;

/**
 * The scale that a few readings make: the helicoid, from a zero of its own, that is nearest to them.
 *
 * @param lens - its focal length and close focus are right; its ring may be anything
 * @param points - measured distance and ring angle of each, two or more
 * @returns the first reason why they make none: `too-few`, `readings-contradict`, `closer-than-life-size`, `turns-back`, `not-a-number`,
 * `throw-unlikely`
 * @example 65 mm, readings of 62.6, 41.4 and 30.9 degrees at 1.5, 2.2 and 2.9 m: a ring that is at infinity at 0°
 */
export function scaleOfReadings(lens: Lens, points: readonly RingPoint[]): ScaleOfReadings | Problem {
  const [first] = readingsProblems(lens, points);
  if (first) return first;
  const fit = fitHelicoid(points, lens.focalLengthMm, lens.principalSeparationMm);
  if (!fit) return problem('too-few', 'points', { count: 0, min: 2, counted: 'scale-points' });
  const ring: FittedRing = { kind: 'fitted', atInfinityDeg: fit.atInfinityDeg, degPerMm: fit.degPerMm, points };
  const { throwDeg } = ringOf({ ...lens, ring });
  const { min, max } = KIT_LIMITS.focusThrowDeg;
  if (!(throwDeg >= min && throwDeg <= max)) return problem('throw-unlikely', 'points', { throwDeg, min, max });
  const byIndex = new Map(fit.points.map((point) => [point.index, point]));
  return {
    ring,
    offDeg: points.map((_, index) => byIndex.get(index)?.residualDeg ?? 0),
    standOut: fit.points.filter(({ standsOut }) => standsOut).map(({ index }) => index),
  };
}

/** Every reason why readings make no scale. @returns paths `points[k]` into the list given; empty for readings that make one */
export function readingsProblems(lens: Lens, points: readonly RingPoint[]): Problem[] {
  const contradiction = contradictionOf(points);
  if (contradiction) return [contradiction];
  const lifeSizeMm = 4 * lens.focalLengthMm + lens.principalSeparationMm;
  const tooClose = points.flatMap(({ distanceMm }, index) =>
    (distanceMm ?? Infinity) < lifeSizeMm
      ? [problem('closer-than-life-size', `points[${index}]`, { given: String(distanceMm), min: lifeSizeMm })]
      : [],
  );
  if (tooClose.length > 0) return tooClose;
  const merged = mergedByDistance(points);
  const indexOf = (k: number) => points.findIndex(({ distanceMm }) => distanceMm === merged[k]!.distanceMm);
  return scaleProblems(merged).map((found) => ({
    ...found,
    path: found.path.replace(/\d+/, (k) => String(indexOf(Number(k)))),
  }));
}

/** Two readings of one distance that are too far apart to be looks at the same mark. */
function contradictionOf(points: readonly RingPoint[]): Problem | null {
  for (const [index, { distanceMm, ringDeg }] of points.entries()) {
    const other = points.findIndex((point, k) => k < index && point.distanceMm === distanceMm);
    const apart = other < 0 ? 0 : Math.abs(ringDeg - points[other]!.ringDeg);
    if (apart > SAME_DEG)
      return problem('readings-contradict', `points[${index}]`, { distanceMm, degs: [points[other]!.ringDeg, ringDeg] });
  }
  return null;
}

/** Readings of the same distance as their mean. */
function mergedByDistance(points: readonly RingPoint[]): RingPoint[] {
  const distances = [...new Set(points.map(({ distanceMm }) => distanceMm))];
  return distances.map((distanceMm) => {
    const degs = points.filter((point) => point.distanceMm === distanceMm).map(({ ringDeg }) => ringDeg);
    return { distanceMm, ringDeg: degs.reduce((sum, deg) => sum + deg, 0) / degs.length };
  });
}

/**
 * How well the scale of a lens tells where the ring stands for a distance: one standard deviation in ring degrees. A scale of readings is
 * known best among them, and less the farther from them.
 *
 * Source: standard error of a straight line fitted by least squares; the line is ring angle over extension.
 *
 * @param distanceMm - that the ring reaches, Infinity for infinity
 */
export function scaleSigmaDeg(lens: Lens, distanceMm: number): number {
  const { ring, focalLengthMm, principalSeparationMm } = lens;
  if (ring.kind !== 'fitted') return SCALE_DEG;
  const outMm = (mm: number | null) => conjugates(focalLengthMm, mm ?? Infinity, principalSeparationMm).extensionMm;
  const outs = ring.points.map((point) => outMm(point.distanceMm));
  const count = outs.length;
  const squares = sum(ring.points.map(({ ringDeg }, k) => (ringDeg - ring.atInfinityDeg - ring.degPerMm * outs[k]!) ** 2));
  const spreadDeg = count > 2 ? Math.max(Math.sqrt(squares / (count - 2)), SCALE_DEG) : UNTESTED_DEG;
  const middleMm = sum(outs) / count;
  const widthMm2 = sum(outs.map((mm) => (mm - middleMm) ** 2));
  return spreadDeg * Math.sqrt(1 / count + (outMm(distanceMm) - middleMm) ** 2 / widthMm2);
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
