import { CoreError } from '../errors.js';

/** Where the ring was in a take, sampled evenly from its start on, in ring degrees. */
export interface RingTrack {
  /** Samples a second */
  readonly hz: number;
  readonly ringDeg: Float64Array;
}

/** Steps a track is kept in: finer than any hand, or encoder. */
const STEP_DEG = 0.01;
/** What a saved track begins with: its form, and then its rate. */
const FORM = 'ring1';
/** No ring is read more often. */
const FASTEST_HZ = 10_000;
/** A track has no more samples: more than two hours at 120 a second. */
const MOST_SAMPLES = 1_000_000;

/** Where the ring was at a time: straight between two samples; before the first, and after the last, where those are. */
export function trackDegAt({ hz, ringDeg }: RingTrack, timeS: number): number {
  const at = Math.min(Math.max(timeS * hz, 0), ringDeg.length - 1);
  const before = Math.min(Math.floor(at), Math.max(ringDeg.length - 2, 0));
  const from = ringDeg[before]!;
  return from + (at - before) * ((ringDeg[before + 1] ?? from) - from);
}

/** Where the ring was at a time, as it was read: at no even times. */
export interface RingReading {
  readonly timeS: number;
  readonly ringDeg: number;
}

/**
 * Readings as a track: even in time, straight between two of them; before the first, and after the last, where those are.
 *
 * @param readings - at least one, in order of time
 * @param durationS - of the track, from time 0 on
 */
export function trackOfReadings(readings: readonly RingReading[], hz: number, durationS: number): RingTrack {
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

/**
 * A track as text, to be stored: differences of hundredths of a degree, each in as few characters as it needs. A ring that stands takes a character a sample.
 *
 * @returns `ring1`, the rate and the samples, parted by spaces
 */
export function packTrack({ hz, ringDeg }: RingTrack): string {
  let packed = '';
  let before = 0;
  for (const deg of ringDeg) {
    const now = Math.round(deg / STEP_DEG);
    packed += packNumber(now - before);
    before = now;
  }
  return `${FORM} ${hz} ${packed}`;
}

/**
 * @throws {CoreError} `broken-track` for a text that is no track
 */
export function unpackTrack(text: string): RingTrack {
  const [form, rate, packed] = text.split(' ');
  const hz = Number(rate);
  if (form !== FORM || !(hz > 0 && hz <= FASTEST_HZ) || !packed) throw brokenTrack('it does not begin as a track does');
  const steps: number[] = [];
  let [value, times, now] = [0, 1, 0];
  for (const character of packed) {
    const digit = DIGITS.indexOf(character);
    if (digit < 0 || steps.length > MOST_SAMPLES) throw brokenTrack('it holds what no track holds');
    value += (digit % HALF) * times;
    times *= HALF;
    if (digit >= HALF) continue;
    // the lowest bit is the sign
    now += value % 2 === 1 ? -(value + 1) / 2 : value / 2;
    steps.push(now);
    [value, times] = [0, 1];
  }
  if (times !== 1) throw brokenTrack('it ends in the middle of a sample');
  return { hz, ringDeg: Float64Array.from(steps, (step) => step * STEP_DEG) };
}

/** Sixty-four characters that need no care in JSON, in an address or in CSV. The upper half says that more of the number comes. */
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

function brokenTrack(message: string): CoreError {
  return new CoreError({ code: 'broken-track', path: 'track', message, need: 'a track as it was stored' });
}
