import type { TakeRowView } from '@still-heron/contract';
import { problemOf } from '../../shared/api/api';
import { takesApi } from '../../shared/api/takesApi';
import { growingPauses } from '../../shared/saving/pauses';
import type { Store } from '../../shared/store/hooks';
import { livingRolls } from './ownRolls';
import { type StoredTake, takeOutbox } from './takeOutbox';

/** State of takes that are not on the server yet. */
export interface Sending {
  readonly unsent: number;
  /** Why the server rejects one; it stays on this device */
  readonly refusal: string | null;
}

const pauses = growingPauses();
let state: Sending = { unsent: 0, refusal: null };
let current: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const refused = new Set<string>();
/** Takes that could not be stored on this device */
const unstored: StoredTake[] = [];
const logged = new Map<string, TakeRowView>();
const listeners = new Set<() => void>();

export const sending = {
  state: (): Sending => state,
  /** The logged take with this client id; null until logged */
  loggedAs: (id: string): TakeRowView | null => logged.get(id) ?? null,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** Stores a finished take on this device and sends it. */
export async function storeAndSend(ended: Omit<StoredTake, 'aliveAtMs'>, dispatch: Store['dispatch']): Promise<void> {
  const boxed = { ...ended, aliveAtMs: null };
  // in a private window, keep it at least while the page is open
  await takeOutbox.put(boxed).catch(() => unstored.push(boxed));
  await sendTakes(dispatch);
}

/** Sends all unsent takes, and retries until the server has them. */
export function sendTakes(dispatch: Store['dispatch']): Promise<void> {
  current = (current ?? Promise.resolve()).then(() => sendAll(dispatch)).catch((error: unknown) => console.warn(error));
  return current;
}

async function sendAll(dispatch: Store['dispatch']): Promise<void> {
  clearTimeout(timer);
  const living = await livingRolls().catch(() => null);
  const kept = await takeOutbox.waiting(Date.now(), living).catch(() => []);
  const waiting = [...kept, ...unstored.filter(({ id }) => !logged.has(id))].filter(({ id }) => !refused.has(id));
  let [unsent, refusal] = [0, state.refusal];
  for (const boxed of waiting) {
    const { data, error } = await sendOne(boxed, dispatch);
    if (data) {
      logged.set(boxed.id, data);
      await takeOutbox.remove(boxed.id).catch(() => undefined);
    } else if (problemOf(error).isPassing) unsent++;
    else {
      refused.add(boxed.id);
      refusal = problemOf(error).body.message;
    }
  }
  state = { unsent, refusal };
  listeners.forEach((listener) => listener());
  if (unsent > 0) timer = setTimeout(() => void sendTakes(dispatch), pauses.nextMs());
  else pauses.reset();
}

/** Logs one take. If another window logged it as cut short, the whole take replaces that one. */
async function sendOne({ id, shotId, rolledAt, take }: StoredTake, dispatch: Store['dispatch']) {
  const first = await dispatch(takesApi.endpoints.logTake.initiate({ id, shotId, rolledAt, take }));
  if (!first.data?.take.isCutShort || take.isCutShort) return first;
  return dispatch(takesApi.endpoints.saveTake.initiate({ shotId, id, version: first.data.version, take }));
}
