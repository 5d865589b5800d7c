import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { UnitSystem } from '@still-heron/core';

declare module './store/hooks' {
  interface RootState {
    readonly preferences: Preferences;
  }
}

/** Two palettes: one for a dark stage, one for daylight. */
export const LIGHTS = ['dusk', 'noon'] as const;
export type Light = (typeof LIGHTS)[number];

/** Preferences of this device: light, axis of the chart and units. They are not part of a production. */
export interface Preferences {
  readonly light: Light;
  /** `hand`: even in ring angle; `distance`: even in distance */
  readonly axis: 'hand' | 'distance';
  readonly units: UnitSystem;
  /** Name of the person who tests gear on this device */
  readonly tester: string;
  /** Peaking in the viewfinder, as last used */
  readonly peaking: Peaking;
  /** The production that was open last: Shots and Log lead there from every page */
  readonly productionId: string | null;
}

export interface Peaking {
  readonly isOn: boolean;
  /** 0 to 1 */
  readonly strength: number;
  /** Distance of the compared pixels */
  readonly detail: 1 | 2 | 3;
}

const DEFAULT_PEAKING: Peaking = { isOn: false, strength: 0.6, detail: 1 };

type Stored = Partial<Preferences> & { readonly outlines?: Partial<Peaking> };

const KEY = 'still-heron.preferences';

/** Reads the preferences of this device. An unreadable value counts as not set. */
export function readPreferences(storage: Pick<Storage, 'getItem'>): Preferences {
  let stored: Stored = {};
  try {
    stored = JSON.parse(storage.getItem(KEY) ?? '{}') as Stored;
  } catch {
    // a broken entry is replaced at the next change
  }
  return {
    light: LIGHTS.find((light) => light === stored.light) ?? 'dusk',
    axis: stored.axis === 'distance' ? 'distance' : 'hand',
    units: stored.units === 'imperial' ? 'imperial' : 'metric',
    tester: typeof stored.tester === 'string' ? stored.tester : '',
    // before, peaking was stored under another name
    peaking: readPeaking(stored.peaking ?? stored.outlines),
    productionId: typeof stored.productionId === 'string' ? stored.productionId : null,
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
  initialState: {
    light: 'dusk',
    axis: 'hand',
    units: 'metric',
    tester: '',
    peaking: DEFAULT_PEAKING,
    productionId: null,
  } as Preferences,
  reducers: {
    lightChosen: (state, { payload }: PayloadAction<Light>) => ({ ...state, light: payload }),
    axisChosen: (state, { payload }: PayloadAction<Preferences['axis']>) => ({ ...state, axis: payload }),
    unitsChosen: (state, { payload }: PayloadAction<UnitSystem>) => ({ ...state, units: payload }),
    peakingSet: (state, { payload }: PayloadAction<Peaking>) => ({ ...state, peaking: payload }),
    productionOpened: (state, { payload }: PayloadAction<string>) => ({ ...state, productionId: payload }),
    testerNamed: (state, { payload }: PayloadAction<string>) => ({ ...state, tester: payload }),
  },
});

export const { lightChosen, axisChosen, unitsChosen, peakingSet, productionOpened, testerNamed } = slice.actions;
export const preferencesReducer = slice.reducer;
