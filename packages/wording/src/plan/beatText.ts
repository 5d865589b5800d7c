import type { Beat, Requirement, ShotPlan } from '@still-heron/core';
import { subjectName } from '../names.js';

/** What a beat requires of its subject. */
export const REQUIREMENT_WORDS: Readonly<Record<Requirement, string>> = {
  sharp: 'must be sharp',
  soft: 'must be soft',
  none: 'may be soft',
};

/** "Ines must be sharp from 4.00 s to 10.00 s". */
export function beatText(plan: ShotPlan, { subjectId, requirement, fromS, toS }: Beat): string {
  const times = `from ${fromS.toFixed(2)} s to ${toS.toFixed(2)} s`;
  return `${subjectName(plan, subjectId)} ${REQUIREMENT_WORDS[requirement]} ${times}`;
}
