import { CoreError } from '../errors.js';
import { problem, type Problem } from '../problems.js';
import { ringDegOfArc } from './calibration.js';
import { type Lens, ringOf } from './lens.js';
import type { LensRing } from './ring.js';
import { nearSign } from './ringEnds.js';
import { scaleSigmaDeg } from './scaleOfReadings.js';
import { type Wheel, wheelDegOf } from './wheel.js';

/** Where a ring stands, as somebody read it. */
export type RingReading =
  /** Degrees of the ring, on its own count */
  | { readonly kind: 'ring'; readonly deg: number }
  /** Degrees of the wheel, 0 where the ring's count is 0 */
  | { readonly kind: 'wheel'; readonly deg: number }
  /** Along a strip of tape on the barrel, 0 at the ring's far end */
  | { readonly kind: 'strip'; readonly mm: number }
  /** Between two engraved figures: share of the turn from one to the other. null for infinity */
  | { readonly kind: 'figures'; readonly fromMm: number | null; readonly toMm: number | null; readonly share: number };

export const READING_KINDS = ['ring', 'wheel', 'strip', 'figures'] as const satisfies readonly RingReading['kind'][];

/** What a reading was taken from. */
export interface ReadGear {
  readonly lens: Lens;
  /** null for a hand at the ring */
  readonly wheel: Wheel | null;
}

/** How finely each kind is read, one standard deviation each. Assumed, and shown as an assumption. */
const READ_TO = { ringDeg: 1, wheelDeg: 1, stripMm: 0.5, shareOfFigures: 0.1 } as const;

/** A figure itself is read better than a place between two: in ring degrees. */
const FIGURE_DEG = 0.5;

/**
 * Ring angle of a reading, on the count of the lens's ring. It may lie off the ring: see `readingProblem`.
 *
 * @throws {CoreError} `no-diameter` for a strip on a barrel of unknown diameter; `closer-than-close-focus` or `beyond-the-scale` for a figure
 * that the ring does not have
 */
export function ringDegOf({ lens, wheel }: ReadGear, reading: RingReading): number {
  const ring = ringOf(lens);
  switch (reading.kind) {
    case 'ring':
      return reading.deg;
    case 'wheel':
      return reading.deg / wheelDegOf(wheel, 1);
    case 'strip':
      return ring.angleAt(ring.farthestMm) + nearSign(ring) * ringDegOfArc(reading.mm, diameterOf(lens));
    case 'figures': {
      const [fromDeg, toDeg] = [reading.fromMm, reading.toMm].map((mm) => ring.angleAt(mm ?? Infinity)) as [number, number];
      return fromDeg + (toDeg - fromDeg) * reading.share;
    }
  }
}

/** Why a reading does not say where the ring stands; null if it does. @param path - of the reading in what is checked */
export function readingProblem(gear: ReadGear, reading: RingReading, path: string): Problem | null {
  try {
    ringOf(gear.lens).distanceAt(ringDegOf(gear, reading));
    return null;
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    if (error.code !== 'outside-ring') return { ...error.problem, path };
    const [min, max] = readingRange(gear, reading.kind);
    const unit = reading.kind === 'strip' ? 'mm' : 'deg';
    const given = figureOf(gear, reading);
    return problem('off-the-ring', path, { given, min, max, unit });
  }
}

/** The figure of a reading in the unit that `readingRange` has. */
function figureOf(gear: ReadGear, reading: RingReading): number {
  if (reading.kind === 'strip') return reading.mm;
  return reading.kind === 'figures' ? ringDegOf(gear, reading) : reading.deg;
}

/** A ring angle as a reading of a kind: the inverse of `ringDegOf`. */
export function readingAt(gear: ReadGear, kind: Exclude<RingReading['kind'], 'figures'>, ringDeg: number): RingReading {
  const { lens, wheel } = gear;
  const ring = ringOf(lens);
  if (kind === 'ring') return { kind, deg: ringDeg };
  if (kind === 'wheel') return { kind, deg: wheelDegOf(wheel, ringDeg) };
  const turnDeg = (ringDeg - ring.angleAt(ring.farthestMm)) * nearSign(ring);
  return { kind, mm: turnDeg / ringDegOfArc(1, diameterOf(lens)) };
}

