import { stopsAt, tStopOf } from '../../kit/index.js';
import { changeMark, chooseWheel, planDistances, setStop, type ShotPlan, stepBack } from '../../plan/index.js';
import type { CompleteVerdict } from '../pullVerdict.js';
import { smallestBest, type TriedFix, tryFix } from './fix.js';
import { blamedPulls } from './pullFixes.js';
import { softestSubjects } from './trackFixes.js';

/** Stops of light tried. */
const STOPS_TRIED = [1, 2];
/** Shares of a walk tried, longest first. */
const WALK_SHARES_TRIED = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3];
/** Step of a new mark, in mm: what a person can tape and remember. */
const TAPE_STEP_MM = 50;
/** Steps back tried, in mm. */
const STEPS_BACK_TRIED_MM = [250, 500, 1000];
/** Gears tried, as shares of the current ratio: fewer wheel degrees per ring degree. */
const GEAR_RATIOS_TRIED = [0.8, 0.65, 0.5];

export function stopFixes(plan: ShotPlan): TriedFix[] {
  const { lens, focalLengthMm, stop, irisPulls } = plan.optics;
  if (irisPulls.length > 0) return [];
  const lost = (to: number) => 2 * Math.log2(tStopOf(lens, to) / tStopOf(lens, stop));
  return STOPS_TRIED.flatMap((stops) => {
    const to = stopsAt(lens, focalLengthMm).find((offered) => lost(offered) > stops - 0.2);
    return to === undefined ? [] : tryFix({ kind: 'stop', from: stop, to }, setStop(plan, to), lost(to));
  });
}

/** A subject that walks out of the zone stops earlier. Taped plans only; on a floor plan the subject is moved instead. */
export function walkFixes(plan: ShotPlan, verdict: CompleteVerdict): TriedFix[] {
  if (plan.floor !== null) return [];
  const { arrivalFocusMm } = planDistances(plan);
  const walkers = softestSubjects(verdict.softSpans);
  return plan.subjects
    .filter(({ id, stays }) => walkers.has(id) && stays.length > 1)
    .flatMap(({ id: subjectId, stays }) => {
      const [from, to] = stays.slice(-2).map(({ markId }) => ({ markId, mm: arrivalFocusMm.get(markId)! }));
      if (!Number.isFinite(from!.mm) || !Number.isFinite(to!.mm) || from!.markId === to!.markId) return [];
      return smallestBest(
        WALK_SHARES_TRIED.flatMap((share) => {
          const toMm = Math.round((from!.mm + (to!.mm - from!.mm) * share) / TAPE_STEP_MM) * TAPE_STEP_MM;
          return tryFix({ kind: 'shorter-walk', subjectId, toMm }, changeMark(plan, to!.markId, { distanceMm: toMm }));
        }),
      );
    });
}

export function stepBackFixes(plan: ShotPlan): TriedFix[] {
  return smallestBest(STEPS_BACK_TRIED_MM.flatMap((byMm) => tryFix({ kind: 'step-back', byMm }, stepBack(plan, byMm))));
}

/** For a pull limited by turning speed: a smaller gear ratio, or two hard stops. */
export function wheelFixes(plan: ShotPlan, verdict: CompleteVerdict): TriedFix[] {
  const { wheel } = plan;
  const hard = blamedPulls(plan, verdict);
  if (!wheel || hard.length === 0) return [];
  const gears = smallestBest(
    GEAR_RATIOS_TRIED.flatMap((share) => {
      const wheelPerRing = Number((wheel.wheelPerRing * share).toFixed(2));
      return tryFix({ kind: 'gear', wheelPerRing }, chooseWheel(plan, null, { ...wheel, wheelPerRing }));
    }),
  );
  return [...gears, ...(wheel.hasEndStops ? hardStopFixes(plan, verdict, hard[0]!.id) : [])];
}

/** Hard stops at both ends of a pull, if none are set: no aiming is then needed. */
function hardStopFixes(plan: ShotPlan, verdict: CompleteVerdict, pullId: string): TriedFix[] {
  const pull = verdict.pulls.find((one) => one.pullId === pullId)!;
  const ends = [pull.from, pull.to].flatMap(({ target }) => (target.kind === 'mark' ? [target.markId] : []));
  if (new Set(ends).size < 2 || plan.marks.some(({ hasHardStop }) => hasHardStop)) return [];
  const changed = ends.reduce((now, id) => changeMark(now, id, { hasHardStop: true }), plan);
  const letters = ends.map((id) => plan.marks.find((mark) => mark.id === id)!.letter);
  return tryFix({ kind: 'hard-stops', letters }, changed);
}
