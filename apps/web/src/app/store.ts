import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { api } from '../shared/api/api';
import { kitSavingMiddleware } from '../features/kit/kitSaving';
import { kitSavingReducer } from '../features/kit/kitSavingSlice';
import { kitReducer } from '../features/kit/kitSlice';
import { savingMiddleware } from '../features/shot/saving';
import { savingReducer } from '../features/shot/savingSlice';
import { sessionReducer } from '../features/shot/sessionSlice';
import { shotReducer } from '../features/shot/shotSlice';
import { preferencesReducer, readPreferences, writePreferences } from '../shared/preferences';

/** The store holds small plain JSON, apart from the API cache. Typed arrays of verdicts stay outside, in the evaluator. */
export function createStore(storage: Storage) {
  const store = configureStore({
    reducer: {
      api: api.reducer,
      shot: shotReducer,
      saving: savingReducer,
      session: sessionReducer,
      kit: kitReducer,
      kitSaving: kitSavingReducer,
      preferences: preferencesReducer,
    },
    preloadedState: { preferences: readPreferences(storage) },
    middleware: (getDefault) =>
      getDefault({ serializableCheck: false, immutableCheck: false })
        .prepend(savingMiddleware.middleware, kitSavingMiddleware.middleware)
        .concat(api.middleware),
  });
  let known = store.getState().preferences;
  store.subscribe(() => {
    const { preferences } = store.getState();
    if (preferences !== known) writePreferences(storage, (known = preferences));
  });
  return store;
}

export type Store = ReturnType<typeof createStore>;
export type RootState = ReturnType<Store['getState']>;

export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<Store>();
