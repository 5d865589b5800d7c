import { createRequire } from 'node:module';

const find = createRequire(import.meta.url).resolve;
const file = (subset: string, weight: number) =>
  find(`@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`);

/** Typefaces of the report: Latin, and extended Latin. */
export const TYPEFACES = {
  plain: { latin: file('latin', 400), 'latin-ext': file('latin-ext', 400) },
  strong: { latin: file('latin', 700), 'latin-ext': file('latin-ext', 700) },
} as const;
export type Weight = keyof typeof TYPEFACES;

/** Letters that only the extended typeface has. */
const FAR =
  /[\u0100-\u02ba\u02bd-\u02c5\u02c7-\u02cc\u02ce-\u02d7\u02dd-\u02ff\u1d00-\u1dbf\u1e00-\u1e9f\u1ef2-\u1eff\u20a0-\u20ab\u20ad-\u20c0]/;

/** Splits a text where its typeface changes. */
export function runsOf(text: string): { text: string; subset: 'latin' | 'latin-ext' }[] {
  const runs: { text: string; subset: 'latin' | 'latin-ext' }[] = [];
  for (const character of text) {
    const subset = FAR.test(character) ? 'latin-ext' : 'latin';
    const last = runs[runs.length - 1];
    if (last?.subset === subset) last.text += character;
    else runs.push({ text: character, subset });
  }
  return runs;
}
