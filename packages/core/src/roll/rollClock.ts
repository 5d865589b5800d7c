import type { CueKind, Rack, ShotPlan } from '../pull/index.js';

/** A pull that was set off by a key: in seconds since the roll began, whatever the plan's time is then. */
export interface SetOff {
  readonly moveId: string;
  readonly timeS: number;
}

/** How a roll runs through the plan. */
export interface RollPace {
  /** 1 as planned; less for slow practice */
  readonly rate: number;
  /** Whether pulls that wait for an event are set off by the clock all the same: nobody has a hand free for the key */
  readonly isByClock: boolean;
}

export const PLAIN_PACE: RollPace = { rate: 1, isByClock: false };

/** The plan's time over the time that runs. */
export interface RollClock {
  /** What the plan's clock shows; it stands while a pull waits for its event */
  planSAt(realS: number): number;
  /** The pull that is waited for; null where none is */
  waitsForAt(realS: number): string | null;
  /** When the plan's clock shows a time, as far as that is known yet; null for after a pull that was not set off, and for what was jumped over */
  realSAt(planS: number): number | null;
}

/** Whether something on the set, and not the clock, sets a pull off. */
export function isByEvent({ cueKind }: { readonly cueKind: CueKind }): boolean {
  return cueKind !== 'clock';
}

/**
 * When pulls that wait for an event were set off where the clock did it: kept with the take, so that whoever judges it later need not know how it ran.
 *
 * @param untilS - how long it rolled
 */
export function setOffByClock(plan: Pick<ShotPlan, 'line' | 'durationS'>, untilS: number, rate = PLAIN_PACE.rate): SetOff[] {
  return plan.line.moves
    .filter(isByEvent)
    .map(({ id, startS }) => ({ moveId: id, timeS: startS / rate }))
    .filter(({ timeS }) => timeS <= untilS);
}

interface Stretch {
  readonly fromRealS: number;
  readonly fromPlanS: number;
  /** Where the plan's clock stops, or jumps on */
  readonly toPlanS: number;
  /** What it waits for there */
  readonly waitsFor: string | null;
  /** When it goes on with the next stretch */
  readonly toRealS: number;
}

/**
 * The clock of a roll: the plan's time runs on, but for a pull that an event sets off. There it stands until the key is pressed, and from there on everything is as much later; pressed sooner, everything is sooner.
 *
 * @param setOffs - so far, in whatever order; of a pull that was set off twice the first counts
 */
export function rollClock(
  plan: Pick<ShotPlan, 'line' | 'durationS'>,
  setOffs: readonly SetOff[],
  { rate, isByClock }: RollPace = PLAIN_PACE,
): RollClock {
  const stretches = stretchesOf(isByClock ? [] : plan.line.moves.filter(isByEvent), setOffs);
  const at = (realS: number) => stretches.find(({ toRealS }) => realS < toRealS) ?? stretches[stretches.length - 1]!;
  const runTo = ({ fromPlanS, fromRealS }: Stretch, realS: number) => fromPlanS + Math.max(0, realS - fromRealS) * rate;
  return {
    planSAt: (realS) => Math.min(runTo(at(realS), realS), at(realS).toPlanS, plan.durationS),
    waitsForAt: (realS) => (runTo(at(realS), realS) >= at(realS).toPlanS ? at(realS).waitsFor : null),
    realSAt: (planS) => {
      for (const stretch of stretches) {
        const realS = stretch.fromRealS + (planS - stretch.fromPlanS) / rate;
        if (planS >= stretch.fromPlanS && planS < stretch.toPlanS && realS < stretch.toRealS) return realS;
      }
      return null;
    },
  };
}

function stretchesOf(waiting: readonly Rack[], setOffs: readonly SetOff[]): Stretch[] {
  const stretches: Stretch[] = [];
  let [fromRealS, fromPlanS] = [0, 0];
  for (const { id, startS } of waiting) {
    const setOff = setOffs.find(({ moveId, timeS }) => moveId === id && timeS >= fromRealS);
    const toRealS = setOff?.timeS ?? Infinity;
    stretches.push({ fromRealS, fromPlanS, toPlanS: startS, waitsFor: id, toRealS });
    if (!setOff) return stretches;
    [fromRealS, fromPlanS] = [toRealS, startS];
  }
  stretches.push({ fromRealS, fromPlanS, toPlanS: Infinity, waitsFor: null, toRealS: Infinity });
  return stretches;
}
