import type { RingReading } from '../kit/index.js';
import type { Place } from './place.js';

/** How a distance was measured. */
export const MEASURE_METHODS = ['tape', 'laser', 'picture', 'eye', 'reference', 'drawn'] as const;
export type MeasureMethod = (typeof MEASURE_METHODS)[number];

/** Why a measured distance is stale and must be measured again. */
export const STALE_REASONS = ['lens', 'camera'] as const;
export type StaleReason = (typeof STALE_REASONS)[number];

/** Where the camera was when a distance was measured, and what the drawing said of the distance then. */
export interface Taping {
  /** The tape was held at the camera's place at this time of the shot */
  readonly timeS: number;
  /** Straight line from the drawn image plane to the drawn point of focus */
  readonly drawnMm: number;
}

/** Shape of the tape on the floor. */
export const TAPE_SHAPES = ['tee', 'cross', 'corner', 'line', 'none'] as const;
export type TapeShape = (typeof TAPE_SHAPES)[number];

export const TAPE_COLOURS = ['white', 'yellow', 'orange', 'red', 'pink', 'green', 'blue', 'black'] as const;
export type TapeColour = (typeof TAPE_COLOURS)[number];

/** A place where a subject is focused on, with its letter and its distance. */
export interface Mark {
  readonly id: string;
  /** A, B, C … as written on the ring */
  readonly letter: string;
  /** Subject that stands here; null for an object or a bare place */
  readonly subjectId: string | null;
  /** What exactly to focus on here; empty for the subject's own default */
  readonly detail: string;
  /** Tape distance; null for infinity */
  readonly distanceMm: number | null;
  /** Where a measured distance was taken from; null unless the mark is measured and drawn */
  readonly taping: Taping | null;
  /** Place on the floor; null if it is not drawn */
  readonly place: Place | null;
  readonly method: MeasureMethod;
  /**
   * Where the ring stood when focus was found here. For a mark found in the picture the distance follows from it; beside a tape it says how
   * well the scale of the ring fits
   */
  readonly reading: RingReading | null;
  /** Spread of the reading in ring degrees, one standard deviation; null for what is assumed of its kind */
  readonly readingSigmaDeg: number | null;
  /** Read from a simulated device, not measured on a set */
  readonly isSimulated: boolean;
  /** One standard deviation of the measurement */
  readonly uncertaintyMm: number;
  /** Set after another lens was put on or somebody said that the camera moved; null otherwise. See `staleCause` for the drawing */
  readonly stale: StaleReason | null;
  readonly tapeShape: TapeShape;
  /** null for any colour: the mark is then drawn in the subject's colour */
  readonly tapeColour: TapeColour | null;
  /** Landmark to focus on while the subject is not there */
  readonly focusReferenceId: string | null;
  /** What to ask the performer for so that focus can be found here, in one sentence */
  readonly pose: string;
  /** A hard stop is set on the wheel here */
  readonly hasHardStop: boolean;
  /** How far the subject may miss the mark, each way; 0 for no requirement */
  readonly allowanceMm: number;
  readonly note: string;
}

/** Default values of a new mark, apart from its letter and place. */
export const DEFAULT_MARK = {
  detail: '',
  taping: null,
  reading: null,
  readingSigmaDeg: null,
  isSimulated: false,
  stale: null,
  tapeShape: 'tee',
  tapeColour: null,
  focusReferenceId: null,
  pose: '',
  hasHardStop: false,
  allowanceMm: 0,
  note: '',
} as const satisfies Partial<Mark>;

/** Tape distances by mark id; Infinity stands for infinity. */
export function markDistances(marks: readonly Mark[]): Map<string, number> {
  return new Map(marks.map((mark) => [mark.id, mark.distanceMm ?? Infinity]));
}
