import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { KitItems, KitKind } from '@still-heron/core';
import { ActionCreators, type StateWithHistory } from 'redux-undo';
import { withUndo } from '../../shared/undo';

declare module '../../shared/store/hooks' {
  interface RootState {
    readonly kit: StateWithHistory<OpenKit>;
  }
}

/** A kit item with its kind: the unit of editing, undo and saving. */
export type AnyKitItem = { readonly [K in KitKind]: { readonly kind: K; readonly item: KitItems[K] } }[KitKind];

/** The open kit item with its undo history. Its save state is in `kitSavingSlice`. */
export interface OpenKit {
  readonly open: (AnyKitItem & { readonly id: string }) | null;
  /** Name of the last step, for "Undo: …" */
  readonly stepName: string;
}

interface KitEdit {
  readonly item: KitItems[KitKind];
  readonly name: string;
  /** Edits of one gesture (a drag, a series of key presses) are one step */
  readonly gesture?: string;
}

const slice = createSlice({
  name: 'kit',
  initialState: { open: null, stepName: '' } as OpenKit,
  reducers: {
    kitOpened: (_, { payload }: PayloadAction<OpenKit['open']>): OpenKit => ({ open: payload, stepName: '' }),
    kitEdited: (state, { payload }: PayloadAction<KitEdit>): OpenKit => ({
      open: state.open && ({ ...state.open, item: payload.item } as OpenKit['open']),
      stepName: payload.name,
    }),
  },
});

export const { kitOpened, kitEdited } = slice.actions;
export const kitReducer = withUndo(slice.reducer, kitEdited.type);

export interface WithKit {
  readonly kit: StateWithHistory<OpenKit>;
}

export const selectOpenKit = (state: WithKit): OpenKit['open'] => state.kit.present.open;
/** Name of the step that undo reverts; null if there is none. */
export const selectKitUndoName = (state: WithKit): string | null =>
  state.kit.past.length > 0 ? state.kit.present.stepName : null;
export const selectKitRedoName = (state: WithKit): string | null => state.kit.future[0]?.stepName ?? null;

/** Opens an item, or none, with an empty undo history. */
export function openKit(open: OpenKit['open']) {
  return (dispatch: (action: { type: string }) => void): void => {
    dispatch(kitOpened(open));
    dispatch(ActionCreators.clearHistory());
  };
}

/** Edits the current state of the open item. Does nothing if another kind is open, or if the edit changes nothing. */
export function editKit<K extends KitKind>(kind: K, name: string, edit: (item: KitItems[K]) => KitItems[K], gesture?: string) {
  return (dispatch: (action: ReturnType<typeof kitEdited>) => void, getState: () => WithKit): void => {
    const open = selectOpenKit(getState());
    if (open?.kind !== kind) return;
    const before = open.item as KitItems[K];
    const item = edit(before);
    if (item !== before) dispatch(kitEdited({ item, name, ...(gesture ? { gesture } : {}) }));
  };
}
