import type { WrapState, WrapUp } from '@still-heron/core';
import { counted } from '../figure.js';

/** What a shot still lacks: "none of 3 takes can be used". */
export function wrapUpText({ state, takes, longestScreenS, wantedScreenS }: WrapUp): string {
  switch (state) {
    case 'not-shot':
      return 'not shot yet';
    case 'not-said':
      return `nobody has said how its ${takes === 1 ? 'take was' : `${takes} takes were`}`;
    case 'none':
      return takes === 1 ? 'its take can’t be used' : `none of ${takes} takes can be used`;
    case 'lost':
      return 'it could happen once, and no take can be used';
    case 'too-short':
      return `the longest sharp stretch gives ${longestScreenS.toFixed(1)} s on screen, and ${wantedScreenS!.toFixed(1)} s are wanted`;
    case 'done':
      return 'done';
  }
}

/** All shots in a sentence: "5 of 10 shots have what they need." */
export function wrapUpSentence(states: readonly WrapState[]): string {
  const done = states.filter((state) => state === 'done').length;
  if (done === states.length) return 'Every shot has what it needs.';
  return `${done} of ${counted(states.length, 'shot')} ${done === 1 ? 'has what it needs' : 'have what they need'}.`;
}
