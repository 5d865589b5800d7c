import type { Take } from '@still-heron/core';
import { createStore, del, entries, set } from 'idb-keyval';

/** A take this device has recorded and the server has not got. */
export interface BoxedTake {
  readonly id: string;
  readonly shotId: string;
  readonly rolledAt: string;
  readonly take: Take;
  /** While it rolls: when it was last written, in ms; null once it has ended */
  readonly aliveAtMs: number | null;
}

/** In IndexedDB, take by take: a closed page or a stopped server loses none. */
const store = createStore('still-heron-takes', 'unsent');

/** A take that rolls is written several times a second; one that was not for so long has lost its page. */
const LOST_AFTER_MS = 6000;

export const takeBox = {
  put: (boxed: BoxedTake): Promise<void> => set(boxed.id, boxed, store),
  remove: (id: string): Promise<void> => del(id, store),
  /** What can be sent: takes that have ended, and those whose page went away in the middle, as cut short. */
  async waiting(nowMs: number): Promise<BoxedTake[]> {
    return (await entries<string, BoxedTake>(store)).flatMap(([, boxed]) => asSendable(boxed, nowMs) ?? []);
  },
};

/** @returns null for a take that still rolls, in another window it may be */
export function asSendable(boxed: BoxedTake, nowMs: number): BoxedTake | null {
  if (boxed.aliveAtMs === null) return boxed;
  if (nowMs - boxed.aliveAtMs < LOST_AFTER_MS) return null;
  return { ...boxed, aliveAtMs: null, take: { ...boxed.take, isCutShort: true } };
}
