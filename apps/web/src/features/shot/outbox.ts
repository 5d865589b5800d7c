import type { ShotDocument } from '@still-heron/contract';
import { type ShotPlan, upgradePlan } from '@still-heron/core';
import { createStore, del, entries, get, set } from 'idb-keyval';

/** An edit that is not on the server yet. */
export interface Unsent {
  readonly productionId: string;
  /** Stored version on which it is based */
  readonly baseVersion: number;
  readonly document: ShotDocument;
}

/** Unsent edits by shot id, in IndexedDB: a closed page, a reload or a stopped server loses none. */
const store = createStore('still-heron-outbox', 'unsent');

export const outbox = {
  get: async (shotId: string): Promise<Unsent | undefined> => {
    const unsent = await get<Unsent>(shotId, store);
    return unsent && inNewestForm(unsent);
  },
  put: (shotId: string, unsent: Unsent): Promise<void> => set(shotId, unsent, store),
  remove: (shotId: string): Promise<void> => del(shotId, store),
  all: async (): Promise<[string, Unsent][]> =>
    (await entries<string, Unsent>(store)).map(([shotId, unsent]) => [shotId, inNewestForm(unsent)]),
};

/** An edit kept from before an update of the page may have an older schema. */
function inNewestForm(unsent: Unsent): Unsent {
  const { document } = unsent;
  return { ...unsent, document: { ...document, plan: upgradePlan(document.plan) as ShotPlan } };
}
