import type { ShotPlan } from '../pull/index.js';
import type { JudgedPull } from '../verdict/index.js';
import type { KeepRate } from './keepRate.js';

/** What a shot takes of the day. */
export interface ShotTime {
  /** To plan for; null where no number of takes is enough */
  readonly takes: number | null;
  /** How likely one of them is kept */
  readonly chance: number;
  readonly minutes: number | null;
}

/** Takes after which a shot is not planned to go on: something else has to change. */
const MOST_TAKES = 60;

/**
 * How many takes to plan for, and how long they take with setting up: as many as are typed, else as keep one nine times of ten; once for a shot that happens once.
 *
 * @param rate - of the plan
 */
export function shotTime(
  { schedule, durationS, wanted }: Pick<ShotPlan, 'schedule' | 'durationS' | 'wanted'>,
  { keepRate, takesForNineOfTen }: Pick<KeepRate, 'keepRate' | 'takesForNineOfTen'>,
): ShotTime {
  const asked = wanted.isOneChance ? 1 : (schedule.takes ?? takesForNineOfTen);
  if (asked > MOST_TAKES && schedule.takes === null) return { takes: null, chance: 0, minutes: null };
  const seconds = asked * durationS + (asked - 1) * schedule.betweenTakesS;
  return { takes: asked, chance: 1 - (1 - keepRate) ** asked, minutes: schedule.setUpMin + seconds / 60 };
}

/** The moment at which a take is most often lost. */
export interface LimitingMoment {
  readonly timeS: number;
  /** Share of takes in which everyone who must be sharp then is */
  readonly sharpShare: number;
  /** Of whom it is asked then */
  readonly subjectIds: readonly string[];
}

/** Names the moment that decides; null where nobody must be sharp, or nobody is ever soft. */
export function limitingMoment(
  { frames, beats }: Pick<KeepRate, 'frames' | 'beats'>,
  plan: Pick<ShotPlan, 'beats' | 'captureFps'>,
): LimitingMoment | null {
  let worst = -1;
  for (let frame = 0; frame < frames.length; frame++)
    if (!Number.isNaN(frames[frame]!) && (worst < 0 || frames[frame]! < frames[worst]!)) worst = frame;
  if (worst < 0 || frames[worst]! >= 1) return null;
  const timeS = worst / plan.captureFps;
  const asked = plan.beats.filter(({ fromS, toS }) => timeS >= fromS - 1e-6 && timeS < toS);
  const known = new Set(beats.map(({ beatId }) => beatId));
  const subjectIds = [...new Set(asked.flatMap(({ id, subjectId }) => (known.has(id) ? subjectId : [])))];
  return { timeS, sharpShare: frames[worst]!, subjectIds };
}

/** How hard a shot is, by how often a take of it is kept. */
export const DIFFICULTIES = ['easy', 'fair', 'hard', 'very hard'] as const;
export type Difficulty = (typeof DIFFICULTIES)[number];

/** From which share of takes kept a difficulty applies. */
const EASED_FROM: readonly { readonly from: number; readonly difficulty: Difficulty }[] = [
  { from: 0.9, difficulty: 'easy' },
  { from: 0.7, difficulty: 'fair' },
  { from: 0.4, difficulty: 'hard' },
];

export function difficultyOf(keepRate: number): Difficulty {
  return EASED_FROM.find(({ from }) => keepRate >= from)?.difficulty ?? 'very hard';
}

/** Why a shot needs someone to look at it, the worst first; `ready` where nothing does. */
export const ATTENTION = ['unreadable', 'one-chance', 'soft', 'incomplete', 'seldom-kept', 'ready'] as const;
export type Attention = (typeof ATTENTION)[number];

/**
 * What about a shot needs attention.
 *
 * @param outcome - of its verdict; null for a plan that can't be judged yet
 * @param keepRate - null for the same
 */
export function attentionOf(
  { wanted }: Pick<ShotPlan, 'wanted'>,
  outcome: JudgedPull['outcome'] | null,
  keepRate: number | null,
): Attention {
  if (outcome === null || keepRate === null) return 'incomplete';
  const isSeldom = keepRate < wanted.keepShare;
  if (isSeldom && wanted.isOneChance) return 'one-chance';
  if (outcome === 'soft' || outcome === 'beyond-the-hand') return 'soft';
  return isSeldom ? 'seldom-kept' : 'ready';
}
