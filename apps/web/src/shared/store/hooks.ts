import type { EnhancedStore, ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';

/**
 * State of the whole page. Each slice adds its part by declaration merging, so that a feature knows its own slice and not the
 * root. `app/store` builds a store of exactly this state.
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by the slices
export interface RootState {}

export type AppDispatch = ThunkDispatch<RootState, unknown, UnknownAction>;
export type Store = EnhancedStore<RootState> & { readonly dispatch: AppDispatch };

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<Store>();
