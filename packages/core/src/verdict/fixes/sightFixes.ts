import { cameraPlaceAt, pathPositionAt, type Place } from '../../floor/index.js';
import { hiddenRunsOf, insideNotes, isInFrame, placeMark, type ShotPlan } from '../../plan/index.js';
import type { CompleteVerdict, HiddenSpan } from '../pullVerdict.js';
import { smallestBest, type TriedFix, tryFix } from './fix.js';

/** Steps aside tried, in mm: from what can be marked to what leaves the blocking as it is. */
const STEPS_ASIDE_TRIED_MM = [100, 200, 300, 400, 500, 700, 900, 1200];
/** Pairs of somebody hidden and what hides them for which a step is looked for, longest hidden first. */
const MAX_PAIRS = 3;

/** Somebody hidden and what hides them, for how long in all, and a time at which that is so. */
interface Pair extends Pick<HiddenSpan, 'subjectId' | 'by'> {
  readonly forS: number;
  readonly timeS: number;
}

/** A plan in which a subject's mark lies aside. */
interface Step {
  readonly subjectId: string;
  readonly markId: string;
  readonly byMm: number;
  readonly plan: ShotPlan;
}

/**
 * Who stands in the way, or who is hidden, steps aside: square to the line from the lens, so that distances hardly change. Of each pair the
 * smallest step after which the one no longer hides the other, and nobody is hidden for longer than before.
 */
export function sightFixes(plan: ShotPlan, { hiddenSpans }: CompleteVerdict): TriedFix[] {
  return pairsOf(hiddenSpans)
    .slice(0, MAX_PAIRS)
    .flatMap((pair) => {
      const movers = pair.by.kind === 'subject' ? [pair.by.id, pair.subjectId] : [pair.subjectId];
      const steps = movers.flatMap((subjectId) => stepsAside(plan, subjectId, pair)).sort((a, b) => a.byMm - b.byMm);
      return smallestBest(steps.flatMap(({ plan: changed, ...step }) => tryFix({ kind: 'step-aside', ...step }, changed)));
    });
}

function pairsOf(spans: readonly HiddenSpan[]): Pair[] {
  const pairs = new Map<string, Pair>();
  for (const { subjectId, by, fromS, toS } of spans) {
    const key = `${by.kind} ${by.id} ${subjectId}`;
    const { forS, timeS } = pairs.get(key) ?? { forS: 0, timeS: (fromS + toS) / 2 };
    pairs.set(key, { subjectId, by, forS: forS + toS - fromS, timeS });
  }
  return [...pairs.values()].sort((a, b) => b.forS - a.forS);
}

/**
 * To either side, the smallest step of each mark that a subject stands at or walks between while one hides the other. Who is to be
 * seen stays in the picture, or out of it.
 */
function stepsAside(plan: ShotPlan, subjectId: string, pair: Pair): Step[] {
  const subject = plan.subjects.find(({ id }) => id === subjectId)!;
  const where = pathPositionAt(subject, pair.timeS);
  if (where === null || plan.floor === null) return [];
  const camera = cameraPlaceAt(plan.floor, pair.timeS);
  const wasFramed = isInFrame(plan, subject, pair.timeS);
  const before = hiddenFrameCount(plan);
  return [...new Set([where.from.markId, where.to.markId])].flatMap((markId) => {
    const place = plan.marks.find(({ id }) => id === markId)!.place;
    if (place === null) return [];
    return [1, -1].flatMap((side): Step[] => {
      for (const byMm of STEPS_ASIDE_TRIED_MM) {
        const changed = placeMark(plan, markId, asideOf(place, camera, side * byMm));
        if (hides(changed, pair) || hiddenFrameCount(changed) >= before) continue;
        const isAsFramed = subjectId !== pair.subjectId || isInFrame(changed, subject, pair.timeS) === wasFramed;
        return isAsFramed && insideNotes(changed).length <= insideNotes(plan).length
          ? [{ subjectId, markId, byMm, plan: changed }]
          : [];
      }
      return [];
    });
  });
}

/** A place beside another as seen from the camera; positive to the left. */
function asideOf(place: Place, camera: Place, byMm: number): Place {
  const [dx, dy] = [place.xMm - camera.xMm, place.yMm - camera.yMm];
  const length = Math.max(Math.hypot(dx, dy), 1);
  return { xMm: Math.round(place.xMm - (dy / length) * byMm), yMm: Math.round(place.yMm + (dx / length) * byMm) };
}

function hides(plan: ShotPlan, { subjectId, by }: Pair): boolean {
  return hiddenRunsOf(plan, subjectId).some((run) => run.by.kind === by.kind && run.by.id === by.id);
}

/** Frames in which subjects are hidden, of all subjects together. */
function hiddenFrameCount(plan: ShotPlan): number {
  const runs = plan.subjects.flatMap(({ id }) => hiddenRunsOf(plan, id));
  return runs.reduce((sum, { fromFrame, toFrame }) => sum + toFrame - fromFrame, 0);
}
