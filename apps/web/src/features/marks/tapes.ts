import type { TapeColour, TapeShape } from '@still-heron/core';

/** Colours of tape as they come on a roll, light enough to be seen on both grounds. */
const CSS: Readonly<Record<TapeColour, string>> = {
  white: 'var(--mist)',
  yellow: '#d8b521',
  orange: '#e07b1f',
  red: '#dd4b4b',
  pink: '#e36fae',
  green: '#3fa95c',
  blue: '#4c8fdf',
  black: 'var(--edge)',
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
