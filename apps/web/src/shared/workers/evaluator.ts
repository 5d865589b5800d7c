import { type SmallestChange, SOLVER_WAYS, type Fix, type PullVerdict, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { proxy } from 'comlink';
import { createLatest, type Latest, once } from './latest';
import type { Framings, TrackOffer, ShotSummary } from './protocol';
import { startWorker } from './startWorker';

const { remote } = startWorker();

/** Evaluator of the open shot; one per page. */
export const evaluator = createLatest<ShotPlan, PullVerdict>({
  start: once(async (plan) => remote.evaluate(plan)),
  pace: 'newest',
});

/** When the subjects of a plan that keeps changing are in the picture; computed in the worker of the verdicts. */
export function createFramings(): Latest<ShotPlan, Framings> {
  return createLatest({ start: once(async (plan: ShotPlan) => remote.framings(plan)), pace: 'newest' });
}

/** Summary of a shot for its row; a plan that can't be evaluated says so in its row. */
export async function summariseShot(plan: ShotPlan, units: UnitSystem): Promise<ShotSummary> {
  return remote.summarise(plan, units).catch((error: unknown) => ({
    outcome: 'unreadable' as const,
    parts: [
      {
        tone: 'soft' as const,
        text: `This plan can’t be evaluated: ${error instanceof Error ? error.message : 'unknown reason'}.`,
      },
    ],
    sketch: [],
    softSpans: [],
  }));
}

/** Fixes are searched in a worker of their own, started on first use, so that verdicts do not wait. */
let fixWorker: ReturnType<typeof startWorker> | null = null;
let isSearching = false;

/** Fixes for a plan; empty if it can't be evaluated. A search that still runs is given up: its promise never settles. */
export async function fixesFor(plan: ShotPlan, onTried: (kinds: number, total: number) => void): Promise<readonly Fix[]> {
  giveUpFixes();
  const worker = (fixWorker ??= startWorker());
  isSearching = true;
  const fixes = await worker.remote.fixes(plan, proxy(onTried)).catch((error: unknown) => {
    console.error(error);
    return [];
  });
  if (worker === fixWorker) isSearching = false;
  return fixes;
}

/** Gives up the search for fixes that is running. */
export function giveUpFixes(): void {
  if (!isSearching) return;
  fixWorker?.stop();
  fixWorker = null;
  isSearching = false;
}

export interface SolvedTracks {
  readonly offers: readonly TrackOffer[];
  /** Changes that would make the requirements possible, if no track meets them */
  readonly changes: readonly SmallestChange[];
}

/** Tracks are worked out in a worker of their own; it is terminated to cancel. */
let solverWorker: ReturnType<typeof startWorker> | null = null;

/**
 * Works out tracks in all ways, one after the other.
 *
 * @param onProgress - receives the number of finished ways
 * @returns the result, and a function to cancel; the promise then never settles
 */
export function solveTracksFor(
  plan: ShotPlan,
  onProgress: (done: number) => void,
): { readonly solved: Promise<SolvedTracks>; readonly cancel: () => void } {
  const used = (solverWorker ??= startWorker());
  const solve = async (): Promise<SolvedTracks> => {
    const offers: TrackOffer[] = [];
    for (const [index, way] of SOLVER_WAYS.entries()) {
      const offer = await used.remote.trackOffer(plan, way);
      if (offer) offers.push(offer);
      onProgress(index + 1);
    }
    const changes = offers.some(({ solution }) => solution.impossible !== null) ? await used.remote.smallestChanges(plan) : [];
    return { offers, changes };
  };
  const cancel = () => {
    used.stop();
    if (solverWorker === used) solverWorker = null;
  };
  return { solved: solve(), cancel };
}
