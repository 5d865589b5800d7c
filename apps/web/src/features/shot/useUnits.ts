import type { UnitSystem } from '@still-heron/core';
import { useProductionQuery } from '../../shared/api/api';
import { useAppSelector } from '../../app/store';
import { selectSaving } from './savingSlice';

/** Units of the open shot's production; metric while unknown. */
export function useUnits(): UnitSystem {
  const productionId = useAppSelector((state) => selectSaving(state).productionId);
  const { data } = useProductionQuery(productionId ?? '', { skip: !productionId });
  return data?.units ?? 'metric';
}
