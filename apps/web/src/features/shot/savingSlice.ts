import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ErrorBody, ShotView } from '@still-heron/contract';

/**
 * How the open shot stands with the server. Live, never saved.
 * `baseVersion` is the stored version that the open document was made from: the one a save names.
 */
export interface Saving {
  readonly shotId: string | null;
  readonly productionId: string | null;
  readonly baseVersion: number;
  readonly status: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused';
  /** ISO time of the stored version */
  readonly savedAt: string | null;
  /** With `conflict`: what is stored */
  readonly stored: ShotView | null;
  /** With `refused`: what the server said */
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
    // a save on its way notices by itself, when it ends, that there is more to send
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
    conflictMet: (state, { payload }: PayloadAction<ShotView>): Saving => ({ ...state, status: 'conflict', stored: payload }),
    /** The person chose which of the two goes on: the next save names the stored version. */
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
  conflictMet,
  conflictResolved,
  saveRefused,
} = slice.actions;
export const savingReducer = slice.reducer;

export const selectSaving = (state: { readonly saving: Saving }): Saving => state.saving;
