import type { Mark } from '../floor/index.js';
import { type ReadDistance, ringOf, type RingPoint, wheelDegOf, withinReach } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { landingWindow } from '../hand/index.js';
import { markFocusMm, markRead, markSetS, type ShotPlan, zoneLensAt } from '../plan/index.js';

/** A mark as read on this lens, with the optics and the camera as they are when focus lands there. Ring angles unless named otherwise. */
export interface MarkReading {
  /** Time for which it is read: the first landing of a pull there, or the arrival of the subject after it */
  readonly atS: number;
  /** What the ring must be set to; Infinity for infinity */
  readonly focusMm: number;
  /** End of the ring that keeps it from being set; null if the ring reaches it */
  readonly beyond: 'close-focus' | 'far-end' | null;
  /** Where the ring stands: as it was read at the mark, or else by the lens's ring */
  readonly ringDeg: number;
  readonly wheelDeg: number;
  /** What the reading at the mark says; null if it was not read */
  readonly read: ReadDistance | null;
  readonly nearMm: number;
  readonly farMm: number;
  /** Room before the subject is soft, nearer and farther; Infinity in a zone without far limit */
  readonly nearerMm: number;
  readonly fartherMm: number;
  /** The same room on the ring towards near and towards far, both at least 0 */
  readonly towardsNearDeg: number;
  readonly towardsFarDeg: number;
  /** Neighbouring figures on the scale; null if there is none or if the scale is unknown */
  readonly nearerFigure: RingPoint | null;
  readonly fartherFigure: RingPoint | null;
}

/**
 * Reads a mark on the ring: its angle, the figures beside it, and the room each way.
 *
 * @param plan - a valid plan that contains the mark
 */
export function markReading(plan: ShotPlan, mark: Mark): MarkReading {
  const ring = ringOf(plan.optics.lens);
  const requestedMm = markFocusMm(plan, mark.id);
  const focusMm = withinReach(ring, requestedMm);
  const atS = markSetS(plan, mark);
  const lens = zoneLensAt(plan.optics, atS);
  const zone = depthOfField({ ...lens, focusDistanceMm: focusMm });
  const { nearSideDeg, farSideDeg } = landingWindow(lens, ring, focusMm);
  const read = markRead(plan, mark);
  const ringDeg = read?.ringDeg ?? ring.angleAt(focusMm);
  const end = requestedMm < focusMm ? 'close-focus' : 'far-end';
  return {
    atS,
    focusMm: requestedMm,
    beyond: focusMm === requestedMm ? null : end,
    ringDeg,
    wheelDeg: wheelDegOf(plan.wheel, ringDeg),
    read,
    nearMm: zone.nearMm,
    farMm: zone.farMm,
    nearerMm: zone.inFrontMm,
    fartherMm: zone.behindMm,
    towardsNearDeg: Math.abs(nearSideDeg),
    towardsFarDeg: Math.abs(farSideDeg),
    ...neighbouringFigures(plan.optics.lens.ring, focusMm),
  };
}

/** First arrival of a subject at a mark; 0 if there is none. */
export function firstArrivalS({ subjects }: Pick<ShotPlan, 'subjects'>, markId: string): number {
  const times = subjects.flatMap(({ stays }) => stays.filter((stay) => stay.markId === markId).map(({ fromS }) => fromS));
  return times.length === 0 ? 0 : Math.min(...times);
}

/** Engraved figures on either side. A figure equal to the distance counts on both sides. */
function neighbouringFigures(
  ring: ShotPlan['optics']['lens']['ring'],
  focusMm: number,
): Pick<MarkReading, 'nearerFigure' | 'fartherFigure'> {
  if (ring.kind !== 'table') return { nearerFigure: null, fartherFigure: null };
  const mmOf = ({ distanceMm }: RingPoint) => distanceMm ?? Infinity;
  const inOrder = [...ring.points].sort((a, b) => mmOf(a) - mmOf(b));
  return {
    nearerFigure: [...inOrder].reverse().find((point) => mmOf(point) <= focusMm) ?? null,
    fartherFigure: inOrder.find((point) => mmOf(point) >= focusMm) ?? null,
  };
}
