import type { ShotDocument } from '@still-heron/contract';
import { type ShotPlan, upgradePlan } from '@still-heron/core';
import { createStore, del, entries, get, set } from 'idb-keyval';

/** An edit that the server has not taken yet. */
export interface Unsent {
  readonly productionId: string;
  /** The stored version it was made from */
  readonly baseVersion: number;
  readonly document: ShotDocument;
}

/** Edits the server has not taken, by shot id, in IndexedDB: a closed lid, a reload or a stopped server loses none of them. */
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

/** What was kept before an update of the page may be of an earlier form. */
function inNewestForm(unsent: Unsent): Unsent {
  const { document } = unsent;
  return { ...unsent, document: { ...document, plan: upgradePlan(document.plan) as ShotPlan } };
}
