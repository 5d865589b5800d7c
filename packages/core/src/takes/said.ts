import type { ShotPlan } from '../plan/index.js';
import type { LoggedHit } from './loggedHit.js';
import type { MarkHit } from './scorePulls.js';
import type { FocusGrade, RingSourceOfTake, Take } from './take.js';

/** How a mark was hit: what a person says, or else what the track shows; null if neither is known. */
export function hitOf({ said, measured }: Pick<LoggedHit, 'said' | 'measured'>): MarkHit | null {
  return said ?? measured;
}

/** The focus grade of a take: what a person says, or else what the track shows; null if neither is known. */
export function focusOf({ focus, measured }: Pick<Take, 'focus' | 'measured'>): FocusGrade | null {
  return focus ?? measured?.focus ?? null;
}

/**
 * Whether a take was kept: everything that must be sharp was sharp. This is what a keep rate predicts.
 *
 * @returns null if nobody said so and no track shows it: such a take counts neither way
 */
export function isKeptTake(take: Pick<Take, 'focus' | 'measured' | 'isNoGood'>): boolean | null {
  const focus = focusOf(take);
  if (take.isNoGood) return false;
  return focus === null ? null : focus === 'sharp';
}

/**
 * Whether a take can be used: it is circled, or kept with a performance that is not poor. One that is no good never is.
 */
export function isUsable(take: Pick<Take, 'isCircled' | 'focus' | 'measured' | 'performance' | 'isNoGood'>): boolean {
  if (take.isNoGood) return false;
  return take.isCircled || (isKeptTake(take) === true && take.performance !== 'poor');
}

const SIMULATED: readonly RingSourceOfTake[] = ['on-screen', 'simulated-motor'];

/** Whether the track of a take comes from a simulated ring: it is no evidence of what a hand does. */
export function isSimulated({ ringFrom }: Pick<Take, 'ringFrom'>): boolean {
  return SIMULATED.includes(ringFrom);
}

/** Takes of the alternate that a plan shows, and those that belong to neither; all takes of a shot without alternates. */
export function takesOfAlternate<T extends Pick<Take, 'alternate'>>(
  { alternates }: Pick<ShotPlan, 'alternates'>,
  takes: readonly T[],
): T[] {
  return takes.filter(({ alternate }) => alternates === null || alternate === null || alternate === alternates.shown);
}
