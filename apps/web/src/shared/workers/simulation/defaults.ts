/** Seed of all trials, so that compared plans draw the same numbers. */
export const SEED = 1;

/** Trials for a displayed figure: accurate to about one in a hundred. */
export const TAKES = 2000;

/** Priorities of trials, the lowest first. From `fixes` on they take no part in a drag. */
export const RANKS = { keepRate: 0, sweep: 1, fixes: 2, improvements: 2, methods: 3 } as const;
