import { CoreError } from '../errors.js';
import type { ShotPlan } from '../pull/index.js';
import { prepareTakes } from './prepareTakes.js';
import { runTakes, type TakeCounts } from './runTakes.js';

/** How likely a take is to be kept, from takes that were drawn. */
export interface KeepRate {
  readonly takes: number;
  readonly seed: number;
  /** Share of the takes in which every beat is kept */
  readonly keepRate: number;
  /** Where the true rate lies with 95 % certainty */
  readonly low: number;
  readonly high: number;
  readonly beats: readonly { readonly beatId: string; readonly subjectId: string; readonly keepRate: number }[];
  /** By frame, the share of takes in which everyone who must be sharp is; NaN where nobody must */
  readonly frames: Float64Array;
  /** Of what must be sharp, how much is on the average */
  readonly sharpShare: number;
  /** Takes until one is kept, on the average; Infinity where none was */
  readonly expectedTakes: number;
  /** Takes after which one is kept nine times of ten; Infinity where none was */
  readonly takesForNineOfTen: number;
}

/**
 * How likely a take of this plan is to be kept: so many takes are drawn from the errors people, hands and measurements make, and judged as the plan is.
 *
 * @param takes - a whole number from 1 on
 * @param seed - a whole number; the same seed draws the same takes, of whatever plan
 * @throws {CoreError} `out-of-range`, `nothing-to-judge` for a plan without a distance or a beat
 */
export function keepRate(plan: ShotPlan, { takes, seed }: { readonly takes: number; readonly seed: number }): KeepRate {
  if (!Number.isInteger(takes) || takes < 1 || !Number.isInteger(seed))
    throw new CoreError({
      code: 'out-of-range',
      path: takes >= 1 && Number.isInteger(takes) ? 'seed' : 'takes',
      message: `got ${takes} takes with seed ${seed}`,
      need: 'whole numbers, and at least one take',
    });
  const prepared = prepareTakes(plan);
  if ('missing' in prepared)
    throw new CoreError({
      code: 'nothing-to-judge',
      path: prepared.missing[0] === 'beat' ? 'beats' : 'subjects',
      message: prepared.missing[0] === 'beat' ? 'nothing is asked of anyone' : 'no distance is known',
      need: 'someone at a distance, the line’s start, and who must be sharp when',
    });
  return keepRateOf(prepared.beats, runTakes(prepared, seed, 0, takes), seed);
}

/** The rates of counts, from one run or several together. */
export function keepRateOf(
  beats: readonly {
    readonly beatId: string;
    readonly subjectId: string;
    readonly isSoft: boolean;
    readonly fromFrame: number;
    readonly toFrame: number;
  }[],
  { takes, kept, beatsKept, sharp }: TakeCounts,
  seed: number,
): KeepRate {
  const frames = new Float64Array(sharp.length).fill(NaN);
  for (const { isSoft, fromFrame, toFrame } of beats)
    if (!isSoft) for (let frame = fromFrame; frame < toFrame; frame++) frames[frame] = sharp[frame]! / takes;
  const required = frames.filter((share) => !Number.isNaN(share));
  const rate = kept / takes;
  return {
    takes,
    seed,
    keepRate: rate,
    ...intervalOf(kept, takes),
    beats: beats.map(({ beatId, subjectId }, index) => ({ beatId, subjectId, keepRate: beatsKept[index]! / takes })),
    frames,
    sharpShare: required.length === 0 ? 1 : required.reduce((sum, share) => sum + share, 0) / required.length,
    expectedTakes: kept === 0 ? Infinity : takes / kept,
    takesForNineOfTen: takesFor(rate),
  };
}

/** Standard deviations that hold 95 of 100. */
const Z95 = 1.959963984540054;

/**
 * Where a share lies that was counted, with 95 % certainty.
 *
 * Source: E. B. Wilson, PROBABLE INFERENCE, THE LAW OF SUCCESSION, AND STATISTICAL INFERENCE, 1927: it stays within 0 and 1, and says something also of none and of all.
 */
export function intervalOf(kept: number, takes: number): { low: number; high: number } {
  const share = kept / takes;
  const z2 = Z95 ** 2 / takes;
  const middle = (share + z2 / 2) / (1 + z2);
  const half = (Z95 / (1 + z2)) * Math.sqrt((share * (1 - share)) / takes + z2 / (4 * takes));
  return { low: Math.max(0, middle - half), high: Math.min(1, middle + half) };
}

/** Takes after which one is kept with nine chances of ten, each kept with a chance of its own. */
function takesFor(rate: number): number {
  if (rate === 0) return Infinity;
  return rate >= 0.9 ? 1 : Math.ceil(Math.log(0.1) / Math.log(1 - rate) - 1e-9);
}
