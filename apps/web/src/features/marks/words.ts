import type { MeasureMethod } from '@still-heron/core';

/** How a distance came to be known, in the words of the set. */
export const METHOD_WORDS: Readonly<Record<MeasureMethod, string>> = {
  tape: 'tape',
  laser: 'laser',
  picture: 'the picture',
  eye: 'eye',
  'stand-in': 'a stand-in',
  drawn: 'the drawing',
};
