/** Timecode of a camera, simulated from the time of day or received through the device port. */

const DAY_S = 86_400;

/** Frame count per second in timecode: 24 for 23.976. */
export function timecodeBase(fps: number): number {
  return Math.round(fps);
}

/**
 * Timecode of a time of day.
 *
 * @param daySeconds - since midnight; wraps there
 */
export function timecodeAt(daySeconds: number, fps: number): string {
  const base = timecodeBase(fps);
  const inDay = ((daySeconds % DAY_S) + DAY_S) % DAY_S;
  return timecodeOf(Math.floor(inDay) * base + Math.min(Math.floor((inDay % 1) * base + 1e-6), base - 1), fps);
}

/** Timecode of a frame number counted from midnight. */
export function timecodeOf(frame: number, fps: number): string {
  const base = timecodeBase(fps);
  const seconds = Math.floor(frame / base);
  const parts = [Math.floor(seconds / 3600) % 24, Math.floor(seconds / 60) % 60, seconds % 60, frame % base];
  return parts.map((part) => String(part).padStart(2, '0')).join(':');
}

const TIMECODE = /^([01]\d|2[0-3]):([0-5]\d):([0-5]\d):(\d\d)$/;

/**
 * Frame number of a timecode, counted from midnight.
 *
 * @returns null if the text is not a timecode at this rate
 */
export function frameOfTimecode(timecode: string, fps: number): number | null {
  const parts = TIMECODE.exec(timecode)?.slice(1).map(Number);
  const base = timecodeBase(fps);
  if (!parts || parts[3]! >= base) return null;
  return ((parts[0]! * 60 + parts[1]!) * 60 + parts[2]!) * base + parts[3]!;
}
