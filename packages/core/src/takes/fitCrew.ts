import { ringOf, wheelDegOf } from '../kit/index.js';
import type { Hand } from '../hand/index.js';
import {
  changePull,
  changeSubject,
  handAt,
  isTriggeredByEvent,
  PLAN_LIMITS,
  type Pull,
  pullEndS,
  setHand,
  type ShotPlan,
} from '../plan/index.js';
import { landingSigmaDeg } from '../trials/index.js';
import { evaluatePull } from '../verdict/index.js';
import { hitOf, isSimulated } from './said.js';
import type { Take } from './take.js';
import { addedSums, type MeasuredError, measuredError, type MeasuredErrors, type Sums, sumsOf } from './takeFigures.js';

/** Errors of a crew, fitted to the takes of a shot; null where too few takes tell. */
export interface CrewFit extends MeasuredErrors {
  /** Spread of the start after the trigger, by pull: its own where pulls differ, else that of all */
  readonly cueSigmaS: ReadonlyMap<string, number>;
  /** How long the puller takes to react to an event that nobody counts in */
  readonly reactionS: number | null;
  /** Steadiness and time per bit that explain where the pulls landed */
  readonly hand: Pick<Hand, 'steadyDeg' | 'perBitS'> | null;
  /** How far subjects miss their marks, by subject */
  readonly markSigmaMm: ReadonlyMap<string, number>;
}

/** Smallest spreads taken over: a few takes can look perfect by chance. */
const LEAST = { cueSigmaS: 0.01, steadyDeg: 0.05, markMm: 2 } as const;

/**
 * Fits the errors of a crew to takes. Spreads are taken about the mean of each pull and of each mark, so that a constant offset does not count
 * as a spread. A constant lateness is left to a correction, unless it is the reaction to an event.
 *
 * @param takes - of this plan, with measured hits. Those of a simulator are left out: they are no evidence of a hand
 */
export function fitCrew(plan: ShotPlan, takes: readonly Pick<Take, 'hits' | 'markMisses' | 'ringFrom'>[]): CrewFit {
  const taken = takes.filter((take) => !isSimulated(take));
  const late = byKey(taken.flatMap(({ hits }) => hits.map(({ pullId, lateS }) => [pullId, lateS] as const)));
  // a pull that was searched says nothing about landing errors
  const off = byKey(
    taken.flatMap(({ hits }) => hits.map((one) => [one.pullId, hitOf(one) === 'searched' ? null : one.offDeg] as const)),
  );
  const missed = byKey(taken.flatMap(({ markMisses }) => markMisses.map(({ markId, byMm }) => [markId, byMm] as const)));
  const lateWithin = within([...late.values()]);
  const reactionS = reactionOf(plan, late);
  return {
    late: lateWithin,
    off: within([...off.values()]),
    markMisses: within([...missed.values()]),
    cueSigmaS: new Map(
      lateWithin ? plan.focusTrack.pulls.map(({ id }) => [id, ownOrPooled(late.get(id), lateWithin.sigma)] as const) : [],
    ),
    reactionS,
    // both are taken over together: a landing also depends on the reaction
    hand: handOf(reactionS === null ? plan : setHand(plan, { reactionS }), off),
    markSigmaMm: markSigmas(plan, missed),
  };
}

/** The plan with the errors of a crew. */
export function withCrewFit(plan: ShotPlan, { cueSigmaS, reactionS, hand, markSigmaMm }: CrewFit): ShotPlan {
  let fitted = plan;
  for (const [id, sigmaS] of cueSigmaS)
    fitted = changePull(fitted, id, { cueSigmaS: inThousandths(Math.max(sigmaS, LEAST.cueSigmaS)) });
  if (reactionS !== null) fitted = setHand(fitted, { reactionS: inThousandths(reactionS) });
  if (hand) fitted = setHand(fitted, { steadyDeg: inThousandths(hand.steadyDeg), perBitS: inThousandths(hand.perBitS) });
  for (const [id, sigmaMm] of markSigmaMm)
    fitted = changeSubject(fitted, id, { markSigmaMm: Math.round(Math.max(sigmaMm, LEAST.markMm)) });
  return fitted;
}

/** Differences below this share come from fitting again what was fitted. */
const SAME_SHARE = 0.05;

/** Whether a plan has the errors of a crew already. */
export function usesCrewFit(plan: ShotPlan, fit: CrewFit): boolean {
  const fitted = withCrewFit(plan, fit);
  const figures = ({ focusTrack, hand, subjects }: ShotPlan) => [
    ...focusTrack.pulls.map(({ cueSigmaS }) => cueSigmaS),
    ...[hand.reactionS, hand.steadyDeg, hand.perBitS],
    ...subjects.map(({ markSigmaMm }) => markSigmaMm),
  ];
  const now = figures(plan);
  return figures(fitted).every((value, index) => Math.abs(value - now[index]!) <= SAME_SHARE * Math.max(value, now[index]!));
}

function inThousandths(value: number): number {
  return Math.round(value * 1000) / 1000;
}

function byKey(values: readonly (readonly [key: string, value: number | null])[]): Map<string, Sums> {
  const all = new Map<string, number[]>();
  for (const [key, value] of values) {
    if (value === null) continue;
    const list = all.get(key);
    if (list) list.push(value);
    else all.set(key, [value]);
  }
  return new Map([...all].map(([key, list]) => [key, sumsOf(list)]));
}

