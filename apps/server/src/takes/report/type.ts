import { createRequire } from 'node:module';

const find = createRequire(import.meta.url).resolve;
const weights = { plain: 400, strong: 700 } as const;
export type Weight = keyof typeof weights;

/** Subsets of the typefaces, each with the letters that only it has; the first one has all others. */
const SUBSETS = {
  latin: { family: 'atkinson-hyperlegible-next', letters: null },
  'latin-ext': {
    family: 'atkinson-hyperlegible-next',
    letters:
      /[\u0100-\u02ba\u02bd-\u02c5\u02c7-\u02cc\u02ce-\u02d7\u02dd-\u02ff\u1d00-\u1dbf\u1e00-\u1e9f\u1ef2-\u1eff\u20a0-\u20ab\u20ad-\u20c0]/,
  },
  cyrillic: { family: 'noto-sans', letters: /[\u0400-\u045f\u0490\u0491\u04b0\u04b1\u2116]/ },
  'cyrillic-ext': {
    family: 'noto-sans',
    letters: /[\u0460-\u0482\u048a-\u048f\u0492-\u04af\u04b2-\u052f\u1c80-\u1c8a\ua640-\ua66e]/,
  },
  greek: { family: 'noto-sans', letters: /[\u0370-\u0377\u037a-\u037f\u0384-\u03ff]/ },
  'greek-ext': { family: 'noto-sans', letters: /[\u1f00-\u1fff]/ },
} as const;
export type Subset = keyof typeof SUBSETS;

const NAMES = Object.keys(SUBSETS) as Subset[];

/** Every typeface of the report, with its file. */
export const TYPEFACES: readonly { readonly weight: Weight; readonly subset: Subset; readonly file: string }[] = NAMES.flatMap(
  (subset) =>
    (Object.keys(weights) as Weight[]).map((weight) => {
      const { family } = SUBSETS[subset];
      return { weight, subset, file: find(`@fontsource/${family}/files/${family}-${subset}-${weights[weight]}-normal.woff`) };
    }),
);

/** Splits a text where its typeface changes. A later subset that has a letter as well is preferred: the extended ones are the more special. */
export function runsOf(text: string): { text: string; subset: Subset }[] {
  const runs: { text: string; subset: Subset }[] = [];
  for (const character of text) {
    const subset = NAMES.findLast((name) => SUBSETS[name].letters?.test(character)) ?? 'latin';
    const last = runs[runs.length - 1];
    if (last?.subset === subset) last.text += character;
    else runs.push({ text: character, subset });
  }
  return runs;
}
