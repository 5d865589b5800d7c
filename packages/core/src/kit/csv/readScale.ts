import { problem, type Problem } from '../../problems.js';
import { MM_PER_FOOT, MM_PER_INCH, parseDistance } from '../../units/index.js';
import { KIT_LIMITS } from '../kitLimits.js';
import type { RingPoint } from '../ring.js';
import {
  type CellProblem,
  cellPath,
  CsvProblems,
  type CsvReading,
  type CsvTable,
  readFigure,
  tidyHeading,
  tidyTable,
  unreadFigure,
} from './table.js';

/** Units that a heading may name, in mm. */
const UNITS: readonly (readonly [pattern: RegExp, mm: number])[] = [
  [/\b(mm|millimet(er|re)s?)\b/, 1],
  [/\b(cm|centimet(er|re)s?)\b/, 10],
  [/\b(m|met(er|re)s?)\b/, 1000],
  [/\b(ft|feet|foot)\b/, MM_PER_FOOT],
  [/\b(in|inch(es)?)\b/, MM_PER_INCH],
];

const DISTANCE = /\b(distance|dist|tape)\b/;
const ANGLE = /\b(angle|ring|deg|degrees?|rotation|turn)\b/;
/** `1,200` with or without a unit: the comma could separate thousands. */
const MAY_BE_THOUSANDS = /^[1-9]\d{0,2},\d{3}(?!\d)/;
const ENDLESS = /^(inf|infinity|infinite|∞|null)$/i;

interface Columns {
  readonly distance: number;
  readonly ring: number;
  /** Unit of a bare figure in mm; null if each cell must name its unit */
  readonly bareMm: number | null;
  readonly headings: readonly string[];
}

/**
 * Reads scale points from a table that has a distance and an angle in each line.
 *
 * A heading names the columns ("distance m, ring deg"). A cell may name its own unit ("2.4 m", "7'11"), also feet among metres.
 * A table without a heading is read only if units or infinity in the cells identify the distance column.
 *
 * @returns all points in file order, or every problem with its line and column
 */
export function readScale(table: CsvTable): CsvReading<RingPoint> {
  const problems = new CsvProblems();
  const rows = tidyTable(table);
  const columns = columnsOf(rows, problems);
  if (!columns) return { status: 'unread', problems: problems.list };
  const body = rows[0] && isHeading(rows[0].cells) ? rows.slice(1) : rows;
  if (body.length > KIT_LIMITS.ringPoints.max) {
    const { max } = KIT_LIMITS.ringPoints;
    problems.add(body[max]!.line, null, 'too-many', { count: body.length, max, counted: 'scale-points' });
    return { status: 'unread', problems: problems.list };
  }
  if (body.length === 0) problems.add(1, null, 'empty', { what: 'scale-points' });
  const points = body.flatMap(({ line, cells }) => readPoint(line, cells, columns, problems));
  return problems.hasAny ? { status: 'unread', problems: problems.list } : { status: 'read', items: points };
}

function readPoint(line: number, cells: readonly string[], columns: Columns, problems: CsvProblems): RingPoint[] {
  if (cells.length > columns.headings.length) {
    problems.add(line, null, 'other-width', { cells: cells.length, headings: columns.headings.length });
    return [];
  }
  const distanceCell = cells[columns.distance] ?? '';
  const distanceMm = readDistanceCell(distanceCell, columns.bareMm);
  const ringCell = (cells[columns.ring] ?? '').replace(/(°|deg|degrees?)$/i, '').trimEnd();
  const ringDeg = readFigure(ringCell);
  const distancePath = cellPath(line, columns.headings[columns.distance]!);
  const ringPath = cellPath(line, columns.headings[columns.ring]!);
  if (typeof distanceMm === 'string')
    problems.push({ ...unreadDistance(distanceCell, distanceMm), path: distancePath } as Problem);
  else if (distanceMm !== null && distanceMm < KIT_LIMITS.distanceMm.min)
    problems.push(problem('closer-than-a-tape', distancePath, { text: distanceCell }));
  else if (distanceMm !== null && distanceMm > KIT_LIMITS.distanceMm.max)
    problems.push(problem('too-far', distancePath, { text: distanceCell }));
  if (ringDeg === null) problems.push({ ...unreadFigure(ringCell), path: ringPath } as Problem);
  else if (Math.abs(ringDeg) > KIT_LIMITS.ringDeg.max)
    problems.push(problem('out-of-range', ringPath, { given: `${ringDeg}°`, max: KIT_LIMITS.ringDeg.max }));
  if (typeof distanceMm === 'string' || ringDeg === null) return [];
  return [{ distanceMm, ringDeg }];
}

