import type { Alternate, ShotPlan } from '../shotPlan.js';

/** Makes two alternates of a shot, for separate takes: both begin with the line there is; what is asked from now on can be asked in one of them. */
export function splitAlternates(plan: ShotPlan): ShotPlan {
  return plan.alternates === null ? { ...plan, alternates: { shown: 'A', other: plan.line } } : plan;
}

/** Shows one of the two alternates: its line, and what is asked in it. */
export function showAlternate(plan: ShotPlan, shown: Alternate): ShotPlan {
  if (plan.alternates === null || plan.alternates.shown === shown) return plan;
  return { ...plan, line: plan.alternates.other, alternates: { shown, other: plan.line } };
}

/** Keeps the alternate that is shown as the only one; the other's line goes, and what was asked only there. */
export function joinAlternates(plan: ShotPlan): ShotPlan {
  const { alternates } = plan;
  if (alternates === null) return plan;
  const beats = plan.beats.filter(({ alternate }) => alternate === null || alternate === alternates.shown);
  return { ...plan, alternates: null, beats: beats.map((beat) => ({ ...beat, alternate: null })) };
}
