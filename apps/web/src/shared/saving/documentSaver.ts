import {
  createListenerMiddleware,
  type ListenerMiddlewareInstance,
  type ThunkDispatch,
  type UnknownAction,
} from '@reduxjs/toolkit';
import { problemOf } from '../api/api';
import type { Outbox } from './outbox';
import { growingPauses } from './pauses';
import type { Saving, SavingActions } from './savingSlice';

type Dispatch<State> = ThunkDispatch<State, unknown, UnknownAction>;

/** A document with its id and stored version, as it is sent. */
export interface SentDocument<Doc> {
  readonly id: string;
  readonly context: string;
  readonly version: number;
  readonly document: Doc;
}

/** What the saver must know of a kind of document. */
export interface DocumentKind<State, Doc, Stored extends { readonly version: number }> {
  readonly actions: SavingActions<Stored>;
  /** Delay from the last edit to the save */
  readonly pauseMs: number;
  readonly outbox: Outbox<Doc>;
  readonly selectSaving: (state: State) => Saving<Stored>;
  readonly selectDocument: (state: State) => Doc | null;
  /** The action opens a document: a change of the document is not an edit */
  readonly isOpening: (action: UnknownAction) => boolean;
  readonly send: (
    dispatch: Dispatch<State>,
    sent: SentDocument<Doc>,
  ) => Promise<{ readonly data?: Stored | undefined; readonly error?: unknown }>;
  /** Whether the stored version has the contents of the document */
  readonly isSame: (document: Doc, stored: Stored) => boolean;
  readonly savedAtOf: (stored: Stored) => string | null;
}

/**
 * Saves one kind of document. Every edit goes to the outbox at once, and to the server after a pause. What fails for a reason that passes, such
 * as a server that does not answer or a full disk, is tried again. A failing outbox never stops it.
 */
export function createDocumentSaver<State, Doc, Stored extends { readonly version: number }>(
  kind: DocumentKind<State, Doc, Stored>,
) {
  const { actions, outbox, selectSaving, selectDocument, send, isSame, savedAtOf } = kind;
  const { keepUnsent, markStored, sendLeftovers } = createUnsentEdits(kind);
  const middleware = createListenerMiddleware<State, Dispatch<State>>();
  /** The latest save */
  let inFlight: Promise<void> = Promise.resolve();

  listenToEdits(kind, middleware, keepUnsent, saveNow);

  /** Saves the open document if needed. Saves run one at a time; later edits go with the next one. */
  function saveNow() {
    return (dispatch: Dispatch<State>, getState: () => State): Promise<void> => {
      const { id, context, baseVersion: version, status } = selectSaving(getState());
      const document = selectDocument(getState());
      const isSettled = status === 'saving' || status === 'saved' || status === 'conflict';
      if (id === null || context === null || document === null || isSettled) return Promise.resolve();
      dispatch(actions.started());
      const save = sendAndSettle({ id, context, version, document }, dispatch, getState);
      inFlight = save;
      return save;
    };
  }

  async function sendAndSettle(sent: SentDocument<Doc>, dispatch: Dispatch<State>, getState: () => State): Promise<void> {
    const { id, document } = sent;
    await keepUnsent(getState());
    const { data, error } = await send(dispatch, sent);
    const { isPassing, body } = problemOf(error);
    const other = body.stored as Stored | undefined;
    // an earlier answer was lost, or the page closed too soon: the stored version equals what was sent
    const stored = data ?? (other && isSame(document, other) ? other : undefined);
    if (stored) await markStored(id, stored);
    // another document may have been opened meanwhile; its state must not change
    if (selectSaving(getState()).id !== id) {
      if (stored || isPassing) await dispatch(sendLeftovers());
    } else if (stored) {
      const isUpToDate = selectDocument(getState()) === document;
      dispatch(actions.finished({ version: stored.version, savedAt: savedAtOf(stored), isUpToDate }));
      if (!isUpToDate) await dispatch(saveNow());
    } else if (isPassing) dispatch(actions.delayed(body));
    else if (other) dispatch(actions.conflictFound(other));
    else dispatch(actions.refused(body));
  }

  /**
   * Stored version of a document after its saves have finished. A deletion must name it.
   *
   * @param known - version of a document that is not open
   */
  function settledVersion(id: string, known: number) {
    return async (dispatch: Dispatch<State>, getState: () => State): Promise<number> => {
      for (;;) {
        const saving = selectSaving(getState());
        if (saving.id !== id) return known;
        if (saving.status === 'waiting') await dispatch(saveNow());
        else if (saving.status === 'saving') await inFlight;
        else return saving.baseVersion;
      }
    };
  }

  /** Takes over a version that was saved elsewhere: the document is that version now, and there is nothing to save. */
  function acceptStored(stored: Stored) {
    return async (dispatch: Dispatch<State>, getState: () => State): Promise<void> => {
      const { id } = selectSaving(getState());
      dispatch(actions.finished({ version: stored.version, savedAt: savedAtOf(stored), isUpToDate: true }));
      if (id !== null) await markStored(id, stored);
    };
  }

  return { middleware: middleware.middleware, saveNow, sendLeftovers, settledVersion, acceptStored, outbox };
}

