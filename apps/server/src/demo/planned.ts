import { setSchedule, setWanted, type ShotPlan } from '@still-heron/core';

/** What the light says, what lies behind, how often it can be tried, and what it takes of the day. */
export function planned(plan: ShotPlan, { meteredStop, ndStops = 0, behind, softPercent = null, ...when }: Planned): ShotPlan {
  const { isOneChance = false, ...schedule } = when;
  const [name, distanceMm] = behind;
  const lit = { ...plan, exposure: { ...plan.exposure, meteredStop, ndStops } };
  return setSchedule(setWanted(lit, { isOneChance, background: { name, distanceMm }, blurPercent: softPercent }), schedule);
}

interface Planned extends Partial<ShotPlan['schedule']> {
  readonly meteredStop: number;
  readonly ndStops?: number;
  readonly behind: readonly [name: string, distanceMm: number | null];
  readonly softPercent?: number | null;
  readonly isOneChance?: boolean;
}
