import { configureStore } from '@reduxjs/toolkit';
import { api } from '../shared/api/api';
import { entryReducer } from '../shared/api/entry';
import { kitSaver } from '../features/kit/kitSaving';
import { kitSavingReducer } from '../features/kit/kitSavingSlice';
import { kitReducer } from '../features/kit/kitSlice';
import { shotSaver } from '../features/shot/saving';
import { savingReducer } from '../features/shot/savingSlice';
import { sessionReducer } from '../features/shot/sessionSlice';
import { shotReducer } from '../features/shot/shotSlice';
import type { Store } from '../shared/store/hooks';
import { preferencesReducer, readPreferences, writePreferences } from '../shared/preferences';

/** The store holds small plain JSON, apart from the API cache. Typed arrays of verdicts stay outside, in the evaluator. */
export function createStore(storage: Storage): Store {
  const store = configureStore({
    reducer: {
      api: api.reducer,
      entry: entryReducer,
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
        .prepend(shotSaver.middleware, kitSaver.middleware)
        .concat(api.middleware),
  });
  let known = store.getState().preferences;
  store.subscribe(() => {
    const { preferences } = store.getState();
    if (preferences !== known) writePreferences(storage, (known = preferences));
  });
  return store;
}
