import {
  type Correction,
  type FocusGrade,
  formatTime,
  isTriggeredByEvent,
  lateByS,
  type LensDataUnit,
  type LoggedHit,
  loggedHit,
  type MarkHit,
  type NextAdvice,
  type PerformanceGrade,
  type ShotPlan,
  type TakeVerdict,
  type TrackHole,
  type UnitSystem,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { targetName } from '../names.js';
import type { SentencePart } from '../sentence.js';

/** How a mark was hit. */
export const HIT_WORDS: Readonly<Record<MarkHit, string>> = {
  hit: 'hit',
  late: 'late',
  early: 'early',
  overshot: 'overshot',
  'in-front': 'in front',
  behind: 'behind',
  searched: 'searched',
  'false-start': 'false start',
};

export const FOCUS_GRADE_WORDS: Readonly<Record<FocusGrade, string>> = { sharp: 'sharp', usable: 'usable', soft: 'soft' };
export const PERFORMANCE_WORDS: Readonly<Record<PerformanceGrade, string>> = { good: 'good', fair: 'fair', poor: 'poor' };

/** Target of a pull: letter or distance. */
export function pullTargetText(pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  return pull ? targetName(pull.target, plan, units) : 'a deleted pull';
}

/** Faults of a take: "late at D by 0.4 s, overshot at C"; empty without faults. */
export function faultText(hits: readonly LoggedHit[], plan: ShotPlan, units: UnitSystem): string {
  return hits
    .filter(({ hit }) => hit !== 'hit')
    .map((one) => `${HIT_WORDS[one.hit]} at ${pullTargetText(one.pullId, plan, units)}${lateBy(one.hit, lateByS(one))}`)
    .join(', ');
}

function lateBy(hit: MarkHit, lateS: number | null): string {
  return lateS === null || (hit !== 'late' && hit !== 'early') ? '' : ` by ${Math.abs(lateS).toFixed(1)} s`;
}

/** Advice after a take, in a sentence. */
export function adviceText(
  { advice, kept, longestScreenS }: NextAdvice,
  takes: number,
  planned: number | null,
): Pick<SentencePart, 'tone' | 'text'> {
  const of = planned === null ? '' : ` of ${planned} planned`;
  switch (advice) {
    case 'first':
      return { tone: 'plain', text: planned === null ? 'No take yet.' : `No take yet; ${planned} planned.` };
    case 'move-on':
      return {
        tone: 'sharp',
        text: kept > 0 ? `Move on: ${kept} of ${counted(takes, 'take')} can be used.` : 'It happened once. Move on.',
      };
    case 'too-short':
      return {
        tone: 'edge',
        text: `Go again for length: the longest sharp stretch gives ${longestScreenS.toFixed(1)} s on screen, and the plan needs more.`,
      };
    case 'change-first':
      return { tone: 'edge', text: `Change something first: take ${takes}${of} had the same fault again.` };
    case 'go-again':
      return { tone: 'soft', text: `Go again: take ${takes}${of}, none can be used yet.` };
  }
}

const CORRECTIONS: Readonly<Record<Correction['hit'], string>> = {
  late: 'start sooner',
  early: 'start later',
  overshot: 'give it more time',
  'in-front': 'measure the mark again: focus was in front of it',
  behind: 'measure the mark again: focus was behind it',
  searched: 'set a hard stop, or practise the landing',
  'false-start': 'wait for the cue, with a count before it',
};

/** Corrections of a pull that a cue sets off: its start in the plan does not matter. */
const ON_A_CUE: Readonly<Partial<Record<Correction['hit'], string>>> = {
  late: 'a longer count before the cue',
  early: 'wait for the cue',
};

/** A correction in a line: "2 times late at D by 0.4 s: start sooner". */
export function correctionText({ pullId, hit, times, byS }: Correction, plan: ShotPlan, units: UnitSystem): string {
  const often = times > 1 ? `${times} times ` : '';
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  const advice = (pull && isTriggeredByEvent(pull) && ON_A_CUE[hit]) || CORRECTIONS[hit];
  return `${often}${HIT_WORDS[hit]} at ${pullTargetText(pullId, plan, units)}${lateBy(hit, byS)}: ${advice}`;
}

/** Result of a track in a sentence: "Kept: every mark hit.", or its faults and usable length. */
export function takeVerdictText({ isKept, isWhole, pulls, usable }: TakeVerdict, plan: ShotPlan, units: UnitSystem): string {
  const faults = faultText(pulls.map(loggedHit), plan, units);
  const [longest] = usable;
  const use = longest ? `${(longest.toS - longest.fromS).toFixed(1)} s in one stretch can be used` : 'nothing can be used';
  if (isKept) return faults ? `Kept, though ${faults}.` : `Kept: every mark hit.`;
  if (!isWhole && !faults) return `Ended early: ${use}.`;
  return `${isWhole ? 'Soft' : 'Ended early, and soft'}${faults ? `: ${faults}` : ' in places'}; ${use}.`;
}

/** "12 takes, 8 usable: 67 %. 1 had to be repaired in the edit." */
export function logText({
  takes,
  usable,
  repaired,
}: {
  readonly takes: number;
  readonly usable: number;
  readonly repaired: number;
}): string {
  const share = `${Math.round((100 * usable) / takes)} %`;
  const edit = repaired === 0 ? '' : ` ${repaired} had to be repaired in the edit.`;
  return `${counted(takes, 'take')}, ${usable} usable: ${share}.${edit}`;
}

const LENS_DATA_UNIT_WORDS: Readonly<Record<LensDataUnit, string>> = {
  m: 'metres',
  ft: 'feet',
  cm: 'centimetres',
  in: 'inches',
  mm: 'millimetres',
};

/** A distance of a file in one of its possible units: "10 feet". */
export function inLensDataUnit(value: number, unit: LensDataUnit): string {
  return `${value} ${LENS_DATA_UNIT_WORDS[unit]}`;
}

/** What was read from a file: "Lens data read. Distances without a unit were read as feet." */
export function lensDataReadText(detectedUnit: LensDataUnit | null, holes: readonly TrackHole[] = []): string {
  const missingS = holes.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0);
  return [
    'Lens data read.',
    ...(detectedUnit ? [`Distances without a unit were read as ${LENS_DATA_UNIT_WORDS[detectedUnit]}.`] : []),
    ...(missingS > 0 ? [`It has no data for ${formatTime(missingS)}.`] : []),
  ].join(' ');
}
