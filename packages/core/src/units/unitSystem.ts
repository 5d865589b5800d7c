/** Unit system for typing and printing. The core itself uses millimetres. */
export type UnitSystem = 'metric' | 'imperial';

/** Exact since 1959: one inch is 25.4 mm. */
export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export const MM_PER_METRE = 1000;
