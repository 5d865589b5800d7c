import type { Mark } from '../floor/index.js';
import {
  type Lens,
  ringDegOf,
  type ReadDistance,
  readDistance,
  readingProblem,
  readingSigmaDeg,
  ringOf,
  type ScaleOfReadings,
  scaleOfReadings,
  scaleSigmaDeg,
  withinReach,
} from '../kit/index.js';
import { conjugates } from '../optics/index.js';
import type { Problem } from '../problems.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';

/** What a reading needs to mean something: the gear that it was taken from. */
export function readGear({ optics, wheel }: Pick<ShotPlan, 'optics' | 'wheel'>) {
  return { lens: optics.lens, wheel };
}

/** Whether the distance of a mark follows from what was read off the ring. With another lens it keeps the distance that it had. */
export function isReadOff({ method, reading, stale }: Mark): boolean {
  return method === 'picture' && reading !== null && stale !== 'lens';
}

/** What the reading of a mark says; null without one, after a change of lens, and if it does not lie on the ring. */
export function markRead(plan: Pick<ShotPlan, 'optics' | 'wheel'>, mark: Mark): ReadDistance | null {
  const { reading, stale } = mark;
  if (reading === null || stale === 'lens' || readingProblem(readGear(plan), reading, '') !== null) return null;
  return readDistance(readGear(plan), reading, mark.readingSigmaDeg);
}

/** Spread of a mark's reading in ring degrees, one standard deviation: as typed, else assumed of its kind; null without a reading. */
export function readingSpreadDeg(
  plan: Pick<ShotPlan, 'optics' | 'wheel'>,
  { reading, readingSigmaDeg: typedDeg }: Mark,
): number | null {
  return reading === null ? null : (typedDeg ?? readingSigmaDeg(readGear(plan), reading));
}

/** Marks whose reading does not lie on the ring that the shot has now. */
export function marksOffTheRing(plan: ShotPlan): readonly Mark[] {
  return plan.marks.filter(
    ({ reading, stale }) => reading !== null && stale !== 'lens' && readingProblem(readGear(plan), reading, '') !== null,
  );
}

/** A mark that was read off the ring and measured in another way as well. */
export interface ReadAndMeasured {
  readonly mark: Mark;
  readonly ringDeg: number;
  /** What its measurement says of the focus distance, from where it was taken; Infinity for infinity */
  readonly focusMm: number;
  /** Ring angle of that distance, by the ring of the shot; null if the ring does not reach it */
  readonly scaleDeg: number | null;
  /** Spread of the difference of the two angles, one standard deviation */
  readonly sigmaDeg: number;
}

/** Marks that were read off the ring and measured as well, in the order of the plan. They say how well the ring's scale fits. */
export function readAndMeasured(plan: ShotPlan): readonly ReadAndMeasured[] {
  const { lens } = plan.optics;
  const ring = ringOf(lens);
  return plan.marks.flatMap((mark): ReadAndMeasured[] => {
    const { reading, method, stale } = mark;
    const isMeasured = method === 'tape' || method === 'laser';
    if (reading === null || !isMeasured || stale !== null || readingProblem(readGear(plan), reading, '') !== null) return [];
    const focusMm = planDistances(plan).markFocusAt(mark.id, mark.taping?.timeS ?? 0);
    const isReached = withinReach(ring, focusMm) === focusMm;
    const tapeDeg = isReached ? mark.uncertaintyMm * Math.abs(degPerMmAt(lens, focusMm)) : 0;
    return [
      {
        mark,
        ringDeg: ringDegOf(readGear(plan), reading),
        focusMm,
        scaleDeg: isReached ? ring.angleAt(focusMm) : null,
        sigmaDeg: Math.hypot(readingSpreadDeg(plan, mark)!, isReached ? scaleSigmaDeg(lens, focusMm) : 0, tapeDeg),
      },
    ];
  });
}

/**
 * What the typed spread of a reading is worth at its mark, in mm: the ring comes back to the reading no better than that. 0 where nobody has typed it,
 * and for a mark that is not read off the ring.
 */
export function typedReadingSigmaMm({ optics }: Pick<ShotPlan, 'optics'>, mark: Mark): number {
  const { readingSigmaDeg: typedDeg, distanceMm } = mark;
  if (typedDeg === null || distanceMm === null || !isReadOff(mark)) return 0;
  const degPerMm = Math.abs(degPerMmAt(optics.lens, distanceMm));
  return degPerMm > 0 ? Math.min(typedDeg / degPerMm, distanceMm) : 0;
}

