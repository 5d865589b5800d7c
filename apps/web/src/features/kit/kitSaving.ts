import { createListenerMiddleware, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import type { KitItemView } from '@still-heron/contract';
import { api, problemOf } from '../../api/api';
import { kitOpened, openKit, selectOpenKit, type WithKit } from './kitSlice';
import {
  kitConflictMet,
  kitConflictResolved,
  kitEditNoticed,
  kitRefused,
  kitSaved,
  type KitSaving,
  kitSaveStarted,
  kitServerLost,
  selectKitSaving,
} from './kitSavingSlice';

/** Rest after the last edit before it is sent. */
const PAUSE_MS = 500;
/** Between two tries at a server that does not answer. */
const RETRY_MS = 1500;

type State = WithKit & { readonly kitSaving: KitSaving };
type Dispatch = ThunkDispatch<State, unknown, UnknownAction>;

export const kitSavingMiddleware = createListenerMiddleware<State, Dispatch>();

/** Every change of the open item goes to the server after a pause, and while it is away again and again. */
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

/** The save that is on its way, and the version it leads to. */
let inFlight: Promise<number | null> = Promise.resolve(null);

/** Sends the open item if the server has not got it. One save at a time; what is edited meanwhile goes with the next. */
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
    else if (body.stored) dispatch(kitConflictMet(body.stored as KitItemView));
    else dispatch(kitRefused(body));
  };
}

/**
 * The stored version of an item once nothing of it is on its way: what a deletion must name, or one right after an edit would be refused.
 *
 * @param known - of an item that is not open
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

/** Sends what is left of the open item when one goes on to another, after the save that may be on its way. */
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
