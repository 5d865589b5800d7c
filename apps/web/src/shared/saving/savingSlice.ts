import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { ErrorBody } from '@still-heron/contract';

export type SavingStatus = 'saved' | 'waiting' | 'saving' | 'delayed' | 'conflict' | 'refused';

/**
 * Save state of an open document. Live, never stored. `baseVersion` is the stored version on which the document is based; a
 * save names it.
 */
export interface Saving<Stored> {
  readonly id: string | null;
  /** Production of a shot, kind of a kit item */
  readonly context: string | null;
  readonly baseVersion: number;
  readonly status: SavingStatus;
  /** ISO time of the stored version, if known */
  readonly savedAt: string | null;
  /** With `conflict`: the stored version */
  readonly stored: Stored | null;
  /** With `refused` and `delayed`: the server's answer */
  readonly problem: ErrorBody | null;
}

export interface Opened {
  readonly id: string;
  readonly context: string;
  readonly baseVersion: number;
  readonly savedAt: string | null;
  /** The document was restored from the outbox */
  readonly hasUnsaved: boolean;
}

export interface Finished {
  readonly version: number;
  readonly savedAt: string | null;
  /** Nothing was edited while the save was in progress */
  readonly isUpToDate: boolean;
}

function savingActions<Stored>(name: string) {
  return {
    opened: createAction<Opened>(`${name}/opened`),
    closed: createAction(`${name}/closed`),
    editNoticed: createAction(`${name}/editNoticed`),
    started: createAction(`${name}/started`),
    finished: createAction<Finished>(`${name}/finished`),
    /** The save failed for a reason that passes, and is tried again. */
    delayed: createAction<ErrorBody>(`${name}/delayed`),
    conflictFound: createAction<Stored>(`${name}/conflictFound`),
    /** The user has resolved the conflict: the next save names the stored version. */
    conflictResolved: createAction(`${name}/conflictResolved`),
    refused: createAction<ErrorBody>(`${name}/refused`),
  };
}

export type SavingActions<Stored> = ReturnType<typeof savingActions<Stored>>;

/** A slice for the save state of one kind of document. Written without `createSlice`, whose drafts hide a generic type. */
export function createSavingSlice<Stored extends { readonly version: number }>(name: string) {
  const actions = savingActions<Stored>(name);
  const nothing: Saving<Stored> = {
    id: null,
    context: null,
    baseVersion: 0,
    status: 'saved',
    savedAt: null,
    stored: null,
    problem: null,
  };

  function reducer(state: Saving<Stored> | undefined, action: UnknownAction): Saving<Stored> {
    if (state === undefined || actions.closed.match(action)) return nothing;
    if (actions.opened.match(action)) {
      const { hasUnsaved, ...rest } = action.payload;
      return { ...nothing, ...rest, status: hasUnsaved ? 'waiting' : 'saved' };
    }
    // a save in progress notices when it ends that more must be saved
    if (actions.editNoticed.match(action))
      return state.status === 'saved' || state.status === 'refused' ? { ...state, status: 'waiting', problem: null } : state;
    if (actions.started.match(action)) return { ...state, status: 'saving' };
    if (actions.finished.match(action)) {
      const { version, savedAt, isUpToDate } = action.payload;
      const status = isUpToDate ? 'saved' : 'waiting';
      return { ...state, baseVersion: version, savedAt, status, stored: null, problem: null };
    }
    if (actions.delayed.match(action)) return { ...state, status: 'delayed', problem: action.payload };
    if (actions.conflictFound.match(action)) return { ...state, status: 'conflict', stored: action.payload };
    if (actions.conflictResolved.match(action))
      return { ...state, baseVersion: state.stored?.version ?? state.baseVersion, status: 'waiting', stored: null };
    if (actions.refused.match(action)) return { ...state, status: 'refused', problem: action.payload };
    return state;
  }

  return { actions, reducer };
}
