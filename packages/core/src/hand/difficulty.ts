import { assertInRange } from '../errors.js';

/**
 * Difficulty of a turn in bits: Fitts's index of difficulty.
 *
 * @param travelDeg - turn to the target, at least 0
 * @param windowDeg - width of what counts as landed, > 0
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * Source: ISO 9241-411, index of difficulty ID = log2(D / W + 1).
 * @example pullDifficultyBits(79.95, 31.79) is 1.8135…
 */
export function pullDifficultyBits(travelDeg: number, windowDeg: number): number {
  assertInRange('travelDeg', travelDeg, { min: 0 });
  assertInRange('windowDeg', windowDeg, { above: 0 });
  return Math.log2(travelDeg / windowDeg + 1);
}

/** Figures of a hand. Time for a turn: `reactionS + perBitS * bits`. */
export interface Hand {
  readonly reactionS: number;
  readonly perBitS: number;
  /** One standard deviation of the landing error when time is ample, in degrees of what the hand holds */
  readonly steadyDeg: number;
  /** Factor on all three while the same person does a second job, such as framing; at least 1 */
  readonly twoJobsFactor: number;
}

/** Assumed until measured in practice, and shown as an assumption. */
export const ASSUMED_HAND: Hand = { reactionS: 0.15, perBitS: 0.22, steadyDeg: 0.25, twoJobsFactor: 1.5 };

/** The hand of somebody who does a second job at the same time: slower to react and to turn, and less steady. */
export function handAtTwoJobs({ reactionS, perBitS, steadyDeg, twoJobsFactor }: Hand): Hand {
  const k = twoJobsFactor;
  return { reactionS: reactionS * k, perBitS: perBitS * k, steadyDeg: steadyDeg * k, twoJobsFactor };
}

/** Minimum time in seconds that this hand needs for a turn of the given difficulty. */
export function handTimeS(bits: number, hand: Pick<Hand, 'reactionS' | 'perBitS'> = ASSUMED_HAND): number {
  return hand.reactionS + hand.perBitS * bits;
}

export type PullGrade = 'comfortable' | 'workable' | 'tight' | 'too-hard';

/** Lowest ratio of available to needed time for each grade. Below 1 the pull is too hard for this hand. */
const GRADES: readonly { readonly from: number; readonly grade: PullGrade }[] = [
  { from: 2, grade: 'comfortable' },
  { from: 1.4, grade: 'workable' },
  { from: 1, grade: 'tight' },
];

/** Grade of a pull for this hand. */
export function gradePull(availableS: number, neededS: number): PullGrade {
  return GRADES.find(({ from }) => availableS / neededS >= from)?.grade ?? 'too-hard';
}
