import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** This session's, never saved: where the playhead stands, what is selected, and the distance tried in Set-up. */
export interface Session {
  readonly timeS: number;
  readonly isPlaying: boolean;
  readonly selection: Selection | null;
  /** Focus distance tried in Set-up; null until one is chosen */
  readonly triedMm: number | null;
}

export type Selection = { readonly kind: 'move' | 'beat' | 'subject' | 'mark' | 'camera' | 'landmark'; readonly id: string };

const slice = createSlice({
  name: 'session',
  initialState: { timeS: 0, isPlaying: false, selection: null, triedMm: null } as Session,
  reducers: {
    playheadMoved: (state, { payload }: PayloadAction<number>) => ({ ...state, timeS: payload }),
    playToggled: (state) => ({ ...state, isPlaying: !state.isPlaying }),
    playStopped: (state) => ({ ...state, isPlaying: false }),
    itemSelected: (state, { payload }: PayloadAction<Selection | null>) => ({ ...state, selection: payload }),
    distanceTried: (state, { payload }: PayloadAction<number>) => ({ ...state, triedMm: payload }),
    sessionReset: (): Session => ({ timeS: 0, isPlaying: false, selection: null, triedMm: null }),
  },
});

export const { playheadMoved, playToggled, playStopped, itemSelected, distanceTried, sessionReset } = slice.actions;
export const sessionReducer = slice.reducer;

export const selectSession = (state: { readonly session: Session }): Session => state.session;
/** What is selected, for what need not be drawn anew at every frame that plays. */
export const selectSelection = (state: { readonly session: Session }): Selection | null => state.session.selection;
