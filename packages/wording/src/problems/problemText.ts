import {
  type DistanceReading,
  formatFineDistance,
  formatTime,
  type Problem,
  type ProblemCode,
  type ProblemValues,
} from '@still-heron/core';
import { capital } from '../capital.js';
import { BROKEN_TRACK, COUNTED, countText, EMPTY, TWICE } from './problemWords.js';
import { alternatives, lengthText, rangeText } from './ranges.js';
import { readableText, unreadableText } from './readable.js';

/** What is wrong, and what would do. Neither begins with a capital or ends with a full stop: they stand inside a sentence. */
export interface ProblemText {
  readonly message: string;
  readonly need: string;
}

type Writers = { readonly [C in ProblemCode]: (values: ProblemValues[C]) => ProblemText };

const not = (given: string, what: string, need: string): ProblemText => ({ message: `${given} is ${what}`, need });

const WRITERS: Writers = {
  'not-a-number': ({ given, ...range }) => not(given, 'not a number', rangeText(range)),
  'out-of-range': ({ given, ...range }) => not(given, 'out of range', rangeText(range)),
  'not-whole': ({ given, ...range }) => not(given, 'not a whole number', rangeText({ ...range, isWhole: true })),
  'not-text': ({ given, ...length }) => not(given, 'not text', lengthText(length)),
  'too-short': (length) => ({ message: 'the text is empty', need: lengthText(length) }),
  'too-long': ({ length, ...limits }) => ({ message: `the text has ${length} characters`, need: lengthText(limits) }),
  'bad-characters': () => ({ message: 'the text contains characters that can’t be stored', need: 'plain text' }),
  'not-a-choice': ({ given, choices }) => not(given, 'not one of the choices', alternatives(choices)),
  'not-yes-or-no': ({ given }) => not(given, 'neither true nor false', 'true or false'),
  'not-a-list': ({ given }) => not(given, 'not a list', 'a list'),
  'too-many': ({ count, max, counted }) => ({ message: `there are ${countText(count, counted)}`, need: `at most ${max}` }),
  'too-few': ({ count, min, counted }) => ({
    message:
      count === 0
        ? `there are no ${COUNTED[counted][1]}`
        : `there ${count === 1 ? 'is' : 'are'} only ${countText(count, counted)}`,
    need: `at least ${min}`,
  }),
  'not-an-object': ({ given, fields }) => not(given, 'not an object', `an object with ${fields.join(', ')}`),
  'unknown-field': ({ fields }) => ({ message: 'this field is not known', need: `only ${fields.join(', ')}` }),
  'missing-field': () => ({ message: 'this field is missing', need: 'a value for it' }),
  twice: ({ what, value }) => ({ message: `${TWICE[what]} ${value} appears twice`, need: 'each one once' }),

  'closer-than-life-size': ({ given, min }) => not(given, 'too close', `at least ${min} (four focal lengths)`),
  'behind-the-lens': ({ given, above }) => not(given, 'too close', `more than ${above} (the lens is at that distance)`),
  'not-apart': ({ given, above }) => not(given, 'not beyond the other distance', `a distance beyond ${above}`),
  'no-direction': () => ({ message: 'the camera is aimed at the point where it stands', need: 'a point away from the camera' }),
  'zoom-swapped': ({ shortestMm }) => ({
    message: `the longest focal length is below ${shortestMm} mm`,
    need: `${shortestMm} mm or more`,
  }),
  'stops-swapped': ({ widestStop, narrowestStop }) => ({
    message: `the widest stop ${widestStop} is narrower than ${narrowestStop}`,
    need: 'the smaller number as the widest stop',
  }),
  'not-a-zoom': ({ widestStop }) => ({ message: 'a prime has one widest stop', need: `${widestStop}` }),
  'no-steps': () => ({
    message: 'a ring in steps has at least one step',
    need: 'the number of presses from one end to the other',
  }),
  'closer-than-close-focus': ({ given, min, max }) => not(given, 'closer than the lens can focus', spanText(min, max)),
  'beyond-the-scale': ({ given, min, max }) => not(given, 'beyond the scale', spanText(min, max)),
  'outside-ring': ({ given, min, max }) => not(given, 'outside the range of the ring', spanText(min, max)),
  'off-the-ring': ({ given, unit, min, max }) => {
    const print = (value: number) => (unit === 'mm' ? `${Math.round(value * 10) / 10} mm` : degText(value));
    return not(print(given), 'off the ring', `${print(min)} to ${print(max)}`);
  },
  'no-diameter': () => ({ message: 'the diameter of the barrel is not known', need: 'the diameter in mm' }),
  'readings-contradict': ({ degs: [one, other] }) => ({
    message: `two readings of the same distance are ${degText(one!)} and ${degText(other!)}`,
    need: 'one of them read again',
  }),
  'throw-unlikely': ({ throwDeg, min, max }) =>
    not(`a turn of ${degText(throwDeg)} from end to end`, 'more or less than any ring has', `${degText(min)} to ${degText(max)}`),
  'distance-twice': () => ({ message: 'this distance appears twice', need: 'each distance once' }),
  'turns-back': ({ ringDeg, betweenDeg: [low, high] }) => ({
    message: `${degText(ringDeg)} turns back against its neighbours`,
    need: high === undefined ? `an angle beyond ${degText(low!)}` : `an angle between ${degText(low!)} and ${degText(high)}`,
  }),

  'outside-lens': ({ given, unit, min, max }) => ({
    message: unit === 'mm' ? `the lens has no ${given} mm` : `the lens has no stop ${Number(given.toFixed(2))}`,
    need: unit === 'mm' ? spanText(min, max, ' mm') : `a stop from ${stopText(min)} to ${stopText(max)}, such as T2.8`,
  }),
  'id-twice': ({ id }) => ({ message: `the id “${id}” is already used`, need: 'an id of its own' }),
  'no-such-subject': ({ id }) => ({ message: `there is no subject “${id}”`, need: 'the id of a subject of this plan' }),
  'no-such-mark': ({ id }) => ({ message: `there is no mark “${id}”`, need: 'the id of a mark of this plan' }),
  'no-such-landmark': ({ id }) => ({
    message: `there is no landmark “${id}”`,
    need: 'the id of a landmark on the floor, or null',
  }),
  'stands-nowhere': ({ id }) => ({
    message: `subject “${id}” has no position to follow`,
    need: 'a subject that stands at a mark',
  }),
  'walks-to-infinity': ({ name }) => ({
    message: `${name} would walk to or from infinity`,
    need: 'finite distances for these marks',
  }),
  'not-drawn': () => ({
    message: 'the mark has no place on the floor',
    need: 'a place on the floor, or another way of measuring',
  }),
  'no-start': () => ({ message: 'the focus track has pulls and no start', need: 'a mark or a distance to start from' }),
  'ends-before-start': ({ fromS, toS }) => ({
    message: `the end at ${formatTime(toS)} is before the start at ${formatTime(fromS)}`,
    need: 'an end after the start',
  }),
  'after-the-end': ({ timeS, durationS }) => ({
    message: `${formatTime(timeS)} is after the end of the shot`,
    need: `at most ${formatTime(durationS)}`,
  }),
  'outside-beat': ({ timeS, fromS, toS }) => ({
    message: `the key moment is at ${formatTime(timeS)}`,
    need: `${formatTime(fromS)} to ${formatTime(toS)}`,
  }),
  overlap: ({ startS, previousEndS }) => ({
    message: `it starts at ${formatTime(startS)}, before the previous one ends`,
    need: `at least ${formatTime(previousEndS)}`,
  }),
  backwards: ({ timeS, previousS }) => ({
    message: `${formatTime(timeS)} is not after the previous ${formatTime(previousS)}`,
    need: 'times that increase',
  }),
  'nothing-to-judge': ({ missing }) =>
    missing === 'distance'
      ? { message: 'no distance is known', need: 'a distance for the first subject' }
      : { message: 'nothing has to be sharp', need: 'a subject that must be sharp, and when' },

  'lengths-differ': ({ lows, highs, frames }) => ({
    message: `there are ${lows} low limits and ${highs} high limits for ${frames} frames`,
    need: 'one of each per frame',
  }),
  'no-room': ({ low, high }) => ({
    message: `the low limit ${low} is above the high limit ${high}`,
    need: 'a low limit that is not above the high limit',
  }),
  'broken-track': ({ reason }) => ({ message: BROKEN_TRACK[reason], need: 'a track as this program writes it' }),

  empty: (values) => ({ message: EMPTY[values.what], need: readableText(values) }),
  unreadable: (values) => ({ message: unreadableText(values), need: readableText(values) }),
  'several-readings': ({ text, readings }) => {
    const meanings = readings.map(readingText);
    const isOne = meanings.length === 1;
    return {
      message: isOne ? `“${text}” is not clear` : `“${text}” can be ${alternatives(meanings)}`,
      need: isOne ? meanings[0]! : alternatives(meanings),
    };
  },
  'ambiguous-comma': ({ text }) => ({
    message: `“${text}” could be ${text.replace(',', '')} or ${text.replace(',', '.')}`,
    need: 'a decimal point, and no thousands separator',
  }),
  'no-unit': ({ text }) => ({
    message: `“${text}” has no unit`,
    need: 'a heading such as “distance m” or “distance ft”, or a unit in the cell',
  }),
  'twelve-inches': ({ text }) => ({
    message: `“${text}” has twelve inches or more after the feet`,
    need: 'inches below 12, or inches alone such as 95in',
  }),
  zero: () => ({ message: 'a distance of 0 is at the image plane', need: 'a distance above 0' }),
  'too-far': ({ text }) => ({ message: `“${text}” is over ten kilometres`, need: 'a shorter distance, or inf' }),
  'closer-than-a-tape': ({ text }) => ({
    message: `“${text}” is closer than a tape can measure`,
    need: 'a tape distance, or inf',
  }),
  'other-width': ({ cells, headings }) => ({
    message: `this line has ${cells} cells, the heading ${headings}`,
    need: 'a decimal point, or semicolons between the cells where commas are decimal',
  }),
  'unknown-heading': ({ headings }) => ({ message: 'this heading is not known', need: `one of: ${headings.join(', ')}` }),
  'missing-column': ({ heading }) => ({ message: `there is no column “${heading}”`, need: 'that column' }),
  'heading-twice': () => ({ message: 'this heading appears twice', need: 'each heading once' }),
  'not-separated': ({ text }) => ({ message: `“${text}” is one cell`, need: 'commas, semicolons or tabs between the cells' }),
  'ambiguous-headings': ({ text, distances, angles }) => ({
    message: `the heading “${text}” names ${distances} distances and ${angles} angles`,
    need: 'one of each, such as “distance m, ring deg”',
  }),
  'no-heading': () => ({
    message: 'there is no heading, and the cells do not show which one is the distance',
    need: 'a first line such as “distance m, ring deg”',
  }),
  'no-time-column': () => ({ message: 'no column holds a timecode or a time', need: 'a heading with “timecode” or “time”' }),
  'not-at-rate': ({ timecode, captureFps }) => ({
    message: `“${timecode}” is no timecode at ${captureFps} frames per second`,
    need: 'the frame rate of the shot as in the file, or a column of seconds',
  }),
  'not-a-timecode': ({ timecode }) => ({
    message: `“${timecode}” is no timecode`,
    need: 'a time of day with frames, such as 10:15:00:00',
  }),
  'not-in-order': () => ({ message: 'the lines are not in order of time', need: 'lines from the first frame to the last' }),
  'not-a-date': ({ text }) => ({ message: `“${text}” is not a date`, need: 'a date such as 2026-03-14' }),
  'wrong-file': ({ file, format }) => ({
    message: `the file is not a ${file} file of this program`,
    need:
      file === 'takes'
        ? `takes that were exported as JSON (${format}); a CSV sheet is for reading`
        : 'a file exported from Kit, or a CSV table of lenses or wheels',
  }),
  'no-such-slate': ({ slate }) => ({
    message: `there is no shot with the slate “${slate}”`,
    need: 'the slate of a shot of this production',
  }),
};

