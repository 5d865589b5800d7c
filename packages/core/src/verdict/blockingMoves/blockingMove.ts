import type { ShotPlan, TimeSpan } from '../../plan/index.js';

/** The subject of a move, and its start time. */
export interface BlockingMoveStart {
  /** null for a new subject in front of the camera */
  readonly subjectId: string | null;
  readonly atS: number;
}

/** A parameter of a blocking move. Lengths and distances in mm, times in s, angles in degrees, stops as engraved. */
export interface BlockingMoveParam {
  readonly key: string;
  readonly word: string;
  readonly unit: 'distance' | 'length' | 'time' | 'degrees' | 'stop' | 'choice';
  readonly min: number;
  readonly max: number;
  readonly defaultValue: number;
  /** For a choice: label of each value */
  readonly choices?: readonly { readonly value: number; readonly word: string }[];
}

export type BlockingMoveValues = Readonly<Record<string, number>>;

/** A resulting figure of a blocking move. */
export interface BlockingMoveFigure {
  readonly word: string;
  readonly unit:
    'distance' | 'gap' | 'time' | 'speed' | 'degrees' | 'degrees-per-second' | 'percent' | 'stop' | 'stops' | 'words';
  /** NaN for none, with `words` instead */
  readonly value: number;
  readonly words?: string;
  readonly tone: 'plain' | 'sharp' | 'edge' | 'soft';
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
  readonly id: string;
  readonly word: string;
  /** Purpose, in a sentence */
  readonly description: string;
  /** Whether somebody walks with the camera, so that the cautions for that apply */
  readonly movesCamera: boolean;
  params(plan: ShotPlan, at: BlockingMoveStart): readonly BlockingMoveParam[];
  lay(plan: ShotPlan, at: BlockingMoveStart, values: BlockingMoveValues): BlockedPlan;
  figures(blocked: BlockedPlan, at: BlockingMoveStart, values: BlockingMoveValues): readonly BlockingMoveFigure[];
}

export function figure(
  word: string,
  unit: BlockingMoveFigure['unit'],
  value: number,
  tone: BlockingMoveFigure['tone'] = 'plain',
): BlockingMoveFigure {
  return { word, unit, value, tone };
}

export function said(word: string, words: string, tone: BlockingMoveFigure['tone'] = 'plain'): BlockingMoveFigure {
  return { word, unit: 'words', value: NaN, words, tone };
}

/** Start, end and duration of the first zone span that ends after a time. */
export function windowFigures(spans: readonly TimeSpan[], { atS }: BlockingMoveStart, endS: number): BlockingMoveFigure[] {
  const span = spans.find(({ untilS }) => untilS > atS);
  if (!span) return [said('the zone', 'is never reached: they stay soft', 'soft')];
  return [
    figure('comes into the zone', 'time', span.fromS),
    span.untilS >= endS - 1e-6
      ? said('leaves the zone', 'not in this shot', 'sharp')
      : figure('leaves the zone', 'time', span.untilS),
    figure('sharp for', 'time', span.untilS - span.fromS, 'sharp'),
  ];
}
