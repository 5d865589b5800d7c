import {
  atStop,
  drawOrderOf,
  type KeepRate,
  PLAIN_SCHEDULE,
  PLAIN_WANTED,
  type ShotPlan,
  type StopChance,
  type StopFigures,
  stopsOf,
} from '@still-heron/core';
import type { TakesAsk } from '../../workers/takes/takeRunner';

/** A shot at every stop of its lens: what takes are drawn of. */
export interface Sweep {
  /** Same for plans that differ in nothing that takes depend on, so that turning the stop draws nothing anew */
  readonly key: string;
  readonly stops: readonly number[];
  readonly asks: readonly TakesAsk[];
}

/**
 * The sweep of a plan.
 *
 * @param before - the last one: it comes back as it is when nothing that takes depend on has changed
 */
export function sweepOf(plan: ShotPlan, before: Sweep | null): Sweep {
  const stops = stopsOf(plan);
  const widest = atStop(plan, stops[0]!);
  const bare: ShotPlan = {
    ...widest,
    exposure: { meteredStop: null, iso: 100, shutterAngleDeg: 180, ndStops: 0 },
    wanted: PLAIN_WANTED,
    schedule: PLAIN_SCHEDULE,
    notes: '',
  };
  const key = JSON.stringify([stops, bare]);
  if (before?.key === key) return before;
  const order = drawOrderOf(bare);
  return { key, stops, asks: stops.map((stop) => ({ plan: atStop(bare, stop), order, without: null })) };
}

/** Rates and figures of the same stops as one list; none while a rate is still missing. */
export function chancesOf(
  stops: readonly number[],
  rates: readonly (KeepRate | null)[],
  figures: readonly StopFigures[],
): StopChance[] {
  if (rates.length !== stops.length || figures.length !== stops.length) return [];
  return stops.flatMap((stop, index): StopChance[] => {
    const rate = rates[index];
    if (!rate) return [];
    const { keepRate, low, high } = rate;
    return [{ stop, keepRate, low, high, backgroundPercent: figures[index]!.backgroundPercent }];
  });
}

/** Where a stop stands among the stops. */
export function indexOfStop(stops: readonly number[], stop: number): number {
  return stops.reduce(
    (best, one, index) => (Math.abs(Math.log(one / stop)) < Math.abs(Math.log(stops[best]! / stop)) ? index : best),
    0,
  );
}
