import type { ShotPlan, TimeSpan } from '../../pull/index.js';

/** Whom a move is for, and from when on. */
export interface StagingAt {
  /** null for someone new, before the camera */
  readonly subjectId: string | null;
  readonly atS: number;
}

/** A figure of a move that can be chosen: lengths and distances in mm, times in s, angles in degrees, stops on the lens's scale. */
export interface StagingParam {
  readonly key: string;
  readonly word: string;
  readonly unit: 'distance' | 'length' | 'time' | 'degrees' | 'stop' | 'choice';
  readonly min: number;
  readonly max: number;
  readonly usual: number;
  /** For a choice: what each value is called */
  readonly choices?: readonly { readonly value: number; readonly word: string }[];
}

export type StagingValues = Readonly<Record<string, number>>;

/** A figure that follows from a move. */
export interface StagingFigure {
  readonly word: string;
  readonly unit:
    'distance' | 'gap' | 'time' | 'speed' | 'degrees' | 'degrees-per-second' | 'percent' | 'stop' | 'stops' | 'words';
  /** NaN for none, with `words` in its place */
  readonly value: number;
  readonly words?: string;
  readonly tone: 'plain' | 'sharp' | 'edge' | 'soft';
}

/** A move laid into a plan: what the plan becomes, and who it is for, now that they are there. */
export interface LaidMove {
  readonly plan: ShotPlan;
  readonly subjectId: string;
}

/**
 * A move that people make: what can be chosen of it, how it is laid into a plan as ordinary marks, ways and pulls, and the figures that follow.
 * Figures are read off the plan it makes, so that they hold for just that.
 */
export interface Staging {
  readonly id: string;
  readonly word: string;
  /** What it is for, in a sentence */
  readonly says: string;
  /** Whether someone walks with the camera, and the cautions for that apply */
  readonly movesCamera: boolean;
  params(plan: ShotPlan, at: StagingAt): readonly StagingParam[];
  lay(plan: ShotPlan, at: StagingAt, values: StagingValues): LaidMove;
  figures(laid: LaidMove, at: StagingAt, values: StagingValues): readonly StagingFigure[];
}

export function figure(
  word: string,
  unit: StagingFigure['unit'],
  value: number,
  tone: StagingFigure['tone'] = 'plain',
): StagingFigure {
  return { word, unit, value, tone };
}

export function said(word: string, words: string, tone: StagingFigure['tone'] = 'plain'): StagingFigure {
  return { word, unit: 'words', value: NaN, words, tone };
}

/** When the zone is entered and left, and for how long it holds someone, of the first span that ends after a time. */
export function windowFigures(spans: readonly TimeSpan[], { atS }: StagingAt, endS: number): StagingFigure[] {
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
