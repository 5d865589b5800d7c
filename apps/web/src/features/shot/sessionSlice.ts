import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { FloorItem } from '@still-heron/core';

declare module '../../shared/store/hooks' {
  interface RootState {
    readonly session: Session;
  }
}

/** State of this session, never saved: playhead, selection, and the focus distance tried in Set-up. */
export interface Session {
  readonly timeS: number;
  readonly isPlaying: boolean;
  readonly selection: Selection | null;
  /** Floor: all selected items if there are several, else empty */
  readonly group: readonly FloorItem[];
  /** Floor: items that were selected before the keyboard focus moved on */
  readonly heldBefore: readonly FloorItem[];
  /** Floor: copied items */
  readonly copied: readonly FloorItem[];
  /** Pull: visible time span; null for the whole shot */
  readonly view: TimeView | null;
  /** Focus distance tried in Set-up; null until chosen */
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
    /**
     * The keyboard focus has moved to an item: only that item is selected. The previous selection is kept, so that the item can
     * be added to it.
     */
    itemReached: (state, { payload }: PayloadAction<FloorItem>) => ({
      ...state,
      selection: payload,
      group: [],
      heldBefore: heldOf(state),
    }),
    /** Adds an item to the selection, or removes it. */
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

/** All selected items on the floor: several, one, or none. */
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
/** Selected item; a separate selector, so that playing does not re-render its users. */
export const selectSelection = (state: { readonly session: Session }): Selection | null => state.session.selection;
/** All selected items on the floor. */
export const selectHeld = (state: { readonly session: Session }): readonly FloorItem[] => heldOf(state.session);
