import type { Place } from './place.js';

/** How a distance came to be known. */
export const MEASURE_METHODS = ['tape', 'laser', 'picture', 'eye', 'stand-in', 'drawn'] as const;
export type MeasureMethod = (typeof MEASURE_METHODS)[number];

/** What makes a measured distance doubtful until it is measured again. */
export const STALE_REASONS = ['lens', 'camera'] as const;
export type StaleReason = (typeof STALE_REASONS)[number];

/** How a place is taped on the floor. */
export const TAPE_SHAPES = ['tee', 'cross', 'corner', 'line', 'none'] as const;
export type TapeShape = (typeof TAPE_SHAPES)[number];

export const TAPE_COLOURS = ['white', 'yellow', 'orange', 'red', 'pink', 'green', 'blue', 'black'] as const;
export type TapeColour = (typeof TAPE_COLOURS)[number];

/** A measured place: a letter, whose it is, and how far. */
export interface Mark {
  readonly id: string;
  /** A, B, C … as written on the ring */
  readonly letter: string;
  /** Whose place it is; null for a thing or a bare place */
  readonly subjectId: string | null;
  /** What exactly is focused on here; empty for what is always focused on of this subject */
  readonly detail: string;
  /** Tape distance; null stands for infinity */
  readonly distanceMm: number | null;
  /** Where it lies on the floor; null while it is not drawn */
  readonly place: Place | null;
  readonly method: MeasureMethod;
  /** Read by the measure stand-in, not by anyone on a set */
  readonly isSimulated: boolean;
  /** One standard deviation of the measuring */
  readonly uncertaintyMm: number;
  /** Measured before another lens was put on, or the camera was moved; null while it holds */
  readonly stale: StaleReason | null;
  readonly tapeShape: TapeShape;
  /** null for whatever is at hand: it is drawn in the subject's colour */
  readonly tapeColour: TapeColour | null;
  /** The landmark that is focused on while nobody stands here */
  readonly standInId: string | null;
  /** What to ask for to find focus here, in a sentence */
  readonly pose: string;
  /** A hard stop is set on the wheel here */
  readonly hasStop: boolean;
  /** How far they shall be able to miss it, each way; 0 where nothing is asked */
  readonly allowanceMm: number;
  readonly note: string;
}

/** What a mark that is only now made is like, besides its letter and place. */
export const PLAIN_MARK = {
  detail: '',
  isSimulated: false,
  stale: null,
  tapeShape: 'tee',
  tapeColour: null,
  standInId: null,
  pose: '',
  hasStop: false,
  allowanceMm: 0,
  note: '',
} as const satisfies Partial<Mark>;

/** Tape distances by mark id, with Infinity in place of null. */
export function markDistances(marks: readonly Mark[]): Map<string, number> {
  return new Map(marks.map((mark) => [mark.id, mark.distanceMm ?? Infinity]));
}
