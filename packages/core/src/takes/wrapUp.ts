import type { ShotPlan } from '../plan/index.js';
import { adviseNext } from './advice.js';
import { isSimulated } from './said.js';
import type { Take } from './take.js';

/**
 * What a shot still lacks. `lost`: it could happen once, and no take can be used. `none`: no take can be used. `too-short`: one can, but no span is
 * as long as wanted. `not-said`: nobody has said how its takes were. `not-shot`: no take was logged. `done`: nothing
 */
export const WRAP_STATES = ['lost', 'none', 'too-short', 'not-said', 'not-shot', 'done'] as const;
export type WrapState = (typeof WRAP_STATES)[number];

/** A shot before its set is left. */
export interface WrapUp {
  readonly state: WrapState;
  readonly takes: number;
  /** Longest usable span on the screen, and the one that is wanted; null if nobody typed one */
  readonly longestScreenS: number;
  readonly wantedScreenS: number | null;
}

/**
 * Says what a shot still lacks before anyone leaves. Takes by a simulator do not count.
 *
 * @param logged - latest last
 */
export function wrapUp(plan: ShotPlan, logged: readonly Omit<Take, 'track'>[]): WrapUp {
  const takes = logged.filter((take) => !isSimulated(take));
  const { advice, kept, notSaid, longestScreenS } = adviseNext(plan, takes);
  const { isOneChance, screenTimeS: wantedScreenS } = plan.goals;
  const stateOf = (): WrapState => {
    if (advice === 'first') return 'not-shot';
    if (kept > 0) return advice === 'too-short' || longestScreenS + TOLERANCE_S < (wantedScreenS ?? 0) ? 'too-short' : 'done';
    if (notSaid > 0) return 'not-said';
    return isOneChance ? 'lost' : 'none';
  };
  return { state: stateOf(), takes: takes.length, longestScreenS, wantedScreenS };
}

/** Below a frame. */
const TOLERANCE_S = 0.05;
