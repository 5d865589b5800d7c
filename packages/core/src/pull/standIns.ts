import { between, type Landmark, type Mark, type Place } from '../floor/index.js';
import { ringOf } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { lensView } from './inSight.js';
import { firstComesS } from './markReading.js';
import { planDistances } from './planDistances.js';
import { halfViewDeg, zoneLensAt } from './opticsTrack.js';
import type { ShotPlan } from './shotPlan.js';

/** A thing on the set to focus on while nobody stands at the mark. */
export interface StandIn {
  readonly landmarkId: string;
  readonly name: string;
  /** The part of it to focus on: the one nearest in depth to the mark */
  readonly place: Place;
  /** What the ring is set to when that part is focused on */
  readonly focusMm: number;
  /** How much nearer, and farther, than the mark someone may then come and be sharp; negative where they would be soft on the mark itself */
  readonly nearerMm: number;
  readonly fartherMm: number;
  /** The smaller of the two: what it is ranked by */
  readonly marginMm: number;
}

/** Points taken along each side of a thing: walls and track run through many depths. */
const STEPS_A_SIDE = 12;

/**
 * Things on the floor that can stand in for someone at a mark: focused on, they leave the mark inside the zone. Best first.
 * Only what the lens sees when someone comes to the mark, and not nearer than it focuses.
 *
 * @returns also those that would leave the mark soft, last, so that it can be said by how much; none while nothing is drawn, or at infinity
 */
export function standIns(plan: ShotPlan, mark: Mark): StandIn[] {
  const { floor, optics } = plan;
  const markMm = planDistances(plan).markFocusMm.get(mark.id) ?? Infinity;
  if (floor === null || markMm === Infinity) return [];
  const timeS = firstComesS(plan, mark.id);
  const viewOf = lensView({ ...plan, floor }, timeS);
  const halfTan = Math.tan((halfViewDeg(optics, timeS) * Math.PI) / 180);
  const lens = zoneLensAt(optics, timeS);
  const { closeFocusMm, farthestMm } = ringOf(optics.lens);
  const depthOf = (place: Place) => viewOf(place).depthMm;
  const found = floor.landmarks.flatMap((landmark): StandIn[] => {
    const seen = partsOf(landmark, (place) => depthOf(place) - markMm).filter((place) => {
      const { depthMm, sideMm } = viewOf(place);
      return depthMm >= closeFocusMm && depthMm <= farthestMm && Math.abs(sideMm) <= depthMm * halfTan;
    });
    const offMm = (place: Place) => Math.abs(depthOf(place) - markMm);
    const [first, ...others] = seen;
    if (!first) return [];
    const place = others.reduce((best, other) => (offMm(other) < offMm(best) ? other : best), first);
    const focusMm = depthOf(place);
    const { nearMm, farMm } = depthOfField({ ...lens, focusDistanceMm: focusMm });
    const [nearerMm, fartherMm] = [markMm - nearMm, farMm - markMm];
    const marginMm = Math.min(nearerMm, fartherMm);
    return [{ landmarkId: landmark.id, name: landmark.name, place, focusMm, nearerMm, fartherMm, marginMm }];
  });
  return found.sort((a, b) => b.marginMm - a.marginMm);
}

/** Places along the outline of a thing, those among them that lie just at the depth that is wanted; of a post its middle. */
function partsOf(landmark: Landmark, tooDeepMm: (place: Place) => number): Place[] {
  if (landmark.shape === 'post') return [landmark];
  const rad = (landmark.turnedDeg * Math.PI) / 180;
  const corner = (across: number, along: number): Place => {
    const [x, y] = [(across * landmark.widthMm) / 2, (along * landmark.depthMm) / 2];
    return {
      xMm: landmark.xMm + x * Math.cos(rad) - y * Math.sin(rad),
      yMm: landmark.yMm + x * Math.sin(rad) + y * Math.cos(rad),
    };
  };
  const corners = [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)] as const;
  return corners.flatMap((from, side) => {
    const to = corners[(side + 1) % 4]!;
    const [near, far] = [tooDeepMm(from), tooDeepMm(to)];
    const along = Array.from({ length: STEPS_A_SIDE }, (_, step) => between(from, to, step / STEPS_A_SIDE));
    return near * far < 0 ? [...along, between(from, to, near / (near - far))] : along;
  });
}
