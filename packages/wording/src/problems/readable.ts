import type { ProblemValues } from '@still-heron/core';

/** What a text should have been, and the production's units for a distance. */
export type ReadableValues = ProblemValues['empty'];

/** An example of a text that can be read. */
export function readableText({ what, units }: Pick<ReadableValues, 'what' | 'units'>): string {
  switch (what) {
    case 'number':
      return 'a number with a decimal point';
    case 'distance':
      return units === 'imperial'
        ? "a distance such as 7'11, 7ft 11 1/2, 7-11, 95in, 2.4m or inf"
        : 'a distance such as 2.4, 240cm, 7\'11", 95in or inf';
    case 'stop':
      return 'a stop such as T2.8';
    case 'time':
      return 'seconds such as 3.2, 1:02.5 or frames such as 80f';
    case 'scale-points':
      return 'points such as inf@0 3000@95 650@260: millimetres at degrees';
    case 'json':
      return 'JSON in UTF-8';
    case 'text':
      return 'a name';
    case 'file':
      return 'a file with a heading and a line for each item';
  }
}

const NOUNS: Readonly<Record<ProblemValues['unreadable']['what'], string>> = {
  number: 'a number',
  distance: 'a distance',
  stop: 'a stop',
  time: 'a time',
  'scale-points': 'a scale point',
  json: 'JSON',
  text: 'text',
};

export function unreadableText({ text, what }: ProblemValues['unreadable']): string {
  return `“${text}” can't be read as ${NOUNS[what]}`;
}