/** Millimetres, null for infinity, or why the cell can't be read. */
function readDistanceCell(cell: string, bareMm: number | null): number | null | 'unreadable' | 'no-unit' {
  if (ENDLESS.test(cell)) return null;
  const bare = readFigure(cell);
  if (bare !== null) return bareMm === null ? 'no-unit' : bare * bareMm;
  const parsed = parseDistance(cell, 'metric');
  if (parsed.status === 'unread' || MAY_BE_THOUSANDS.test(cell)) return 'unreadable';
  return parsed.distanceMm === Infinity ? null : parsed.distanceMm;
}

function unreadDistance(cell: string, why: 'unreadable' | 'no-unit'): CellProblem {
  return why === 'no-unit' ? { code: 'no-unit', values: { text: cell } } : unreadFigure(cell, 'distance');
}

function columnsOf(rows: readonly { line: number; cells: readonly string[] }[], problems: CsvProblems): Columns | null {
  const first = rows[0];
  if (!first) {
    problems.add(1, null, 'empty', { what: 'file' });
    return null;
  }
  return isHeading(first.cells) ? fromHeading(first.line, first.cells, problems) : fromCells(rows, problems);
}

function fromHeading(line: number, cells: readonly string[], problems: CsvProblems): Columns | null {
  const tidy = cells.map(tidyHeading);
  const distances = tidy.flatMap((heading, k) => (DISTANCE.test(heading) || isUnit(heading) || heading === 'focus' ? [k] : []));
  const rings = tidy.flatMap((heading, k) => (ANGLE.test(heading) && !distances.includes(k) ? [k] : []));
  if (distances.length !== 1 || rings.length !== 1) {
    const named = cells.filter((cell) => cell !== '').join(', ');
    if (cells.length === 1) problems.add(line, null, 'not-separated', { text: named });
    else problems.add(line, null, 'ambiguous-headings', { text: named, distances: distances.length, angles: rings.length });
    return null;
  }
  const heading = tidy[distances[0]!]!;
  return {
    distance: distances[0]!,
    ring: rings[0]!,
    bareMm: UNITS.find(([pattern]) => pattern.test(heading))?.[1] ?? null,
    headings: cells.map((cell, k) => cell || `column ${k + 1}`),
  };
}

/** Finds the distance column of a table without a heading: the one with units or infinity. */
function fromCells(rows: readonly { line: number; cells: readonly string[] }[], problems: CsvProblems): Columns | null {
  const speaks = (k: number) =>
    rows.some(({ cells }) => {
      const cell = cells[k] ?? '';
      return cell !== '' && readFigure(cell) === null && parseDistance(cell, 'metric').status === 'read';
    });
  const width = rows[0]!.cells.length;
  const distance = [0, 1].filter(speaks);
  if (width !== 2 || distance.length !== 1) {
    problems.add(rows[0]!.line, null, 'no-heading', {});
    return null;
  }
  return { distance: distance[0]!, ring: 1 - distance[0]!, bareMm: null, headings: ['column 1', 'column 2'] };
}

function isHeading(cells: readonly string[]): boolean {
  return (
    cells.every((cell) => readFigure(cell) === null && !ENDLESS.test(cell)) &&
    cells.some((cell) => /\p{L}{2}|\bm\b/u.test(cell)) &&
    !cells.some((cell) => /^\d/.test(cell))
  );
}

function isUnit(heading: string): boolean {
  return UNITS.some(([pattern]) => heading.replace(pattern, '').trim() === '');
}
