import type { DistanceReading } from './units/distanceReadings.js';
import type { UnitSystem } from './units/unitSystem.js';

/** A value that was given, printed for a message: numbers as they are, text in quotes, other values by their type. */
export type Given = string;

/** Accepted numbers: from `min` or above `above`, to `max`. */
export interface Range {
  readonly min?: number;
  readonly above?: number;
  readonly max?: number;
  readonly isWhole?: boolean;
  readonly allowsInfinity?: boolean;
}

/** What is counted in a list that is too long or too short. */
export type Counted = 'items' | 'lines' | 'scale-points' | 'lines-of-data';

/** What a typed text or a cell should have been. */
export type Readable = 'number' | 'distance' | 'stop' | 'time' | 'scale-points' | 'json' | 'text';

/**
 * Every problem the core can find, by code, with the values its message needs. The core writes no messages: `packages/wording`
 * makes a sentence of a problem.
 */
export interface ProblemValues {
  // any value
  'not-a-number': { readonly given: Given } & Range;
  'out-of-range': { readonly given: Given } & Range;
  'not-whole': { readonly given: Given } & Range;
  'not-text': { readonly given: Given; readonly min: number; readonly max: number };
  'too-short': { readonly min: number; readonly max: number };
  'too-long': { readonly length: number; readonly min: number; readonly max: number };
  'bad-characters': object;
  'not-a-choice': { readonly given: Given; readonly choices: readonly string[] };
  'not-yes-or-no': { readonly given: Given };
  'not-a-list': { readonly given: Given };
  'too-many': { readonly count: number; readonly max: number; readonly counted: Counted };
  'too-few': { readonly count: number; readonly min: number; readonly counted: Counted };
  'not-an-object': { readonly given: Given; readonly fields: readonly string[] };
  'unknown-field': { readonly fields: readonly string[] };
  'missing-field': object;
  twice: { readonly what: 'id' | 'display' | 'frame-rate' | 'iso'; readonly value: string | number };
  // optics, lenses and their rings
  'closer-than-life-size': { readonly given: Given; readonly min: number };
  'behind-the-lens': { readonly given: Given; readonly above: number };
  'not-apart': { readonly given: Given; readonly above: number };
  'no-direction': object;
  'zoom-swapped': { readonly shortestMm: number };
  'stops-swapped': { readonly widestStop: number; readonly narrowestStop: number };
  'not-a-zoom': { readonly widestStop: number };
  'no-steps': object;
  'closer-than-close-focus': { readonly given: Given; readonly min: number; readonly max: number };
  'beyond-the-scale': { readonly given: Given; readonly min: number; readonly max: number };
  'outside-ring': { readonly given: Given; readonly min: number; readonly max: number };
  'distance-twice': object;
  'readings-contradict': { readonly distanceMm: number | null; readonly degs: readonly number[] };
  'throw-unlikely': { readonly throwDeg: number; readonly min: number; readonly max: number };
  'off-the-ring': { readonly given: number; readonly unit: 'deg' | 'mm'; readonly min: number; readonly max: number };
  'no-diameter': object;
  'turns-back': { readonly ringDeg: number; readonly betweenDeg: readonly number[] };
  // plans
  'outside-lens': { readonly given: number; readonly unit: 'mm' | 'stop'; readonly min: number; readonly max: number };
  'id-twice': { readonly id: string };
  'no-such-subject': { readonly id: string };
  'no-such-mark': { readonly id: string };
  'no-such-landmark': { readonly id: string };
  'stands-nowhere': { readonly id: string };
  'walks-to-infinity': { readonly name: string };
  'not-drawn': object;
  'no-start': object;
  'ends-before-start': { readonly fromS: number; readonly toS: number };
  'after-the-end': { readonly timeS: number; readonly durationS: number };
  'outside-beat': { readonly timeS: number; readonly fromS: number; readonly toS: number };
  overlap: { readonly startS: number; readonly previousEndS: number };
  backwards: { readonly timeS: number; readonly previousS: number };
  'nothing-to-judge': { readonly missing: 'distance' | 'beat' };
  // tubes and tracks
  'lengths-differ': { readonly lows: number; readonly highs: number; readonly frames: number };
  'no-room': { readonly low: number; readonly high: number };
  'broken-track': { readonly reason: 'header' | 'character' | 'truncated' | 'holes' | 'angle' };
  // typed text and files
  empty: { readonly what: Readable | 'file'; readonly units?: UnitSystem };
  unreadable: { readonly text: string; readonly what: Readable; readonly units?: UnitSystem };
  'several-readings': { readonly text: string; readonly readings: readonly DistanceReading[] };
  'ambiguous-comma': { readonly text: string };
  'no-unit': { readonly text: string };
  'twelve-inches': { readonly text: string };
  zero: { readonly what: 'distance' };
  'too-far': { readonly text: string };
  'closer-than-a-tape': { readonly text: string };
  'other-width': { readonly cells: number; readonly headings: number };
  'unknown-heading': { readonly headings: readonly string[] };
  'missing-column': { readonly heading: string };
  'heading-twice': object;
  'not-separated': { readonly text: string };
  'ambiguous-headings': { readonly text: string; readonly distances: number; readonly angles: number };
  'no-heading': object;
  'no-time-column': object;
  'not-in-order': object;
  'not-at-rate': { readonly timecode: string; readonly captureFps: number };
  'not-a-timecode': { readonly timecode: string };
  'not-a-date': { readonly text: string };
  'no-such-slate': { readonly slate: string };
  'wrong-file': { readonly file: 'takes' | 'kit'; readonly format: string };
}

export type ProblemCode = keyof ProblemValues;

/** What is wrong with a value. Plain JSON, so that it can cross workers and the wire. */
export type Problem = {
  readonly [C in ProblemCode]: {
    readonly code: C;
    /** Where it is: the name of an argument, or a path into a plan (`focusTrack.pulls[1].startS`) */
    readonly path: string;
    readonly values: ProblemValues[C];
  };
}[ProblemCode];

/** A problem with its values, typed by its code. */
export function problem<C extends ProblemCode>(code: C, path: string, values: ProblemValues[C]): Problem {
  return { code, path, values } as Problem;
}

/** Prints an invalid value for a message. */
export function describeGiven(value: unknown): Given {
  if (typeof value === 'number') return String(value);
  if (typeof value === 'string') return JSON.stringify(value.length > 40 ? `${value.slice(0, 40)}…` : value);
  if (value === null || value === undefined) return String(value);
  return Array.isArray(value) ? 'a list' : `a value of type ${typeof value}`;
}