/** Writes a problem for the person who can solve it. */
export function problemText(problem: Problem): ProblemText {
  // the code picks the writer of its own values
  return (WRITERS[problem.code] as (values: Problem['values']) => ProblemText)(problem.values);
}

/** A problem as the server sends it: with its code, its place and its text. */
export function problemView(problem: Problem): ProblemText & { readonly code: string; readonly path: string } {
  return { code: problem.code, path: problem.path, ...problemText(problem) };
}

/** The text as sentences: "0 is out of range. Needed: a number above 0." */
export function neededSentence({ message, need }: ProblemText): string {
  return `${capital(message)}. Needed: ${need}.`;
}

/** The text beside a field: "99 is out of range. Type a number from 0 to 60." */
export function typeSentence({ message, need }: ProblemText): string {
  return `${capital(message)}. Type ${need}.`;
}

function spanText(low: number, high: number, unit = ''): string {
  if (low === high) return `${low}${unit}`;
  return `${low} to ${high === Infinity ? 'infinity' : `${high}${unit}`}`;
}

function stopText(stop: number): string {
  return String(Number(stop.toFixed(1)));
}

function degText(deg: number): string {
  return `${Number(deg.toFixed(2))}°`;
}

/** A reading of a typed distance, printed so that it has this one meaning. */
export function readingText({ mm, units }: DistanceReading): string {
  if (units === 'imperial') return formatFineDistance(mm, 'imperial');
  const metres = mm / 1000;
  return `${metres.toFixed(Math.min(Math.max(2, (String(Number(metres.toFixed(4))).split('.')[1] ?? '').length), 4))} m`;
}
