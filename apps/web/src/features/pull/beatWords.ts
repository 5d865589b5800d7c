import type { Beat } from '@still-heron/core';

/** What a kind of beat asks, as it is said in a sentence, in a choice, and on its bar, where being sharp needs no word. */
export const BEAT_WORDS: Readonly<
  Record<Beat['kind'], { readonly asked: string; readonly choice: string; readonly tag: string }>
> = {
  sharp: { asked: 'must be sharp', choice: 'sharp', tag: '' },
  soft: { asked: 'must be soft', choice: 'soft', tag: 'soft' },
  drift: { asked: 'may drift', choice: 'may drift', tag: 'may drift' },
};
