import { assertInRange } from '../errors.js';

/**
 * How hard a turn is to land, in bits: Fitts's index of difficulty.
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

/** What a hand can do. Its time for a turn is `reactionS + perBitS` times the bits. */
export interface Hand {
  readonly reactionS: number;
  readonly perBitS: number;
  /** One standard deviation of where it lands with all the time there is, in degrees of what it holds */
  readonly steadyDeg: number;
}

/** An assumption, shown as one, until someone has practised enough to fit their own. */
export const ASSUMED_HAND: Hand = { reactionS: 0.15, perBitS: 0.22, steadyDeg: 0.25 };

/** The least time this hand needs for a turn of so many bits, in seconds. */
export function handTimeS(bits: number, hand: Pick<Hand, 'reactionS' | 'perBitS'> = ASSUMED_HAND): number {
  return hand.reactionS + hand.perBitS * bits;
}

export type MoveGrade = 'comfortable' | 'workable' | 'tight' | 'beyond';

/** From which ratio of time there is to time needed a grade applies; below 1 no hand of this measure gets there. */
const GRADES: readonly { readonly from: number; readonly grade: MoveGrade }[] = [
  { from: 2, grade: 'comfortable' },
  { from: 1.4, grade: 'workable' },
  { from: 1, grade: 'tight' },
];

/** How a move sits with the hand. */
export function gradeMove(availableS: number, neededS: number): MoveGrade {
  return GRADES.find(({ from }) => availableS / neededS >= from)?.grade ?? 'beyond';
}
