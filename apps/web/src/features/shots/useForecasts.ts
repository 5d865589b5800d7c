import type { ShotRowView } from '@still-heron/contract';
import {
  ATTENTION,
  type Attention,
  attentionOf,
  drawLayoutOf,
  isAllAutomatic,
  type KeepRate,
  type ShotPlan,
  type ShotTime,
  shotTime,
  type UnitSystem,
} from '@still-heron/core';
import { useEffect, useMemo, useState } from 'react';
import { loadPlans } from '../../shared/api/loadPlans';
import { useAppDispatch } from '../../shared/store/hooks';
import { summariseShot } from '../../shared/workers/evaluator';
import type { ShotSummary } from '../../shared/workers/protocol';
import { SEED, TAKES } from '../../shared/workers/simulation/defaults';
import { trialPool } from '../../shared/workers/simulation/workers';

/** Forecast of a shot, as far as known. */
export interface Forecast {
  /** null until loaded */
  readonly plan: ShotPlan | null;
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
/** Pause before plans are asked for again. */
const FIRST_WAIT_MS = 1000;
const MAX_WAIT_MS = 16_000;

/** What is known of a shot in one version. */
interface Known {
  readonly version: number;
  readonly plan: ShotPlan;
  readonly summaries: Partial<Record<UnitSystem, ShotSummary>>;
  /** undefined until known; null for a plan that can't be evaluated */
  rate?: KeepRate | null;
}

/** By shot id; kept while the page is open, so that a list that is opened again is there at once. */
const known = new Map<string, Known>();

/** Whether the plan of a row is known. One of an older version says nothing about the shot as it is. */
function isKnown({ id, version }: ShotRowView): boolean {
  return (known.get(id)?.version ?? 0) >= version;
}

/** Whether a list can count with a plan. One that is broken must not hide the others. */
function isReadable(plan: ShotPlan): boolean {
  try {
    drawLayoutOf(plan);
    return Number.isFinite(plan.schedule.day) && Number.isFinite(plan.goals.targetKeepRate);
  } catch {
    return false;
  }
}

/** Forecasts by shot id: first the verdict, then the keep rate. Plans are loaded some at a time, from the top. */
export function useForecasts(
  productionId: string,
  rows: readonly ShotRowView[],
  units: UnitSystem,
): ReadonlyMap<string, Forecast> {
  const dispatch = useAppDispatch();
  const [news, setNews] = useState(0);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | null = null;
    // hundreds of results arrive one by one, and each would redraw the list
    const tell = () =>
      (timer ??= setTimeout(() => {
        timer = null;
        setNews((count) => count + 1);
      }, BATCH_MS));
    const work = new ForecastWork(units, tell);
    void work.run((shotIds) => loadPlans(dispatch, productionId, shotIds), rows);
    return () => {
      work.end();
      if (timer !== null) clearTimeout(timer);
    };
  }, [dispatch, productionId, rows, units]);
  return useMemo(
    () => new Map(rows.map((row) => [row.id, forecastOf(row, units)])),
    // what is known is kept outside of React
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [rows, units, news],
  );
}

type Load = (shotIds: readonly string[]) => ReturnType<typeof loadPlans>;

/** Finds what is not known yet of the shots of a list. */
class ForecastWork {
  #isOn = true;
  readonly #cancels: (() => void)[] = [];
  /** Shots that are being evaluated, or have been */
  readonly #begun = new Set<string>();

  constructor(
    private readonly units: UnitSystem,
    private readonly tell: () => void,
  ) {}

  /** While the server does not answer, the list shows what it has, and asks again. */
  async run(load: Load, rows: readonly ShotRowView[]): Promise<void> {
    for (let waitMs = FIRST_WAIT_MS; this.#isOn; waitMs = Math.min(2 * waitMs, MAX_WAIT_MS)) {
      try {
        return await this.#runOnce(load, rows);
      } catch {
        await new Promise((done) => setTimeout(done, waitMs));
      }
    }
  }

  async #runOnce(load: Load, rows: readonly ShotRowView[]): Promise<void> {
    this.#evaluate(rows.filter(isKnown).map(({ id }) => id));
    const missing = rows.filter((row) => !isKnown(row)).map(({ id }) => id);
    for await (const some of load(missing)) {
      if (!this.#isOn) return;
      for (const { id, version, plan } of some) known.set(id, { version, plan, summaries: {} });
      this.#evaluate(some.map(({ id }) => id));
    }
  }

