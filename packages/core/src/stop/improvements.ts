import { changePull, chooseRig, isTriggeredByEvent, type Pull, pullRoom, removeCameraKey, type ShotPlan } from '../plan/index.js';
import { evaluatePull, findFixes, type FixChange } from '../verdict/index.js';
import { type ErrorSource, errorSources } from '../trials/index.js';
import { withStop, stopsToCompare } from './withStop.js';

/** What an improvement changes: it removes an error source, changes the plan, or changes the stop. */
export type ImprovementChange =
  | { readonly kind: 'without'; readonly source: ErrorSource }
  | { readonly kind: 'fix'; readonly change: FixChange }
  | { readonly kind: 'stop'; readonly stop: number; readonly stopsLost: number }
  /** The camera stays where it starts: one thing less that moves */
  | { readonly kind: 'still-camera' }
  /** Somebody else pulls focus than frames */
  | { readonly kind: 'second-person' };

/** A possible improvement: the plan to simulate, and its cost. */
export interface Improvement {
  readonly change: ImprovementChange;
  readonly plan: ShotPlan;
  /** Error source to switch off: the upper limit of the gain */
  readonly without: ErrorSource | null;
  /** Time it costs on the set, in minutes: assumed, and shown as an assumption */
  readonly minutes: number;
}

/**
 * Cost of reducing an error, in minutes: walk the marks again, rehearse the timing, tape again, rehearse the cue, practise the
 * landing or the follow; set up legs or a dolly, walk the camera's way again, lay floor marks for it.
 */
const ERROR_MINUTES: Readonly<Record<ErrorSource['kind'], number>> = {
  marks: 5,
  timing: 5,
  measuring: 1,
  cue: 2,
  landing: 4,
  following: 6,
  'camera-drift': 8,
  'camera-timing': 4,
  'camera-stop': 3,
};

/** Cost of a change of the plan, in minutes. */
const FIX_MINUTES: Readonly<Record<FixChange['kind'], number>> = {
  earlier: 0.5,
  later: 0.5,
  longer: 0.5,
  shorter: 0.5,
  easing: 0.5,
  lead: 1,
  split: 1,
  reference: 1,
  follow: 2,
  'hard-stops': 3,
  gear: 6,
  'solve-track': 2,
  'step-aside': 3,
  'step-back': 8,
  'shorter-walk': 5,
  'other-order': 6,
  reversed: 10,
  stop: 3,
};

/**
 * Time that a change of the plan costs on the set, in minutes: assumed.
 *
 * @param stopsLost - light it costs
 */
export function fixMinutes({ kind }: FixChange, stopsLost: number): number {
  return kind === 'stop' ? MINUTES_PER_STOP * stopsLost : FIX_MINUTES[kind];
}

/** Cost of one stop of light by lamps, filters or gain, in minutes. */
const MINUTES_PER_STOP = 3;

/** Cost of leaving the camera where it is, in minutes. */
const STILL_CAMERA_MINUTES = 2;

/** Cost of a second person who learns the pulls of the shot, in minutes. */
const SECOND_PERSON_MINUTES = 10;

/** Earlier starts that are tried for a pull, in seconds. */
const EARLIER_STARTS_S = [0.2, 0.4, 0.8];

/** Number of stops tried beyond the current one. */
const MAX_EXTRA_STOPS = 3;

/**
 * Everything that might raise the keep rate. Simulate all of them with the same seed and layout to see which does. Of a shot with very many
 * pulls only those count that lead to its softest moments.
 */
export function suggestImprovements(plan: ShotPlan): Improvement[] {
  const critical = criticalPulls(plan);
  const errors = errorSources(plan)
    .filter(({ sigma, source }) => sigma > 0 && concerns(plan, critical, source))
    .map(({ source }): Improvement => ({
      change: { kind: 'without', source },
      plan,
      without: source,
      minutes: ERROR_MINUTES[source.kind],
    }));
  const fixes = findFixes(plan)
    // every stop is tried below
    .filter(({ change }) => change.kind !== 'stop')
    .map(({ change, plan: changed }) => improvementOf(change, changed));
  // a pull that an event sets off can't start before it
  const byClock = critical.filter((pull) => !isTriggeredByEvent(pull));
  const sooner = byClock.flatMap(({ id, startS, durationS }) =>
    EARLIER_STARTS_S.filter((byS) => startS - byS >= pullRoom(plan, id).earliestStartS).map((byS) =>
      improvementOf(
        { kind: 'longer', pullId: id, byS },
        changePull(plan, id, { startS: startS - byS, durationS: durationS + byS }),
      ),
    ),
  );
  const { stop: now } = plan.optics;
  const stops = stopsToCompare(plan)
    .map((stop) => ({ stop, stopsLost: 2 * Math.log2(stop / now) }))
    .filter(({ stopsLost }) => stopsLost > 1 / 6 && stopsLost < MAX_EXTRA_STOPS + 1 / 6)
    .map(({ stop, stopsLost }): Improvement => ({
      change: { kind: 'stop', stop, stopsLost },
      plan: withStop(plan, stop),
      without: null,
      minutes: MINUTES_PER_STOP * stopsLost,
    }));
  const others = plan.floor?.camera.slice(1) ?? [];
  const still: Improvement[] =
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
  return [...errors, ...fixes, ...sooner, ...still, ...withSecondPerson(plan), ...stops];
}

