import { packTrack } from '@still-heron/core';

/** Samples a second that a track is kept at; fewer for a take so long that it would not be taken. */
export const TRACK_HZ = 100;
const FEWER_HZ = [50, 25, 10] as const;
/** Samples that fit into what a take may hold, however much the ring turns. */
const MOST_SAMPLES = 240_000;

/** Where the ring was, as it was read: at no even times. */
export interface Reading {
  readonly timeS: number;
  readonly ringDeg: number;
}

/**
 * Readings as a track: even in time, straight between two readings.
 *
 * @param readings - in order of time
 * @returns as `packTrack` has it; null for none
 */
export function trackOf(readings: readonly Reading[], durationS: number): string | null {
  if (readings.length === 0) return null;
  const hz = [TRACK_HZ, ...FEWER_HZ].find((rate) => durationS * rate < MOST_SAMPLES) ?? FEWER_HZ[2];
  const ringDeg = new Float64Array(Math.max(1, Math.floor(durationS * hz + 1e-6) + 1));
  let next = 0;
  for (let sample = 0; sample < ringDeg.length; sample++) {
    const timeS = sample / hz;
    while (next < readings.length && readings[next]!.timeS <= timeS) next++;
    const before = readings[Math.max(next - 1, 0)]!;
    const after = readings[Math.min(next, readings.length - 1)]!;
    const between = after.timeS - before.timeS;
    const share = between > 0 ? Math.min(Math.max((timeS - before.timeS) / between, 0), 1) : 0;
    ringDeg[sample] = before.ringDeg + share * (after.ringDeg - before.ringDeg);
  }
  return packTrack({ hz, ringDeg });
}
