import { problem, type Problem } from '../problems.js';
import { cellPath, type CsvTable, readFigure, ringOf, tidyHeading, tidyTable, unreadFigure, withinReach } from '../kit/index.js';
import type { ShotPlan } from '../plan/index.js';
import { frameOfTimecode, timecodeBase } from '../roll/index.js';
import { MM_PER_FOOT, MM_PER_METRE } from '../units/index.js';
import { type RingReading, type RingTrack, trackOfReadings } from './track.js';

/** Result of reading lens data: a track, or the problems of the file. */
export type LensDataReading =
  | { readonly status: 'read'; readonly track: RingTrack; readonly durationS: number }
  | { readonly status: 'unread'; readonly problems: readonly Problem[] };

/** Sample rate of the resulting track. */
const HZ = 100;
/** Largest number of lines: more than two hours at a hundred lines per second. */
const MAX_LINES = 1_000_000;
const MAX_PROBLEMS = 20;

type Column = { readonly kind: 'time' } | { readonly kind: 'ring' } | { readonly kind: 'distance'; readonly mm: number };

/** Known column headings, normalised. */
const HEADINGS: Readonly<Record<string, Column>> = {
  time: { kind: 'time' },
  t: { kind: 'time' },
  'time s': { kind: 'time' },
  seconds: { kind: 'time' },
  timecode: { kind: 'time' },
  ring: { kind: 'ring' },
  'ring deg': { kind: 'ring' },
  'ring angle': { kind: 'ring' },
  'ring angle deg': { kind: 'ring' },
  distance: { kind: 'distance', mm: MM_PER_METRE },
  'distance m': { kind: 'distance', mm: MM_PER_METRE },
  'focus distance': { kind: 'distance', mm: MM_PER_METRE },
  'focus distance m': { kind: 'distance', mm: MM_PER_METRE },
  'distance mm': { kind: 'distance', mm: 1 },
  'focus distance mm': { kind: 'distance', mm: 1 },
  'distance ft': { kind: 'distance', mm: MM_PER_FOOT },
  'focus distance ft': { kind: 'distance', mm: MM_PER_FOOT },
};

/**
 * Reads recorded lens data as the track of a take: a time column (seconds or timecode) and a column of ring angles or
 * distances. The first line is the start of the take.
 *
 * @param table - headings first
 */
export function readLensData(table: CsvTable, plan: Pick<ShotPlan, 'optics' | 'captureFps'>): LensDataReading {
  const [head, ...body] = tidyTable(table);
  const columns = (head?.cells ?? []).map((cell) => HEADINGS[tidyHeading(cell)] ?? null);
  const timeAt = columns.findIndex((column) => column?.kind === 'time');
  const ringAt = columns.findIndex((column) => column?.kind === 'ring');
  const valueAt = ringAt >= 0 ? ringAt : columns.findIndex((column) => column?.kind === 'distance');
  if (timeAt < 0 || valueAt < 0) return unread([problem('no-time-column', 'line 1', {})]);
  const count = body.length;
  if (count < 2) return unread([problem('too-few', '', { count, min: 2, counted: 'lines-of-data' })]);
  if (count > MAX_LINES) return unread([problem('too-many', '', { count, max: MAX_LINES, counted: 'lines-of-data' })]);
  const column = columns[valueAt]!;
  const ring = ringOf(plan.optics.lens);
  const degOf = (value: number) => (column.kind === 'distance' ? ring.angleAt(withinReach(ring, value * column.mm)) : value);
  const problems: Problem[] = [];
  const readings: RingReading[] = [];
  for (const { line, cells } of body) {
    if (problems.length >= MAX_PROBLEMS) break;
    const timeS = timeOf(cells[timeAt] ?? '', plan.captureFps);
    const value =
      column.kind === 'distance' && /^(inf|infinity|∞)$/i.test(cells[valueAt] ?? '')
        ? Infinity
        : readFigure(cells[valueAt] ?? '');
    if (timeS === null) problems.push(badCell(line, head!.cells[timeAt]!, cells[timeAt] ?? ''));
    else if (value === null) problems.push(badCell(line, head!.cells[valueAt]!, cells[valueAt] ?? ''));
    else if (column.kind === 'distance' && value <= 0)
      problems.push(
        problem('out-of-range', cellPath(line, head!.cells[valueAt]!), {
          given: String(value),
          above: 0,
          allowsInfinity: true,
        }),
      );
    else if (timeS <= (readings.at(-1)?.timeS ?? -Infinity)) problems.push(problem('not-in-order', cellPath(line, null), {}));
    else readings.push({ timeS, ringDeg: degOf(value) });
  }
  if (problems.length > 0) return unread(problems);
  const startS = readings[0]!.timeS;
  const fromStart = readings.map(({ timeS, ringDeg }) => ({ timeS: timeS - startS, ringDeg }));
  const durationS = fromStart[fromStart.length - 1]!.timeS;
  return { status: 'read', track: trackOfReadings(fromStart, HZ, durationS), durationS };
}

/** Reads seconds or timecode. */
function timeOf(cell: string, captureFps: number): number | null {
  const frame = frameOfTimecode(cell, captureFps);
  return frame === null ? readFigure(cell) : frame / timecodeBase(captureFps);
}

function badCell(line: number, heading: string, cell: string): Problem {
  return { ...unreadFigure(cell), path: cellPath(line, heading) } as Problem;
}

function unread(problems: readonly Problem[]): LensDataReading {
  return { status: 'unread', problems };
}