function ignore(): undefined {
  return undefined;
}

/** Saves after every edit, and again when a document is opened or the server was lost. */
function listenToEdits<State, Doc, Stored extends { readonly version: number }>(
  { actions, pauseMs, selectSaving, selectDocument, isOpening }: DocumentKind<State, Doc, Stored>,
  middleware: ListenerMiddlewareInstance<State, Dispatch<State>>,
  keepUnsent: (state: State) => Promise<void>,
  saveNow: () => (dispatch: Dispatch<State>, getState: () => State) => Promise<void>,
): void {
  middleware.startListening({
    predicate: (action, now, before) =>
      (selectDocument(now) !== selectDocument(before) && selectDocument(now) !== null && !isOpening(action)) ||
      actions.conflictResolved.match(action),
    effect: async (_, { dispatch, getState, cancelActiveListeners, delay }) => {
      cancelActiveListeners();
      dispatch(actions.editNoticed());
      await keepUnsent(getState());
      await delay(pauseMs);
      void dispatch(saveNow());
    },
  });
  const pauses = growingPauses();
  middleware.startListening({
    predicate: (action) => actions.finished.match(action),
    effect: () => pauses.reset(),
  });
  middleware.startListening({
    predicate: (action) => actions.opened.match(action) || actions.delayed.match(action),
    effect: async (action, { dispatch, getState, cancelActiveListeners, delay }) => {
      cancelActiveListeners();
      if (actions.delayed.match(action)) await delay(pauses.nextMs());
      else pauses.reset();
      const { status } = selectSaving(getState());
      if (status === 'waiting' || status === 'delayed') void dispatch(saveNow());
    },
  });
}

/** Edits in the outbox. A failing outbox (private window, full disk) is ignored: the edit still goes to the server. */
function createUnsentEdits<State, Doc, Stored extends { readonly version: number }>(kind: DocumentKind<State, Doc, Stored>) {
  const { outbox, selectSaving, selectDocument, send, isSame } = kind;
  const pauses = growingPauses();
  let nextAttempt: ReturnType<typeof setTimeout> | undefined;

  async function keepUnsent(state: State): Promise<void> {
    const { id, context, baseVersion } = selectSaving(state);
    const document = selectDocument(state);
    if (id !== null && context !== null && document !== null)
      await outbox.put(id, { context, baseVersion, document }).catch(ignore);
  }

  /** Removes a saved edit from the outbox. A newer edit stays, based on the version just stored. */
  async function markStored(id: string, stored: Stored): Promise<void> {
    const unsent = await outbox.get(id).catch(ignore);
    if (!unsent) return;
    if (isSame(unsent.document, stored)) await outbox.remove(id).catch(ignore);
    else await outbox.put(id, { ...unsent, baseVersion: stored.version }).catch(ignore);
  }

  /**
   * Sends edits of documents that are not open, again and again while that fails for a reason that passes. An edit that conflicts, or whose
   * document was deleted, waits until its document is opened.
   */
  function sendLeftovers() {
    return async (dispatch: Dispatch<State>, getState: () => State): Promise<void> => {
      clearTimeout(nextAttempt);
      let isDelayed = false;
      for (const [id, { context, baseVersion: version, document }] of await outbox.all().catch(() => [])) {
        if (id === selectSaving(getState()).id) continue;
        const { data, error } = await send(dispatch, { id, context, version, document });
        if (data) await outbox.remove(id).catch(ignore);
        else if (problemOf(error).isPassing) isDelayed = true;
      }
      if (isDelayed) nextAttempt = setTimeout(() => void dispatch(sendLeftovers()), pauses.nextMs());
      else pauses.reset();
    };
  }

  return { keepUnsent, markStored, sendLeftovers };
}