  end(): void {
    this.#isOn = false;
    for (const cancel of this.#cancels) cancel();
  }

  #evaluate(ids: readonly string[]): void {
    const shots = ids.filter((id) => !this.#begun.has(id)).map((id) => known.get(id)!);
    for (const id of ids) this.#begun.add(id);
    for (const shot of shots.filter(({ summaries }) => !summaries[this.units]))
      void summariseShot(shot.plan, this.units).then((summary) => {
        shot.summaries[this.units] = summary;
        if (this.#isOn) this.tell();
      });
    // what autofocus does can't be simulated
    for (const shot of shots) if (isReadable(shot.plan) && isAllAutomatic(shot.plan)) shot.rate = null;
    const drawn = shots.filter(({ rate, plan }) => rate === undefined && isReadable(plan));
    if (drawn.length === 0) return;
    const job = trialPool().draw({
      asks: drawn.map(({ plan }) => ({ plan, order: drawLayoutOf(plan), without: null })),
      takes: TAKES,
      seed: SEED,
      rank: RANK,
      onProgress: ({ rates, isDone }) => {
        if (!isDone) return;
        rates.forEach((rate, index) => (drawn[index]!.rate = rate));
        this.tell();
      },
    });
    this.#cancels.push(job.cancel);
  }
}

const NOTHING_KNOWN: Forecast = { plan: null, summary: null, rate: null, time: null, attention: null };

function forecastOf(row: ShotRowView, units: UnitSystem): Forecast {
  if (!isKnown(row)) return NOTHING_KNOWN;
  const shot = known.get(row.id)!;
  const { plan, rate } = shot;
  const summary = shot.summaries[units] ?? null;
  if (summary?.outcome === 'unreadable') return { ...NOTHING_KNOWN, plan, summary, attention: 'unreadable' };
  if (!summary || rate === undefined) return { ...NOTHING_KNOWN, plan, summary };
  return { plan, summary, rate, time: rate && shotTime(plan, rate), attention: attentionTo(plan, summary, rate) };
}

/** Autofocus that can't be used is as urgent as a soft shot, and one at risk as a keep rate that is too low. */
const AUTOFOCUS_ATTENTION: Readonly<Partial<Record<ShotSummary['outcome'], Attention>>> = {
  'autofocus-refused': 'soft',
  'autofocus-at-risk': 'low-keep-rate',
  autofocus: 'ready',
};

function attentionTo(plan: ShotPlan, { outcome }: ShotSummary, rate: KeepRate | null): Attention {
  const known = AUTOFOCUS_ATTENTION[outcome];
  if (known) return known;
  return outcome === 'soft' || outcome === 'too-hard' || outcome === 'tight' || outcome === 'sharp'
    ? attentionOf(plan, outcome, rate?.keepRate ?? null)
    : 'incomplete';
}

/** Shots sorted by urgency. Shots without a forecast come before those that are ready. */
export function byAttention(shots: readonly ShotRowView[], forecasts: ReadonlyMap<string, Forecast>): ShotRowView[] {
  const rank = ({ id }: ShotRowView) => {
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

/** Takes and minutes by shooting day; none until every plan is there, because a day of some of its shots looks like a whole one. */
export function dayTotals(forecasts: ReadonlyMap<string, Forecast>): DayTotal[] {
  const all = [...forecasts.values()];
  if (all.some(({ plan }) => plan === null)) return [];
  const totals = new Map<number, DayTotal>();
  for (const { plan, time } of all) {
    // one that can't be read has no day
    if (!plan || !isReadable(plan)) continue;
    const { day } = plan.schedule;
    const { shots, takes, minutes, unknown } = totals.get(day) ?? { shots: 0, takes: 0, minutes: 0, unknown: 0 };
    const isKnown = time !== null && time.minutes !== null;
    totals.set(day, {
      day,
      shots: shots + 1,
      takes: takes + (isKnown ? time.takes! : 0),
      minutes: minutes + (isKnown ? time.minutes! : 0),
      unknown: unknown + (isKnown ? 0 : 1),
    });
  }
  return [...totals.values()].sort((a, b) => a.day - b.day);
}
