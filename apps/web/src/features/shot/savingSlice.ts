import type { ShotView } from '@still-heron/contract';
import { createSavingSlice, type Saving } from '../../shared/saving/savingSlice';

const slice = createSavingSlice<ShotView>('saving');

/** Save state of the open shot: its id, and as its context the production. */
export const savingReducer = slice.reducer;
export const savingActions = slice.actions;

declare module '../../shared/store/hooks' {
  interface RootState {
    readonly saving: Saving<ShotView>;
  }
}

interface WithSaving {
  readonly saving: Saving<ShotView>;
}

export const selectSaving = (state: WithSaving): Saving<ShotView> => state.saving;
/** Production of the open shot. */
export const selectProductionId = (state: WithSaving): string | null => state.saving.context;
