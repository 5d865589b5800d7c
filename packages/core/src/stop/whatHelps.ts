import { changeRack, rackRoom, removeCameraKey, type ShotPlan } from '../pull/index.js';
import { findMends, type MendChange } from '../verdict/index.js';
import { atStop, stopsOf } from './atStop.js';
import { type ErrorSource, errorSources } from './errors.js';

/** Something that would have more takes kept: an error that no longer happens, a change of the plan, or another stop. */
export type HelpChange =
  | { readonly kind: 'without'; readonly source: ErrorSource }
  | { readonly kind: 'mend'; readonly change: MendChange }
  | { readonly kind: 'stop'; readonly stop: number; readonly stopsLost: number }
  /** The camera stays where it starts: one thing less that moves */
  | { readonly kind: 'still-camera' };

/** A help that can be tried: the plan to draw takes of, and what it costs. */
export interface Help {
  readonly change: HelpChange;
  readonly plan: ShotPlan;
  /** An error to leave out of the takes: the most it could gain */
  readonly without: ErrorSource | null;
  /** Of everyone's time on the set: assumptions, shown as such */
  readonly minutes: number;
}

/** What it costs to do something about an error, in minutes: walking marks again, rehearsing when, taping again, rehearsing a cue, practising a landing, or to follow. */
const ERROR_MINUTES: Readonly<Record<ErrorSource['kind'], number>> = {
  marks: 5,
  timing: 5,
  measuring: 1,
  cue: 2,
  landing: 4,
  following: 6,
};

/** What a change of the plan costs. */
const MEND_MINUTES: Readonly<Record<MendChange['kind'], number>> = {
  earlier: 0.5,
  later: 0.5,
  longer: 0.5,
  shorter: 0.5,
  easing: 0.5,
  lead: 1,
  split: 1,
  'stand-in': 1,
  follow: 2,
  'hard-stops': 3,
  gear: 6,
  'lay-line': 2,
  'step-back': 8,
  'shorter-walk': 5,
  'other-order': 6,
  reversed: 10,
  stop: 3,
};

/** Of a stop of light, to be made up by lamps, filters or gain. */
const MINUTES_A_STOP = 3;

/** To leave the camera where it is. */
const STILL_CAMERA_MINUTES = 2;

/** A pull is tried to begin sooner by so much. */
const SOONER_S = [0.2, 0.4, 0.8];

/** Stops are tried as far as this beyond the one that is set. */
const MOST_STOPS = 3;

/** Everything that may have more takes kept. Which of it does is for takes to tell: draw them for all of these with the same seed and order. */
export function whatHelps(plan: ShotPlan): Help[] {
  const errors = errorSources(plan)
    .filter(({ sigma }) => sigma > 0)
    .map(({ source }): Help => ({
      change: { kind: 'without', source },
      plan,
      without: source,
      minutes: ERROR_MINUTES[source.kind],
    }));
  const mends = findMends(plan)
    // every stop is tried below
    .filter(({ change }) => change.kind !== 'stop')
    .map(({ change, plan: mended }) => helpOf(change, mended));
  const sooner = plan.line.moves.flatMap(({ id, startS, durationS }) =>
    SOONER_S.filter((byS) => startS - byS >= (rackRoom(plan, id)?.earliestStartS ?? 0)).map((byS) =>
      helpOf({ kind: 'longer', moveId: id, byS }, changeRack(plan, id, { startS: startS - byS, durationS: durationS + byS })),
    ),
  );
  const { stop: now } = plan.optics;
  const stops = stopsOf(plan)
    .map((stop) => ({ stop, stopsLost: 2 * Math.log2(stop / now) }))
    .filter(({ stopsLost }) => stopsLost > 1 / 6 && stopsLost < MOST_STOPS + 1 / 6)
    .map(({ stop, stopsLost }): Help => ({
      change: { kind: 'stop', stop, stopsLost },
      plan: atStop(plan, stop),
      without: null,
      minutes: MINUTES_A_STOP * stopsLost,
    }));
  const others = plan.floor?.camera.slice(1) ?? [];
  const still: Help[] =
    others.length === 0
      ? []
      : [
          {
            change: { kind: 'still-camera' },
            plan: others.reduce((now, { id }) => removeCameraKey(now, id), plan),
            without: null,
            minutes: STILL_CAMERA_MINUTES,
          },
        ];
  return [...errors, ...mends, ...sooner, ...still, ...stops];
}

function helpOf(change: MendChange, plan: ShotPlan): Help {
  return { change: { kind: 'mend', change }, plan, without: null, minutes: MEND_MINUTES[change.kind] };
}

/** A help that was tried. */
export interface TriedHelp extends Help {
  readonly keepRate: number;
  /** Takes of a hundred, as a share, that are kept more */
  readonly gain: number;
}

/** Less of a gain than this is not worth a word. */
const LEAST_GAIN = 0.015;

/**
 * The helps that help, by what they gain for a minute of everyone's time. Of several sizes of one change, and of the stops, the one that gains most for its cost once enough takes are kept.
 *
 * @param rates - of each help, in their order; null for one whose plan can't be judged
 */
export function rankHelps(
  helps: readonly Help[],
  rates: readonly (number | null)[],
  now: { readonly keepRate: number; readonly keepShare: number },
): TriedHelp[] {
  const tried = helps.flatMap((help, index): TriedHelp[] => {
    const rate = rates[index] ?? null;
    const gain = rate === null ? 0 : rate - now.keepRate;
    return rate === null || gain < LEAST_GAIN ? [] : [{ ...help, keepRate: rate, gain }];
  });
  const best = new Map<string, TriedHelp>();
  for (const one of tried) {
    const key = groupOf(one.change);
    const known = best.get(key);
    if (!known || isBetter(one, known, now.keepShare)) best.set(key, one);
  }
  return [...best.values()].sort((a, b) => worth(b) - worth(a));
}

function worth({ gain, minutes }: TriedHelp): number {
  return gain / minutes;
}

/** Of two sizes of one thing: one that is enough is better than one that is not; of two that are, the cheaper; of two that are not, the one that gains more. */
function isBetter(a: TriedHelp, b: TriedHelp, keepShare: number): boolean {
  const [aIsEnough, bIsEnough] = [a.keepRate >= keepShare, b.keepRate >= keepShare];
  if (aIsEnough !== bIsEnough) return aIsEnough;
  return aIsEnough ? a.minutes < b.minutes : a.gain > b.gain;
}

/** What is the same thing in several sizes. */
function groupOf(change: HelpChange): string {
  if (change.kind === 'stop' || change.kind === 'still-camera') return change.kind;
  if (change.kind === 'without') return JSON.stringify(change.source);
  const { kind } = change.change;
  return 'moveId' in change.change ? `${kind} ${change.change.moveId}` : JSON.stringify(change.change);
}
