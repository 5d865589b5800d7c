import { beatsNow, type Beat, planDistances, type ShotPlan } from '../../pull/index.js';
import { evaluatePull } from '../../verdict/index.js';

/** How well the move is known before it is shot. */
export type Known = 'known' | 'partly' | 'unknown';

/** What there is to know of a shot for choosing how to keep it sharp. */
export interface ActionFacts {
  /** Of those that must be sharp, in order of time */
  readonly asked: readonly Beat[];
  /** How many people that is */
  readonly people: number;
  readonly isOne: boolean;
  /** How far whoever is asked for moves in depth while they are, at most */
  readonly changesMm: number;
  /** Who comes between the camera and whoever is asked for, the first time each */
  readonly crossings: readonly { readonly name: string; readonly timeS: number }[];
  readonly walksIn: boolean;
  readonly cameraMoves: boolean;
  readonly known: Known;
  readonly isAlone: boolean;
  /** On a stabiliser, a crane, a vehicle or a cable, with no remote motor */
  readonly isUnheld: boolean;
  readonly answersBySpeed: boolean;
}

/** Closer together in depth than this nobody is in front of anybody. */
const IN_FRONT_MM = 300;
/** Supports on which a hand at the ring disturbs, or nobody is near. */
const UNHELD = ['stabiliser', 'crane', 'vehicle', 'cable'];

/** @returns null while nobody must be sharp, or the plan can't be judged */
export function actionFacts(plan: ShotPlan): ActionFacts | null {
  const verdict = evaluatePull(plan);
  const asked = beatsNow(plan)
    .filter(({ kind }) => kind === 'sharp')
    .sort((a, b) => a.fromS - b.fromS);
  if (verdict.status !== 'judged' || asked.length === 0) return null;
  const mmOf = new Map(verdict.subjects.map(({ subjectId, distanceMm }) => [subjectId, distanceMm]));
  const frameOf = (timeS: number) => Math.min(Math.round(timeS * plan.captureFps), verdict.frameCount - 1);
  let changesMm = 0;
  const crossings = new Map<string, { name: string; timeS: number }>();
  for (const { subjectId, fromS, toS } of asked) {
    const distances = mmOf.get(subjectId);
    if (!distances) continue;
    const during = distances.slice(frameOf(fromS), frameOf(toS) + 1);
    const [nearest, farthest] = [during.reduce((a, b) => Math.min(a, b)), during.reduce((a, b) => Math.max(a, b))];
    changesMm = Math.max(changesMm, farthest === nearest ? 0 : farthest - nearest);
    for (const other of plan.subjects) {
      const theirs = mmOf.get(other.id);
      if (other.id === subjectId || !theirs || crossings.has(other.id)) continue;
      const at = during.findIndex((mm, index) => theirs[frameOf(fromS) + index]! < mm - IN_FRONT_MM);
      if (at >= 0) crossings.set(other.id, { name: other.name, timeS: (frameOf(fromS) + at) / plan.captureFps });
    }
  }
  const ids = new Set(asked.map(({ subjectId }) => subjectId));
  const last = plan.subjects.find(({ id }) => id === asked.at(-1)!.subjectId);
  return {
    asked,
    people: ids.size,
    isOne: ids.size === 1,
    changesMm,
    crossings: [...crossings.values()],
    walksIn: (last?.stays.length ?? 0) > 1,
    cameraMoves: (plan.floor?.camera.length ?? 0) > 1,
    known: howKnown(plan),
    isAlone: plan.rig?.puller === 'alone',
    isUnheld: plan.rig !== null && UNHELD.includes(plan.rig.support) && plan.rig.puller !== 'remote',
    answersBySpeed: plan.optics.lens.response === 'speed',
  };
}

/** Known when every mark of the action is measured and it was rehearsed; unknown when nothing was, and some are only guessed. */
export function howKnown({ marks, subjects, rehearsals }: Pick<ShotPlan, 'marks' | 'subjects' | 'rehearsals'>): Known {
  const used = new Set(subjects.flatMap(({ stays }) => stays.map(({ markId }) => markId)));
  const methods = marks.filter(({ id }) => used.has(id)).map(({ method }) => method);
  const isMeasured = methods.every((method) => method === 'tape' || method === 'laser');
  const isStill = subjects.every(({ stays }) => stays.length <= 1);
  if (isMeasured && (rehearsals.length > 0 || isStill)) return 'known';
  return rehearsals.length === 0 && methods.includes('eye') ? 'unknown' : 'partly';
}

/** Where someone is focused on at a time of the shot. */
export function focusMmOf(plan: ShotPlan, subjectId: string, timeS: number): number {
  const subject = plan.subjects.find(({ id }) => id === subjectId)!;
  return planDistances(plan).focusMmAt(subject, timeS);
}
