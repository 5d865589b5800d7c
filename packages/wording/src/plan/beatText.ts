import type { Beat, Requirement, ShotPlan } from '@still-heron/core';
import { subjectName } from '../names.js';

/** Words for a requirement: in a sentence, in a choice, and on a bar, where "sharp" is omitted. */
export const REQUIREMENT_WORDS: Readonly<
  Record<Requirement, { readonly phrase: string; readonly choice: string; readonly tag: string }>
> = {
  sharp: { phrase: 'must be sharp', choice: 'sharp', tag: '' },
  soft: { phrase: 'must be soft', choice: 'soft', tag: 'soft' },
  none: { phrase: 'may be soft', choice: 'may be soft', tag: 'may be soft' },
};

/** "Ines must be sharp from 4.00 s to 10.00 s". */
export function beatText(plan: ShotPlan, { subjectId, requirement, fromS, toS }: Beat): string {
  const times = `from ${fromS.toFixed(2)} s to ${toS.toFixed(2)} s`;
  return `${subjectName(plan, subjectId)} ${REQUIREMENT_WORDS[requirement].phrase} ${times}`;
}
