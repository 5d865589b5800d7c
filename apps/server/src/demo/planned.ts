import { setSchedule, setGoals, type ShotPlan } from '@still-heron/core';

/** Sets meter reading, background, goals and schedule of a shot. */
export function planned(plan: ShotPlan, { meteredStop, ndStops = 0, behind, softPercent = null, ...when }: Planned): ShotPlan {
  const { isOneChance = false, ...schedule } = when;
  const [name, distanceMm] = behind;
  const lit = { ...plan, exposure: { ...plan.exposure, meteredStop, ndStops } };
  return setSchedule(setGoals(lit, { isOneChance, background: { name, distanceMm }, blurPercent: softPercent }), schedule);
}

interface Planned extends Partial<ShotPlan['schedule']> {
  readonly meteredStop: number;
  readonly ndStops?: number;
  readonly behind: readonly [name: string, distanceMm: number | null];
  readonly softPercent?: number | null;
  readonly isOneChance?: boolean;
}
