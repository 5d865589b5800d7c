import {
  adviseNext,
  heldBy,
  isKeptTake,
  isSimulated,
  type ShotPlan,
  type UnitSystem,
  wrapUp,
  type WrapUp,
} from '@still-heron/core';
import { correctionText, findingCorrectionText, heldByText } from '@still-heron/wording';
import type { Task } from '../work/task.js';
import { type TakeLine, takeLines } from './takeLines.js';

/** Shots with their takes, in a form that is handed to another thread quickly. */
export interface WrapUpOrder {
  readonly units: UnitSystem;
  readonly shots: readonly {
    readonly plan: ShotPlan;
    /** Its takes as lines of JSON: number and take */
    readonly lines: Uint8Array;
  }[];
}

/** What a shot lacks, on which days it was shot, and what to change when it is shot again. */
export interface WrappedShot extends WrapUp {
  readonly days: string[];
  readonly changes: string[];
}

/** Corrections that are told; the most frequent first. */
const MAX_CORRECTIONS = 2;

export const WRAP_UP: Task<WrapUpOrder, WrappedShot[]> = {
  name: 'wrap-up',
  run: ({ units, shots }) =>
    shots.map(({ plan, lines }): WrappedShot => {
      const logged = takeLines(lines).filter(({ take }) => !isSimulated(take));
      const found = wrapUp(
        plan,
        logged.map(({ take }) => take),
      );
      const days = [...new Set(logged.map(({ rolledAt }) => rolledAt.slice(0, 10)))];
      const isToShootAgain = found.state === 'none' || found.state === 'lost' || found.state === 'too-short';
      return { ...found, days, changes: isToShootAgain ? changesOf(plan, logged, units) : [] };
    }),
};

function changesOf(plan: ShotPlan, logged: readonly TakeLine[], units: UnitSystem): string[] {
  const takes = logged.map(({ take }) => take);
  const { corrections, others } = adviseNext(plan, takes);
  const lost = takes.findLast((take) => isKeptTake(take) === false);
  const methods = lost ? heldBy(plan, lost) : null;
  return [
    ...[
      ...corrections.map((one) => correctionText(one, plan, units)),
      ...others.map((one) => findingCorrectionText(one, plan)),
    ].slice(0, MAX_CORRECTIONS),
    ...(methods ? [heldByText(methods)] : []),
  ];
}
