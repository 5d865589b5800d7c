import {
  type Confidence,
  type RecoveryGrade,
  type ShotPlan,
  type TurnFigures,
  type TurnWords,
  turnWords,
  wheelDegOf,
} from '@still-heron/core';
import type { SentencePart } from '../sentence.js';

export const RECOVERY_WORDS: Readonly<Record<RecoveryGrade, string>> = {
  gentle: 'gentle',
  quick: 'quick',
  jerked: 'jerked',
  hunted: 'hunted to and fro',
};

export const CONFIDENCE_WORDS: Readonly<Record<Confidence, string>> = {
  sure: 'sure',
  'fairly-sure': 'fairly sure',
  guess: 'a guess',
};

/** One figure of a turn, with its word. */
export interface TurnCell {
  readonly name: keyof TurnWords;
  readonly figure: string;
  readonly word: string;
  readonly tone: SentencePart['tone'];
}

/** Headings of the figures of a turn. */
export const TURN_HEADINGS: Readonly<Record<keyof TurnWords, string>> = {
  travel: 'turned',
  overshoot: 'overshoot',
  reversals: 'turned round',
  smoothness: 'smooth',
  settling: 'settled',
};

const WORDS = {
  travel: { direct: ['direct', 'sharp'], detour: ['a detour', 'edge'], 'long-way': ['a long way round', 'soft'] },
  overshoot: { none: ['none', 'sharp'], 'in-zone': ['inside the zone', 'edge'], 'past-zone': ['past the zone', 'soft'] },
  reversals: { none: ['never', 'sharp'], one: ['once', 'edge'], many: ['to and fro', 'soft'] },
  smoothness: { even: ['even', 'sharp'], uneven: ['uneven', 'edge'], broken: ['broken', 'soft'] },
  settling: { 'at-once': ['at once', 'sharp'], soon: ['soon', 'edge'], slow: ['slowly', 'soft'], never: ['never', 'soft'] },
} as const;

/**
 * What a turn was like: a figure and a word each, such as "84° for 80°" and "direct".
 *
 * @param wheel - angles are those of the wheel; of the ring without one
 */
export function turnCells(turn: TurnFigures, wheel: ShotPlan['wheel'] = null): TurnCell[] {
  const degrees = (ringDeg: number) => `${wheelDegOf(wheel, ringDeg).toFixed(1)}°`;
  const words = turnWords(turn);
  const cell = <K extends keyof TurnWords>(name: K, figure: string): TurnCell => {
    const [word, tone] = (WORDS[name] as Readonly<Record<string, readonly [string, SentencePart['tone']]>>)[words[name]]!;
    return { name, figure, word, tone };
  };
  return [
    cell('travel', `${degrees(turn.travelDeg)} for ${degrees(turn.plannedDeg)}`),
    cell('overshoot', degrees(turn.overshootDeg)),
    cell('reversals', turn.reversals === 0 ? '' : `${turn.reversals} ×`),
    cell('smoothness', `${Math.round(turn.smoothness * 100)} %`),
    cell('settling', turn.settlingS === null ? '' : `${turn.settlingS.toFixed(2)} s`),
  ];
}

/** All of them in a line, for a list or a sheet. */
export function turnFiguresText(turn: TurnFigures): string {
  return turnCells(turn)
    .map(({ name, figure, word }) => `${TURN_HEADINGS[name]} ${figure}${figure === '' ? '' : ', '}${word}`)
    .join('; ');
}
