import type { ShotPlan } from './shotPlan.js';

/** A step before the camera rolls, by code, with the mark or subject that it is about. */
export interface SetUpStep {
  readonly code:
    | 'manual-focus'
    | 'ring-to-start'
    | 'subject-to-end'
    | 'camera-to-end'
    | 'focus-at-end'
    | 'mark-the-ring'
    | 'mark-the-floor'
    | 'subject-back'
    | 'camera-back'
    | 'ring-stays'
    | 'set-distance'
    | 'walk-once'
    | 'autofocus-on'
    | 'area-on-subject'
    | 'autofocus-once'
    | 'check-enlarged'
    | 'lock-focus'
    | 'test-take';
  /** Letter of the mark, where there is one */
  readonly letter: string | null;
  /** Name of the subject, where there is one */
  readonly name: string | null;
}

type Code = SetUpStep['code'];

/** Steps of each method in the order in which they are done. What moves is taken to its end first: focus is found there, then it goes back. */
const STEPS: Readonly<Record<ShotPlan['method'], readonly Code[]>> = {
  fixed: ['manual-focus', 'ring-to-start', 'check-enlarged', 'ring-stays'],
  rack: ['manual-focus', 'subject-to-end', 'focus-at-end', 'mark-the-ring', 'subject-back', 'ring-to-start'],
  follow: ['manual-focus', 'subject-to-end', 'focus-at-end', 'mark-the-ring', 'subject-back', 'ring-to-start'],
  'constant-distance': ['manual-focus', 'set-distance', 'check-enlarged', 'walk-once', 'ring-stays'],
  'walk-in': ['manual-focus', 'subject-to-end', 'focus-at-end', 'mark-the-ring', 'subject-back', 'ring-stays'],
  'push-in': ['manual-focus', 'camera-to-end', 'focus-at-end', 'mark-the-floor', 'camera-back', 'ring-stays'],
  'acquire-then-lock': ['area-on-subject', 'autofocus-once', 'check-enlarged', 'lock-focus', 'ring-stays'],
  automatic: ['autofocus-on', 'area-on-subject', 'test-take'],
};

/** Steps that are about the first subject that must be sharp, and about the last. */
const ABOUT_FIRST: readonly Code[] = ['ring-to-start', 'set-distance', 'area-on-subject', 'autofocus-once'];
const ABOUT_LAST: readonly Code[] = ['subject-to-end', 'focus-at-end', 'subject-back'];
/** Steps that make no sense for who stays where they are. */
const OF_WALKERS: readonly Code[] = ['subject-to-end', 'subject-back'];

/** What is done before the camera rolls, by the method of the shot. */
export function setUpSteps(plan: Pick<ShotPlan, 'method' | 'subjects' | 'marks' | 'beats'>): SetUpStep[] {
  const required = plan.beats.filter(({ requirement }) => requirement === 'sharp').sort((a, b) => a.fromS - b.fromS);
  const subjectOf = (id: string | undefined) => plan.subjects.find((subject) => subject.id === id);
  const [first, last] = [subjectOf(required[0]?.subjectId), subjectOf(required.at(-1)?.subjectId)];
  const letterOf = (markId: string | undefined) => plan.marks.find(({ id }) => id === markId)?.letter ?? null;
  const walks = (last?.stays.length ?? 0) > 1;
  return STEPS[plan.method]
    .filter((code) => walks || !OF_WALKERS.includes(code))
    .map((code): SetUpStep => {
      if (ABOUT_FIRST.includes(code)) return { code, name: first?.name ?? null, letter: letterOf(first?.stays[0]?.markId) };
      if (!ABOUT_LAST.includes(code)) return { code, name: null, letter: null };
      const stay = code === 'subject-back' ? last?.stays[0] : last?.stays.at(-1);
      return { code, name: last?.name ?? null, letter: letterOf(stay?.markId) };
    });
}
