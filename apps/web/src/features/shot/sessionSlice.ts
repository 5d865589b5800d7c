import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FloorItem } from '@still-heron/core';

/** This session's, never saved: where the playhead stands, what is selected, and the distance tried in Set-up. */
export interface Session {
  readonly timeS: number;
  readonly isPlaying: boolean;
  readonly selection: Selection | null;
  /** On the floor: everything that is taken hold of together; empty unless there are several */
  readonly group: readonly FloorItem[];
  /** On the floor: what was held before the keyboard went on to the next thing */
  readonly heldBefore: readonly FloorItem[];
  /** On the floor: what was copied last, to be put down again */
  readonly copied: readonly FloorItem[];
  /** On Pull: which stretch of the shot is shown; null for all of it */
  readonly view: TimeView | null;
  /** Focus distance tried in Set-up; null until one is chosen */
  readonly triedMm: number | null;
}

export interface TimeView {
  readonly fromS: number;
  readonly toS: number;
}

export type Selection = { readonly kind: 'move' | 'beat' | 'subject' | 'mark' | 'camera' | 'landmark'; readonly id: string };

const FRESH: Session = {
  timeS: 0,
  isPlaying: false,
  selection: null,
  group: [],
  heldBefore: [],
  copied: [],
  view: null,
  triedMm: null,
};

const slice = createSlice({
  name: 'session',
  initialState: FRESH,
  reducers: {
    playheadMoved: (state, { payload }: PayloadAction<number>) => ({ ...state, timeS: payload }),
    playToggled: (state) => ({ ...state, isPlaying: !state.isPlaying }),
    playStopped: (state) => ({ ...state, isPlaying: false }),
    itemSelected: (state, { payload }: PayloadAction<Selection | null>) => ({
      ...state,
      selection: payload,
      group: [],
      heldBefore: [],
    }),
    /** The keyboard has come to something: it is held by itself, and what was held is remembered, so that it can be taken to it. */
    itemReached: (state, { payload }: PayloadAction<FloorItem>) => ({
      ...state,
      selection: payload,
      group: [],
      heldBefore: heldOf(state),
    }),
    /** Takes something to what is selected, or out of it. */
    itemToggled: (state, { payload }: PayloadAction<FloorItem>) => {
      const now = heldOf(state);
      const isOnlyReached = now.length === 1 && now[0]!.id === payload.id && state.heldBefore.length > 0;
      const held = isOnlyReached ? state.heldBefore : now;
      const without = held.filter(({ kind, id }) => kind !== payload.kind || id !== payload.id);
      return withHeld(state, without.length < held.length ? without : [...held, payload]);
    },
    groupSelected: (state, { payload }: PayloadAction<readonly FloorItem[]>) => withHeld(state, payload),
    itemsCopied: (state, { payload }: PayloadAction<readonly FloorItem[]>) => ({ ...state, copied: payload }),
    viewSet: (state, { payload }: PayloadAction<TimeView | null>) => ({ ...state, view: payload }),
    distanceTried: (state, { payload }: PayloadAction<number>) => ({ ...state, triedMm: payload }),
    sessionReset: (): Session => FRESH,
  },
});

/** Everything on the floor that is taken hold of: several, one, or none. */
function heldOf({ group, selection }: Session): readonly FloorItem[] {
  if (group.length > 0) return group;
  const isOnFloor = selection?.kind === 'mark' || selection?.kind === 'camera' || selection?.kind === 'landmark';
  return isOnFloor ? [selection as FloorItem] : [];
}

function withHeld(state: Session, items: readonly FloorItem[]): Session {
  return { ...state, selection: items[items.length - 1] ?? null, group: items.length > 1 ? items : [], heldBefore: [] };
}

export const {
  playheadMoved,
  playToggled,
  playStopped,
  itemSelected,
  itemReached,
  itemToggled,
  groupSelected,
  itemsCopied,
  distanceTried,
  viewSet,
  sessionReset,
} = slice.actions;
export const sessionReducer = slice.reducer;

export const selectSession = (state: { readonly session: Session }): Session => state.session;
/** What is selected, for what need not be drawn anew at every frame that plays. */
export const selectSelection = (state: { readonly session: Session }): Selection | null => state.session.selection;
/** Everything on the floor that moves, is copied and goes together. */
export const selectHeld = (state: { readonly session: Session }): readonly FloorItem[] => heldOf(state.session);
