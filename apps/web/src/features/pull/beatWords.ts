import type { Beat } from '@still-heron/core';

/** Words for a requirement: in a sentence, in a choice, and on a bar, where "sharp" is omitted. */
export const BEAT_WORDS: Readonly<
  Record<Beat['kind'], { readonly asked: string; readonly choice: string; readonly tag: string }>
> = {
  sharp: { asked: 'must be sharp', choice: 'sharp', tag: '' },
  soft: { asked: 'must be soft', choice: 'soft', tag: 'soft' },
  drift: { asked: 'may drift', choice: 'may drift', tag: 'may drift' },
};
