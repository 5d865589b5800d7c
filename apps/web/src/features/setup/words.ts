import type { Method } from '@still-heron/core';

interface MethodWords {
  readonly short: string;
  readonly means: string;
  /** Safety caution of this method */
  readonly caution?: string;
}

const WALKING =
  'Walking while watching a screen: a spotter and a cleared path first. Local rules and the production’s safety lead decide; no distance here is a safety distance.';

/** Focus methods: short name for lists, and meaning. */
export const METHOD_WORDS: Readonly<Record<Method, MethodWords>> = {
  fixed: { short: 'fixed', means: 'set once, never touched' },
  'constant-distance': { short: 'constant distance', means: 'camera and subject keep their distance', caution: WALKING },
  'walk-in': { short: 'walk-in', means: 'the subject walks into a plane set beforehand' },
  'push-in': { short: 'push-in', means: 'the camera moves until it is sharp', caution: WALKING },
  follow: { short: 'follow', means: 'the ring goes with the subject' },
  rack: { short: 'rack', means: 'pulled from mark to mark' },
  'acquire-then-lock': { short: 'acquire, then lock', means: 'the camera finds it once, then holds' },
  automatic: { short: 'automatic', means: 'left to the camera' },
};
