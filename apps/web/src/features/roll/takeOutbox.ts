import type { Take } from '@still-heron/core';
import { createStore, del, entries, set } from 'idb-keyval';

/** A recorded take that is not on the server yet. */
export interface StoredTake {
  readonly id: string;
  readonly shotId: string;
  readonly rolledAt: string;
  readonly take: Take;
  /** Time of the last write in ms while rolling; null after its end */
  readonly aliveAtMs: number | null;
}

/** In IndexedDB, so that a closed page or a stopped server loses no take. */
const store = createStore('still-heron-takes', 'unsent');

/** A rolling take is written several times per second; after this time without a write its page is gone. */
const LOST_AFTER_MS = 6000;

export const takeOutbox = {
  put: (boxed: StoredTake): Promise<void> => set(boxed.id, boxed, store),
  remove: (id: string): Promise<void> => del(id, store),
  /** Takes ready to send: finished ones, and, as cut short, those whose page is gone. @param living - as for `asSendable` */
  async waiting(nowMs: number, living: ReadonlySet<string> | null): Promise<StoredTake[]> {
    return (await entries<string, StoredTake>(store)).flatMap(([, boxed]) => asSendable(boxed, nowMs, living) ?? []);
  },
};

/**
 * @param living - rolls whose pages live; null in a browser that can't tell, where the last sign of life decides
 * @returns null for a take that is still rolling, perhaps in another window
 */
export function asSendable(boxed: StoredTake, nowMs: number, living: ReadonlySet<string> | null): StoredTake | null {
  if (boxed.aliveAtMs === null) return boxed;
  const isRolling = living === null ? nowMs - boxed.aliveAtMs < LOST_AFTER_MS : living.has(boxed.id);
  return isRolling ? null : { ...boxed, aliveAtMs: null, take: { ...boxed.take, isCutShort: true } };
}
