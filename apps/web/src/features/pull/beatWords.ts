import type { Beat } from '@still-heron/core';

/** Words for a requirement: in a sentence, in a choice, and on a bar, where "sharp" is omitted. */
export const BEAT_WORDS: Readonly<
  Record<Beat['requirement'], { readonly phrase: string; readonly choice: string; readonly tag: string }>
> = {
  sharp: { phrase: 'must be sharp', choice: 'sharp', tag: '' },
  soft: { phrase: 'must be soft', choice: 'soft', tag: 'soft' },
  none: { phrase: 'may be soft', choice: 'may be soft', tag: 'may be soft' },
};
