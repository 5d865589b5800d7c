import { createListenerMiddleware, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import type { ShotDocument, ShotView } from '@still-heron/contract';
import { isDeepEqual } from '@still-heron/core';
import { api, problemOf } from '../../shared/api/api';
import { outbox } from './outbox';
import {
  conflictFound,
  conflictResolved,
  editNoticed,
  saveFinished,
  saveRefused,
  saveStarted,
  savingOpened,
  selectSaving,
  type Saving,
  serverLost,
} from './savingSlice';
import { selectDocument, shotOpened } from './shotSlice';

/** Delay from the last edit to the save. */
const PAUSE_MS = 600;
/** Delay between attempts while the server does not answer. */
const RETRY_MS = 1500;

type State = Parameters<typeof selectDocument>[0] & { readonly saving: Saving };
type Dispatch = ThunkDispatch<State, unknown, UnknownAction>;

export const savingMiddleware = createListenerMiddleware<State, Dispatch>();

/** Every change of the open document goes to the outbox at once, and to the server after a pause. */
savingMiddleware.startListening({
  predicate: (action, now, before) =>
    (selectDocument(now) !== selectDocument(before) && selectDocument(now) !== null && !shotOpened.match(action)) ||
    conflictResolved.match(action),
  effect: async (_, { dispatch, getState, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    dispatch(editNoticed());
    await keepUnsent(getState());
    await delay(PAUSE_MS);
    dispatch(saveNow());
  },
});

/** Retries edits that could not be sent. */
savingMiddleware.startListening({
  predicate: (action) => savingOpened.match(action) || serverLost.match(action),
  effect: async (action, { dispatch, getState, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    if (serverLost.match(action)) await delay(RETRY_MS);
    const { status } = selectSaving(getState());
    if (status === 'waiting' || status === 'offline') dispatch(saveNow());
  },
});

async function keepUnsent(state: State): Promise<void> {
  const { shotId, productionId, baseVersion } = selectSaving(state);
  const document = selectDocument(state);
  // without storage (private window) the edit still goes to the server
  if (shotId && productionId && document)
    await outbox.put(shotId, { productionId, baseVersion, document }).catch(() => undefined);
}

/** Saves the open document if needed. Saves run one at a time; later edits go with the next one. */
export function saveNow() {
  return async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const { shotId, baseVersion, status } = selectSaving(getState());
    const document = selectDocument(getState());
    if (!shotId || !document || status === 'saving' || status === 'saved' || status === 'conflict') return;
    dispatch(saveStarted());
    await keepUnsent(getState());
    const answer = await dispatch(api.endpoints.saveShot.initiate({ id: shotId, version: baseVersion, document }));
    const { isUnreachable, body } = problemOf(answer.error);
    const other = body.stored as ShotView | undefined;
    // an earlier answer was lost, or the page closed too soon: the stored version equals what was sent
    const stored = answer.data ?? (other && sameDocument(document, other) ? other : undefined);
    if (stored) await taken(shotId, stored);
    // another shot may have been opened meanwhile; its state must not change
    if (selectSaving(getState()).shotId !== shotId) return;
    if (stored) {
      const isUpToDate = selectDocument(getState()) === document;
      dispatch(saveFinished({ version: stored.version, savedAt: stored.updatedAt, isUpToDate }));
      if (!isUpToDate) await dispatch(saveNow());
    } else if (isUnreachable) dispatch(serverLost());
    else if (other) dispatch(conflictFound(other));
    else dispatch(saveRefused(body));
  };

  /** Removes a saved edit from the outbox. A newer edit stays, based on the version just stored. */
  async function taken(shotId: string, stored: ShotView): Promise<void> {
    const unsent = await outbox.get(shotId).catch(() => undefined);
    if (!unsent) return;
    if (sameDocument(unsent.document, stored)) await outbox.remove(shotId);
    else await outbox.put(shotId, { ...unsent, baseVersion: stored.version });
  }
}

/** Sends edits of shots that are not open. A conflict waits until its shot is opened. */
export function sendLeftovers() {
  return async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    for (const [shotId, { baseVersion, document }] of await outbox.all()) {
      if (shotId === selectSaving(getState()).shotId) continue;
      const answer = await dispatch(api.endpoints.saveShot.initiate({ id: shotId, version: baseVersion, document }));
      const isGone = problemOf(answer.error).body.code === 'not-found';
      if (answer.data || isGone) await outbox.remove(shotId);
    }
  };
}

/** Compares contents: the stored version has been through a database, which does not keep key order. */
function sameDocument(document: ShotDocument, stored: ShotView): boolean {
  const { scene, slate, title, plan } = stored;
  return isDeepEqual(document, { scene, slate, title, plan });
}
