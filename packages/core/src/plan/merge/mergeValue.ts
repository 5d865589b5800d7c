import { isDeepEqual } from '../../deepEqual.js';

/** One thing three times: as both had it, and as each has it now. */
export interface Sides<T> {
  readonly base: T;
  readonly mine: T;
  readonly theirs: T;
}

/** A part of each of the three. */
export function partOf<T, K extends keyof T>({ base, mine, theirs }: Sides<T>, key: K): Sides<T[K]> {
  return { base: base[key], mine: mine[key], theirs: theirs[key] };
}

/** Whose change stays where both have changed the same. */
export type ClashRule = 'mine' | 'theirs';

/** Whether at most one of the two has changed it, or both alike. */
export function isOneSided({ base, mine, theirs }: Sides<unknown>): boolean {
  return [
    [mine, theirs],
    [base, theirs],
    [base, mine],
  ].some(([a, b]) => isDeepEqual(a, b));
}

/** The value that was changed; of two that were, the one that the rule names. */
export function mergeValue<T>(sides: Sides<T>, rule: ClashRule): T {
  const { base, mine, theirs } = sides;
  if (!isOneSided(sides)) return rule === 'mine' ? mine : theirs;
  return isDeepEqual(base, mine) ? theirs : mine;
}
