import { problem, type Problem } from '../problems.js';
import {
  cellPath,
  type CsvTable,
  type LensRing,
  readFigure,
  ringOf,
  tidyTable,
  unreadFigure,
  withinReach,
} from '../kit/index.js';
import type { ShotPlan } from '../plan/index.js';
import { framesPerDay, frameOfTimecode, isDropFrame, isTimecode, exactFps } from '../roll/index.js';
import { asJudged } from './asJudged.js';
import {
  LENS_DATA_UNIT_MM,
  LENS_DATA_UNITS,
  type LensColumn,
  lensColumn,
  type LensDataUnit,
  likelyUnits,
} from './lensColumns.js';
import type { Take } from './take.js';
import { holesOf, packTrack, type TimedAngle, type RingTrack, trackOfReadings } from './track.js';

/** Result of reading lens data: a track, a question, or the problems of the file. */
export type LensDataReading =
  | {
      readonly status: 'read';
      readonly track: RingTrack;
      readonly durationS: number;
      /** Timecode of the first line; empty if the file has none */
      readonly startTimecode: string;
      /** Unit of the distances if neither the heading nor the caller named it; otherwise null */
      readonly detectedUnit: LensDataUnit | null;
    }
  | {
      readonly status: 'asks-unit';
      /** Likely units; all of them if none is */
      readonly units: readonly LensDataUnit[];
      /** First distance of the file */
      readonly example: number;
    }
  | { readonly status: 'unread'; readonly problems: readonly Problem[] };

/** Sample rate of the resulting track. */
const HZ = 100;
/** Largest number of lines: more than two hours at a hundred lines per second. */
const MAX_LINES = 1_000_000;
const MAX_PROBLEMS = 20;

/** One line of the file: a ring angle or a distance without its unit; null if the cell is empty. */
interface Line {
  readonly timeS: number;
  readonly value: number | null;
}

/** The two columns that are read. */
interface Columns {
  readonly timeAt: number;
  readonly valueAt: number;
  readonly value: Exclude<LensColumn, { kind: 'time' }>;
  readonly headings: readonly string[];
}

/**
 * Reads recorded lens data as the track of a take: a time column (seconds or timecode) and a column of ring angles or
 * distances. The first line is the start of the take. An empty value, or a gap in time, is a hole of the track.
 *
 * @param table - headings first
 * @param unit - of the distances, if their heading doesn't name one; undefined to detect it from the plan
 */
export function readLensData(table: CsvTable, plan: ShotPlan, unit?: LensDataUnit): LensDataReading {
  const [head, ...body] = tidyTable(table);
  const columns = columnsOf(head?.cells ?? []);
  if (!columns) return unread([problem('no-time-column', 'line 1', {})]);
  const count = body.length;
  if (count < 2) return unread([problem('too-few', '', { count, min: 2, counted: 'lines-of-data' })]);
  if (count > MAX_LINES) return unread([problem('too-many', '', { count, max: MAX_LINES, counted: 'lines-of-data' })]);
  const { lines, problems } = readLines(body, columns, plan.captureFps);
  if (problems.length > 0) return unread(problems);
  const values = lines.flatMap(({ value }) => value ?? []);
  if (values.length < 2) return unread([problem('too-few', '', { count: values.length, min: 2, counted: 'lines-of-data' })]);

  const ring = ringOf(plan.optics.lens);
  const named = columns.value.kind === 'ring' ? null : (columns.value.unit ?? unit ?? null);
  const likely = columns.value.kind === 'ring' || named ? [] : likelyUnits(values, plan, ring);
  if (columns.value.kind === 'distance' && !named && likely.length !== 1)
    return {
      status: 'asks-unit',
      units: likely.length > 0 ? likely : LENS_DATA_UNITS,
      example: values.find(Number.isFinite) ?? Infinity,
    };
  const detectedUnit = likely[0] ?? null;
  const degOf = degreesOf(ring, named ?? detectedUnit);
  const startCell = body[0]!.cells[columns.timeAt] ?? '';
  return {
    status: 'read',
    ...trackOfLines(lines, degOf),
    startTimecode: isTimecode(startCell) ? startCell : '',
    detectedUnit,
  };
}

/**
 * A take with lens data as its track, judged. The file starts where its first line does: if both timecodes are known, cues and focus
 * checks move with it. Cues that nobody gave are seen in the ring.
 */
