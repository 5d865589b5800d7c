import {
  type Correction,
  type FocusGrade,
  formatTime,
  hitOf,
  isTriggeredByEvent,
  lateByS,
  type LensDataUnit,
  type LoggedHit,
  loggedHit,
  type MarkHit,
  type NextAdvice,
  NOT_MEASURED,
  type PerformanceGrade,
  type RingSourceOfTake,
  type ShotPlan,
  type Take,
  type TakeVerdict,
  type TimecodeSource,
  type TrackHole,
  type UnitSystem,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { targetName } from '../names.js';
import type { SentencePart } from '../sentence.js';
import { HIT_WORDS } from './hitWords.js';

export const FOCUS_GRADE_WORDS: Readonly<Record<FocusGrade, string>> = { sharp: 'sharp', usable: 'usable', soft: 'soft' };
/** What turned the ring of a take. */
export const RING_SOURCE_WORDS: Readonly<Record<RingSourceOfTake, string>> = {
  unseen: 'by hand, not recorded',
  'on-screen': 'simulated wheel on the screen',
  'simulated-motor': 'simulated motor',
  device: 'wheel or motor at the port',
  'lens-data': 'lens data from a file',
  unknown: 'not known',
};

/** Whose timecode a take has. */
export const TIMECODE_SOURCE_WORDS: Readonly<Record<TimecodeSource, string>> = {
  camera: 'of the camera',
  slate: 'from the slate',
  simulated: 'simulated',
  unknown: 'of unknown origin',
};

/** Nobody said, and no track shows, whether a take was sharp. */
export const NOT_SAID = 'not said';

/** What the track shows of a pull: "by its track late by 0.4 s". */
export function hitMeasuredText(one: Pick<LoggedHit, 'measured' | 'lateS' | 'landsLateS'>): string {
  const { measured, lateS, landsLateS } = one;
  if (measured === null) return '';
  const byS = lateByS({ pullId: '', said: null, ...NOT_MEASURED, measured, lateS, landsLateS });
  return `by its track ${HIT_WORDS[measured]}${lateBy(measured, byS)}`;
}

/** How one pull went in practice: "To B: late by 0.4 s." @param one - null if its track shows nothing of it */
export function pullRunText(name: string, one: Pick<LoggedHit, 'measured' | 'lateS' | 'landsLateS'> | null): string {
  if (one === null || one.measured === null) return `To ${name}: the ring was not recorded.`;
  const byS = lateByS({ pullId: '', said: null, ...NOT_MEASURED, ...one });
  return `To ${name}: ${HIT_WORDS[one.measured]}${lateBy(one.measured, byS)}.`;
}

/** Focus of a take in words: "soft, by its track sharp", "sharp by its track", "not said". */
export function focusText(take: Pick<Take, 'focus' | 'measured'>): string {
  const { focus, measured } = take;
  if (focus !== null && measured !== null && focus !== measured.focus)
    return `${FOCUS_GRADE_WORDS[focus]}, by its track ${FOCUS_GRADE_WORDS[measured.focus]}`;
  if (focus !== null) return FOCUS_GRADE_WORDS[focus];
  return measured ? `${FOCUS_GRADE_WORDS[measured.focus]} by its track` : NOT_SAID;
}

export const PERFORMANCE_WORDS: Readonly<Record<PerformanceGrade, string>> = { good: 'good', fair: 'fair', poor: 'poor' };

/** Target of a pull: letter or distance. */
export function pullTargetText(pullId: string, plan: ShotPlan, units: UnitSystem): string {
  const pull = plan.focusTrack.pulls.find(({ id }) => id === pullId);
  return pull ? targetName(pull.target, plan, units) : 'a deleted pull';
}

/** Faults of a take: "late at D by 0.4 s, overshot at C"; empty without faults. */
export function faultText(hits: readonly LoggedHit[], plan: ShotPlan, units: UnitSystem): string {
  return hits
    .flatMap((one) => {
      const hit = hitOf(one);
      if (hit === null || hit === 'hit') return [];
      return `${HIT_WORDS[hit]} at ${pullTargetText(one.pullId, plan, units)}${lateBy(hit, lateByS(one))}`;
    })
    .join(', ');
}

function lateBy(hit: MarkHit, lateS: number | null): string {
  return lateS === null || (hit !== 'late' && hit !== 'early') ? '' : ` by ${Math.abs(lateS).toFixed(1)} s`;
}

/** Advice after a take, in a sentence. */
export function adviceText(
  { advice, takes, kept, notSaid, longestScreenS }: NextAdvice,
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
    case 'say-first':
      return {
        tone: 'plain',
        text: `Nobody has said how ${notSaid === 1 && takes === 1 ? 'take 1 was' : `${notSaid} of ${counted(takes, 'take')} ${notSaid === 1 ? 'was' : 'were'}`}.`,
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

/** "12 takes: 8 of 11 kept, 9 can be used. Nobody said of 1. 1 of 12 had to be repaired in the edit." */
export function logText({
  takes,
  said,
  kept,
  usable,
  repaired,
}: {
  readonly takes: number;
  /** Those of which somebody said, or a track shows, whether they were kept */
  readonly said: number;
  readonly kept: number;
  readonly usable: number;
  readonly repaired: number;
}): string {
  const parts = [
    said === 0 ? `${counted(takes, 'take')}.` : `${counted(takes, 'take')}: ${kept} of ${said} kept, ${usable} can be used.`,
    said < takes && `Nobody said of ${takes - said}.`,
    repaired > 0 && `${repaired} of ${takes} had to be repaired in the edit.`,
  ];
  return parts.filter(Boolean).join(' ');
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
