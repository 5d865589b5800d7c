import type { CompleteVerdict, ShotPlan, UnitSystem } from '@still-heron/core';
import { targetName } from '@still-heron/wording';
import { rowsOf } from '../../charts/labels';

/** Length at which a cue is cut under the chart. */
const MAX_CUE_LETTERS = 26;

/** Labels under a pull: from, to, duration, grade and cue; and from and to alone. */
export interface PullLabel {
  readonly full: string;
  readonly short: string;
}

export function pullLabels(plan: ShotPlan, verdict: CompleteVerdict | null, units: UnitSystem): PullLabel[] {
  const { start, pulls } = plan.focusTrack;
  return pulls.map((pull, index) => {
    const from = index === 0 ? start! : pulls[index - 1]!.target;
    const grade = verdict?.pulls.find(({ pullId }) => pullId === pull.id)?.grade ?? '';
    const short = `${targetName(from, plan, units)} → ${targetName(pull.target, plan, units)}`;
    const full = [short, `${pull.durationS.toFixed(1)} s`, grade, shortened(pull.cue)].filter(Boolean).join('  ');
    return { full, short };
  });
}

/** A label as it is shown: its words, where they begin, and its row; no row for one that is folded away. */
export interface PlacedLabel {
  readonly words: string;
  readonly wordsX: number;
  readonly row: number | null;
}

/** Approximate letter width in pull labels */
const LETTER_PX = 7.4;

/**
 * Labels in as few rows as there is room for: in full, else from and to alone, else those that fit. What is folded away stands beside its pull
 * when it is selected.
 *
 * @param startX - start of each pull
 * @param rightX - where labels end at the latest
 */
export function placeLabels(
  labels: readonly PullLabel[],
  startX: readonly number[],
  { rightX, maxRows }: { readonly rightX: number; readonly maxRows: number },
): PlacedLabel[] {
  const place = (of: (label: PullLabel) => string) => {
    const words = labels.map(of);
    // labels that would leave the chart start farther left
    const wordsX = words.map((text, index) => Math.min(startX[index]! + 7, rightX - text.length * LETTER_PX - 4));
    const rows = rowsOf(words.map((text, index) => ({ x: wordsX[index]!, width: text.length * LETTER_PX + 14 })));
    return words.map((text, index) => ({ words: text, wordsX: wordsX[index]!, row: rows[index]! }));
  };
  const full = place((label) => label.full);
  if (full.every(({ row }) => row < maxRows)) return full;
  return place((label) => label.short).map((label) => (label.row < maxRows ? label : { ...label, row: null }));
}

/** Start of a cue text. */
function shortened(cue: string): string {
  return cue.length <= MAX_CUE_LETTERS ? cue : `${cue.slice(0, MAX_CUE_LETTERS - 1).trimEnd()}…`;
}
