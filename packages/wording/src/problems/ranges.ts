import type { ProblemValues } from '@still-heron/core';

type NumberRange = Omit<ProblemValues['not-a-number'], 'given'>;

/** The accepted numbers: "a whole number from 1 to 200", "a number above 0". */
export function rangeText({ min, above, max, isWhole, allowsInfinity }: NumberRange): string {
  const noun = `a ${isWhole ? 'whole ' : ''}number`;
  const suffix = allowsInfinity ? ', or infinity' : '';
  if (min !== undefined && max !== undefined) return `${noun} from ${min} to ${max}${suffix}`;
  const least = min !== undefined ? `of at least ${min}` : '';
  const low = above !== undefined ? `above ${above}` : least;
  const high = max !== undefined ? `of at most ${max}` : '';
  return [noun, [low, high].filter(Boolean).join(' and ')].filter(Boolean).join(' ') + suffix;
}

/** "helicoid or table", "angle, speed or steps". */
export function alternatives(choices: readonly (string | number)[]): string {
  return choices.join(', ').replace(/, ([^,]*)$/, ' or $1');
}

/** "text of 1 to 80 characters" */
export function lengthText({ min, max }: { readonly min: number; readonly max: number }): string {
  return min > 0 ? `text of ${min} to ${max} characters` : `text of at most ${max} characters`;
}
