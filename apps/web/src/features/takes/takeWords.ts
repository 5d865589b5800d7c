import {
  type Correction,
  type FocusGrade,
  type LoggedHit,
  loggedHit,
  type MarkHit,
  type NextAdvice,
  type PerformanceGrade,
  type ShotPlan,
  type TakeVerdict,
  targetName,
  type UnitSystem,
} from '@still-heron/core';

/** Words for how a mark was hit. */
export const HIT_WORDS: Readonly<Record<MarkHit, string>> = {
  hit: 'hit',
  late: 'late',
  early: 'early',
  overshot: 'overshot',
  'in-front': 'in front',
  behind: 'behind',
  searched: 'searched',
};

export const FOCUS_WORDS: readonly { readonly value: FocusGrade; readonly word: string }[] = [
  { value: 'sharp', word: 'sharp' },
  { value: 'usable', word: 'usable' },
  { value: 'soft', word: 'soft' },
];

export const PERFORMANCE_WORDS: readonly { readonly value: PerformanceGrade; readonly word: string }[] = [
  { value: 'good', word: 'good' },
  { value: 'fair', word: 'fair' },
  { value: 'poor', word: 'poor' },
];

/** Target of a pull: letter or distance. */
export function pullTo(pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  return pull ? targetName(pull.target, plan, units) : 'a pull that is gone';
}

/** Faults of a take: "late at D by 0.4 s, overshot at C"; empty without faults. */
export function faultWords(hits: readonly LoggedHit[], plan: ShotPlan, units: UnitSystem): string {
  return hits
    .filter(({ hit }) => hit !== 'hit')
    .map(({ pullId, hit, lateS }) => {
      const by = lateS === null || (hit !== 'late' && hit !== 'early') ? '' : ` by ${Math.abs(lateS).toFixed(1)} s`;
      return `${HIT_WORDS[hit]} at ${pullTo(pullId, plan, units)}${by}`;
    })
    .join(', ');
}

/** Advice in a sentence. */
export function adviceWords(
  { advice, kept, longestScreenS }: NextAdvice,
  takes: number,
  planned: number | null,
): { tone: string; text: string } {
  const of = planned === null ? '' : ` of ${planned} planned`;
  switch (advice) {
    case 'first':
      return { tone: 'plain', text: planned === null ? 'No take yet.' : `No take yet; ${planned} planned.` };
    case 'move-on':
      return {
        tone: 'sharp',
        text: kept > 0 ? `Move on: ${kept} of ${takes} ${takes === 1 ? 'take' : 'takes'} can be used.` : 'It happened. Move on.',
      };
    case 'too-short':
      return {
        tone: 'edge',
        text: `Go again for length: ${longestScreenS.toFixed(1)} s on the screen in one go, and the plan asks for more.`,
      };
    case 'change-first':
      return { tone: 'edge', text: `Change something first: take ${takes}${of}, and the same fault again.` };
    case 'go-again':
      return { tone: 'soft', text: `Go again: take ${takes}${of}, none to use yet.` };
  }
}

/** A correction in a line. */
export function correctionWords({ pullId, hit, times, byS }: Correction, plan: ShotPlan, units: UnitSystem): string {
  const at = pullTo(pullId, plan, units);
  const often = times > 1 ? `${times} times ` : '';
  const by = byS === null || (hit !== 'late' && hit !== 'early') ? '' : ` by ${Math.abs(byS).toFixed(1)} s`;
  const done: Readonly<Record<Correction['hit'], string>> = {
    late: 'begin sooner',
    early: 'begin later',
    overshot: 'give it more time',
    'in-front': 'measure the mark again: focus lay in front',
    behind: 'measure the mark again: focus lay behind',
    searched: 'set a hard stop, or practise it: go gently from the soft side',
  };
  return `${often}${HIT_WORDS[hit]} at ${at}${by}: ${done[hit]}`;
}

/** Result of a track in a sentence: "Kept: every mark hit.", or its faults and usable length. */
export function verdictWords({ isKept, isWhole, pulls, usable }: TakeVerdict, plan: ShotPlan, units: UnitSystem): string {
  const faults = faultWords(pulls.map(loggedHit), plan, units);
  const [longest] = usable;
  const use = longest ? `${(longest.toS - longest.fromS).toFixed(1)} s in one go can be used` : 'nothing of it can be used';
  if (isKept) return faults ? `Kept, though ${faults}.` : `Kept: every mark hit.`;
  if (!isWhole && !faults) return `Ended early: ${use}.`;
  return `${isWhole ? 'Soft' : 'Ended early, and soft'}${faults ? `: ${faults}` : ' in places'}; ${use}.`;
}
