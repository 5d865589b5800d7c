import type { HeldBy, WrapState, WrapUp } from '@still-heron/core';
import { counted } from '../figure.js';
import { METHOD_WORDS } from '../plan/methodText.js';

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

/** Whether another method would have held a lost take: "With the same errors, fixed zone and walk-in would have held it." */
export function heldByText(methods: readonly HeldBy[]): string {
  const held = methods.filter(({ isHeld }) => isHeld).map(({ method }) => METHOD_WORDS[method].short);
  if (held.length === 0) return 'With the same errors, no other method would have held it.';
  const before = held.slice(0, -1).join(', ');
  return `With the same errors, ${before ? `${before} and ${held.at(-1)}` : held[0]} would have held it.`;
}
