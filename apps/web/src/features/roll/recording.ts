import { packTrack, type TimedAngle, trackOfReadings } from '@still-heron/core';

/** Sample rate of a stored track; lower for takes that would exceed the size limit. */
export const TRACK_HZ = 100;
const FEWER_HZ = [50, 25, 10] as const;
/** Number of samples that always fit in a take. */
const MAX_SAMPLES = 240_000;

/**
 * Track of a take from its readings.
 *
 * @param readings - in order of time
 * @returns as packed by `packTrack`; null without readings
 */
export function trackOf(readings: readonly TimedAngle[], durationS: number): string | null {
  if (readings.length === 0) return null;
  const hz = [TRACK_HZ, ...FEWER_HZ].find((rate) => durationS * rate < MAX_SAMPLES) ?? FEWER_HZ[2];
  return packTrack(trackOfReadings(readings, hz, durationS));
}
