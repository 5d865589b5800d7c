import type { Mark } from './mark.js';
import { between, type Place } from './place.js';
import { type PathPosition, pathPositionAt, type Subject } from './subject.js';

/** Drawn place of a mark; null for a mark at infinity. */
export function placeOfMark({ place, distanceMm }: Mark): Place | null {
  return distanceMm === null ? null : place;
}

/** Place of a subject at a time; null unless the marks it stands at or walks between are drawn. */
export function placeAt(subject: Subject, markOf: ReadonlyMap<string, Mark>, timeS: number): Place | null {
  const where = pathPositionAt(subject, timeS);
  return where && placeOnPath(where, markOf);
}

/** Place between two marks; null unless both are drawn. */
export function placeOnPath({ from, to, progress }: PathPosition, markOf: ReadonlyMap<string, Mark>): Place | null {
  const start = placeOfMark(markOf.get(from.markId)!);
  if (progress === 0) return start;
  const end = placeOfMark(markOf.get(to.markId)!);
  return start && end && between(start, end, progress);
}
