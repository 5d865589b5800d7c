import type { TapeColour, TapeShape } from '@still-heron/core';

/** CSS colours of tapes. They are drawn with a border, so that white and black are visible in both lights. */
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
  none: 'no tape',
};
