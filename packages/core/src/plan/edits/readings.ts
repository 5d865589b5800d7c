import { type Mark, measureSigmaMm, type MeasureMethod } from '../../floor/index.js';
import { readingProblem, type RingReading, ringDegOf, type Wheel } from '../../kit/index.js';
import { readGear, scaleOfMarks } from '../readings.js';
import type { ShotPlan } from '../shotPlan.js';
import { withItem } from './ids.js';
import { withDerivedDistances } from './withDerivedDistances.js';

/** Measuring methods whose distance was read off the ring. */
export const RING_METHODS: readonly MeasureMethod[] = ['picture', 'reference'];

/** Methods whose distance is worth more than one read off the ring. */
const MEASURED: readonly MeasureMethod[] = ['tape', 'laser'];

/**
 * Records where the ring stood when focus was found at a mark. A measured distance stays beside it; any other then follows from it. null
 * takes the reading away and leaves the distance.
 *
 * @returns the same plan for a reading that does not lie on the ring
 */
export function setReading(plan: ShotPlan, markId: string, reading: RingReading | null): ShotPlan {
  if (reading !== null && readingProblem(readGear(plan), reading, '') !== null) return plan;
  return withDerivedDistances({
    ...plan,
    marks: withItem(plan.marks, markId, (mark) => (reading === null ? { ...mark, reading } : readMark(mark, reading))),
  });
}

/** The mark as read. Another ring than that of the distance is no longer in doubt: it was read on this one. */
function readMark(mark: Mark, reading: RingReading): Mark {
  if (MEASURED.includes(mark.method) && mark.stale !== 'lens') return { ...mark, reading };
  const uncertaintyMm = measureSigmaMm('picture', mark.distanceMm ?? Infinity);
  return { ...mark, reading, method: 'picture', isSimulated: false, stale: null, taping: null, uncertaintyMm };
}

/** Lets the distance of a mark follow from its reading, in place of what was measured. Without a reading the plan stays the same. */
export function adoptReading(plan: ShotPlan, markId: string): ShotPlan {
  const mark = plan.marks.find(({ id }) => id === markId);
  if (!mark?.reading) return plan;
  return setReading(
    { ...plan, marks: withItem(plan.marks, markId, (item) => ({ ...item, method: 'picture' })) },
    markId,
    mark.reading,
  );
}

/**
 * Uses the scale that the marks make which were read and measured. Readings then stand for distances by this scale; what was read off the
 * assumed ring without a reading of its own becomes stale.
 *
 * @returns the same plan if they make no scale
 */
export function adoptScaleOfMarks(plan: ShotPlan): ShotPlan {
  const { scale } = scaleOfMarks(plan);
  if (!('ring' in scale)) return plan;
  const isHit = ({ reading, method, distanceMm }: Mark) =>
    reading === null && distanceMm !== null && RING_METHODS.includes(method);
  return withDerivedDistances({
    ...plan,
    optics: { ...plan.optics, lens: { ...plan.optics.lens, ring: scale.ring } },
    marks: plan.marks.map((mark) => (isHit(mark) ? { ...mark, stale: 'lens' as const } : mark)),
  });
}

/** Readings of a wheel as degrees of the ring: with another wheel they would mean another angle. */
export function withRingDegs(plan: ShotPlan, wheel: Wheel | null): ShotPlan {
  const marks = plan.marks.map((mark): Mark => {
    if (mark.reading?.kind !== 'wheel') return mark;
    return { ...mark, reading: { kind: 'ring', deg: ringDegOf(readGear(plan), mark.reading) } };
  });
  return { ...plan, wheel, marks };
}
