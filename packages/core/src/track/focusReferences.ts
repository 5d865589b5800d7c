import { between, type Landmark, type Mark, meetsAt, type Place, solidOfLandmark } from '../floor/index.js';
import { ringOf } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { halfViewDeg, lensView, planDistances, type ShotPlan, zoneLensAt } from '../plan/index.js';
import { firstArrivalS } from './markReading.js';

/** A thing on the set that can be focused on instead of the subject at a mark. */
export interface FocusReference {
  readonly landmarkId: string;
  readonly name: string;
  /** The part of it to focus on: the one nearest in depth to the mark */
  readonly place: Place;
  /** Ring setting when focused on that part */
  readonly focusMm: number;
  /** Room that a subject at the mark then has, nearer and farther; negative if it would be soft on the mark itself */
  readonly nearerMm: number;
  readonly fartherMm: number;
  /** The smaller of the two; results are sorted by it */
  readonly marginMm: number;
}

/** Sample points along each side of a landmark: walls and track span many depths. */
const STEPS_PER_SIDE = 12;

/**
 * Landmarks that can be focused on instead of a subject at a mark, best first: focused on, they keep the mark inside the zone.
 * Only parts of landmarks that are in the picture when the subject arrives, not behind another, and not nearer than close focus.
 *
 * @returns unusable ones last, so that their error can be shown; empty without a floor plan, or at infinity
 */
export function focusReferences(plan: ShotPlan, mark: Mark): FocusReference[] {
  const { floor, optics } = plan;
  const markMm = planDistances(plan).arrivalFocusMm.get(mark.id) ?? Infinity;
  if (floor === null || markMm === Infinity) return [];
  const timeS = firstArrivalS(plan, mark.id);
  const viewOf = lensView({ ...plan, floor }, timeS);
  const halfTan = Math.tan((halfViewDeg(optics, timeS) * Math.PI) / 180);
  const lens = zoneLensAt(optics, timeS);
  const { closeFocusMm, farthestMm } = ringOf(optics.lens);
  const { camera } = planDistances(plan).cameraAt(timeS)!;
  const isSeen = (part: Place & { readonly heightMm: number }, own: Landmark) =>
    floor.landmarks.every((other) => other === own || meetsAt(solidOfLandmark(other), camera, part) === Infinity);
  const depthOf = (place: Place) => viewOf(place).depthMm;
  const found = floor.landmarks.flatMap((landmark): FocusReference[] => {
    const seen = partsOf(landmark, (place) => depthOf(place) - markMm).filter((place) => {
      const { depthMm, sideMm } = viewOf(place);
      const isFramed = depthMm >= closeFocusMm && depthMm <= farthestMm && Math.abs(sideMm) <= depthMm * halfTan;
      return isFramed && isSeen({ ...place, heightMm: Math.min(landmark.tallMm || camera.heightMm, camera.heightMm) }, landmark);
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

/** Points along the outline of a landmark, including those exactly at the requested depth; for a post, its centre. */
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
    const along = Array.from({ length: STEPS_PER_SIDE }, (_, step) => between(from, to, step / STEPS_PER_SIDE));
    return near * far < 0 ? [...along, between(from, to, near / (near - far))] : along;
  });
}
