import { stopsAt, tStopOf } from '../../kit/index.js';
import {
  activeBeats,
  changeBeat,
  changeMark,
  planDistances,
  setFocalLength,
  setLens,
  setStop,
  type ShotPlan,
} from '../../plan/index.js';
import { tubeOf } from '../tube.js';
import { maxRingDegPerS } from './maxRingSpeed.js';
import { findImpossible } from './tubeRoom.js';

/** Smallest change of one kind after which some track meets all requirements. */
export type SmallestChange = { readonly plan: ShotPlan } & (
  | { readonly kind: 'stop'; readonly from: number; readonly to: number; readonly stopsLost: number }
  | { readonly kind: 'focal-length'; readonly fromMm: number; readonly toMm: number }
  /** Someone is asked for so much later, or so much less long */
  | { readonly kind: 'later' | 'until'; readonly beatId: string; readonly subjectId: string; readonly byS: number }
  /** Someone stands elsewhere */
  | {
      readonly kind: 'stand';
      readonly markId: string;
      readonly subjectId: string;
      readonly fromMm: number;
      readonly toMm: number;
    }
);

/** Shortest focal length proposed for a lens that is not in the kit. */
const SHORTEST_MM = 14;

/** Bisection steps for the size of a change. */
const BISECTION_STEPS = 12;

/**
 * Smallest change of each kind that makes an impossible plan possible: stop, lens, times of a beat, or a subject's place.
 *
 * @returns empty for a plan that is possible already
 */
export function smallestChanges(plan: ShotPlan): SmallestChange[] {
  const found = impossibilityOf(plan);
  if (found === null) return [];
  return [...byStop(plan), ...byFocalLength(plan), ...byTime(plan, found.fromS), ...byStanding(plan, found.fromS)];
}

function impossibilityOf(plan: ShotPlan) {
  return findImpossible(tubeOf(plan), maxRingDegPerS(plan) / plan.captureFps, plan.captureFps);
}

const isPossible = (plan: ShotPlan) => impossibilityOf(plan) === null;

function byStop(plan: ShotPlan): SmallestChange[] {
  const { lens, stop, focalLengthMm, irisPulls } = plan.optics;
  if (irisPulls.length > 0) return [];
  const darker = stopsAt(lens, focalLengthMm).filter((offered) => offered > stop);
  const to = darker.find((offered) => isPossible(setStop(plan, offered)));
  if (to === undefined) return [];
  return [
    { kind: 'stop', from: stop, to, stopsLost: 2 * Math.log2(tStopOf(lens, to) / tStopOf(lens, stop)), plan: setStop(plan, to) },
  ];
}

/**
 * A zoom can go shorter; a prime is replaced by a shorter one with the same ring. A lens with its own scale says nothing about
 * another.
 */
function byFocalLength(plan: ShotPlan): SmallestChange[] {
  const { lens, focalLengthMm, zooms } = plan.optics;
  const isZoom = lens.longestMm > lens.focalLengthMm;
  if (zooms.length > 0 || (!isZoom && lens.ring.kind !== 'helicoid')) return [];
  const at = (mm: number) =>
    isZoom ? setFocalLength(plan, mm) : setLens(plan, { ...lens, name: `${mm} mm`, focalLengthMm: mm, longestMm: mm });
  const shortest = isZoom ? lens.focalLengthMm : SHORTEST_MM;
  if (shortest >= focalLengthMm || !isPossible(at(shortest))) return [];
  let [works, fails] = [shortest, focalLengthMm];
  while (fails - works > 1) {
    const middle = Math.floor((works + fails) / 2);
    if (isPossible(at(middle))) works = middle;
    else fails = middle;
  }
  return [{ kind: 'focal-length', fromMm: focalLengthMm, toMm: works, plan: at(works) }];
}

/** One of the subjects required at that time becomes required a little later, or until a little earlier. */
function byTime(plan: ShotPlan, fromS: number): SmallestChange[] {
  const frameS = 1 / plan.captureFps;
  const there = activeBeats(plan).filter(
    (beat) => beat.requirement !== 'none' && beat.fromS <= fromS + frameS && beat.toS >= fromS - frameS,
  );
  const changes = there.flatMap(({ id, subjectId, fromS: startS, toS }) => {
    const lengthS = toS - startS;
    return (['later', 'until'] as const).flatMap((kind): Extract<SmallestChange, { byS: number }>[] => {
      const changed = (byS: number) => changeBeat(plan, id, kind === 'later' ? { fromS: startS + byS } : { toS: toS - byS });
      const works = (by: number) => isPossible(changed(by));
      const byS = inSteps(smallestWorking(lengthS - 0.15, works), TIME_STEPS_S, lengthS, works);
      return byS === null ? [] : [{ kind, beatId: id, subjectId, byS, plan: changed(byS) }];
    });
  });
  return changes.sort((a, b) => a.byS - b.byS).slice(0, 1);
}

