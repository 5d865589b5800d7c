import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { type Light, LIGHTS } from './palette';

/** Saved on this device, not with the production: how the page is lit, and which axis the channel is drawn on. */
export interface Preferences {
  readonly light: Light;
  /** `hand`: equal height is equal turn of the ring; `distance`: equal height is equal distance */
  readonly axis: 'hand' | 'distance';
}

const KEY = 'still-heron.preferences';

/** What this device remembers; anything unreadable counts as never set. */
export function readPreferences(storage: Pick<Storage, 'getItem'>): Preferences {
  let stored: Partial<Preferences> = {};
  try {
    stored = JSON.parse(storage.getItem(KEY) ?? '{}') as Partial<Preferences>;
  } catch {
    // a broken entry is replaced at the next change
  }
  return {
    light: LIGHTS.find((light) => light === stored.light) ?? 'dusk',
    axis: stored.axis === 'distance' ? 'distance' : 'hand',
  };
}

export function writePreferences(storage: Pick<Storage, 'setItem'>, preferences: Preferences): void {
  storage.setItem(KEY, JSON.stringify(preferences));
}

const slice = createSlice({
  name: 'preferences',
  initialState: { light: 'dusk', axis: 'hand' } as Preferences,
  reducers: {
    lightChosen: (state, { payload }: PayloadAction<Light>) => ({ ...state, light: payload }),
    axisChosen: (state, { payload }: PayloadAction<Preferences['axis']>) => ({ ...state, axis: payload }),
  },
});

export const { lightChosen, axisChosen } = slice.actions;
export const preferencesReducer = slice.reducer;
