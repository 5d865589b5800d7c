import type { Alternate, ShotPlan } from '../shotPlan.js';

/** Splits the shot into alternates A and B. Both start with the current focus track; beats can then belong to one of them. */
export function splitAlternates(plan: ShotPlan): ShotPlan {
  return plan.alternates === null ? { ...plan, alternates: { shown: 'A', other: plan.focusTrack } } : plan;
}

/** Switches the alternate that is shown: its focus track and its beats. */
export function showAlternate(plan: ShotPlan, shown: Alternate): ShotPlan {
  if (plan.alternates === null || plan.alternates.shown === shown) return plan;
  return { ...plan, focusTrack: plan.alternates.other, alternates: { shown, other: plan.focusTrack } };
}

/** Keeps only the alternate that is shown. The other focus track, and beats that belong to it alone, are deleted. */
export function joinAlternates(plan: ShotPlan): ShotPlan {
  const { alternates } = plan;
  if (alternates === null) return plan;
  const beats = plan.beats.filter(({ alternate }) => alternate === null || alternate === alternates.shown);
  return { ...plan, alternates: null, beats: beats.map((beat) => ({ ...beat, alternate: null })) };
}
