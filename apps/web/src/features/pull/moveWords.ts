import { type JudgedPull, type ShotPlan, targetName, type UnitSystem } from '@still-heron/core';

/** Length at which a cue is cut under the chart. */
const CUE_LETTERS = 26;

/** Label under each pull: from, to, duration, grade and cue. */
export function wordsOfMoves(plan: ShotPlan, verdict: JudgedPull | null, units: UnitSystem): string[] {
  const { start, moves } = plan.line;
  return moves.map((move, index) => {
    const from = index === 0 ? start! : moves[index - 1]!.target;
    const grade = verdict?.moves.find(({ moveId }) => moveId === move.id)?.grade ?? '';
    const way = `${targetName(from, plan, units)} → ${targetName(move.target, plan, units)}`;
    return [way, `${move.durationS.toFixed(1)} s`, grade, shortened(move.cue)].filter(Boolean).join('  ');
  });
}

/** Start of a cue text. */
function shortened(cue: string): string {
  return cue.length <= CUE_LETTERS ? cue : `${cue.slice(0, CUE_LETTERS - 1).trimEnd()}…`;
}
