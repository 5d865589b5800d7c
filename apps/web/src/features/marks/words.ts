import type { MeasureMethod } from '@still-heron/core';

/** Names of the measuring methods. */
export const METHOD_WORDS: Readonly<Record<MeasureMethod, string>> = {
  tape: 'tape',
  laser: 'laser',
  picture: 'the picture',
  eye: 'eye',
  reference: 'a stand-in',
  drawn: 'the drawing',
};
