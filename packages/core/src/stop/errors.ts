import { ringOf } from '../kit/index.js';
import { ASSUMED_HAND, type ShotPlan } from '../pull/index.js';
import type { MoveVerdict } from '../verdict/index.js';

/** How a pull errs, one standard deviation each. */
export interface PullErrors {
  readonly moveId: string;
  /** How much later than planned it starts on the average */
  readonly reactionS: number;
  readonly cueSigmaS: number;
  /** Of the ring, where it lands */
  readonly ringSigmaDeg: number;
}

/** Scatter that is 4.133 standard deviations wide holds 96 of 100: the effective width of ISO 9241-411. */
const EFFECTIVE_WIDTH_SIGMAS = 4.133;

/** A hand that has all the time there is still lands no better than this, in degrees of what it holds: an assumption. */
export const ASSUMED_STEADY_DEG = 0.25;

/**
 * How a pull lands: a hand that has just the time it needs for a window hits it 96 times of 100; with less time it scatters more, with more time less. That is the law the time it needs comes from, asked the other way round.
 *
 * Source: ISO 9241-411, effective target width; time = a + b log2(travel / width + 1), solved for the width.
 */
export function landingSigmaDeg({
  travelDeg,
  availableS,
  againstStop,
  wheel,
}: Pick<MoveVerdict, 'travelDeg' | 'availableS' | 'againstStop' | 'wheel'>): number {
  if (againstStop || travelDeg === 0) return 0;
  const steadyDeg = (ASSUMED_STEADY_DEG * travelDeg) / (wheel?.travelDeg ?? travelDeg);
  const bits = (availableS - ASSUMED_HAND.reactionS) / ASSUMED_HAND.perBitS;
  const widthDeg = bits <= 0 ? Infinity : travelDeg / (2 ** bits - 1);
  // no worse than not having turned at all
  return Math.max(steadyDeg, Math.min(widthDeg / EFFECTIVE_WIDTH_SIGMAS, travelDeg / 2));
}

/** How late a pull starts on the average: a hand that is counted in starts with its cue, one that is not a reaction after it; the clock surprises nobody. */
export function reactionS({ cueKind, cueLeadS }: ShotPlan['line']['moves'][number]): number {
  return cueKind === 'clock' || cueLeadS > 0 ? 0 : ASSUMED_HAND.reactionS;
}

/** The errors of every pull of a plan. */
export function pullErrors(plan: ShotPlan, moves: readonly MoveVerdict[]): PullErrors[] {
  return plan.line.moves.map((move, index) => ({
    moveId: move.id,
    reactionS: reactionS(move),
    cueSigmaS: move.cueSigmaS,
    ringSigmaDeg: Math.min(landingSigmaDeg(moves[index]!), ringOf(plan.optics.lens).throwDeg / 4),
  }));
}
