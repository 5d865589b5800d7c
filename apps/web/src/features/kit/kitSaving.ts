import { createListenerMiddleware, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import type { KitItemView } from '@still-heron/contract';
import { api, problemOf } from '../../shared/api/api';
import { kitOpened, openKit, selectOpenKit, type WithKit } from './kitSlice';
import {
  kitConflictFound,
  kitConflictResolved,
  kitEditNoticed,
  kitRefused,
  kitSaved,
  type KitSaving,
  kitSaveStarted,
  kitServerLost,
  selectKitSaving,
} from './kitSavingSlice';

/** Delay from the last edit to the save. */
const PAUSE_MS = 500;
/** Delay between attempts while the server does not answer. */
const RETRY_MS = 1500;

type State = WithKit & { readonly kitSaving: KitSaving };
type Dispatch = ThunkDispatch<State, unknown, UnknownAction>;

export const kitSavingMiddleware = createListenerMiddleware<State, Dispatch>();

/** Saves every change of the open item after a pause, and retries while the server is unreachable. */
kitSavingMiddleware.startListening({
  predicate: (action, now, before) =>
    (selectOpenKit(now)?.item !== selectOpenKit(before)?.item && selectOpenKit(now) !== null && !kitOpened.match(action)) ||
    kitConflictResolved.match(action),
  effect: async (_, { dispatch, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    dispatch(kitEditNoticed());
    await delay(PAUSE_MS);
    dispatch(saveKitNow());
  },
});
kitSavingMiddleware.startListening({
  actionCreator: kitServerLost,
  effect: async (_, { dispatch, cancelActiveListeners, delay }) => {
    cancelActiveListeners();
    await delay(RETRY_MS);
    dispatch(saveKitNow());
  },
});

/** Save in progress, with the resulting version. */
let inFlight: Promise<number | null> = Promise.resolve(null);

/** Saves the open item if needed. Saves run one at a time; later edits go with the next one. */
export function saveKitNow() {
  return async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const { status, version } = selectKitSaving(getState());
    const open = selectOpenKit(getState());
    if (!open || status === 'saving' || status === 'saved' || status === 'conflict') return;
    dispatch(kitSaveStarted());
    const { kind, id, item } = open;
    const sent = dispatch(api.endpoints.saveKitItem.initiate({ kind, id, version, item }));
    inFlight = sent.then((answer) => answer.data?.version ?? null);
    const answer = await sent;
    if (selectOpenKit(getState())?.id !== id) return;
    const { isUnreachable, body } = problemOf(answer.error);
    if (answer.data) {
      const isUpToDate = selectOpenKit(getState())?.item === item;
      dispatch(kitSaved({ version: answer.data.version, isUpToDate }));
      if (!isUpToDate) await dispatch(saveKitNow());
    } else if (isUnreachable) dispatch(kitServerLost());
    else if (body.stored) dispatch(kitConflictFound(body.stored as KitItemView));
    else dispatch(kitRefused(body));
  };
}

/**
 * Stored version of an item after its saves have finished. A deletion must name it.
 *
 * @param known - version of an item that is not open
 */
export function settledVersion(id: string, known: number) {
  return async (dispatch: Dispatch, getState: () => State): Promise<number> => {
    for (;;) {
      if (selectOpenKit(getState())?.id !== id) return known;
      const { status, version } = selectKitSaving(getState());
      if (status === 'waiting') await dispatch(saveKitNow());
      else if (status === 'saving') await inFlight;
      else return version;
    }
  };
}

/** Saves pending edits before another item is opened, after the save in progress. */
export function leaveKit() {
  return async (dispatch: Dispatch, getState: () => State): Promise<void> => {
    const { status, version } = selectKitSaving(getState());
    const open = selectOpenKit(getState());
    dispatch(openKit(null));
    if (!open || status === 'saved' || status === 'conflict') return;
    const { kind, id, item } = open;
    const newer = status === 'saving' ? await inFlight : null;
    await dispatch(api.endpoints.saveKitItem.initiate({ kind, id, version: newer ?? version, item }));
  };
}
