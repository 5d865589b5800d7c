import { type LeastChange, LINE_WAYS, type Mend, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { createEvaluator } from './latestWins';
import type { LayOffer, ShotSummary } from './protocol';
import { startWorker } from './startWorker';

const { remote } = startWorker();

/** The one evaluator of this page, for the shot that is open. */
export const evaluator = createEvaluator((plan) => remote.evaluate(plan));

/** A shot's row in a list; a plan that can't be computed says so in its row. */
export async function summariseShot(plan: ShotPlan, units: UnitSystem): Promise<ShotSummary> {
  return remote.summarise(plan, units).catch((error: unknown) => ({
    outcome: 'unreadable' as const,
    parts: [
      { tone: 'soft' as const, text: `This plan can't be judged: ${error instanceof Error ? error.message : 'unknown reason'}.` },
    ],
    sketch: [],
    softSpans: [],
  }));
}

/** Mends are tried by dozens: in a worker of their own, started when the first are asked for, so that no verdict waits for them. */
let mender: ReturnType<typeof startWorker> | null = null;

/** What would mend a plan; none when it can't be computed. */
export async function mendsFor(plan: ShotPlan): Promise<readonly Mend[]> {
  mender ??= startWorker();
  return mender.remote.mends(plan).catch((error: unknown) => {
    console.error(error);
    return [];
  });
}

export interface LaidLines {
  readonly offers: readonly LayOffer[];
  /** Where no line keeps everything: what would make it possible */
  readonly changes: readonly LeastChange[];
}

/** Lines are laid in a worker of their own, so that giving up is to stop it. */
let layer: ReturnType<typeof startWorker> | null = null;

/**
 * Lays the line all ways, one after the other.
 *
 * @param onProgress - hears how many of the ways have been tried
 * @returns what came of it, and a way to give it up: the promise then never settles
 */
export function layLinesFor(
  plan: ShotPlan,
  onProgress: (done: number) => void,
): { readonly lines: Promise<LaidLines>; readonly cancel: () => void } {
  const used = (layer ??= startWorker());
  const lay = async (): Promise<LaidLines> => {
    const offers: LayOffer[] = [];
    for (const [index, way] of LINE_WAYS.entries()) {
      const offer = await used.remote.layOffer(plan, way);
      if (offer) offers.push(offer);
      onProgress(index + 1);
    }
    const changes = offers.some(({ laid }) => laid.impossible !== null) ? await used.remote.leastChanges(plan) : [];
    return { offers, changes };
  };
  const cancel = () => {
    used.stop();
    if (layer === used) layer = null;
  };
  return { lines: lay(), cancel };
}