/** Mean of all values, and their spread about the mean of their own group. */
function within(groups: readonly Sums[]): MeasuredError | null {
  const all = measuredError(addedSums(groups));
  const freedom = groups.reduce((total, { count }) => total + count - 1, 0);
  if (!all || freedom < 1) return null;
  const squares = groups.reduce((total, { count, sum, squares: square }) => total + Math.max(0, square - (sum * sum) / count), 0);
  return { ...all, sigma: Math.sqrt(squares / freedom) };
}

/** Standard deviations of a normal distribution that leave out one in twenty. */
const Z95 = 1.96;

/**
 * Spread of one group, if it differs from that of all by more than chance; else the spread of all.
 *
 * Source: E. B. Wilson and M. M. Hilferty, The Distribution of Chi-Square, 1931: its cube root is about normal.
 */
function ownOrPooled(own: Sums | undefined, pooled: number): number {
  const error = own && measuredError(own);
  if (!error || pooled === 0) return pooled;
  const freedom = error.count - 1;
  const scale = 2 / (9 * freedom);
  const z = (Math.cbrt((error.sigma / pooled) ** 2) - (1 - scale)) / Math.sqrt(scale);
  return Math.abs(z) > Z95 ? error.sigma : pooled;
}

function reactionOf(plan: ShotPlan, late: ReadonlyMap<string, Sums>): number | null {
  const reacting = plan.focusTrack.pulls.filter((pull) => isTriggeredByEvent(pull) && pull.countInS === 0);
  // with a second job the puller reacts more slowly: what is fitted is the reaction without one
  const ownReaction = (pull: Pull) => {
    const sums = late.get(pull.id);
    const factor = handAt(plan, pullEndS(pull)).reactionS / plan.hand.reactionS || 1;
    return sums ? [{ count: sums.count, sum: sums.sum / factor, squares: sums.squares / factor ** 2 }] : [];
  };
  const error = measuredError(addedSums(reacting.flatMap(ownReaction)));
  if (!error) return null;
  const { min, max } = PLAN_LIMITS.reactionS;
  return Math.min(Math.max(error.mean, min), max);
}

function markSigmas(plan: ShotPlan, missed: ReadonlyMap<string, Sums>): Map<string, number> {
  return new Map(
    plan.subjects.flatMap(({ id }) => {
      const own = plan.marks.filter(({ subjectId }) => subjectId === id).flatMap((mark) => missed.get(mark.id) ?? []);
      const error = within(own);
      return error ? [[id, error.sigma] as const] : [];
    }),
  );
}

/** How much a hand far from the present one must explain better to be preferred. */
const PRIOR_WEIGHT = 0.02;
/** Search grid: from the centre a factor of this to both sides, in this number of steps; then finer. */
const FIRST_FACTOR = 8;
const STEPS = 24;
const ROUNDS = 4;

/**
 * Steadiness and time per bit for which the law of landing gives the spreads that were measured, by least squares of their logarithms.
 *
 * @param off - landing errors in ring degrees by pull
 */
function handOf(plan: ShotPlan, off: ReadonlyMap<string, Sums>): CrewFit['hand'] {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') return null;
  const landings = verdict.pulls.flatMap((assessment) => {
    const sums = off.get(assessment.pullId);
    const error = sums && measuredError(sums);
    return error && !assessment.isAgainstHardStop && assessment.travelDeg > 0 ? [{ assessment, error }] : [];
  });
  if (landings.length === 0) return null;
  const mostDeg = ringOf(plan.optics.lens).throwDeg / 4;
  const leastDeg = LEAST.steadyDeg / Math.abs(wheelDegOf(plan.wheel, 1));
  const cost = (hand: Hand) =>
    landings.reduce((sum, { assessment, error }) => {
      const modelDeg = Math.max(Math.min(landingSigmaDeg(assessment, hand), mostDeg), leastDeg);
      return sum + (error.count - 1) * Math.log(Math.max(error.sigma, leastDeg) / modelDeg) ** 2;
    }, 0) +
    PRIOR_WEIGHT * (Math.log(hand.perBitS / plan.hand.perBitS) ** 2 + Math.log(hand.steadyDeg / plan.hand.steadyDeg) ** 2);
  return searched(plan.hand, cost);
}

/** The hand with the least cost, on a grid of ratios that becomes finer. */
function searched(from: Hand, cost: (hand: Hand) => number): Pick<Hand, 'steadyDeg' | 'perBitS'> {
  let best: Hand = { ...from, steadyDeg: Math.max(from.steadyDeg, LEAST.steadyDeg) };
  let factor = FIRST_FACTOR;
  for (let round = 0; round < ROUNDS; round++, factor = factor ** (3 / STEPS)) {
    const centre = best;
    let least = Infinity;
    for (let i = -STEPS; i <= STEPS; i++)
      for (let j = -STEPS; j <= STEPS; j++) {
        const tried = {
          ...from,
          steadyDeg: inRange(centre.steadyDeg * factor ** (i / STEPS), { min: LEAST.steadyDeg, max: PLAN_LIMITS.steadyDeg.max }),
          perBitS: inRange(centre.perBitS * factor ** (j / STEPS), PLAN_LIMITS.perBitS),
        };
        const now = cost(tried);
        if (now < least) [best, least] = [tried, now];
      }
  }
  return { steadyDeg: best.steadyDeg, perBitS: best.perBitS };
}

function inRange(value: number, { min, max }: { readonly min: number; readonly max: number }): number {
  return Math.min(Math.max(value, min), max);
}
