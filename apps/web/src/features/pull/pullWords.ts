import type { CompleteVerdict, ShotPlan, UnitSystem } from '@still-heron/core';
import { targetName } from '@still-heron/wording';

/** Length at which a cue is cut under the chart. */
const MAX_CUE_LETTERS = 26;

/** Label under each pull: from, to, duration, grade and cue. */
export function pullLabels(plan: ShotPlan, verdict: CompleteVerdict | null, units: UnitSystem): string[] {
  const { start, pulls } = plan.focusTrack;
  return pulls.map((pull, index) => {
    const from = index === 0 ? start! : pulls[index - 1]!.target;
    const grade = verdict?.pulls.find(({ pullId }) => pullId === pull.id)?.grade ?? '';
    const way = `${targetName(from, plan, units)} → ${targetName(pull.target, plan, units)}`;
    return [way, `${pull.durationS.toFixed(1)} s`, grade, shortened(pull.cue)].filter(Boolean).join('  ');
  });
}

/** Start of a cue text. */
function shortened(cue: string): string {
  return cue.length <= MAX_CUE_LETTERS ? cue : `${cue.slice(0, MAX_CUE_LETTERS - 1).trimEnd()}…`;
}
