import type { ShotPlan } from '../pull/index.js';

/** Which of the numbers a take draws belong to whom: the first of each person, of the line's start, and of each pull, by a key of their own. */
export interface DrawOrder {
  readonly at: ReadonlyMap<string, number>;
  /** Numbers in all */
  readonly count: number;
}

/** Numbers a person draws: how far they miss, how late they are. */
const PER_SUBJECT = 2;
/** Numbers a setting draws: how its mark was measured, where the ring lands, when its move starts. */
const PER_SETTING = 3;

/** The key of the line's start, and of who draws besides. */
export const START_KEY = 'start';
export const subjectKey = (subjectId: string) => `person ${subjectId}`;
export const moveKey = (moveId: string) => `pull ${moveId}`;

/**
 * Gives everyone in a plan numbers to draw.
 *
 * @param like - the order of a plan it is compared with: whoever is in both draws the same numbers in both, so that only what was changed makes a difference
 */
export function drawOrderOf(plan: Pick<ShotPlan, 'subjects' | 'line'>, like: DrawOrder | null = null): DrawOrder {
  const at = new Map(like?.at ?? []);
  let count = like?.count ?? 0;
  const give = (key: string, numbers: number) => {
    if (at.has(key)) return;
    at.set(key, count);
    count += numbers;
  };
  for (const { id } of plan.subjects) give(subjectKey(id), PER_SUBJECT);
  give(START_KEY, PER_SETTING);
  for (const { id } of plan.line.moves) give(moveKey(id), PER_SETTING);
  return { at, count };
}
