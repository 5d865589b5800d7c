import { createStore, del, entries, get, set } from 'idb-keyval';

/** An edit that is not on the server yet. */
export interface Unsent<Doc> {
  /** Production of a shot, kind of a kit item */
  readonly context: string;
  /** Stored version on which it is based */
  readonly baseVersion: number;
  readonly document: Doc;
}

/** Unsent edits by document id, in IndexedDB: a closed page, a reload or a stopped server loses none. */
export interface Outbox<Doc> {
  get(id: string): Promise<Unsent<Doc> | undefined>;
  put(id: string, unsent: Unsent<Doc>): Promise<void>;
  remove(id: string): Promise<void>;
  all(): Promise<[string, Unsent<Doc>][]>;
}

/**
 * @param read - brings an edit that an older page kept to the newest form
 */
export function createOutbox<Doc>(database: string, read: (kept: unknown) => Unsent<Doc>): Outbox<Doc> {
  const store = createStore(database, 'unsent');
  return {
    get: async (id) => {
      const kept = await get<unknown>(id, store);
      return kept === undefined ? undefined : read(kept);
    },
    put: (id, unsent) => set(id, unsent, store),
    remove: (id) => del(id, store),
    all: async () => (await entries<string, unknown>(store)).map(([id, kept]) => [id, read(kept)]),
  };
}
