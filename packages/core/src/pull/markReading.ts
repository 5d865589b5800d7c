import type { Mark } from '../floor/index.js';
import { ringOf, type RingPoint, wheelDegOf, withinReach } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { landingWindow } from './landingWindow.js';
import { zoneLensAt } from './opticsTrack.js';
import { planDistances } from './planDistances.js';
import type { ShotPlan } from './shotPlan.js';

/** What a mark is on this lens, as it is set when someone comes there. Angles of the ring unless they say wheel. */
export interface MarkReading {
  /** When someone first comes there; 0 where nobody does */
  readonly comesS: number;
  /** What the ring must be set to; Infinity for infinity */
  readonly focusMm: number;
  /** Which end of the ring keeps it from being set; null where the ring gets there */
  readonly beyond: 'close-focus' | 'far-end' | null;
  readonly ringDeg: number;
  readonly wheelDeg: number;
  readonly nearMm: number;
  readonly farMm: number;
  /** Room before it is soft: someone may come so much nearer, or go so much farther (Infinity in an endless zone) */
  readonly nearerMm: number;
  readonly fartherMm: number;
  /** The same room on the ring: how far it may stand off towards near and towards far, both at least 0 */
  readonly towardsNearDeg: number;
  readonly towardsFarDeg: number;
  /** The figures on the scale to either side of it; null where there is none, or the lens's scale is not known */
  readonly nearerFigure: RingPoint | null;
  readonly fartherFigure: RingPoint | null;
}

/**
 * Reads a mark on the ring: where it lies, between which figures, and how much room there is each way.
 *
 * @param plan - one that `checkPlan` passes, with the mark
 */
export function markReading(plan: ShotPlan, mark: Mark): MarkReading {
  const ring = ringOf(plan.optics.lens);
  const wantedMm = planDistances(plan).markFocusMm.get(mark.id)!;
  const focusMm = withinReach(ring, wantedMm);
  const comesS = firstComesS(plan, mark.id);
  const lens = zoneLensAt(plan.optics, comesS);
  const zone = depthOfField({ ...lens, focusDistanceMm: focusMm });
  const { nearSideDeg, farSideDeg } = landingWindow(lens, ring, focusMm);
  const ringDeg = ring.angleAt(focusMm);
  return {
    comesS,
    focusMm: wantedMm,
    beyond: focusMm === wantedMm ? null : wantedMm < focusMm ? 'close-focus' : 'far-end',
    ringDeg,
    wheelDeg: wheelDegOf(plan.wheel, ringDeg),
    nearMm: zone.nearMm,
    farMm: zone.farMm,
    nearerMm: zone.inFrontMm,
    fartherMm: zone.behindMm,
    towardsNearDeg: Math.abs(nearSideDeg),
    towardsFarDeg: Math.abs(farSideDeg),
    ...figuresBeside(plan.optics.lens.ring, focusMm),
  };
}

/** When someone first comes to a mark; 0 where nobody does. */
export function firstComesS({ subjects }: Pick<ShotPlan, 'subjects'>, markId: string): number {
  const times = subjects.flatMap(({ stays }) => stays.filter((stay) => stay.markId === markId).map(({ fromS }) => fromS));
  return times.length === 0 ? 0 : Math.min(...times);
}

/** The engraved figures to either side; a figure that is the distance itself stands on both sides. */
function figuresBeside(
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
