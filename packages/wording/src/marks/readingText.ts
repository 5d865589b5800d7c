import {
  type CommonOffset,
  formatDistance,
  type Mark,
  type OffsetCause,
  type Problem,
  type ReadAndMeasured,
  type ReadDistance,
  type RingReading,
  type ScaleOfReadings,
  type UnitSystem,
} from '@still-heron/core';
import { capital } from '../capital.js';
import { figure, listed } from '../figure.js';
import { problemText } from '../problems/problemText.js';

/** Where a ring can be read, as a choice. */
export const READING_WORDS: Readonly<Record<RingReading['kind'], string>> = {
  ring: 'degrees of the ring',
  wheel: 'degrees of the wheel',
  strip: 'mm along a strip on the barrel',
  figures: 'between two engraved figures',
};

const deg = (value: number) => `${figure(Math.round(value * 10) / 10)}°`;

/** A reading in a few words. */
export function ringReadingText(reading: RingReading, units: UnitSystem): string {
  switch (reading.kind) {
    case 'ring':
      return `ring ${deg(reading.deg)}`;
    case 'wheel':
      return `wheel ${deg(reading.deg)}`;
    case 'strip':
      return `${figure(Math.round(reading.mm * 10) / 10)} mm along the strip`;
    case 'figures': {
      const [from, to] = [reading.fromMm, reading.toMm].map((mm) => formatDistance(mm ?? Infinity, units));
      if (reading.share === 0) return `on the figure ${from}`;
      if (reading.share === 1) return `on the figure ${to}`;
      return `${figure(reading.share * 10)} tenths of the way from ${from} to ${to}`;
    }
  }
}

/** What a reading says of the ring and of the distance, and what that is worth. */
export function readDistanceText(reading: RingReading, read: ReadDistance, units: UnitSystem): string {
  const { distanceMm, by, between, ringDeg } = read;
  const where = reading.kind === 'ring' ? '' : `, ring ${deg(ringDeg)}`;
  const at = `${ringReadingText(reading, units)}${where}: ${formatDistance(distanceMm, units)}`;
  if (between === null) return `${at} by an assumed ring. Its scale is not known: only the turn is sure.`;
  const { nearestMm, farthestMm } = between;
  const scale = by === 'scale' ? 'the ring’s scale' : 'the scale of the readings';
  return `${at} by ${scale}, two times in three from ${formatDistance(nearestMm, units)} to ${formatDistance(farthestMm, units)}.`;
}

/**
 * What the marks that were read and measured say of the ring's scale; null while there are none.
 *
 * @param isUsed - the shot uses their scale already
 */
export function scaleOfMarksText(marks: readonly Mark[], scale: ScaleOfReadings | Problem, isUsed: boolean): string | null {
  if (marks.length === 0) return null;
  const letters = listed(marks.map(({ letter }) => letter));
  if ('code' in scale) return `${refusalOf(marks, scale)}`;
  const mostDeg = Math.max(...scale.offDeg.map(Math.abs));
  const fit =
    marks.length === 2 ? 'Two readings always fit: a third would show how well.' : `They fit a smooth scale to ${deg(mostDeg)}.`;
  const odd = scale.standOut.map((index) => marks[index]!.letter);
  const doubt = odd.length > 0 ? ` ${listed(odd)} ${odd.length === 1 ? 'stands' : 'stand'} out: read again.` : '';
  const makes = isUsed ? 'they make' : 'they would make';
  return `${letters} were read and measured, so ${makes} the ring’s scale. ${fit}${doubt}`;
}

function refusalOf(marks: readonly Mark[], scale: Problem): string {
  if (scale.code === 'too-few')
    return `${marks[0]!.letter} was read and measured. One more mark with both would make the ring’s scale.`;
  const index = /\[(\d+)\]/.exec(scale.path)?.[1];
  const { message, need } = problemText(scale);
  const where = index === undefined ? '' : `${marks[Number(index)]!.letter}: `;
  return `${where}${where ? message : capital(message)}. Needed: ${need}.`;
}

/** How readings of measured marks lie against a scale that the ring has; null while there are none. */
export function readAgainstScaleText(read: readonly ReadAndMeasured[]): string | null {
  const lines = read.map(({ mark, ringDeg, scaleDeg, sigmaDeg }) => {
    if (scaleDeg === null) return `${mark.letter} was measured beyond the ring’s scale.`;
    const offDeg = ringDeg - scaleDeg;
    // what two spreads explain is agreement
    if (Math.abs(offDeg) <= 2 * sigmaDeg) return `${mark.letter} reads as its scale says.`;
    return `${mark.letter} reads ${deg(Math.abs(offDeg))} ${offDeg > 0 ? 'above' : 'below'} the ring’s scale.`;
  });
  return lines.length === 0 ? null : lines.join(' ');
}

/** That all marks read off to one side of the scale. */
export function commonOffsetText({ marks, offDeg }: CommonOffset): string {
  const letters = listed(marks.map(({ letter }) => letter));
  return `${letters} all read about ${deg(Math.abs(offDeg))} ${offDeg > 0 ? 'above' : 'below'} the ring’s scale.`;
}

/** What would explain a common offset, and what it leaves. */
export function offsetCauseText({ cause, by, leftDeg }: OffsetCause): string {
  const size = figure(Math.abs(Number(by.toPrecision(2))));
  const what = {
    scale: `The scale is ${size}° off`,
    mount: `The lens sits ${size} mm too ${by > 0 ? 'far out' : 'near'} on its mount`,
    'tape-zero': `The tape reads ${size} mm too ${by > 0 ? 'long' : 'short'}`,
  }[cause];
  return `${what}, which leaves ${deg(leftDeg)} unexplained.`;
}

/** Why no angle was taken from the port. @param refused - of an angle that was sent; null if none was */
export function noAngleSentText(refused: Problem | null): string {
  if (refused === null) return 'No wheel or motor has sent its angle yet. Turn it a little, or type what the ring shows.';
  const { message, need } = problemText(refused);
  return `The angle that was sent can’t be this ring’s: ${message}. Needed: ${need}.`;
}

/** @param refused - why the kit did not take it; null if it did */
export function scaleInKitText(lens: string, refused: string | null): string {
  return refused === null ? `${lens} has this scale in Kit now.` : `Kit did not take the scale for ${lens}: ${refused}`;
}

/** Where the scale of a shot's ring comes from. */
export function scaleOfReadingsText(readings: number): string {
  return `The scale of this ring was fitted to ${readings} readings.`;
}
