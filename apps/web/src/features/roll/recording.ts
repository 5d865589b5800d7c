import { packTrack, type RingReading, trackOfReadings } from '@still-heron/core';

/** Samples a second that a track is kept at; fewer for a take so long that it would not be taken. */
export const TRACK_HZ = 100;
const FEWER_HZ = [50, 25, 10] as const;
/** Samples that fit into what a take may hold, however much the ring turns. */
const MOST_SAMPLES = 240_000;

/**
 * Readings of a take as its track.
 *
 * @param readings - in order of time
 * @returns as `packTrack` has it; null for none
 */
export function trackOf(readings: readonly RingReading[], durationS: number): string | null {
  if (readings.length === 0) return null;
  const hz = [TRACK_HZ, ...FEWER_HZ].find((rate) => durationS * rate < MOST_SAMPLES) ?? FEWER_HZ[2];
  return packTrack(trackOfReadings(readings, hz, durationS));
}
