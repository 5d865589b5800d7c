import type { MarkHit } from '@still-heron/core';

/** How a mark was hit. */
export const HIT_WORDS: Readonly<Record<MarkHit, string>> = {
  hit: 'hit',
  late: 'late',
  early: 'early',
  overshot: 'overshot',
  'in-front': 'in front',
  behind: 'behind',
  searched: 'searched',
  'false-start': 'false start',
};
