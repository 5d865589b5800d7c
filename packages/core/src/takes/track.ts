import { CoreError } from '../errors.js';
import type { ProblemValues } from '../problems.js';

/** Ring angle during a take, sampled evenly from its start, in ring degrees. */
export interface RingTrack {
  /** Samples per second */
  readonly hz: number;
  readonly ringDeg: Float64Array;
  /** Spans without data; the angles in them are only drawn through. None if absent */
  readonly holes?: readonly TrackHole[];
}

/** A span of a track without data, in s. */
export interface TrackHole {
  readonly fromS: number;
  readonly toS: number;
}

/** Whether a span of time meets a hole in the data. */
export function isInHole({ holes = [] }: RingTrack, fromS: number, toS: number): boolean {
  return holes.some((hole) => hole.fromS < toS && hole.toS > fromS);
}

/** Resolution of a stored track: finer than any hand or encoder. */
const STEP_DEG = 0.01;
/** Format tag of a stored track, followed by its sample rate. */
const FORM = 'ring1';
/** Lowest and highest sample rate. */
const MIN_HZ = 0.1;
const MAX_HZ = 10_000;
/** Largest ring angle either way: more turns than any ring has. */
const MAX_DEG = 100_000;
/** Largest number of samples: more than two hours at 120 per second. */
const MAX_SAMPLES = 1_000_000;

/** Ring angle at a time: linear between two samples, constant before the first and after the last. */
export function trackDegAt({ hz, ringDeg }: RingTrack, timeS: number): number {
  const at = timeS * hz;
  const last = ringDeg.length - 1;
  if (at <= 0) return ringDeg[0]!;
  if (at >= last) return ringDeg[last]!;
  const before = Math.trunc(at);
  const from = ringDeg[before]!;
  return from + (at - before) * (ringDeg[before + 1]! - from);
}

/** Ring angle at one time, as read, not evenly spaced. */
export interface TimedAngle {
  readonly timeS: number;
  readonly ringDeg: number;
}

/**
 * Resamples readings evenly. Linear between two readings, constant before the first and after the last.
 *
 * @param readings - at least one, in order of time
 * @param durationS - duration of the track from time 0
 */
export function trackOfReadings(readings: readonly TimedAngle[], hz: number, durationS: number): RingTrack {
  let next = 0;
  const ringDeg = Float64Array.from({ length: Math.floor(durationS * hz + 1e-6) + 1 }, (_, sample) => {
    const timeS = sample / hz;
    while (next < readings.length && readings[next]!.timeS <= timeS) next++;
    const before = readings[Math.max(next - 1, 0)]!;
    const after = readings[Math.min(next, readings.length - 1)]!;
    const between = after.timeS - before.timeS;
    const share = between > 0 ? Math.min(Math.max((timeS - before.timeS) / between, 0), 1) : 0;
    return before.ringDeg + share * (after.ringDeg - before.ringDeg);
  });
  return { hz, ringDeg };
}

/** Shortest hole; shorter times without data are drawn through. */
const HOLE_S = 0.25;
/** Lines are missing if none comes for this many of the usual intervals. */
const MISSING_INTERVALS = 5;

/**
 * Holes of recorded data: lines without a value, and gaps between lines.
 *
 * @param lines - in order of time
 */
export function holesOf(lines: readonly { readonly timeS: number; readonly isEmpty: boolean }[]): TrackHole[] {
  const intervals = lines.slice(1).map(({ timeS }, index) => timeS - lines[index]!.timeS);
  const usualS = [...intervals].sort((a, b) => a - b)[Math.floor(intervals.length / 2)] ?? 0;
  const gapS = Math.max(HOLE_S, MISSING_INTERVALS * usualS);
  const holes: TrackHole[] = [];
  let fromS = lines[0]?.timeS ?? 0;
  for (const [index, { timeS, isEmpty }] of lines.entries()) {
    if (isEmpty && index < lines.length - 1) continue;
    const hasEmpty = isEmpty || lines[index - 1]?.isEmpty === true;
    if (timeS - fromS > (hasEmpty ? HOLE_S : gapS)) holes.push({ fromS, toS: timeS });
    fromS = timeS;
  }
  return holes;
}

/**
 * Packs a track as text: differences in hundredths of a degree, with variable length. A resting ring takes one character per
 * sample.
 *
 * @returns `ring1`, the rate, the samples and, if there are any, the holes in ms as `from-to`; separated by spaces
 */
export function packTrack({ hz, ringDeg, holes = [] }: RingTrack): string {
  let packed = '';
  let before = 0;
  for (const deg of ringDeg) {
    const now = Math.round(deg / STEP_DEG);
    packed += packNumber(now - before);
    before = now;
  }
  const inMs = holes.map(({ fromS, toS }) => `${Math.round(fromS * 1000)}-${Math.round(toS * 1000)}`);
  return [FORM, hz, packed, ...(holes.length > 0 ? [inMs.join(',')] : [])].join(' ');
}

/** @throws {CoreError} `broken-track` if the text is not a track */
export function unpackTrack(text: string): RingTrack {
  const [form, rate, packed, gaps] = text.split(' ');
  const hz = Number(rate);
  if (form !== FORM || !(hz >= MIN_HZ && hz <= MAX_HZ) || !packed) throw brokenTrack('header');
  const steps: number[] = [];
  let [value, times, now] = [0, 1, 0];
  for (const character of packed) {
    const digit = DIGITS.indexOf(character);
    if (digit < 0 || steps.length > MAX_SAMPLES) throw brokenTrack('character');
    if (times * STEP_DEG > 2 * HALF * MAX_DEG) throw brokenTrack('angle');
    value += (digit % HALF) * times;
    times *= HALF;
    if (digit >= HALF) continue;
    // the lowest bit is the sign
    now += value % 2 === 1 ? -(value + 1) / 2 : value / 2;
    if (Math.abs(now) * STEP_DEG > MAX_DEG) throw brokenTrack('angle');
    steps.push(now);
    [value, times] = [0, 1];
  }
  if (times !== 1) throw brokenTrack('truncated');
  const ringDeg = Float64Array.from(steps, (step) => step * STEP_DEG);
  return gaps === undefined ? { hz, ringDeg } : { hz, ringDeg, holes: gaps.split(',').map(unpackHole) };
}

function unpackHole(text: string): TrackHole {
  const found = /^(\d+)-(\d+)$/.exec(text);
  if (!found || Number(found[2]) < Number(found[1])) throw brokenTrack('holes');
  return { fromS: Number(found[1]) / 1000, toS: Number(found[2]) / 1000 };
}

/** Sixty-four characters that need no escaping in JSON, URLs or CSV. The upper half marks a digit that is followed by more. */
const DIGITS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_';
const HALF = 32;

function packNumber(difference: number): string {
  let rest = difference < 0 ? -2 * difference - 1 : 2 * difference;
  let packed = '';
  while (rest >= HALF) {
    packed += DIGITS[HALF + (rest % HALF)]!;
    rest = Math.floor(rest / HALF);
  }
  return packed + DIGITS[rest]!;
}

function brokenTrack(reason: ProblemValues['broken-track']['reason']): CoreError {
  return new CoreError({ code: 'broken-track', path: 'track', values: { reason } });
}
