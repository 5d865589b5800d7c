/** Seed of all trials, so that compared plans draw the same numbers. */
export const SEED = 1;

/** Trials for a displayed figure: accurate to about one in a hundred. */
export const TAKES = 2000;
