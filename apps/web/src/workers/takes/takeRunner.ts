import {
  type DrawOrder,
  type ErrorSource,
  type PreparedTakes,
  prepareTakes,
  runTakes,
  type ShotPlan,
  type TakeCounts,
} from '@still-heron/core';

/** What takes are drawn of: a plan, in the order of the plan it is compared with, an error left out or not. */
export interface TakesAsk {
  readonly plan: ShotPlan;
  readonly order: DrawOrder;
  readonly without: ErrorSource | null;
}

/** Some of the takes of what is asked. */
export interface TakesPart {
  /** The same for the same ask: what no draw changes is then worked out once */
  readonly key: string;
  readonly ask: TakesAsk;
  readonly seed: number;
  readonly firstTake: number;
  readonly takes: number;
}

/** What came of them; null for a plan that can't be judged. */
export type TakesAnswer = { readonly beats: PreparedTakes['beats']; readonly counts: TakeCounts } | null;

export interface TakeRunner {
  run(part: TakesPart): TakesAnswer | Promise<TakesAnswer>;
}

/** Prepared plans that are kept: as many as are compared at once. */
const MOST_KEPT = 40;

/** What a worker does: it draws takes, and remembers what they share. */
export function createTakeRunner(): TakeRunner {
  const kept = new Map<string, ReturnType<typeof prepareTakes>>();
  const preparedFor = ({ key, ask: { plan, order, without } }: TakesPart) => {
    let prepared = kept.get(key);
    if (!prepared) {
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
      kept.set(key, (prepared = prepareTakes(plan, { order, without: without ?? undefined })));
    }
    return prepared;
  };
  return {
    run(part) {
      const prepared = preparedFor(part);
      if ('missing' in prepared) return null;
      // the tables stay here: what is wanted of a beat is when it is, and whose
      const beats = prepared.beats.map((beat) => ({ ...beat, tables: [], tableAt: null }));
      return { beats, counts: runTakes(prepared, part.seed, part.firstTake, part.takes) };
    },
  };
}