/** Somebody else pulls focus, where one person does more than that. */
function withSecondPerson(plan: ShotPlan): Improvement[] {
  const { rig } = plan;
  if (rig?.puller !== 'alone') return [];
  const changed = chooseRig(plan, null, { ...rig, puller: 'puller' });
  return [{ change: { kind: 'second-person' }, plan: changed, without: null, minutes: SECOND_PERSON_MINUTES }];
}

/** Largest number of pulls that are changed, and whose errors are left out. */
const MAX_PULLS_TRIED = 10;

/** The pulls of a plan; of very many, those that lead to the beats with the most blur. */
function criticalPulls(plan: ShotPlan): readonly Pull[] {
  const { pulls } = plan.focusTrack;
  if (pulls.length <= MAX_PULLS_TRIED) return pulls;
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') return pulls.slice(0, MAX_PULLS_TRIED);
  const blurOf = ({ subjectId, worstFrame }: (typeof verdict.beats)[number]) =>
    worstFrame === null ? 0 : verdict.subjects.find((one) => one.subjectId === subjectId)!.blurCircles[worstFrame]!;
  const found = new Set<Pull>();
  for (const { beatId } of verdict.beats.filter(({ kind }) => kind === 'sharp').sort((a, b) => blurOf(b) - blurOf(a))) {
    const beat = plan.beats.find(({ id }) => id === beatId)!;
    const leading = pulls.findLast(({ startS }) => startS <= beat.fromS) ?? pulls[0]!;
    if (found.size < MAX_PULLS_TRIED) found.add(leading);
  }
  return pulls.filter((pull) => found.has(pull));
}

/** Whether an error belongs to one of the pulls, to where they lead, or to the whole shot. */
function concerns(plan: ShotPlan, pulls: readonly Pull[], source: ErrorSource): boolean {
  if (pulls.length === plan.focusTrack.pulls.length) return true;
  const markIds = new Set(pulls.flatMap(({ target }) => (target.kind === 'mark' ? target.markId : [])));
  if ('pullId' in source) return source.pullId === null || pulls.some(({ id }) => id === source.pullId);
  if ('markId' in source) return markIds.has(source.markId);
  if (!('subjectId' in source)) return true;
  const isTarget = ({ target }: Pull) => target.kind === 'subject' && target.subjectId === source.subjectId;
  return pulls.some(isTarget) || plan.marks.some(({ id, subjectId }) => markIds.has(id) && subjectId === source.subjectId);
}

function improvementOf(change: FixChange, plan: ShotPlan): Improvement {
  return { change: { kind: 'fix', change }, plan, without: null, minutes: fixMinutes(change, 0) };
}

/** An improvement after simulation. */
export interface RankedImprovement extends Improvement {
  /** Its place among the improvements that were simulated */
  readonly index: number;
  readonly keepRate: number;
  /** Increase of the keep rate, 0 to 1 */
  readonly gain: number;
}

/** Gains below this are not shown. */
const MIN_GAIN = 0.015;

/**
 * The improvements that help, by gain per minute. Of several sizes of one change, the cheapest that reaches the target;
 * otherwise the one with the largest gain.
 *
 * @param rates - by improvement, in their order; null if its plan can't be evaluated
 */
export function rankImprovements(
  improvements: readonly Improvement[],
  rates: readonly (number | null)[],
  now: { readonly keepRate: number; readonly targetKeepRate: number },
): RankedImprovement[] {
  const tried = improvements.flatMap((improvement, index): RankedImprovement[] => {
    const rate = rates[index] ?? null;
    const gain = rate === null ? 0 : rate - now.keepRate;
    return rate === null || gain < MIN_GAIN ? [] : [{ ...improvement, index, keepRate: rate, gain }];
  });
  const best = new Map<string, RankedImprovement>();
  for (const one of tried) {
    const key = groupOf(one.change);
    const known = best.get(key);
    if (!known || isBetter(one, known, now.targetKeepRate)) best.set(key, one);
  }
  return [...best.values()].sort((a, b) => worth(b) - worth(a));
}

function worth({ gain, minutes }: RankedImprovement): number {
  return gain / minutes;
}

/**
 * Whether one size of a change is better: one that is enough beats one that is not; then lower cost; of two that are not
 * enough, higher gain.
 */
function isBetter(a: RankedImprovement, b: RankedImprovement, targetKeepRate: number): boolean {
  const [aIsEnough, bIsEnough] = [a.keepRate >= targetKeepRate, b.keepRate >= targetKeepRate];
  if (aIsEnough !== bIsEnough) return aIsEnough;
  return aIsEnough ? a.minutes < b.minutes : a.gain > b.gain;
}

/** Key of improvements that are the same change in several sizes. */
function groupOf(change: ImprovementChange): string {
  if (change.kind === 'without') return JSON.stringify(change.source);
  if (change.kind !== 'fix') return change.kind;
  const { kind } = change.change;
  return 'pullId' in change.change ? `${kind} ${change.change.pullId}` : JSON.stringify(change.change);
}
