import type { TapeColour, TapeShape } from '@still-heron/core';

/** Colours of tape as they come on a roll. They are drawn with an edge round them, so that white is seen by day and black by night. */
const CSS: Readonly<Record<TapeColour, string>> = {
  white: '#f6f5ef',
  yellow: '#d8b521',
  orange: '#e07b1f',
  red: '#dd4b4b',
  pink: '#e36fae',
  green: '#3fa95c',
  blue: '#4c8fdf',
  black: '#101415',
};

export function tapeCss(colour: TapeColour): string {
  return CSS[colour];
}

export const SHAPE_WORDS: Readonly<Record<TapeShape, string>> = {
  tee: 'a T for the toes',
  cross: 'a cross',
  corner: 'a corner for the feet',
  line: 'a line',
  none: 'nothing on the floor',
};
