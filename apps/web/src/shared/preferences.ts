import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { UnitSystem } from '@still-heron/core';
import { type Light, LIGHTS } from '../ui/theme/palette';

/** Preferences of this device: light, axis of the chart, units outside productions. They are not part of a production. */
export interface Preferences {
  readonly light: Light;
  /** `hand`: even in ring angle; `distance`: even in distance */
  readonly axis: 'hand' | 'distance';
  /** Units in Kit, which belongs to no production */
  readonly units: UnitSystem;
  /** Name of the person who tests gear on this device */
  readonly tester: string;
  /** Peaking in the viewfinder, as last used */
  readonly outlines: Peaking;
}

export interface Peaking {
  readonly isOn: boolean;
  /** 0 to 1 */
  readonly strength: number;
  /** Distance of the compared pixels */
  readonly detail: 1 | 2 | 3;
}

const DEFAULT_PEAKING: Peaking = { isOn: false, strength: 0.6, detail: 1 };

const KEY = 'still-heron.preferences';

/** Reads the preferences of this device. An unreadable value counts as not set. */
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
    units: stored.units === 'imperial' ? 'imperial' : 'metric',
    tester: typeof stored.tester === 'string' ? stored.tester : '',
    outlines: readPeaking(stored.outlines),
  };
}

function readPeaking(stored: Partial<Peaking> | undefined): Peaking {
  const { isOn, strength, detail } = { ...DEFAULT_PEAKING, ...stored };
  return {
    isOn: isOn === true,
    strength: typeof strength === 'number' && strength >= 0 && strength <= 1 ? strength : DEFAULT_PEAKING.strength,
    detail: ([1, 2, 3] as const).find((step) => step === detail) ?? DEFAULT_PEAKING.detail,
  };
}

export function writePreferences(storage: Pick<Storage, 'setItem'>, preferences: Preferences): void {
  storage.setItem(KEY, JSON.stringify(preferences));
}

const slice = createSlice({
  name: 'preferences',
  initialState: { light: 'dusk', axis: 'hand', units: 'metric', tester: '', outlines: DEFAULT_PEAKING } as Preferences,
  reducers: {
    lightChosen: (state, { payload }: PayloadAction<Light>) => ({ ...state, light: payload }),
    axisChosen: (state, { payload }: PayloadAction<Preferences['axis']>) => ({ ...state, axis: payload }),
    unitsChosen: (state, { payload }: PayloadAction<UnitSystem>) => ({ ...state, units: payload }),
    peakingSet: (state, { payload }: PayloadAction<Peaking>) => ({ ...state, outlines: payload }),
    testerNamed: (state, { payload }: PayloadAction<string>) => ({ ...state, tester: payload }),
  },
});

export const { lightChosen, axisChosen, unitsChosen, peakingSet, testerNamed } = slice.actions;
export const preferencesReducer = slice.reducer;
