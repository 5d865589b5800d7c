import type { AutofocusSpan } from '../../verdict/index.js';

/** An argument for or against a method, by code. */
export type MethodArgument =
  | {
      readonly code:
        | 'all-measured'
        | 'nothing-measured'
        | 'one-person-does-all'
        | 'ring-out-of-reach'
        | 'ring-by-speed'
        | 'moves-in-depth'
        | 'nothing-turned'
        | 'must-find-first'
        | 'keeps-distance-to-one'
        | 'nobody-moves-in-depth'
        | 'camera-can-follow'
        | 'must-match-the-pace'
        | 'walks-to-a-mark'
        | 'nobody-walks-to-a-mark'
        | 'camera-ends-in-focus'
        | 'camera-stands'
        | 'soft-before-arrival'
        | 'hands-are-busy'
        | 'hands-needed'
        | 'no-motor'
        | 'lens-fails'
        | 'mode-fails'
        | 'lens-untested'
        | 'mode-untested'
        | 'area-unknown'
        | 'place-unknown'
        | 'no-lens-data'
        | 'nothing-known'
        | 'a-hand-is-safer'
        | 'not-computable';
    }
  | {
      readonly code: 'several-in-turn' | 'one-distance-for-several';
      /** Number of subjects that must be sharp */
      readonly people: number;
    }
  /** Seconds at risk, of those in which something must be sharp */
  | { readonly code: 'at-risk'; readonly forS: number; readonly ofS: number }
  /** A reason for it, with its first span and how long it lasts in all */
  | { readonly code: 'autofocus-risk'; readonly span: AutofocusSpan; readonly forS: number };

/** Arguments for and against a method. */
export interface Arguments {
  readonly pro: readonly MethodArgument[];
  readonly contra: readonly MethodArgument[];
}

/** Those arguments whose condition holds. */
export function thoseThatHold(all: readonly (readonly [holds: boolean, argument: MethodArgument])[]): MethodArgument[] {
  return all.filter(([holds]) => holds).map(([, argument]) => argument);
}