/** One of the subjects standing at that time moves nearer to another. A drawn subject is moved on the floor. */
function byStanding(plan: ShotPlan, fromS: number): SmallestChange[] {
  if (plan.floor !== null) return [];
  const { arrivalFocusMm } = planDistances(plan);
  const there = activeBeats(plan)
    .filter(({ requirement: kind, fromS: startS, toS }) => kind === 'sharp' && startS <= fromS + 1e-6 && toS > fromS)
    .flatMap(({ subjectId }) => {
      const stay = plan.subjects
        .find(({ id }) => id === subjectId)
        ?.stays.find((one) => one.fromS <= fromS && one.untilS >= fromS);
      const mm = stay && arrivalFocusMm.get(stay.markId);
      return mm === undefined || mm === Infinity ? [] : [{ subjectId, markId: stay!.markId, mm }];
    });
  const changes = there.flatMap((one) =>
    there.flatMap((other): Extract<SmallestChange, { kind: 'stand' }>[] => {
      if (other.markId === one.markId) return [];
      const at = (byMm: number) => changeMark(plan, one.markId, { distanceMm: one.mm + Math.sign(other.mm - one.mm) * byMm });
      const betweenMm = Math.abs(other.mm - one.mm);
      const leastMm = smallestWorking(betweenMm, (by) => isPossible(at(by)));
      // what is taped is a round distance, and read off a tape
      const byMm = inTapeSteps(leastMm, one.mm, other.mm, (by) =>
        [by, by - TAPE_ERROR_MM, by + TAPE_ERROR_MM].every((mm) => isPossible(at(mm))),
      );
      if (byMm === null) return [];
      const toMm = one.mm + Math.sign(other.mm - one.mm) * byMm;
      return [{ kind: 'stand', markId: one.markId, subjectId: one.subjectId, fromMm: one.mm, toMm, plan: at(byMm) }];
    }),
  );
  return changes.sort((a, b) => Math.abs(a.toMm - a.fromMm) - Math.abs(b.toMm - b.fromMm)).slice(0, 1);
}

/** Steps in which a time is given, and a distance that someone tapes; the finer one if the coarser leaves none. */
const TIME_STEPS_S = [0.05, 0.01];
const TAPE_STEPS_MM = [50, 10];
/** Half the coarsest step of a tape in inches: a distance is right as it is shown. */
const TAPE_ERROR_MM = 6.4;

/** The next whole step from an amount on that works; null if there is none below `most`. */
function inSteps(least: number | null, steps: readonly number[], most: number, works: (by: number) => boolean): number | null {
  if (least === null) return null;
  for (const step of steps)
    for (let by = Math.ceil(least / step - 1e-9) * step; by < most; by += step) if (works(by)) return Number(by.toFixed(9));
  return null;
}

/** Likewise for a move from one distance towards another: where it ends is in whole steps, not the move. */
function inTapeSteps(least: number | null, fromMm: number, towardsMm: number, works: (by: number) => boolean): number | null {
  if (least === null) return null;
  const sign = Math.sign(towardsMm - fromMm);
  for (const step of TAPE_STEPS_MM)
    for (
      let to = sign * Math.ceil((sign * (fromMm + sign * least)) / step - 1e-9) * step;
      sign * (towardsMm - to) >= 0;
      to += sign * step
    )
      if (works(sign * (to - fromMm))) return sign * (to - fromMm);
  return null;
}

/** Smallest amount that works, to a few thousandths of `max`; null if `max` does not work. */
function smallestWorking(most: number, works: (by: number) => boolean): number | null {
  if (most <= 0 || !works(most)) return null;
  let [low, high] = [0, most];
  for (let k = 0; k < BISECTION_STEPS; k++) {
    const middle = (low + high) / 2;
    if (works(middle)) high = middle;
    else low = middle;
  }
  return high;
}
