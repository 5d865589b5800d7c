import type { TakeRowView } from '@still-heron/contract';
import { problemOf } from '../../api/api';
import { takesApi } from '../../api/takes';
import type { Store } from '../../app/store';
import { takeBox } from './takeBox';

/** How it stands with takes the server has not got. */
export interface Sending {
  readonly unsent: number;
  /** Why the server does not take one; it stays on this device */
  readonly refusal: string | null;
}

/** So long until takes that were not sent are tried again. */
const AGAIN_MS = 3000;
let state: Sending = { unsent: 0, refusal: null };
let current: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const refused = new Set<string>();
const logged = new Map<string, TakeRowView>();
const listeners = new Set<() => void>();

export const sending = {
  state: (): Sending => state,
  /** A take as the server logged it, by the id it was made with; null until it has */
  loggedAs: (id: string): TakeRowView | null => logged.get(id) ?? null,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** Sends every take the server has not got, now and again until it has them all. */
export function sendTakes(dispatch: Store['dispatch']): Promise<void> {
  current = (current ?? Promise.resolve()).then(() => sendAll(dispatch));
  return current;
}

async function sendAll(dispatch: Store['dispatch']): Promise<void> {
  clearTimeout(timer);
  const waiting = (await takeBox.waiting(Date.now())).filter(({ id }) => !refused.has(id));
  let [unsent, refusal] = [0, state.refusal];
  for (const { id, shotId, rolledAt, take } of waiting) {
    const { data, error } = await dispatch(takesApi.endpoints.logTake.initiate({ id, shotId, rolledAt, take }));
    if (data) {
      logged.set(id, data);
      await takeBox.remove(id);
    } else if (problemOf(error).isUnreachable) unsent++;
    else {
      refused.add(id);
      refusal = problemOf(error).body.message;
    }
  }
  state = { unsent, refusal };
  listeners.forEach((listener) => listener());
  if (unsent > 0) timer = setTimeout(() => void sendTakes(dispatch), AGAIN_MS);
}