/** First and last reading that the ring has, in the unit of the kind: rising. Figures are limited in ring degrees. */
export function readingRange(gear: ReadGear, kind: RingReading['kind']): readonly [number, number] {
  const ring = ringOf(gear.lens);
  const ends = [ring.closeFocusMm, ring.farthestMm].map((mm) => {
    return figureOf(gear, readingAt(gear, kind === 'figures' ? 'ring' : kind, ring.angleAt(mm)));
  });
  return [Math.min(...ends), Math.max(...ends)];
}

function diameterOf({ ringDiameterMm }: Lens): number {
  if (ringDiameterMm === null) throw new CoreError(problem('no-diameter', 'lens.ringDiameterMm', {}));
  return ringDiameterMm;
}

/** How well a reading tells where the ring stands: one standard deviation in ring degrees. */
export function readingSigmaDeg(gear: ReadGear, reading: RingReading): number {
  switch (reading.kind) {
    case 'ring':
      return READ_TO.ringDeg;
    case 'wheel':
      return READ_TO.wheelDeg / wheelDegOf(gear.wheel, 1);
    case 'strip':
      return ringDegOfArc(READ_TO.stripMm, diameterOf(gear.lens));
    case 'figures': {
      if (reading.share === 0 || reading.share === 1) return FIGURE_DEG;
      const ring = ringOf(gear.lens);
      const spanDeg = Math.abs(ring.angleAt(reading.toMm ?? Infinity) - ring.angleAt(reading.fromMm ?? Infinity));
      return Math.max(READ_TO.shareOfFigures * spanDeg, FIGURE_DEG);
    }
  }
}

/** What a reading says of the distance. */
export interface ReadDistance {
  readonly ringDeg: number;
  /** Focus distance along the axis; Infinity for infinity */
  readonly distanceMm: number;
  /** What its scale is worth: read off the lens, fitted to readings, or assumed of its throw */
  readonly by: 'scale' | 'readings' | 'assumed-ring';
  /** Distances one standard deviation of reading and scale to either side; null by an assumed ring */
  readonly between: { readonly nearestMm: number; readonly farthestMm: number } | null;
}

const BY = { table: 'scale', fitted: 'readings', helicoid: 'assumed-ring' } as const;

/**
 * The distance that a reading stands for, by the lens's ring.
 *
 * @param spreadDeg - of the reading in ring degrees, one standard deviation; null for what is assumed of its kind
 * @throws {CoreError} as `ringDegOf`, and `outside-ring`
 * @example with a 280° ring of a 65 mm lens from 0.65 m, 40° stand for 3.71 m
 */
export function readDistance(gear: ReadGear, reading: RingReading, spreadDeg: number | null = null): ReadDistance {
  const ring = ringOf(gear.lens);
  const ringDeg = ringDegOf(gear, reading);
  const distanceMm = ring.distanceAt(ringDeg);
  const by = BY[gear.lens.ring.kind];
  if (by === 'assumed-ring') return { ringDeg, distanceMm, by, between: null };
  const sigmaDeg = Math.hypot(spreadDeg ?? readingSigmaDeg(gear, reading), scaleSigmaDeg(gear.lens, distanceMm));
  const sides = [-sigmaDeg, sigmaDeg].map((deg) => ring.distanceAt(onRing(ring, ringDeg + deg)));
  return { ringDeg, distanceMm, by, between: { nearestMm: Math.min(...sides), farthestMm: Math.max(...sides) } };
}

function onRing(ring: LensRing, deg: number): number {
  const ends = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
  return Math.min(Math.max(deg, Math.min(...ends)), Math.max(...ends));
}
