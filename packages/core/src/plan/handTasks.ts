import { CARRIED_SUPPORTS, type Support, UNREACHABLE_SUPPORTS } from '../kit/index.js';
import { byDrawing } from './byDrawing.js';
import { automaticParts, isAllAutomatic, isInAutomaticPart } from './methodParts.js';
import { isCameraMovingAt } from './secondJob.js';
import { type OpticsChange, pullEndS, type ShotPlan, type WheelJob } from './shotPlan.js';
import { spansWhere } from './timeSpans.js';

/** Who has hands in a shot. Somebody alone is the operator, and pulls as well. */
export const PEOPLE = ['operator', 'puller'] as const;
export type Person = (typeof PEOPLE)[number];

/** What hands do during a take. */
export const HAND_TASKS = ['carry', 'pan', 'focus', 'iris', 'zoom', 'other'] as const;
export type HandTask = (typeof HAND_TASKS)[number];

/** A span in which a person does something by hand. */
export interface HandSpan {
  readonly who: Person;
  readonly task: HandTask;
  readonly fromS: number;
  readonly toS: number;
  /** How many hands it takes */
  readonly hands: number;
}

/** A span in which a person would need more than two hands. */
export interface HandClash {
  readonly who: Person;
  readonly tasks: readonly HandTask[];
  readonly fromS: number;
  readonly toS: number;
}

const HANDS = 2;

/** Hands that hold or steer the camera all the time: both on a stabiliser, else one, so that the other is free for the lens. Assumed. */
function carryingHands(support: Support): number {
  return support === 'stabiliser' ? 2 : 1;
}

/** Who does what by hand, and when, in order of time. With no rig, an operator frames and a puller pulls. */
export function handSpans(plan: ShotPlan): HandSpan[] {
  const { durationS } = plan;
  const spans: HandSpan[] = [...lensSpans(plan)];
  const support = plan.rig?.support ?? 'legs';
  const isCarried = CARRIED_SUPPORTS.includes(support);
  if (isCarried) spans.push({ who: 'operator', task: 'carry', fromS: 0, toS: durationS, hands: carryingHands(support) });
  else {
    // a remote head has a wheel for each hand
    const hands = UNREACHABLE_SUPPORTS.includes(support) ? 2 : 1;
    for (const { fromS, untilS } of movingSpans(plan)) spans.push({ who: 'operator', task: 'pan', fromS, toS: untilS, hands });
  }
  if (plan.areHandsNeeded) spans.push({ who: pullerOf(plan), task: 'other', fromS: 0, toS: durationS, hands: 1 });
  return spans.sort((a, b) => a.fromS - b.fromS || HAND_TASKS.indexOf(a.task) - HAND_TASKS.indexOf(b.task));
}

/** When the camera moves, pans or tilts. */
const movingSpans = byDrawing((plan) =>
  plan.floor === null ? [] : spansWhere(plan, (frame) => isCameraMovingAt(plan, frame / plan.captureFps)),
);

/** Who turns the focus ring. */
function pullerOf({ rig }: Pick<ShotPlan, 'rig'>): Person {
  return rig?.puller === 'alone' ? 'operator' : 'puller';
}

/** What is turned on the lens: focus and iris by who pulls, zoom by the operator. */
function lensSpans(plan: ShotPlan): HandSpan[] {
  const puller = pullerOf(plan);
  const spanOf = (who: Person, task: WheelJob) => (change: Pick<OpticsChange, 'startS' | 'durationS'>) => ({
    who,
    task,
    fromS: change.startS,
    toS: pullEndS(change),
    hands: handsFor(plan, task),
  });
  const { irisPulls, zooms } = plan.optics;
  const pulls = isAllAutomatic(plan) ? [] : [...plan.focusTrack.pulls.map(spanOf(puller, 'focus')), ...follows(plan)];
  const byHand = pulls
    .filter(({ fromS }) => !isInAutomaticPart(plan, fromS))
    .map((span) => ({ ...span, toS: Math.min(span.toS, nextAutomaticS(plan, span.fromS)) }));
  return [...byHand, ...irisPulls.map(spanOf(puller, 'iris')), ...zooms.map(spanOf('operator', 'zoom'))];
}