/** Turn of the ring for a millimetre of distance; 0 at infinity. Negative if the ring's count falls towards far. */
function degPerMmAt(lens: Lens, focusMm: number): number {
  if (!Number.isFinite(focusMm)) return 0;
  const ring = ringOf(lens);
  const stepMm = focusMm * 1e-4;
  const [nearMm, farMm] = [withinReach(ring, focusMm - stepMm), withinReach(ring, focusMm + stepMm)];
  return farMm > nearMm ? (ring.angleAt(farMm) - ring.angleAt(nearMm)) / (farMm - nearMm) : 0;
}

/** The scale that the marks make which were read off the ring and measured; a problem of `points[k]` is one of the k-th of them. */
export function scaleOfMarks(plan: ShotPlan): { readonly marks: readonly Mark[]; readonly scale: ScaleOfReadings | Problem } {
  const both = readAndMeasured(plan);
  const points = both.map(({ focusMm, ringDeg }) => ({ distanceMm: Number.isFinite(focusMm) ? focusMm : null, ringDeg }));
  return { marks: both.map(({ mark }) => mark), scale: scaleOfReadings(plan.optics.lens, points) };
}

/** What may be off when all marks read off by a common amount. */
export interface OffsetCause {
  /** The scale or its index mark, by ring degrees; the mount, by mm between lens and image plane; the tape's zero, by mm */
  readonly cause: 'scale' | 'mount' | 'tape-zero';
  readonly by: number;
  /** What it leaves unexplained: root mean square, in ring degrees */
  readonly leftDeg: number;
}

/** All marks read off to the same side of the scale. */
export interface CommonOffset {
  readonly marks: readonly Mark[];
  /** Mean of reading minus scale */
  readonly offDeg: number;
  /** Best explanation first */
  readonly causes: readonly OffsetCause[];
}

/** How many standard errors the mean must be from 0. */
const CLEAR_SIGMAS = 3;

/**
 * Whether all marks that were read and measured are off to the same side of the ring's scale, and what would explain it.
 *
 * A scale that is off moves every angle alike. A mount that is off adds to every extension alike. A tape whose zero is off adds to every
 * distance alike, which the ring shows most at near marks.
 *
 * @returns null with fewer than two such marks, on a ring whose scale is only assumed, and while what is off may be chance
 */
export function commonOffset(plan: ShotPlan): CommonOffset | null {
  const { lens } = plan.optics;
  const both = readAndMeasured(plan).filter(({ scaleDeg }) => scaleDeg !== null);
  if (both.length < 2 || lens.ring.kind === 'helicoid') return null;
  const offs = both.map(({ ringDeg, scaleDeg }) => ringDeg - scaleDeg!);
  const mean = offs.reduce((sum, deg) => sum + deg, 0) / offs.length;
  const sigmaDeg = Math.sqrt(both.reduce((sum, item) => sum + item.sigmaDeg ** 2, 0)) / both.length;
  if (offs.some((deg) => Math.sign(deg) !== Math.sign(mean)) || Math.abs(mean) < CLEAR_SIGMAS * sigmaDeg) return null;
  const explain = (cause: OffsetCause['cause'], degPer: readonly number[]): OffsetCause[] => {
    const squares = degPer.reduce((sum, per) => sum + per * per, 0);
    if (squares === 0) return [];
    const by = degPer.reduce((sum, per, k) => sum + per * offs[k]!, 0) / squares;
    const left = offs.map((deg, k) => deg - by * degPer[k]!);
    return [{ cause, by, leftDeg: Math.sqrt(left.reduce((sum, deg) => sum + deg * deg, 0) / left.length) }];
  };
  const slopes = both.map(({ focusMm }) => degPerMmAt(lens, focusMm));
  const causes = [
    ...explain(
      'scale',
      both.map(() => 1),
    ),
    // a lens that sits too far out needs less extension, and a tape that reads too long stands for a nearer subject
    ...explain(
      'mount',
      both.map(({ focusMm }) => -degPerExtensionMm(lens, focusMm)),
    ),
    ...explain(
      'tape-zero',
      slopes.map((slope) => -slope),
    ),
  ];
  return { marks: both.map(({ mark }) => mark), offDeg: mean, causes: causes.sort((a, b) => a.leftDeg - b.leftDeg) };
}

/** Turn of the ring for a millimetre of extension at a distance. */
function degPerExtensionMm(lens: Lens, focusMm: number): number {
  const ring = ringOf(lens);
  const outMm = (mm: number) => conjugates(lens.focalLengthMm, mm, lens.principalSeparationMm).extensionMm;
  const [nearMm, farMm] = [withinReach(ring, focusMm * 0.99), withinReach(ring, focusMm * 1.01)];
  const [near, far] = nearMm === farMm ? [ring.closeFocusMm, ring.farthestMm] : [nearMm, farMm];
  return (ring.angleAt(far) - ring.angleAt(near)) / (outMm(far) - outMm(near));
}
