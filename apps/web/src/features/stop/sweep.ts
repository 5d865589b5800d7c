import {
  withStop,
  drawLayoutOf,
  type KeepRate,
  DEFAULT_SCHEDULE,
  DEFAULT_GOALS,
  newPlan,
  type ShotPlan,
  type StopRate,
  type StopFigures,
  stopsToCompare,
} from '@still-heron/core';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';

/** A plan at every stop of its lens: the input of the trials. */
export interface Sweep {
  /** Equal for plans that differ in nothing relevant to the trials, so that changing the stop runs no new ones */
  readonly key: string;
  readonly stops: readonly number[];
  readonly asks: readonly TrialRequest[];
}

/** Trials do not depend on the light. */
const NO_LIGHT: ShotPlan['exposure'] = newPlan().exposure;

/**
 * Sweep of a plan.
 *
 * @param before - the previous sweep; returned unchanged if nothing relevant has changed
 */
export function sweepOf(plan: ShotPlan, before: Sweep | null): Sweep {
  const stops = stopsToCompare(plan);
  const widest = withStop(plan, stops[0]!);
  const bare: ShotPlan = {
    ...widest,
    exposure: NO_LIGHT,
    goals: DEFAULT_GOALS,
    schedule: DEFAULT_SCHEDULE,
    notes: '',
  };
  const key = JSON.stringify([stops, bare]);
  if (before?.key === key) return before;
  const order = drawLayoutOf(bare);
  return { key, stops, asks: stops.map((stop) => ({ plan: withStop(bare, stop), order, without: null })) };
}

/** Keep rates and figures by stop; empty while a rate is missing. */
export function stopRatesOf(
  stops: readonly number[],
  rates: readonly (KeepRate | null)[],
  figures: readonly StopFigures[],
): StopRate[] {
  if (rates.length !== stops.length || figures.length !== stops.length) return [];
  return stops.flatMap((stop, index): StopRate[] => {
    const rate = rates[index];
    if (!rate) return [];
    const { keepRate, low, high } = rate;
    return [{ stop, keepRate, low, high, backgroundPercent: figures[index]!.backgroundPercent }];
  });
}

/** Index of a stop in the list. */
export function indexOfStop(stops: readonly number[], stop: number): number {
  return stops.reduce(
    (best, one, index) => (Math.abs(Math.log(one / stop)) < Math.abs(Math.log(stops[best]! / stop)) ? index : best),
    0,
  );
}
