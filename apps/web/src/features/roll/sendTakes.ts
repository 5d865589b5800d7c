import type { TakeRowView } from '@still-heron/contract';
import { problemOf } from '../../api/api';
import { takesApi } from '../../api/takes';
import type { Store } from '../../app/store';
import { type BoxedTake, takeBox } from './takeBox';

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
/** Takes that could not be kept on this device */
const unkept: BoxedTake[] = [];
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

/** A take that has ended: kept on this device, and sent. */
export async function keepAndSend(ended: Omit<BoxedTake, 'aliveAtMs'>, dispatch: Store['dispatch']): Promise<void> {
  const boxed = { ...ended, aliveAtMs: null };
  // a browser that keeps nothing, as in a private window, has it at least as long as the page is open
  await takeBox.put(boxed).catch(() => unkept.push(boxed));
  await sendTakes(dispatch);
}

/** Sends every take the server has not got, now and again until it has them all. */
export function sendTakes(dispatch: Store['dispatch']): Promise<void> {
  current = (current ?? Promise.resolve()).then(() => sendAll(dispatch)).catch((error: unknown) => console.warn(error));
  return current;
}

async function sendAll(dispatch: Store['dispatch']): Promise<void> {
  clearTimeout(timer);
  const kept = await takeBox.waiting(Date.now()).catch(() => []);
  const waiting = [...kept, ...unkept.filter(({ id }) => !logged.has(id))].filter(({ id }) => !refused.has(id));
  let [unsent, refusal] = [0, state.refusal];
  for (const boxed of waiting) {
    const { data, error } = await sendOne(boxed, dispatch);
    if (data) {
      logged.set(boxed.id, data);
      await takeBox.remove(boxed.id).catch(() => undefined);
    } else if (problemOf(error).isUnreachable) unsent++;
    else {
      refused.add(boxed.id);
      refusal = problemOf(error).body.message;
    }
  }
  state = { unsent, refusal };
  listeners.forEach((listener) => listener());
  if (unsent > 0) timer = setTimeout(() => void sendTakes(dispatch), AGAIN_MS);
}

/** Logs one; where another window took its page for lost, and logged it as cut short, the whole of it takes that one's place. */
async function sendOne({ id, shotId, rolledAt, take }: BoxedTake, dispatch: Store['dispatch']) {
  const first = await dispatch(takesApi.endpoints.logTake.initiate({ id, shotId, rolledAt, take }));
  if (!first.data?.take.isCutShort || take.isCutShort) return first;
  return dispatch(takesApi.endpoints.saveTake.initiate({ shotId, id, version: first.data.version, take }));
}
