import type { TakeRowView } from '@still-heron/contract';
import { adviseNext, type NextAdvice, type ShotPlan, shotTime } from '@still-heron/core';
import { adviceText } from '@still-heron/wording';
import { useMemo } from 'react';
import { useKeepRate } from '../shot/useKeepRate';

/** Advice for the next take, with planned takes and corrections, also as a sentence. */
export function useAdvice(
  plan: ShotPlan,
  takes: readonly TakeRowView[],
): { readonly next: NextAdvice; readonly tone: string; readonly text: string } {
  const rate = useKeepRate()?.rate ?? null;
  const planned = rate ? shotTime(plan, rate).takes : plan.schedule.takes;
  const next = useMemo(
    () =>
      adviseNext(
        plan,
        takes.map(({ take }) => take),
      ),
    [plan, takes],
  );
  return { next, ...adviceText(next, planned) };
}
