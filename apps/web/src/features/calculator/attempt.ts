import { CoreError } from '@still-heron/core';
import { neededSentence, problemText } from '@still-heron/wording';

/** A result, or the core's reason why there is none. */
export function attempt<T>(answer: () => T): { readonly value: T } | { readonly problem: string } {
  try {
    return { value: answer() };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { problem: neededSentence(problemText(error.problem)) };
  }
}
