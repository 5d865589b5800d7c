/** Timecode of a camera, simulated from the time of day or received through the device port. */

const DAY_S = 86_400;
const TIMECODE = /^([01]\d|2[0-3]):([0-5]\d):([0-5]\d)[:;](\d{2,3})$/;

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

/** Real frames per second of a rate as people write it: 24000/1001 for 23.976, 30000/1001 for 29.97. */
export function exactFps(fps: number): number {
  const base = Math.round(fps);
  const slowed = (base * 1000) / 1001;
  return fps !== base && Math.abs(fps - slowed) < 0.005 ? slowed : fps;
}

/** Frame numbers that drop-frame timecode leaves out at the start of a minute: 2 at 29.97, 4 at 59.94; null at other rates. */
function droppedPerMinute(fps: number): number | null {
  const base = timecodeBase(fps);
  return base % 30 === 0 && exactFps(fps) < base ? base / 15 : null;
}

/** Frames of a whole day of timecode. */
export function framesPerDay(fps: number, drop: boolean): number {
  const dropped = drop ? (droppedPerMinute(fps) ?? 0) : 0;
  return 24 * 60 * (60 * timecodeBase(fps)) - 24 * 54 * dropped;
}

/** Whether a text has the form of a timecode, at any rate. */
export function isTimecode(text: string): boolean {
  return TIMECODE.test(text);
}

/** Whether a timecode is drop-frame: it has a semicolon before its frames. */
export function isDropFrame(timecode: string): boolean {
  return timecode.includes(';');
}

/**
 * Timecode of a frame number counted from midnight.
 *
 * @param drop - as drop-frame, with a semicolon; only at rates that have it
 */
export function timecodeOf(frame: number, fps: number, drop = false): string {
  const base = timecodeBase(fps);
  const dropped = drop ? droppedPerMinute(fps) : null;
  const number = dropped === null ? frame : frame + skippedBefore(frame, base, dropped);
  const seconds = Math.floor(number / base);
  const parts = [Math.floor(seconds / 3600) % 24, Math.floor(seconds / 60) % 60, seconds % 60].map((part) => twoDigits(part));
  return `${parts.join(':')}${dropped === null ? ':' : ';'}${String(number % base).padStart(String(base - 1).length, '0')}`;
}

/** Numbers left out before a frame: in every minute but each tenth. */
function skippedBefore(frame: number, base: number, dropped: number): number {
  const minute = 60 * base - dropped;
  const tenMinutes = 10 * minute + dropped;
  const inTen = frame % tenMinutes;
  const minutes = inTen < 60 * base ? 0 : 1 + Math.floor((inTen - 60 * base) / minute);
  return dropped * (9 * Math.floor(frame / tenMinutes) + minutes);
}

function twoDigits(value: number): string {
  return String(value).padStart(2, '0');
}

/**
 * Frame number of a timecode, counted from midnight. A semicolon before the frames makes it drop-frame.
 *
 * @returns null if the text is not a timecode at this rate
 */
export function frameOfTimecode(timecode: string, fps: number): number | null {
  const parts = TIMECODE.exec(timecode)?.slice(1).map(Number);
  const base = timecodeBase(fps);
  if (!parts || parts[3]! >= base) return null;
  const minutes = parts[0]! * 60 + parts[1]!;
  const number = (minutes * 60 + parts[2]!) * base + parts[3]!;
  if (!isDropFrame(timecode)) return number;
  const dropped = droppedPerMinute(fps);
  if (dropped === null || (parts[2] === 0 && parts[3]! < dropped && minutes % 10 !== 0)) return null;
  return number - dropped * (minutes - Math.floor(minutes / 10));
}
