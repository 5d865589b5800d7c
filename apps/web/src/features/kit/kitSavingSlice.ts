import type { KitItemView } from '@still-heron/contract';
import { createSavingSlice, type Saving } from '../../shared/saving/savingSlice';

const slice = createSavingSlice<KitItemView>('kitSaving');

/** Save state of the open kit item: its id, and as its context the kind. */
export const kitSavingReducer = slice.reducer;
export const kitSavingActions = slice.actions;

declare module '../../shared/store/hooks' {
  interface RootState {
    readonly kitSaving: Saving<KitItemView>;
  }
}

export const selectKitSaving = (state: { readonly kitSaving: Saving<KitItemView> }): Saving<KitItemView> => state.kitSaving;
