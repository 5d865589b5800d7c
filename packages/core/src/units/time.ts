import { problem, type Problem } from '../problems.js';

/** A typed time: its value, or a problem to show beside the field. */
export type ParsedTime =
  { readonly status: 'read'; readonly timeS: number } | { readonly status: 'unread'; readonly problem: Problem };

/**
 * Reads a time within a shot: `3.2`, `3.2s`, `3,2`, `1:02.5`, `80f` (frames at the capture rate).
 *
 * @param captureFps - frames per second, > 0; the unit of `f`
 */
export function parseTime(text: string, captureFps: number): ParsedTime {
  const given = text.trim().toLowerCase().replace(',', '.');
  const frames = /^(\d+) ?(?:f|fr|frames?)$/.exec(given);
  if (frames) return { status: 'read', timeS: Number(frames[1]) / captureFps };
  const seconds = /^(\d+(?:\.\d*)?|\.\d+) ?(?:s|sec|seconds?)?$/.exec(given);
  if (seconds) return { status: 'read', timeS: Number(seconds[1]) };
  const clock = /^(\d+):([0-5]?\d(?:\.\d*)?)$/.exec(given);
  if (clock) return { status: 'read', timeS: Number(clock[1]) * 60 + Number(clock[2]) };
  const found =
    given === ''
      ? problem('empty', 'time', { what: 'time' })
      : problem('unreadable', 'time', { text: text.trim(), what: 'time' });
  return { status: 'unread', problem: found };
}

/** Formats a time: `6.2 s`; `1:02.5` from one minute on. */
export function formatTime(timeS: number): string {
  const tenths = Math.round(timeS * 10);
  return tenths < 600 ? `${(tenths / 10).toFixed(1)} s` : formatTimeFigure(timeS);
}

/** Like `formatTime` without the unit. */
export function formatTimeFigure(timeS: number): string {
  const tenths = Math.round(timeS * 10);
  if (tenths < 600) return (tenths / 10).toFixed(1);
  const minutes = Math.floor(tenths / 600);
  return `${minutes}:${((tenths % 600) / 10).toFixed(1).padStart(4, '0')}`;
}

/**
 * Number of frames recorded in a span.
 *
 * @returns the nearest whole number, at least 1
 */
export function frameCount(durationS: number, captureFps: number): number {
  return Math.max(1, Math.round(durationS * captureFps));
}

/**
 * First frame at or after a time. A span [from, to) covers the frames from `frameAtOrAfter(from)` up to, but without,
 * `frameAtOrAfter(to)`. A millionth of a frame is tolerated, so that 2.5 s at 24 fps is frame 60 despite rounding.
 */
export function frameAtOrAfter(timeS: number, captureFps: number): number {
  return Math.max(0, Math.ceil(timeS * captureFps - 1e-6));
}
