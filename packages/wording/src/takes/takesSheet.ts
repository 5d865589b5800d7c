import {
  focusOf,
  formatStop,
  isSimulated,
  lateByS,
  type LoggedHit,
  spanWords,
  type StopScale,
  type Take,
  takeMethods,
  usableSpansOf,
} from '@still-heron/core';
import { methodList } from '../plan/methodPartText.js';
import { faultLines, type PlaceNames } from './findingText.js';
import { lookText, recoveryLines } from './detailsText.js';
import { HIT_WORDS } from './hitWords.js';
import { REPAIR_WORDS } from './reportText.js';
import { FOCUS_GRADE_WORDS, NOT_SAID, PERFORMANCE_WORDS, RING_SOURCE_WORDS, TIMECODE_SOURCE_WORDS } from './takeText.js';
import { CONFIDENCE_WORDS } from './turnText.js';

/** A take as a sheet tells it, with the names of its shot. */
export interface SheetTake extends PlaceNames {
  readonly slate: string;
  readonly title: string;
  readonly number: number;
  /** ISO 8601 */
  readonly rolledAt: string;
  readonly take: Omit<Take, 'track'>;
  readonly stopScale: StopScale;
}

type Column = readonly [heading: string, cell: (one: SheetTake) => string];

const yes = (isSo: boolean) => (isSo ? 'yes' : '');

const COLUMNS: readonly Column[] = [
  ['slate', ({ slate }) => slate],
  ['title', ({ title }) => title],
  ['take', ({ number }) => String(number)],
  ['date', ({ rolledAt }) => rolledAt.slice(0, 10)],
  ['time UTC', ({ rolledAt }) => rolledAt.slice(11, 16)],
  ['alternate', ({ take }) => take.alternate ?? ''],
  ['circled', ({ take }) => yes(take.isCircled)],
  ['no good', ({ take }) => yes(take.isNoGood)],
  ['focus', ({ take }) => wordOf(focusOf(take), FOCUS_GRADE_WORDS)],
  ['focus by its track', ({ take }) => (take.measured ? FOCUS_GRADE_WORDS[take.measured.focus] : '')],
  ['performance', ({ take }) => wordOf(take.performance, PERFORMANCE_WORDS)],
  ['faults', (one) => faultLines(one.take, one).join('; ')],
  [
    'use',
    ({ take }) =>
      usableSpansOf(take)
        .map((span) => spanWords(span, take))
        .join('; '),
  ],
  ['cut out', ({ take }) => take.focusChecks.map((span) => spanWords(span, take)).join('; ')],
  ['repairs', ({ take }) => take.repairs.map((repair) => REPAIR_WORDS[repair]).join('; ')],
  ['note', ({ take }) => take.note],
  ['why it is kept', ({ take }) => take.whyKept],
  ['length s', ({ take }) => take.durationS.toFixed(1)],
  ['cut short', ({ take }) => yes(take.isCutShort)],
  ['timecode', ({ take }) => take.startTimecode],
  ['timecode from', ({ take }) => (take.startTimecode === '' ? '' : TIMECODE_SOURCE_WORDS[take.timecodeFrom])],
  ['file', ({ take }) => take.clip],
  ['camera', ({ take }) => take.gear.camera],
  ['lens', ({ take }) => take.gear.lens],
  ['focal length mm', ({ take }) => String(take.gear.focalLengthMm)],
  ['stop', ({ take, stopScale }) => formatStop(take.gear.stop, stopScale)],
  ['frames a second', ({ take }) => String(take.gear.captureFps)],
  ['shot backwards', ({ take }) => yes(take.gear.isReversed)],
  ['method', ({ take }) => methodList(takeMethods(take.gear))],
  ['rig', ({ take }) => take.gear.rig],
  ['wheel', ({ take }) => take.gear.wheel],
  ['pulled by', ({ take }) => take.gear.puller],
  ['ring', ({ take }) => RING_SOURCE_WORDS[take.ringFrom]],
  ['simulated', ({ take }) => yes(isSimulated(take))],
  ['predicted, of 100', ({ take }) => (take.predictedKeepRate === null ? '' : String(Math.round(take.predictedKeepRate * 100)))],
  ['zone mm', ({ take }) => (take.zoneDepthMm === null ? '' : String(Math.round(take.zoneDepthMm)))],
  ['lost and back', ({ take }) => recoveryLines(take).join('; ')],
  ['checked on', ({ take }) => take.checkedOn],
  ['magnified, times', ({ take }) => (take.checkMagnification === null ? '' : String(take.checkMagnification))],
  ['how sure', ({ take }) => (take.checkConfidence === null ? '' : CONFIDENCE_WORDS[take.checkConfidence])],
  ['earlier looks', ({ take }) => take.earlierLooks.map((look) => lookText(look)).join('; ')],
];

const HIT_COLUMNS: readonly (readonly [string, (one: SheetTake, hit: LoggedHit) => string])[] = [
  ['pull to', ({ pullName }, { pullId }) => pullName(pullId)],
  ['hit, as said', (_, { said }) => wordOf(said, HIT_WORDS)],
  ['hit, by its track', (_, { measured }) => (measured === null ? '' : HIT_WORDS[measured])],
  ['late by s', (_, hit) => figure(lateByS(hit))],
  ['ring off by °', (_, { offDeg }) => figure(offDeg)],
  ['turned °', (_, { turn }) => figure(turn?.travelDeg ?? null)],
  ['to turn °', (_, { turn }) => figure(turn?.plannedDeg ?? null)],
  ['overshoot °', (_, { turn }) => figure(turn?.overshootDeg ?? null)],
  ['past the zone', (_, { turn }) => yes(turn?.isPastZone ?? false)],
  ['turned round, times', (_, { turn }) => (turn ? String(turn.reversals) : '')],
  ['smooth, of 100', (_, { turn }) => (turn ? String(Math.round(turn.smoothness * 100)) : '')],
  ['settled in s', (_, { turn }) => figure(turn?.settlingS ?? null)],
];

/** Columns of a sheet with a line for each pull that tell the take. */
const SHORT: readonly string[] = ['slate', 'take', 'date', 'alternate', 'focus', 'pulled by', 'simulated'];

/** A sheet of takes for people: a heading, and one line a take; one fact a column, in plain words. */
export function takesSheet(takes: readonly SheetTake[]): string[][] {
  return [COLUMNS.map(([heading]) => heading), ...takes.map((one) => COLUMNS.map(([, cell]) => cell(one)))];
}

/** The same with one line for each pull of each take. */
export function pullsSheet(takes: readonly SheetTake[]): string[][] {
  const short = COLUMNS.filter(([heading]) => SHORT.includes(heading));
  const lines = takes.flatMap((one) =>
    one.take.hits.map((hit) => [...short.map(([, cell]) => cell(one)), ...HIT_COLUMNS.map(([, cell]) => cell(one, hit))]),
  );
  return [[...short, ...HIT_COLUMNS].map(([heading]) => heading), ...lines];
}

function wordOf<T extends string>(value: T | null, words: Readonly<Record<T, string>>): string {
  return value === null ? NOT_SAID : words[value];
}

function figure(value: number | null): string {
  return value === null ? '' : value.toFixed(2);
}
