import { isCameraTravelling } from './cameraMoves.js';
import { methodsOf } from './methodParts.js';
import type { Method, ShotPlan } from './shotPlan.js';

/** A step before the camera rolls, by code, with the mark or subject that it is about. */
export interface SetUpStep {
  readonly code:
    | 'manual-focus'
    | 'mark-the-start'
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
    | 'test-take'
    | 'practise-the-change';
  /** Letter of the mark, where there is one */
  readonly letter: string | null;
  /** Name of the subject, where there is one */
  readonly name: string | null;
}

type Code = SetUpStep['code'];

/** From the start mark to the end and back: what moves is taken to its end first, focus is found there, then it goes back. */
const FOCUS_AT_END: readonly Code[] = [
  'mark-the-start',
  'camera-to-end',
  'subject-to-end',
  'focus-at-end',
  'mark-the-ring',
  'mark-the-floor',
  'camera-back',
  'subject-back',
];

/** Steps of each method in the order in which they are done. */
const STEPS: Readonly<Record<Method, readonly Code[]>> = {
  fixed: ['manual-focus', 'ring-to-start', 'check-enlarged', 'ring-stays'],
  rack: ['manual-focus', ...FOCUS_AT_END, 'ring-to-start'],
  follow: ['manual-focus', ...FOCUS_AT_END, 'ring-to-start'],
  'constant-distance': ['manual-focus', 'set-distance', 'check-enlarged', 'walk-once', 'ring-stays'],
  'walk-in': ['manual-focus', ...FOCUS_AT_END, 'ring-stays'],
  'push-in': ['manual-focus', ...FOCUS_AT_END.filter((code) => code !== 'mark-the-ring'), 'ring-stays'],
  'acquire-then-lock': ['area-on-subject', 'autofocus-once', 'check-enlarged', 'lock-focus', 'ring-stays'],
  automatic: ['autofocus-on', 'area-on-subject', 'test-take'],
};

/** Steps that are about the first subject that must be sharp, and about the last. */
const ABOUT_FIRST: readonly Code[] = ['ring-to-start', 'set-distance', 'area-on-subject', 'autofocus-once'];
const ABOUT_LAST: readonly Code[] = ['subject-to-end', 'focus-at-end', 'subject-back'];
/** Steps that make no sense for who stays where they are, and for a camera that does. */
const OF_WALKERS: readonly Code[] = ['subject-to-end', 'subject-back'];
const OF_A_MOVING_CAMERA: readonly Code[] = ['mark-the-start', 'camera-to-end', 'mark-the-floor', 'camera-back'];

type Planned = Pick<ShotPlan, 'method' | 'laterMethods' | 'floor' | 'subjects' | 'marks' | 'beats'>;

/** What is done before the camera rolls, by the methods of the shot. Of a shot in parts each step is done once. */
export function setUpSteps(plan: Planned): SetUpStep[] {
  const required = plan.beats.filter(({ requirement }) => requirement === 'sharp').sort((a, b) => a.fromS - b.fromS);
  const subjectOf = (id: string | undefined) => plan.subjects.find((subject) => subject.id === id);
  const [first, last] = [subjectOf(required[0]?.subjectId), subjectOf(required.at(-1)?.subjectId)];
  const letterOf = (markId: string | undefined) => plan.marks.find(({ id }) => id === markId)?.letter ?? null;
  const walks = (last?.stays.length ?? 0) > 1;
  return codesOf(plan)
    .filter((code) => walks || !OF_WALKERS.includes(code))
    .map((code): SetUpStep => {
      if (ABOUT_FIRST.includes(code)) return { code, name: first?.name ?? null, letter: letterOf(first?.stays[0]?.markId) };
      if (!ABOUT_LAST.includes(code)) return { code, name: null, letter: null };
      const stay = code === 'subject-back' ? last?.stays[0] : last?.stays.at(-1);
      return { code, name: last?.name ?? null, letter: letterOf(stay?.markId) };
    });
}

function codesOf(plan: Planned): readonly Code[] {
  const methods = methodsOf(plan);
  const moves = (method: Method) => isCameraTravelling(plan) || (method === 'push-in' && plan.floor === null);
  const codes = methods.flatMap((method) => STEPS[method].filter((code) => moves(method) || !OF_A_MOVING_CAMERA.includes(code)));
  if (methods.length === 1) return codes;
  // the ring moves in one of the parts, and who turns it changes
  const changes: readonly Code[] = methods.includes('automatic') ? ['practise-the-change'] : [];
  return [...new Set(codes.filter((code) => code !== 'ring-stays')), ...changes];
}
