import { type CameraErrors, formatGap, type Method, METHOD_DIVIDER, type UnitSystem } from '@still-heron/core';

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
  fixed: { short: 'fixed', means: 'focus is set once and not touched' },
  'constant-distance': {
    short: 'constant distance',
    means: 'the camera moves with the subject and keeps the distance',
    caution: WALKING,
  },
  'walk-in': { short: 'walk-in', means: 'the subject walks to a focus distance set in advance' },
  'push-in': { short: 'push-in', means: 'the camera moves until the subject is sharp', caution: WALKING },
  follow: { short: 'follow', means: 'the ring turns with the subject' },
  rack: { short: 'rack', means: 'focus is pulled from mark to mark' },
  'acquire-then-lock': { short: 'acquire, then lock', means: 'automatic focus finds the subject once, then focus is locked' },
  automatic: { short: 'automatic', means: 'automatic focus works during the take' },
};

/** Short name of stored methods: one, or those of the parts of a shot, divided by spaces. A name that is not known stays as it is. */
export function methodName(name: string): string {
  const known = METHOD_WORDS as Partial<Record<string, { readonly short: string }>>;
  return name
    .split(METHOD_DIVIDER)
    .map((one) => known[one]?.short ?? one)
    .join(', then ');
}

/** How well the camera keeps its distance by the method constant distance. */
export function keepsDistanceText({ driftSigmaMm }: CameraErrors, isAssumed: boolean, units: UnitSystem): string {
  const kept = `the camera keeps its distance to ±${formatGap(driftSigmaMm, units)}`;
  return isAssumed ? `assumed: ${kept}` : kept;
}
