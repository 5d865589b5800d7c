import { stopsAt, tStopOf } from '../../kit/index.js';
import { changeMark, planDistances, setStop, type ShotPlan, stepBack, takeWheel } from '../../pull/index.js';
import type { JudgedPull } from '../pullVerdict.js';
import { smallestBest, type Tried, tried } from './mend.js';
import { blamedMoves } from './moveMends.js';

/** Stops of light tried. */
const DARKER = [1, 2];
/** Shares of a walk tried, longest first. */
const SHARES = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.3];
/** Steps back tried, in mm. */
const STEPS_MM = [250, 500, 1000];
/** Gears tried, as shares of the current ratio: fewer wheel degrees per ring degree. */
const GEARS = [0.8, 0.65, 0.5];

export function stopMends(plan: ShotPlan): Tried[] {
  const { lens, focalLengthMm, stop, stopPulls } = plan.optics;
  if (stopPulls.length > 0) return [];
  const lost = (to: number) => 2 * Math.log2(tStopOf(lens, to) / tStopOf(lens, stop));
  return DARKER.flatMap((stops) => {
    const to = stopsAt(lens, focalLengthMm).find((offered) => lost(offered) > stops - 0.2);
    return to === undefined ? [] : tried({ kind: 'stop', from: stop, to }, setStop(plan, to), lost(to));
  });
}

/** A subject that walks out of the zone stops earlier. Taped plans only; on a floor plan the subject is moved instead. */
export function walkMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  if (plan.floor !== null) return [];
  const { markFocusMm } = planDistances(plan);
  const walkers = new Set(verdict.softSpans.map(({ subjectId }) => subjectId));
  return plan.subjects
    .filter(({ id, stays }) => walkers.has(id) && stays.length > 1)
    .flatMap(({ id: subjectId, stays }) => {
      const [from, to] = stays.slice(-2).map(({ markId }) => ({ markId, mm: markFocusMm.get(markId)! }));
      if (!Number.isFinite(from!.mm) || !Number.isFinite(to!.mm) || from!.markId === to!.markId) return [];
      return smallestBest(
        SHARES.flatMap((share) => {
          const toMm = Math.round((from!.mm + (to!.mm - from!.mm) * share) / 10) * 10;
          return tried({ kind: 'shorter-walk', subjectId, toMm }, changeMark(plan, to!.markId, { distanceMm: toMm }));
        }),
      );
    });
}

export function backMends(plan: ShotPlan): Tried[] {
  return smallestBest(STEPS_MM.flatMap((byMm) => tried({ kind: 'step-back', byMm }, stepBack(plan, byMm))));
}

/** For a pull limited by turning speed: a smaller gear ratio, or two hard stops. */
export function wheelMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  const { wheel } = plan;
  const hard = blamedMoves(plan, verdict);
  if (!wheel || hard.length === 0) return [];
  const gears = smallestBest(
    GEARS.flatMap((share) => {
      const wheelPerRing = Number((wheel.wheelPerRing * share).toFixed(2));
      return tried({ kind: 'gear', wheelPerRing }, takeWheel(plan, null, { ...wheel, wheelPerRing }));
    }),
  );
  return [...gears, ...(wheel.hasEndStops ? stopMendsAt(plan, verdict, hard[0]!.id) : [])];
}

/** Hard stops at both ends of a pull, if none are set: no aiming is then needed. */
function stopMendsAt(plan: ShotPlan, verdict: JudgedPull, moveId: string): Tried[] {
  const move = verdict.moves.find((one) => one.moveId === moveId)!;
  const ends = [move.from, move.to].flatMap(({ target }) => (target.kind === 'mark' ? [target.markId] : []));
  if (new Set(ends).size < 2 || plan.marks.some(({ hasStop }) => hasStop)) return [];
  const changed = ends.reduce((now, id) => changeMark(now, id, { hasStop: true }), plan);
  const letters = ends.map((id) => plan.marks.find((mark) => mark.id === id)!.letter);
  return tried({ kind: 'hard-stops', letters }, changed);
}
