import { activeBeats, type Beat, isInFrame, planDistances, type ShotPlan } from '../../plan/index.js';
import { type CompleteVerdict, evaluatePull } from '../../verdict/index.js';

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
  /** Subjects that come between the camera and a required subject, with their first time */
  readonly crossings: readonly { readonly name: string; readonly timeS: number }[];
  /** What hides a required subject, whom, for how long in all, and its first time */
  readonly hidings: readonly { readonly hider: string; readonly name: string; readonly timeS: number; readonly forS: number }[];
  readonly walksIn: boolean;
  readonly cameraMoves: boolean;
  readonly known: Known;
  readonly isAlone: boolean;
  /** On a stabiliser, crane, vehicle or cable, without a remote motor */
  readonly needsRemote: boolean;
  readonly answersBySpeed: boolean;
}

/** Minimum difference in depth for one subject to be in front of another. */
const IN_FRONT_MM = 300;
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
  const crossings = new Map<string, { name: string; timeS: number }>();
  for (const { subjectId, fromS, toS } of required) {
    const distances = mmOf.get(subjectId);
    if (!distances) continue;
    const during = distances.slice(frameOf(fromS), frameOf(toS) + 1);
    const [nearest, farthest] = [during.reduce((a, b) => Math.min(a, b)), during.reduce((a, b) => Math.max(a, b))];
    changesMm = Math.max(changesMm, farthest - nearest > LEAST_CHANGE_MM ? farthest - nearest : 0);
    for (const other of plan.subjects) {
      const theirs = mmOf.get(other.id);
      if (other.id === subjectId || !theirs || crossings.has(other.id)) continue;
      const timeAt = (index: number) => (frameOf(fromS) + index) / plan.captureFps;
      // who waits beside the camera is nearer and not in the picture yet
      const at = during.findIndex(
        (mm, index) => theirs[frameOf(fromS) + index]! < mm - IN_FRONT_MM && isInFrame(plan, other, timeAt(index)) !== false,
      );
      if (at >= 0) crossings.set(other.id, { name: other.name, timeS: timeAt(at) });
    }
  }
  const hidings = hidingsOf(plan, verdict);
  const ids = new Set(required.map(({ subjectId }) => subjectId));
  const last = plan.subjects.find(({ id }) => id === required.at(-1)!.subjectId);
  return {
    required,
    people: ids.size,
    isOne: ids.size === 1,
    changesMm,
    // who hides somebody is told so
    crossings: [...crossings.values()].filter(({ name }) => hidings.every(({ hider }) => hider !== name)),
    hidings,
    walksIn: (last?.stays.length ?? 0) > 1,
    cameraMoves: (plan.floor?.camera.length ?? 0) > 1,
    known: howKnown(plan),
    isAlone: plan.rig?.puller === 'alone',
    needsRemote: plan.rig !== null && REMOTE_SUPPORTS.includes(plan.rig.support) && plan.rig.puller !== 'remote',
    answersBySpeed: plan.optics.lens.response === 'speed',
  };
}

/** By what hides and whom, in order of time. */
function hidingsOf(plan: ShotPlan, { hiddenSpans }: CompleteVerdict): ActionFacts['hidings'] {
  const things = [...plan.subjects, ...(plan.floor?.landmarks ?? [])];
  const nameOf = (id: string) => things.find((thing) => thing.id === id)!.name;
  const required = activeBeats(plan).filter(({ requirement }) => requirement === 'sharp');
  const found = new Map<string, { hider: string; name: string; timeS: number; forS: number }>();
  for (const { beatId, subjectId, by, fromS, toS } of hiddenSpans) {
    if (required.every(({ id }) => id !== beatId)) continue;
    const key = `${by.kind} ${by.id} ${subjectId}`;
    const before = found.get(key) ?? { hider: nameOf(by.id), name: nameOf(subjectId), timeS: fromS, forS: 0 };
    found.set(key, { ...before, forS: before.forS + toS - fromS });
  }
  return [...found.values()];
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
