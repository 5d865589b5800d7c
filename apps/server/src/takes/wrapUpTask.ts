import { type ShotPlan, wrapUp, type WrapUp } from '@still-heron/core';
import type { Task } from '../work/task.js';
import { takeLines } from './takeLines.js';

/** Shots with their takes, in a form that is handed to another thread quickly. */
export interface WrapUpOrder {
  readonly shots: readonly {
    readonly plan: ShotPlan;
    /** Its takes as lines of JSON: number and take */
    readonly lines: Uint8Array;
  }[];
}

export const WRAP_UP: Task<WrapUpOrder, WrapUp[]> = {
  name: 'wrap-up',
  run: ({ shots }) =>
    shots.map(({ plan, lines }) =>
      wrapUp(
        plan,
        takeLines(lines).map(({ take }) => take),
      ),
    ),
};
