import { activeBeats, type Beat, planDistances, type ShotPlan } from '../../plan/index.js';
import { evaluatePull } from '../../verdict/index.js';

/** How well the move is known before the shoot. */
export type Known = 'known' | 'partly' | 'unknown';

/** Facts about a shot that decide between focus methods. */
export interface ActionFacts {
  /** Beats that must be sharp, in order of time */
  readonly required: readonly Beat[];
  /** Number of different subjects in them */
  readonly people: number;
  readonly isOne: boolean;
  /** Largest change of depth of a required subject during its beat */
  readonly changesMm: number;
  readonly walksIn: boolean;
  readonly cameraMoves: boolean;
  readonly known: Known;
  readonly isAlone: boolean;
  /** The hands are needed for something else */
  readonly areHandsNeeded: boolean;
  /** On a stabiliser, crane, vehicle or cable, without a remote motor */
  readonly needsRemote: boolean;
  readonly answersBySpeed: boolean;
}

/** Smaller changes of depth come from rounding. */
const LEAST_CHANGE_MM = 1;
/** Supports that need a remote motor: a hand at the ring would disturb them or can't reach it. */
const REMOTE_SUPPORTS = ['stabiliser', 'crane', 'vehicle', 'cable'];

/** @returns null if nothing must be sharp, or if the plan can't be evaluated */
export function actionFacts(plan: ShotPlan): ActionFacts | null {
  const verdict = evaluatePull(plan);
  const required = activeBeats(plan)
    .filter(({ requirement: kind }) => kind === 'sharp')
    .sort((a, b) => a.fromS - b.fromS);
  if (verdict.status !== 'judged' || required.length === 0) return null;
  const mmOf = new Map(verdict.subjects.map(({ subjectId, distanceMm }) => [subjectId, distanceMm]));
  const frameOf = (timeS: number) => Math.min(Math.round(timeS * plan.captureFps), verdict.frameCount - 1);
  let changesMm = 0;
  for (const { subjectId, fromS, toS } of required) {
    const distances = mmOf.get(subjectId);
    if (!distances) continue;
    const during = distances.slice(frameOf(fromS), frameOf(toS) + 1);
    const [nearest, farthest] = [during.reduce((a, b) => Math.min(a, b)), during.reduce((a, b) => Math.max(a, b))];
    changesMm = Math.max(changesMm, farthest - nearest > LEAST_CHANGE_MM ? farthest - nearest : 0);
  }
  const ids = new Set(required.map(({ subjectId }) => subjectId));
  const last = plan.subjects.find(({ id }) => id === required.at(-1)!.subjectId);
  return {
    required,
    people: ids.size,
    isOne: ids.size === 1,
    changesMm,
    walksIn: (last?.stays.length ?? 0) > 1,
    cameraMoves: (plan.floor?.camera.length ?? 0) > 1,
    known: howKnown(plan),
    isAlone: plan.rig?.puller === 'alone',
    areHandsNeeded: plan.areHandsNeeded,
    needsRemote: plan.rig !== null && REMOTE_SUPPORTS.includes(plan.rig.support) && plan.rig.puller !== 'remote',
    answersBySpeed: plan.optics.lens.response === 'speed',
  };
}

/**
 * `known` if every mark of the action is measured and it was rehearsed; `unknown` if nothing was rehearsed and some distances
 * are guesses.
 */
export function howKnown({ marks, subjects, rehearsals }: Pick<ShotPlan, 'marks' | 'subjects' | 'rehearsals'>): Known {
  const used = new Set(subjects.flatMap(({ stays }) => stays.map(({ markId }) => markId)));
  const methods = marks.filter(({ id }) => used.has(id)).map(({ method }) => method);
  const isMeasured = methods.every((method) => method === 'tape' || method === 'laser');
  const isStill = subjects.every(({ stays }) => stays.length <= 1);
  if (isMeasured && (rehearsals.length > 0 || isStill)) return 'known';
  return rehearsals.length === 0 && methods.includes('eye') ? 'unknown' : 'partly';
}

/** Focus distance of a subject at a time. */
export function focusMmOf(plan: ShotPlan, subjectId: string, timeS: number): number {
  const subject = plan.subjects.find(({ id }) => id === subjectId)!;
  return planDistances(plan).focusMmAt(subject, timeS);
}
