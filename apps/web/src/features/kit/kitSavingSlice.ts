import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { ErrorBody, KitItemView } from '@still-heron/contract';

/** Save state of the open kit item. Live, never stored. */
export interface KitSaving {
  /** Stored version on which the open item is based */
  readonly version: number;
  readonly status: 'saved' | 'waiting' | 'saving' | 'offline' | 'conflict' | 'refused';
  /** With `conflict`: the stored version */
  readonly stored: KitItemView | null;
  /** With `refused`: the server's answer */
  readonly problem: ErrorBody | null;
}

const fresh: KitSaving = { version: 0, status: 'saved', stored: null, problem: null };

const slice = createSlice({
  name: 'kitSaving',
  initialState: fresh,
  reducers: {
    kitSavingOpened: (_, { payload }: PayloadAction<number>): KitSaving => ({ ...fresh, version: payload }),
    kitEditNoticed: (state): KitSaving =>
      state.status === 'saved' || state.status === 'refused' ? { ...state, status: 'waiting', problem: null } : state,
    kitSaveStarted: (state): KitSaving => ({ ...state, status: 'saving' }),
    kitSaved: (_, { payload }: PayloadAction<{ version: number; isUpToDate: boolean }>): KitSaving => ({
      ...fresh,
      version: payload.version,
      status: payload.isUpToDate ? 'saved' : 'waiting',
    }),
    kitServerLost: (state): KitSaving => ({ ...state, status: 'offline' }),
    kitConflictFound: (state, { payload }: PayloadAction<KitItemView>): KitSaving => ({
      ...state,
      status: 'conflict',
      stored: payload,
    }),
    /** The user has resolved the conflict: the next save names the stored version. */
    kitConflictResolved: (state): KitSaving => ({
      ...fresh,
      version: state.stored?.version ?? state.version,
      status: 'waiting',
    }),
    kitRefused: (state, { payload }: PayloadAction<ErrorBody>): KitSaving => ({ ...state, status: 'refused', problem: payload }),
  },
});

export const {
  kitSavingOpened,
  kitEditNoticed,
  kitSaveStarted,
  kitSaved,
  kitServerLost,
  kitConflictFound,
  kitConflictResolved,
  kitRefused,
} = slice.actions;
export const kitSavingReducer = slice.reducer;
export const selectKitSaving = (state: { readonly kitSaving: KitSaving }): KitSaving => state.kitSaving;
