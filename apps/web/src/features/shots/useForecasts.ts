import type { ShotView } from '@still-heron/contract';
import {
  ATTENTION,
  type Attention,
  attentionOf,
  drawLayoutOf,
  type KeepRate,
  type ShotPlan,
  type ShotTime,
  shotTime,
  type UnitSystem,
} from '@still-heron/core';
import { useEffect, useMemo, useState } from 'react';
import { summariseShot } from '../../shared/workers/evaluator';
import type { ShotSummary } from '../../shared/workers/protocol';
import { SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/** Forecast of a shot, as far as known. */
export interface Forecast {
  readonly summary: ShotSummary | null;
  /** null until known, and for a plan that can't be evaluated */
  readonly rate: KeepRate | null;
  readonly time: ShotTime | null;
  /** null until known */
  readonly attention: Attention | null;
}

const RANK = 4;
/** Results within this time are shown together. */
const BATCH_MS = 60;

/** Known keep rates; a plan is immutable. */
const cachedRates = new WeakMap<ShotPlan, KeepRate | null>();

/** Whether a list can count with a plan. One that is broken must not hide the others. */
function isReadable(plan: ShotPlan): boolean {
  try {
    drawLayoutOf(plan);
    return Number.isFinite(plan.schedule.day) && Number.isFinite(plan.goals.targetKeepRate);
  } catch {
    return false;
  }
}

/** Forecasts by shot id: first the verdict, then the keep rate. */
export function useForecasts(shots: readonly ShotView[], units: UnitSystem): ReadonlyMap<string, Forecast> {
  const summaries = useSummaries(shots, units);
  const drawn = useRates(shots);
  return useMemo(
    () => new Map(shots.map((shot) => [shot.id, forecastOf(shot, summaries.get(shot.plan) ?? null)])),
    // rates are cached by plan; their count tells when more are known
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [shots, summaries, drawn],
  );
}

function forecastOf({ plan }: ShotView, summary: ShotSummary | null): Forecast {
  const rate = cachedRates.get(plan);
  if (!summary || rate === undefined) return { summary, rate: null, time: null, attention: null };
  const { outcome } = summary;
  if (outcome === 'unreadable') return { summary, rate: null, time: null, attention: 'unreadable' };
  return {
    summary,
    rate,
    time: rate && shotTime(plan, rate),
    attention: attentionOf(plan, outcome === 'incomplete' ? null : outcome, rate?.keepRate ?? null),
  };
}

function useSummaries(shots: readonly ShotView[], units: UnitSystem): ReadonlyMap<ShotPlan, ShotSummary> {
  const [summaries, setSummaries] = useState<ReadonlyMap<ShotPlan, ShotSummary>>(new Map());
  useEffect(() => {
    const known = new Map<ShotPlan, ShotSummary>();
    let timer: ReturnType<typeof setTimeout> | null = null;
    let isCurrent = true;
    const show = () => {
      timer = null;
      setSummaries(new Map(known));
    };
    for (const { plan } of shots)
      void summariseShot(plan, units).then((summary) => {
        known.set(plan, summary);
        // hundreds of results arrive one by one, and each would redraw the whole list
        if (isCurrent) timer ??= setTimeout(show, BATCH_MS);
      });
    return () => {
      isCurrent = false;
      if (timer !== null) clearTimeout(timer);
    };
  }, [shots, units]);
  return summaries;
}

/** Requests missing keep rates. @returns a number that changes when more are known */
function useRates(shots: readonly ShotView[]): number {
  const [drawn, setDrawn] = useState(0);
  useEffect(() => {
    const plans = shots.map(({ plan }) => plan).filter((plan) => !cachedRates.has(plan) && isReadable(plan));
    if (plans.length === 0) return undefined;
    const asks = plans.map((plan) => ({ plan, order: drawLayoutOf(plan), without: null }));
    const job = trialPool().draw({
      asks,
      takes: TAKES,
      seed: SEED,
      rank: RANK,
      onProgress({ rates, isDone }) {
        if (!isDone) return;
        rates.forEach((rate, index) => cachedRates.set(plans[index]!, rate));
        setDrawn((count) => count + plans.length);
      },
    });
    return job.cancel;
  }, [shots]);
  return drawn;
}

/** Shots sorted by urgency. Shots without a forecast come before those that are ready. */
export function byAttention(shots: readonly ShotView[], forecasts: ReadonlyMap<string, Forecast>): ShotView[] {
  const rank = ({ id }: ShotView) => {
    const forecast = forecasts.get(id);
    return [ATTENTION.indexOf(forecast?.attention ?? 'low-keep-rate'), forecast?.rate?.keepRate ?? 0] as const;
  };
  return [...shots].sort((a, b) => {
    const [[a1, a2], [b1, b2]] = [rank(a), rank(b)];
    return a1 - b1 || a2 - b2;
  });
}

/** Totals of a shooting day. */
export interface DayTotal {
  readonly day: number;
  readonly shots: number;
  readonly takes: number;
  readonly minutes: number;
  /** Number of shots without a known number of takes */
  readonly unknown: number;
}

/** Takes and minutes by shooting day. Shots that can't be read have no day. */
export function dayTotals(all: readonly ShotView[], forecasts: ReadonlyMap<string, Forecast>): DayTotal[] {
  const shots = all.filter(({ plan }) => isReadable(plan));
  const days = [...new Set(shots.map(({ plan }) => plan.schedule.day))].sort((a, b) => a - b);
  return days.map((day) => {
    const times = shots.filter(({ plan }) => plan.schedule.day === day).map(({ id }) => forecasts.get(id)?.time ?? null);
    const known = times.filter((time) => time !== null && time.minutes !== null);
    return {
      day,
      shots: times.length,
      takes: known.reduce((sum, time) => sum + time!.takes!, 0),
      minutes: known.reduce((sum, time) => sum + time!.minutes!, 0),
      unknown: times.length - known.length,
    };
  });
}
