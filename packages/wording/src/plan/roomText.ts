import type { PlanList } from '@still-heron/core';

const NAMES: Readonly<Record<PlanList, string>> = {
  subjects: 'subjects',
  marks: 'marks',
  beats: 'times at which someone must be sharp',
  pulls: 'pulls',
};

/** Why nothing more can be added. */
export function fullText({ list, max }: { readonly list: PlanList; readonly max: number }): string {
  return `A shot has at most ${max} ${NAMES[list]}.`;
}