export function withLensData(plan: ShotPlan, take: Take, reading: Extract<LensDataReading, { status: 'read' }>): Take {
  const { captureFps } = plan;
  const ofFile = frameOfTimecode(reading.startTimecode, captureFps);
  const ofTake = frameOfTimecode(take.startTimecode, captureFps);
  const laterS = ofFile === null || ofTake === null ? 0 : (ofFile - ofTake) / exactFps(captureFps);
  const onFile = (timeS: number) => Math.min(Math.max(timeS - laterS, 0), reading.durationS);
  const focusChecks = take.focusChecks.map(({ fromS, toS }) => ({ fromS: onFile(fromS), toS: onFile(toS) }));
  return asJudged(plan, {
    ...take,
    track: packTrack(reading.track),
    ringFrom: 'lens-data',
    timecodeFrom: reading.startTimecode === '' ? take.timecodeFrom : 'camera',
    durationS: reading.durationS,
    startTimecode: reading.startTimecode || take.startTimecode,
    cues: take.cues.map((cue) => ({ ...cue, timeS: onFile(cue.timeS) })),
    focusChecks: focusChecks.filter(({ fromS, toS }) => toS > fromS),
  });
}

/** @returns null if the headings name no time, or nothing to read with it */
function columnsOf(headings: readonly string[]): Columns | null {
  const columns = headings.map(lensColumn);
  const timeAt = columns.findIndex((column) => column?.kind === 'time');
  const ringAt = columns.findIndex((column) => column?.kind === 'ring');
  const valueAt = ringAt >= 0 ? ringAt : columns.findIndex((column) => column?.kind === 'distance');
  const value = columns[valueAt];
  return timeAt < 0 || !value || value.kind === 'time' ? null : { timeAt, valueAt, value, headings };
}

function readLines(
  body: readonly { readonly line: number; readonly cells: readonly string[] }[],
  { timeAt, valueAt, value: { kind }, headings }: Columns,
  captureFps: number,
): { readonly lines: readonly Line[]; readonly problems: readonly Problem[] } {
  const lines: Line[] = [];
  const problems: Problem[] = [];
  const clock = timeReader(captureFps);
  for (const { line, cells } of body) {
    if (problems.length >= MAX_PROBLEMS) break;
    const [timeCell, valueCell] = [cells[timeAt] ?? '', cells[valueAt] ?? ''];
    const timeS = clock(timeCell);
    const value = kind === 'distance' && /^(inf|infinity|∞)$/i.test(valueCell) ? Infinity : readFigure(valueCell);
    if (timeS === null) problems.push(badTime(cellPath(line, headings[timeAt]!), timeCell, captureFps));
    else if (value === null && valueCell !== '') problems.push(badValue(cellPath(line, headings[valueAt]!), valueCell));
    else if (kind === 'distance' && value !== null && value <= 0)
      problems.push(
        problem('out-of-range', cellPath(line, headings[valueAt]!), { given: String(value), above: 0, allowsInfinity: true }),
      );
    else if (timeS <= (lines.at(-1)?.timeS ?? -Infinity)) problems.push(problem('not-in-order', cellPath(line, null), {}));
    else lines.push({ timeS, value });
  }
  return { lines, problems };
}

/** Reads seconds or timecode, one line after the other; timecode may go past midnight. */
function timeReader(captureFps: number): (cell: string) => number | null {
  let before = 0;
  return (cell) => {
    const frame = frameOfTimecode(cell, captureFps);
    if (frame === null) return isTimecode(cell) ? null : readFigure(cell);
    const day = framesPerDay(captureFps, isDropFrame(cell));
    let count = frame;
    while (count < before - day / 2) count += day;
    before = count;
    return count / exactFps(captureFps);
  };
}

/** Ring angle of a value: a distance in a unit, or without a unit the angle itself. */
function degreesOf(ring: LensRing, unit: LensDataUnit | null): (value: number) => number {
  if (unit === null) return (value) => value;
  return (value) => ring.angleAt(withinReach(ring, value * LENS_DATA_UNIT_MM[unit]));
}

/** The track from the first line to the last. */
function trackOfLines(lines: readonly Line[], degOf: (value: number) => number): { track: RingTrack; durationS: number } {
  const startS = lines[0]!.timeS;
  const durationS = lines[lines.length - 1]!.timeS - startS;
  const readings: TimedAngle[] = lines.flatMap(({ timeS, value }) =>
    value === null ? [] : [{ timeS: timeS - startS, ringDeg: degOf(value) }],
  );
  const times = lines.map(({ timeS, value }) => ({ timeS: timeS - startS, isEmpty: value === null }));
  const holes = holesOf(times);
  return { track: { ...trackOfReadings(readings, HZ, durationS), ...(holes.length > 0 ? { holes } : {}) }, durationS };
}

function badTime(path: string, cell: string, captureFps: number): Problem {
  if (isTimecode(cell)) return problem('not-at-rate', path, { timecode: cell, captureFps });
  return badValue(path, cell);
}

function badValue(path: string, cell: string): Problem {
  return { ...unreadFigure(cell), path } as Problem;
}

function unread(problems: readonly Problem[]): LensDataReading {
  return { status: 'unread', problems };
}
