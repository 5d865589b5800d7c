import { formatTime, type ShotPlan, type SplitObstacle } from '@still-heron/core';
import { subjectName } from '../names.js';
import { inHundred } from '../share.js';

/** Why a shot can't be cut at a time. */
export function splitObstacleText(obstacle: SplitObstacle, plan: ShotPlan): string {
  switch (obstacle.kind) {
    case 'too-short':
      return `A shot lasts at least ${formatTime(obstacle.minS)}.`;
    case 'pull':
      return 'A pull is under way then.';
    case 'course':
      return 'The ring goes through a course then.';
    case 'iris':
      return 'The iris is turned then.';
    case 'zoom':
      return 'The lens zooms then.';
    case 'camera':
      return 'The camera moves or pans then.';
    case 'walk':
      return `${subjectName(plan, obstacle.subjectId)} walks then.`;
  }
}

/** Keep rates of both halves. */
export function halvesText(first: number, second: number): string {
  return `${inHundred(first)} and ${inHundred(second)} of 100 takes kept`;
}

/** Takes that both halves need, beside those of the whole shot. null where no number of takes is enough. */
export function halvesTakesText(halves: readonly [number | null, number | null], whole: number | null): string {
  const [first, second] = halves;
  if (first === null && second === null) return 'no number of takes is enough for either half';
  if (first === null) return 'no number of takes is enough for the first half';
  if (second === null) return 'no number of takes is enough for the second half';
  const takes = `${first} + ${second} takes`;
  return whole === null ? `${takes}; for the whole shot no number is enough` : `${takes} instead of ${whole}`;
}

/** Longest slate that has room for the letter of a half. */
const MAX_SLATE = 10;

/** Slates of both halves: "9C-A" and "9C-B". */
export function halfSlates(slate: string): readonly [string, string] {
  const whole = slate.slice(0, MAX_SLATE);
  return [`${whole}-A`, `${whole}-B`];
}
