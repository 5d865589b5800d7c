import type { ShotPlan, TimeSpan } from '../../plan/index.js';

/** The subject of a move, and its start time. */
export interface BlockingMoveStart {
  /** null for a new subject in front of the camera */
  readonly subjectId: string | null;
  readonly atS: number;
}

/** A parameter of a blocking move. Lengths and distances in mm, times in s, angles in degrees, stops as engraved. */
export interface BlockingMoveParam {
  readonly key: BlockingMoveParamKey;
  readonly unit: 'distance' | 'length' | 'time' | 'degrees' | 'stop' | 'choice';
  readonly min: number;
  readonly max: number;
  readonly defaultValue: number;
  /** For a choice: its values */
  readonly choices?: readonly number[];
}

/** All parameters of blocking moves. */
export type BlockingMoveParamKey =
  | 'side'
  | 'way'
  | 'closeMm'
  | 'wideMm'
  | 'slideMm'
  | 'lastsS'
  | 'arcDeg'
  | 'offMm'
  | 'walkMm'
  | 'stop'
  | 'leanMm'
  | 'focusMm'
  | 'endMm'
  | 'swayMm'
  | 'periodS'
  | 'firstMm'
  | 'secondMm'
  | 'thirdMm'
  | 'waitS'
  | 'panS';

export type BlockingMoveValues = Readonly<Record<string, number>>;

/** What a figure of a blocking move tells. */
export type BlockingMoveFigureCode =
  | 'enters-zone'
  | 'leaves-zone'
  | 'sharp-for'
  | 'foreground-blur'
  | 'foreground-blur-circles'
  | 'clear-from'
  | 'focus-at'
  | 'radius'
  | 'camera-path'
  | 'subject-path'
  | 'mean-speed'
  | 'peak-speed'
  | 'drift'
  | 'off-centre-room'
  | 'off-centre'
  | 'distance'
  | 'nearer-room'
  | 'farther-room'
  | 'slow-pace-lasts'
  | 'zone-before'
  | 'zone-after'
  | 'f-number-after'
  | 'light-gained'
  | 'light-lost'
  | 'soft-from'
  | 'during'
  | 'inside-by'
  | 'outside-by'
  | 'wheel-turn'
  | 'ring-turn'
  | 'ring-peak-speed'
  | 'sharp-share'
  | 'holding-stop'
  | 'camera-turn'
  | 'focus-from'
  | 'focus-to'
  | 'on-landing'
  | 'holds-from'
  | 'holds-to'
  | 'turn-to'
  | 'last-landing';

/** A figure without a number. */
export type BlockingMoveAnswer =
  | 'never'
  | 'not-in-this-shot'
  | 'touches-the-lens'
  | 'never-clear'
  | 'stays-sharp'
  | 'goes-soft'
  | 'is-sharp'
  | 'is-soft'
  | 'no-stop';

/** A resulting figure of a blocking move. */
export interface BlockingMoveFigure {
  readonly code: BlockingMoveFigureCode;
  readonly unit:
    'distance' | 'gap' | 'time' | 'speed' | 'degrees' | 'degrees-per-second' | 'percent' | 'times' | 'stop' | 'stops' | 'answer';
  /** NaN for an answer */
  readonly value: number;
  readonly answer?: BlockingMoveAnswer;
  readonly tone: 'plain' | 'sharp' | 'edge' | 'soft';
  /** The mark that the figure belongs to, if there are several */
  readonly markId?: string;
}

/** A plan with a blocking move in it, and the subject of the move. */
export interface BlockedPlan {
  readonly plan: ShotPlan;
  readonly subjectId: string;
}

/**
 * A blocking move: its parameters, how it becomes marks, paths and pulls of a plan, and its figures. The figures are read from
 * the resulting plan, so they hold for exactly that plan.
 */
export interface BlockingMove {
  readonly id: BlockingMoveId;
  /** Whether somebody walks with the camera, so that the cautions for that apply */
  readonly movesCamera: boolean;
  /** Whether the subject walks, sways or leans: an object can't */
  readonly needsPerson: boolean;
  params(plan: ShotPlan, at: BlockingMoveStart): readonly BlockingMoveParam[];
  apply(plan: ShotPlan, at: BlockingMoveStart, values: BlockingMoveValues): BlockedPlan;
  figures(blocked: BlockedPlan, at: BlockingMoveStart, values: BlockingMoveValues): readonly BlockingMoveFigure[];
}

export const BLOCKING_MOVE_IDS = [
  'walk-in',
  'constant-distance',
  'push-in',
  'arc',
  'slide-out',
  'whip',
  'waiting-marks',
  'sway',
  'lean',
  'iris-pull',
] as const;
export type BlockingMoveId = (typeof BLOCKING_MOVE_IDS)[number];

export function figure(
  code: BlockingMoveFigureCode,
  unit: Exclude<BlockingMoveFigure['unit'], 'answer'>,
  value: number,
  tone: BlockingMoveFigure['tone'] = 'plain',
): BlockingMoveFigure {
  return { code, unit, value, tone };
}

export function answer(
  code: BlockingMoveFigureCode,
  words: BlockingMoveAnswer,
  tone: BlockingMoveFigure['tone'] = 'plain',
): BlockingMoveFigure {
  return { code, unit: 'answer', value: NaN, answer: words, tone };
}

/** Start, end and duration of the first zone span that ends after a time. */
export function windowFigures(spans: readonly TimeSpan[], { atS }: BlockingMoveStart, endS: number): BlockingMoveFigure[] {
  const span = spans.find(({ untilS }) => untilS > atS);
  if (!span) return [answer('enters-zone', 'never', 'soft')];
  return [
    figure('enters-zone', 'time', span.fromS),
    span.untilS >= endS - 1e-6 ? answer('leaves-zone', 'not-in-this-shot', 'sharp') : figure('leaves-zone', 'time', span.untilS),
    figure('sharp-for', 'time', span.untilS - span.fromS, 'sharp'),
  ];
}