/** When autofocus takes over next, after a time; Infinity if it does not. */
function nextAutomaticS(plan: ShotPlan, afterS: number): number {
  return automaticParts(plan).find(({ fromS }) => fromS > afterS)?.fromS ?? Infinity;
}

/** Somebody alone turns a motor by a thumb, without letting go of the camera: assumed. */
function handsFor({ rig, wheel, wheelElsewhere }: ShotPlan, task: WheelJob): number {
  const elsewhere = wheelElsewhere?.turns === task ? wheelElsewhere.wheel : null;
  const turnedBy = task === 'focus' ? wheel : elsewhere;
  return turnedBy?.kind === 'motor' && rig?.puller === 'alone' ? 0 : 1;
}

/** Where the ring goes with a subject or through a course: from the end of the pull, or the start of the shot, to the next pull. */
function follows(plan: ShotPlan): HandSpan[] {
  const { start, pulls } = plan.focusTrack;
  const targets = [{ target: start, fromS: 0 }, ...pulls.map((pull) => ({ target: pull.target, fromS: pullEndS(pull) }))];
  return targets.flatMap(({ target, fromS }, index) => {
    const toS = pulls[index]?.startS ?? plan.durationS;
    if ((target?.kind !== 'subject' && target?.kind !== 'course') || toS <= fromS) return [];
    return [{ who: pullerOf(plan), task: 'focus' as const, fromS, toS, hands: handsFor(plan, 'focus') }];
  });
}

/** Where somebody would need a third hand, in order of time. Movements that touch at one instant do not clash. */
export function handClashes(spans: readonly HandSpan[]): HandClash[] {
  const clashes: HandClash[] = [];
  for (const who of PEOPLE) {
    const theirs = spans.filter((span) => span.who === who);
    const times = [...new Set(theirs.flatMap(({ fromS, toS }) => [fromS, toS]))].sort((a, b) => a - b);
    for (const [index, fromS] of times.entries()) {
      const toS = times[index + 1];
      if (toS === undefined) continue;
      const now = theirs.filter((span) => span.fromS <= fromS && span.toS >= toS);
      if (now.reduce((sum, { hands }) => sum + hands, 0) <= HANDS) continue;
      const tasks = HAND_TASKS.filter((task) => now.some((span) => span.task === task));
      const last = clashes.at(-1);
      if (last?.who === who && last.toS === fromS && last.tasks.join() === tasks.join())
        clashes[clashes.length - 1] = { ...last, toS };
      else clashes.push({ who, tasks, fromS, toS });
    }
  }
  return clashes.sort((a, b) => a.fromS - b.fromS);
}

/** What would free a hand in a clash. */
export type HandRelief = 'second-person' | 'wheel-back-to-focus' | 'motor' | 'other-time' | 'leave-to-camera';

/** Ways out of a clash, the least trouble first. */
export function handReliefs({ rig, wheelElsewhere, wheel }: ShotPlan, { tasks }: HandClash): HandRelief[] {
  const has = (task: HandTask) => tasks.includes(task);
  const ways: readonly (readonly [boolean, HandRelief])[] = [
    [has('focus') && (has('iris') || has('zoom')), 'other-time'],
    [has('focus') && wheelElsewhere !== null, 'wheel-back-to-focus'],
    [has('focus') && rig?.support === 'stabiliser' && wheel?.kind !== 'motor', 'motor'],
    [rig?.puller === 'alone', 'second-person'],
    [has('focus'), 'leave-to-camera'],
  ];
  return ways.filter(([helps]) => helps).map(([, relief]) => relief);
}
