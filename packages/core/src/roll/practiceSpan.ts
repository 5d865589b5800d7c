import type { ShotPlan } from '../plan/index.js';
import type { PullAssessment } from '../verdict/index.js';

/** Plan time of a run of one pull. */
export interface PracticeSpan {
  readonly fromS: number;
  readonly toS: number;
}

/** Least time before the pull: enough to take hold and to hear its counts. */
const LEAD_S = 1;
/** Time after the planned landing, so that a late one is seen. */
const AFTER_S = 1.5;

/**
 * Part of the plan in which one pull is practised: from its count-in until it has had time to land, and no longer than up to the next one.
 *
 * @returns null if the plan has no such pull
 */
export function practiceSpan(plan: Pick<ShotPlan, 'focusTrack' | 'durationS'>, pullId: string): PracticeSpan | null {
  const { pulls } = plan.focusTrack;
  const at = pulls.findIndex(({ id }) => id === pullId);
  const pull = pulls[at];
  if (!pull) return null;
  const landsS = pull.startS + pull.durationS;
  return {
    fromS: Math.max(0, pull.startS - Math.max(pull.countInS, LEAD_S)),
    toS: Math.min(landsS + AFTER_S, Math.max(pulls[at + 1]?.startS ?? Infinity, landsS), plan.durationS),
  };
}

/** The pull whose time is shortest for what the hand has to do. @returns null without pulls */
export function hardestPull(pulls: readonly Pick<PullAssessment, 'pullId' | 'neededS' | 'availableS'>[]): string | null {
  const effort = ({ neededS, availableS }: (typeof pulls)[number]) => neededS / Math.max(availableS, 1e-3);
  return [...pulls].sort((a, b) => effort(b) - effort(a))[0]?.pullId ?? null;
}
