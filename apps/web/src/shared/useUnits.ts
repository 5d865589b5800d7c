import type { UnitSystem } from '@still-heron/core';
import { useAppSelector } from './store/hooks';

/** Units of this device. */
export function useUnits(): UnitSystem {
  return useAppSelector((state) => state.preferences.units);
}
