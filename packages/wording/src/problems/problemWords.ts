import type { ReadableValues } from './readable.js';

/** Words for values of problems, by code. */
export const COUNTED = {
  items: ['item', 'items'],
  lines: ['line', 'lines'],
  'scale-points': ['scale point', 'scale points'],
  'lines-of-data': ['line of data', 'lines of data'],
} as const;

export function countText(count: number, counted: keyof typeof COUNTED): string {
  return `${count} ${COUNTED[counted][count === 1 ? 0 : 1]}`;
}

export const TWICE = { id: 'the id', display: 'the display', 'frame-rate': 'the frame rate', iso: 'ISO' } as const;

export const BROKEN_TRACK = {
  header: 'the track has no valid beginning',
  character: 'the track contains a character that it can’t have',
  truncated: 'the track is cut off',
  holes: 'the holes of the track can’t be read',
  angle: 'the track has an angle that no ring has',
} as const;

export const EMPTY: Readonly<Record<ReadableValues['what'], string>> = {
  number: 'there is no number',
  distance: 'there is no distance',
  stop: 'there is no stop',
  time: 'there is no time',
  'scale-points': 'there are no scale points',
  json: 'the file is empty',
  text: 'there is no name',
  file: 'the file is empty',
};
