import { sharpBeatsAt, type ShotPlan } from '../plan/index.js';
import type { CompleteVerdict } from '../verdict/index.js';
import { chanceOfOneKept, type KeepRate } from '../trials/index.js';

/** Time that a shot takes. */
export interface ShotTime {
  /** Planned number of takes; null if no number is enough */
  readonly takes: number | null;
  /** Probability that at least one of them is kept */
  readonly chance: number;
  readonly minutes: number | null;
}

/** Largest planned number of takes; beyond it, something else has to change. */
const MAX_PLANNED_TAKES = 60;

/**
 * Planned number of takes and their total time with set-up. The number is the typed one, else enough for 90 % probability; 1
 * for a one-chance shot.
 *
 * @param rate - keep rate of the plan
 */
export function shotTime(
  { schedule, durationS, goals }: Pick<ShotPlan, 'schedule' | 'durationS' | 'goals'>,
  { keepRate, takesForNineOfTen, setupsKept }: Pick<KeepRate, 'keepRate' | 'takesForNineOfTen' | 'setupsKept'>,
): ShotTime {
  const asked = goals.isOneChance ? 1 : (schedule.takes ?? takesForNineOfTen);
  if (asked > MAX_PLANNED_TAKES && schedule.takes === null) return { takes: null, chance: 0, minutes: null };
  const seconds = asked * durationS + (asked - 1) * schedule.betweenTakesS;
  return { takes: asked, chance: chanceOfOneKept(setupsKept, keepRate, asked), minutes: schedule.setUpMin + seconds / 60 };
}

/** The moment at which a take is lost most often. */
export interface LimitingMoment {
  readonly timeS: number;
  /** Share of trials in which every subject required then is sharp */
  readonly sharpShare: number;
  /** Subjects that must be sharp at that moment */
  readonly subjectIds: readonly string[];
}

/** Finds the moment that loses most trials; null if nothing is required, or nothing is ever soft. */
export function limitingMoment(
  { frames, beats }: Pick<KeepRate, 'frames' | 'beats'>,
  plan: Pick<ShotPlan, 'beats' | 'alternates' | 'captureFps'>,
): LimitingMoment | null {
  let worst = -1;
  for (let frame = 0; frame < frames.length; frame++)
    if (!Number.isNaN(frames[frame]!) && (worst < 0 || frames[frame]! < frames[worst]!)) worst = frame;
  if (worst < 0 || frames[worst]! >= 1) return null;
  const timeS = worst / plan.captureFps;
  const known = new Set(beats.map(({ beatId }) => beatId));
  const required = sharpBeatsAt(plan, timeS).filter(({ id }) => known.has(id));
  const subjectIds = [...new Set(required.map(({ subjectId }) => subjectId))];
  return { timeS, sharpShare: frames[worst]!, subjectIds };
}

/** Difficulty of a shot by its keep rate. */
export const DIFFICULTIES = ['easy', 'fair', 'hard', 'very hard'] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

/** Lowest keep rate of each difficulty. */
const DIFFICULTY_LIMITS: readonly { readonly from: number; readonly difficulty: Difficulty }[] = [
  { from: 0.9, difficulty: 'easy' },
  { from: 0.7, difficulty: 'fair' },
  { from: 0.4, difficulty: 'hard' },
];

export function difficultyOf(keepRate: number): Difficulty {
  return DIFFICULTY_LIMITS.find(({ from }) => keepRate >= from)?.difficulty ?? 'very hard';
}

/** Why a shot needs attention, most urgent first; `ready` if it needs none. */
export const ATTENTION = ['unreadable', 'one-chance', 'soft', 'incomplete', 'low-keep-rate', 'ready'] as const;
export type Attention = (typeof ATTENTION)[number];

/**
 * What needs attention in a shot.
 *
 * @param outcome - of its verdict; null for a plan that can't be evaluated yet
 * @param keepRate - null in the same case
 */
export function attentionOf(
  { goals }: Pick<ShotPlan, 'goals'>,
  outcome: CompleteVerdict['outcome'] | null,
  keepRate: number | null,
): Attention {
  if (outcome === null || keepRate === null) return 'incomplete';
  const isSeldom = keepRate < goals.targetKeepRate;
  if (isSeldom && goals.isOneChance) return 'one-chance';
  if (outcome === 'soft' || outcome === 'too-hard') return 'soft';
  return isSeldom ? 'low-keep-rate' : 'ready';
}
