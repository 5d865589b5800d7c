import { CoreError } from '../errors.js';
import type { ShotPlan } from '../plan/index.js';
import { prepareTrials } from './prepareTrials.js';
import { runTrials, type TrialCounts } from './runTrials.js';
import { expectedTakesOf, takesForNineOfTenOf } from './severalTakes.js';

/** Keep rate of a plan, estimated from trials. */
export interface KeepRate {
  readonly takes: number;
  readonly seed: number;
  /** Share of trials in which every beat is kept */
  readonly keepRate: number;
  /** 95 % confidence interval of the keep rate */
  readonly low: number;
  readonly high: number;
  readonly beats: readonly { readonly beatId: string; readonly subjectId: string; readonly keepRate: number }[];
  /** By frame, share of trials in which every required subject is sharp; NaN where none is required */
  readonly frames: Float64Array;
  /** Mean sharp share of all required frames */
  readonly sharpShare: number;
  /** Mean number of takes until one is kept, over set-ups; Infinity if some set-ups keep none */
  readonly expectedTakes: number;
  /** Number of takes of which at least one is kept with 90 % probability, over set-ups; Infinity if no number is enough */
  readonly takesForNineOfTen: number;
  /** By number of kept takes, the number of whole set-ups that keep that number, for `chanceOfOneKept` */
  readonly setupsKept: readonly number[];
}

/**
 * Estimates how likely a take of this plan is to be kept. Each trial draws the errors of people, hands and measurements, and is
 * judged like the plan.
 *
 * @param takes - number of trials, a whole number from 1
 * @param seed - a whole number; the same seed gives the same draws
 * @throws {CoreError} `out-of-range`; `nothing-to-judge` for a plan without a distance or a beat
 */
export function keepRate(plan: ShotPlan, { takes, seed }: { readonly takes: number; readonly seed: number }): KeepRate {
  if (!Number.isInteger(takes) || takes < 1)
    throw new CoreError({ code: 'out-of-range', path: 'takes', values: { given: String(takes), min: 1, isWhole: true } });
  if (!Number.isInteger(seed))
    throw new CoreError({ code: 'out-of-range', path: 'seed', values: { given: String(seed), isWhole: true } });
  const prepared = prepareTrials(plan);
  if ('missing' in prepared) {
    const [missing] = prepared.missing;
    const path = missing === 'beat' ? 'beats' : 'subjects';
    throw new CoreError({ code: 'nothing-to-judge', path, values: { missing: missing ?? 'distance' } });
  }
  return keepRateOf(prepared.beats, runTrials(prepared, seed, { first: 0, count: takes }), seed);
}

/** Rates from counts, of one run or of several merged runs. */
export function keepRateOf(
  beats: readonly {
    readonly beatId: string;
    readonly subjectId: string;
    readonly isSoft: boolean;
    readonly fromFrame: number;
    readonly toFrame: number;
    readonly unjudged: Uint8Array | null;
  }[],
  { takes, kept, beatsKept, sharp, setupsKept }: TrialCounts,
  seed: number,
): KeepRate {
  const frames = new Float64Array(sharp.length).fill(NaN);
  for (const { isSoft, fromFrame, toFrame, unjudged } of beats) {
    if (isSoft) continue;
    for (let frame = fromFrame; frame < toFrame; frame++) if (!unjudged?.[frame]) frames[frame] = sharp[frame]! / takes;
  }
  const required = frames.filter((share) => !Number.isNaN(share));
  const rate = kept / takes;
  return {
    takes,
    seed,
    keepRate: rate,
    ...wilsonInterval(kept, takes),
    beats: beats.map(({ beatId, subjectId }, index) => ({ beatId, subjectId, keepRate: beatsKept[index]! / takes })),
    frames,
    sharpShare: required.length === 0 ? 1 : required.reduce((sum, share) => sum + share, 0) / required.length,
    expectedTakes: kept === 0 ? Infinity : expectedTakesOf(setupsKept, rate),
    takesForNineOfTen: takesForNineOfTenOf(setupsKept, rate),
    setupsKept: [...setupsKept],
  };
}

/** Standard deviations of a 95 % interval. */
const Z95 = 1.959963984540054;

/**
 * Wilson 95 % confidence interval of a proportion.
 *
 * Source: E. B. Wilson, PROBABLE INFERENCE, THE LAW OF SUCCESSION, AND STATISTICAL INFERENCE, 1927. It stays within 0 and 1,
 * and is valid for 0 and for all.
 */
export function wilsonInterval(kept: number, takes: number): { low: number; high: number } {
  const share = kept / takes;
  const z2 = Z95 ** 2 / takes;
  const middle = (share + z2 / 2) / (1 + z2);
  const half = (Z95 / (1 + z2)) * Math.sqrt((share * (1 - share)) / takes + z2 / (4 * takes));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}
