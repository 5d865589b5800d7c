/** Speeds of a roll: as planned, or slower for practice. */
export const PRACTICE_RATES = [
  { rate: 1, word: 'full' },
  { rate: 0.75, word: '75 %' },
  { rate: 0.5, word: '50 %' },
  { rate: 0.25, word: '25 %' },
] as const;
