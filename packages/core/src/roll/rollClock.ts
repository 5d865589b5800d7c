import { isTriggeredByEvent, type Pull, type ShotPlan } from '../plan/index.js';

/** A cue given by key: the pull it triggers, and the time in seconds since the roll started. */
export interface CueEvent {
  readonly pullId: string;
  readonly timeS: number;
}

/** How a roll runs through the plan. */
export interface RollMode {
  /** 1 as planned; less for slow practice */
  readonly rate: number;
  /** The clock triggers pulls that wait for an event, because nobody has a hand free for the key */
  readonly isClockTriggered: boolean;
  /** Plan time at which it begins; 0 if absent */
  readonly fromS?: number;
}

export const DEFAULT_ROLL_MODE: RollMode = { rate: 1, isClockTriggered: false };

/** Maps real time to plan time and back. */
export interface RollClock {
  /** Plan time; it stands still while a pull waits for its cue */
  planSAt(realS: number): number;
  /** Id of the pull that waits for its cue; null if none does */
  waitingPullAt(realS: number): string | null;
  /** Real time of a plan time, as far as known; null after a pull without its cue yet, and for skipped plan time */
  realSAt(planS: number): number | null;
}

/**
 * Cue times of pulls that wait for an event when the clock triggers them. They are stored with the take, so that it can be
 * judged later.
 *
 * @param untilS - duration of the roll
 */
export function clockCueEvents(
  plan: Pick<ShotPlan, 'focusTrack' | 'durationS'>,
  untilS: number,
  rate = DEFAULT_ROLL_MODE.rate,
): CueEvent[] {
  return plan.focusTrack.pulls
    .filter(isTriggeredByEvent)
    .map(({ id, startS }) => ({ pullId: id, timeS: startS / rate }))
    .filter(({ timeS }) => timeS <= untilS);
}

interface Stretch {
  readonly fromRealS: number;
  readonly fromPlanS: number;
  /** Where plan time stands still, or jumps ahead */
  readonly toPlanS: number;
  /** The pull it waits for there */
  readonly waitingPullId: string | null;
  /** When the next segment starts */
  readonly toRealS: number;
}

/**
 * Clock of a roll. Plan time runs with real time, except for a pull that an event triggers: there it stands still until the
 * cue. The rest of the plan is delayed by that wait. A cue before its time makes the rest of the plan earlier.
 *
 * @param cueEvents - so far, in any order; if a pull was triggered twice, the first cue counts
 */
export function rollClock(
  plan: Pick<ShotPlan, 'focusTrack' | 'durationS'>,
  cueEvents: readonly CueEvent[],
  { rate, isClockTriggered, fromS = 0 }: RollMode = DEFAULT_ROLL_MODE,
): RollClock {
  const waiting = plan.focusTrack.pulls.filter((pull) => isTriggeredByEvent(pull) && pull.startS >= fromS);
  const stretches = stretchesOf(isClockTriggered ? [] : waiting, cueEvents, fromS);
  const at = (realS: number) => stretches.find(({ toRealS }) => realS < toRealS) ?? stretches[stretches.length - 1]!;
  const runTo = ({ fromPlanS, fromRealS }: Stretch, realS: number) => fromPlanS + Math.max(0, realS - fromRealS) * rate;
  return {
    planSAt: (realS) => Math.min(runTo(at(realS), realS), at(realS).toPlanS, plan.durationS),
    waitingPullAt: (realS) => (runTo(at(realS), realS) >= at(realS).toPlanS ? at(realS).waitingPullId : null),
    realSAt: (planS) => {
      for (const stretch of stretches) {
        const realS = stretch.fromRealS + (planS - stretch.fromPlanS) / rate;
        if (planS >= stretch.fromPlanS && planS < stretch.toPlanS && realS < stretch.toRealS) return realS;
      }
      return null;
    },
  };
}

function stretchesOf(waiting: readonly Pull[], cueEvents: readonly CueEvent[], beginsS: number): Stretch[] {
  const stretches: Stretch[] = [];
  let [fromRealS, fromPlanS] = [0, beginsS];
  for (const { id, startS } of waiting) {
    const cueEvent = cueEvents.find(({ pullId, timeS }) => pullId === id && timeS >= fromRealS);
    const toRealS = cueEvent?.timeS ?? Infinity;
    stretches.push({ fromRealS, fromPlanS, toPlanS: startS, waitingPullId: id, toRealS });
    if (!cueEvent) return stretches;
    [fromRealS, fromPlanS] = [toRealS, startS];
  }
  stretches.push({ fromRealS, fromPlanS, toPlanS: Infinity, waitingPullId: null, toRealS: Infinity });
  return stretches;
}
