import type { ShotDocument } from '@still-heron/contract';
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
  get: (shotId: string): Promise<Unsent | undefined> => get<Unsent>(shotId, store),
  put: (shotId: string, unsent: Unsent): Promise<void> => set(shotId, unsent, store),
  remove: (shotId: string): Promise<void> => del(shotId, store),
  all: (): Promise<[string, Unsent][]> => entries<string, Unsent>(store),
};
