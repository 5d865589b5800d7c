import { cameraPlaceAt, type Mark } from '../floor/index.js';
import { heldOnRing, nearSign, ringOf } from '../kit/index.js';
import type { Method, ShotPlan } from '../plan/index.js';
import { methodOffers } from '../stop/index.js';
import { focusTrack } from '../track/index.js';
import { evaluateRing } from '../verdict/index.js';
import type { Take } from './take.js';

/** Whether the errors of a take would have been held by another method. */
export interface HeldBy {
  readonly method: Method;
  /** Everything that must be sharp would have been */
  readonly isHeld: boolean;
}

/** What the take shows of its errors. */
type Erring = Pick<Take, 'hits' | 'markMisses' | 'gear'>;

/** Errors of these methods follow from other things than those a take shows: the feet of the operator, and the camera itself. */
const NOT_COMPARED: readonly Method[] = ['constant-distance', 'automatic'];

/**
 * Draws the errors of a take again under the other methods of its shot: where people stood beside their marks, and how late and how far off the
 * hand was. Each method has its own focus track, made before the take, so that it does not know of the misses.
 *
 * @param plan - as it was at the time of the take
 * @returns null if the take shows no error, or if nothing can be computed
 */
export function heldBy(plan: ShotPlan, take: Erring): HeldBy[] | null {
  const hand = handOf(plan, take);
  if (take.markMisses.length === 0 && hand.lateS === 0 && hand.offDeg === 0) return null;
  const taken = [take.gear.method, ...take.gear.laterMethods];
  const found = methodOffers(plan).flatMap(({ method, plan: other }): HeldBy[] => {
    if (!other || taken.includes(method) || NOT_COMPARED.includes(method)) return [];
    const isHeld = isHeldBy(other, take.markMisses, hand);
    return isHeld === null ? [] : [{ method, isHeld }];
  });
  return found.length > 0 ? found : null;
}

/** Mean lateness in s and mean ring error in ring degrees, 0 for what was not measured. */
interface Hand {
  readonly lateS: number;
  readonly offDeg: number;
}

function handOf(plan: ShotPlan, { hits }: Erring): Hand {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / Math.max(values.length, 1);
  // a take counts a ring error towards near, a track the way its ring turns
  const towardsNear = nearSign(ringOf(plan.optics.lens));
  return {
    lateS: mean(hits.flatMap(({ lateS }) => lateS ?? [])),
    offDeg: mean(hits.flatMap(({ offDeg }) => offDeg ?? [])) * towardsNear,
  };
}

/** Whether a method keeps everything sharp; null without a track or a distance. */
function isHeldBy(plan: ShotPlan, misses: Erring['markMisses'], hand: Hand): boolean | null {
  const ring = ringOf(plan.optics.lens);
  const line = focusTrack(plan, ring);
  if (!line) return null;
  const isTurned = plan.focusTrack.pulls.length > 0 || line.start.target.kind === 'subject';
  // a ring that nobody turns is neither late nor off
  const ringDegAt = (timeS: number) =>
    isTurned ? heldOnRing(ring, line.ringDegAt(Math.max(0, timeS - hand.lateS)) + hand.offDeg) : line.ringDegAt(timeS);
  const marks = plan.marks.map((mark) => missed(plan, mark, misses.find(({ markId }) => markId === mark.id)?.byMm ?? 0));
  const verdict = evaluateRing({ ...plan, marks }, ringDegAt);
  return verdict && verdict.beats.every(({ kept }) => kept);
}

/** A mark where the subject really stood: farther along the line from the camera, or nearer. */
function missed(plan: ShotPlan, mark: Mark, byMm: number): Mark {
  if (byMm === 0) return mark;
  const { floor } = plan;
  if (!floor || !mark.place)
    return mark.distanceMm === null ? mark : { ...mark, distanceMm: Math.max(1, mark.distanceMm + byMm) };
  const arrivesS = plan.subjects.flatMap(({ stays }) => stays).find(({ markId }) => markId === mark.id)?.fromS ?? 0;
  const camera = cameraPlaceAt(floor, arrivesS);
  const [dx, dy] = [mark.place.xMm - camera.xMm, mark.place.yMm - camera.yMm];
  const farther = byMm / Math.max(Math.hypot(dx, dy), 1);
  return { ...mark, place: { ...mark.place, xMm: mark.place.xMm + dx * farther, yMm: mark.place.yMm + dy * farther } };
}
