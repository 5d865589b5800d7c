import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ErrorBody, ShotView } from '@still-heron/contract';

/**
 * Save state of the open shot. Live, never stored. `baseVersion` is the stored version on which the open document is based; a
 * save names it.
 */
export interface Saving {
  readonly shotId: string | null;
  readonly productionId: string | null;
  readonly baseVersion: number;
  readonly status: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused';
  /** ISO time of the stored version */
  readonly savedAt: string | null;
  /** With `conflict`: the stored version */
  readonly stored: ShotView | null;
  /** With `refused`: the server's answer */
  readonly problem: ErrorBody | null;
}

const closed: Saving = {
  shotId: null,
  productionId: null,
  baseVersion: 0,
  status: 'saved',
  savedAt: null,
  stored: null,
  problem: null,
};

const slice = createSlice({
  name: 'saving',
  initialState: closed,
  reducers: {
    savingOpened: (
      _,
      {
        payload,
      }: PayloadAction<{
        shotId: string;
        productionId: string;
        baseVersion: number;
        savedAt: string | null;
        hasUnsaved: boolean;
      }>,
    ): Saving => {
      const { hasUnsaved, ...rest } = payload;
      return { ...closed, ...rest, status: hasUnsaved ? 'waiting' : 'saved' };
    },
    savingClosed: (): Saving => closed,
    // a save in progress notices when it ends that more must be saved
    editNoticed: (state): Saving =>
      state.status === 'saved' || state.status === 'refused' ? { ...state, status: 'waiting', problem: null } : state,
    saveStarted: (state): Saving => ({ ...state, status: 'saving' }),
    saveFinished: (state, { payload }: PayloadAction<{ version: number; savedAt: string; isUpToDate: boolean }>): Saving => ({
      ...state,
      baseVersion: payload.version,
      savedAt: payload.savedAt,
      status: payload.isUpToDate ? 'saved' : 'waiting',
      stored: null,
      problem: null,
    }),
    serverLost: (state): Saving => ({ ...state, status: 'offline' }),
    conflictFound: (state, { payload }: PayloadAction<ShotView>): Saving => ({ ...state, status: 'conflict', stored: payload }),
    /** The user has resolved the conflict: the next save names the stored version. */
    conflictResolved: (state): Saving => ({
      ...state,
      baseVersion: state.stored?.version ?? state.baseVersion,
      status: 'waiting',
      stored: null,
    }),
    saveRefused: (state, { payload }: PayloadAction<ErrorBody>): Saving => ({ ...state, status: 'refused', problem: payload }),
  },
});

export const {
  savingOpened,
  savingClosed,
  editNoticed,
  saveStarted,
  saveFinished,
  serverLost,
  conflictFound,
  conflictResolved,
  saveRefused,
} = slice.actions;
export const savingReducer = slice.reducer;

export const selectSaving = (state: { readonly saving: Saving }): Saving => state.saving;
