import {
  type AutofocusRefusal,
  type AutofocusSpan,
  formatTime,
  type Method,
  type MethodArgument,
  type PullsAfter,
  type ShotPlan,
} from '@still-heron/core';
import { counted } from '../figure.js';
import { hiderName, subjectName } from '../names.js';

/** Why autofocus can't be used. */
export const REFUSAL_WORDS: Readonly<Record<AutofocusRefusal, string>> = {
  'no-motor': 'this lens has no autofocus motor',
  'lens-fails': 'it failed with this lens in your test',
  'mode-fails': 'it failed in this recording mode in your tests',
};

/** Arguments that need no values. */
const PLAIN: Readonly<Partial<Record<MethodArgument['code'], string>>> = {
  'all-measured': 'every mark is measured',
  'nothing-measured': 'nothing is rehearsed, and distances are judged by eye',
  'one-person-does-all': 'one person frames, moves and pulls at once',
  'ring-out-of-reach': 'nobody reaches the ring on this rig without a remote motor',
  'ring-by-speed': 'this ring answers to speed: no mark on it holds',
  'moves-in-depth': 'a subject moves in depth while it must be sharp',
  'nothing-turned': 'nobody turns the ring during the take: the eyes are free for framing',
  'must-find-first': 'the camera must find the right subject once before it rolls',
  'keeps-distance-to-one': 'several subjects must be sharp: the camera keeps the distance to one only',
  'nobody-moves-in-depth': 'nobody moves in depth: there is no pace to match',
  'camera-can-follow': 'one person moves, and the camera can move along',
  'must-match-the-pace': 'the camera must match the pace to within the zone',
  'walks-to-a-mark': 'the subject ends at a mark: set focus there and wait',
  'nobody-walks-to-a-mark': 'no subject that must be sharp walks to a mark',
  'camera-ends-in-focus': 'the end of the camera move is known: set focus for it',
  'camera-stands': 'the camera does not move',
  'soft-before-arrival': 'the subject is soft until it arrives: plan that, or require sharpness later',
  'hands-are-busy': 'the hands are needed elsewhere',
  'hands-needed': 'the hands are needed for something else',
  ...REFUSAL_WORDS,
  'lens-untested': 'nobody has tested autofocus with this lens: Kit asks for it',
  'mode-untested': 'nobody has tested autofocus in this recording mode: Kit asks for it',
  'area-unknown': 'the autofocus area is not known, so the whole picture counts: Kit asks for it',
  'place-unknown': 'it is not known where subjects are in the picture: draw them on Floor',
  'no-lens-data': 'the lens sends no data to the camera: many cameras have no autofocus then',
  'nothing-known': 'nobody knows what will happen',
  'a-hand-is-safer': 'the action is known: a hand that knows it is safer',
  'not-computable': 'how autofocus searches and jumps can’t be computed: only test takes show it',
};

/** An argument for or against a method. @param plan - whose names the argument uses */
export function methodArgumentText(argument: MethodArgument, plan: ShotPlan): string {
  switch (argument.code) {
    case 'several-in-turn':
      return `${argument.people} subjects must be sharp in turn`;
    case 'one-distance-for-several':
      return `${argument.people} subjects must be sharp, and there is one focus distance`;
    case 'at-risk':
      return `at risk for ${formatTime(argument.forS)} of the ${formatTime(argument.ofS)} that must be sharp`;
    case 'autofocus-risk':
      return `${autofocusReasonText(argument.span, plan)}, for ${formatTime(argument.forS)} from ${formatTime(argument.span.fromS)}`;
    default:
      return PLAIN[argument.code] ?? argument.code;
  }
}

/** What puts autofocus at risk, without a time. */
export function autofocusReasonText({ subjectId, reason }: AutofocusSpan, plan: ShotPlan): string {
  const name = subjectName(plan, subjectId);
  switch (reason.kind) {
    case 'hidden':
      return `${name} is hidden, and autofocus may jump to ${hiderName(plan, reason.by)}`;
    case 'out-of-picture':
      return `${name} is out of the picture`;
    case 'outside-area':
      return `${name} is outside the autofocus area`;
    case 'too-near':
      return `${name} is nearer than the lens focuses`;
    case 'several-at-once':
      return `${name} and ${subjectName(plan, reason.otherId)} are too far apart to be sharp together`;
    case 'nearer-in-area':
      return `${subjectName(plan, reason.otherId)} is nearer than ${name}, and autofocus may jump`;
    case 'thing-in-area':
      return `${hiderName(plan, { kind: 'landmark', id: reason.landmarkId })} is nearer than ${name}, and autofocus may jump`;
  }
}

/** What choosing a method does to the pulls that are there. */
export function pullsAfterText({ fate, before, after }: PullsAfter): string {
  const pulls = before === 1 ? 'The pull' : `The ${before} pulls`;
  switch (fate) {
    case 'kept':
      return `${pulls} ${before === 1 ? 'stays' : 'stay'}.`;
    case 'removed':
      return `${pulls} ${before === 1 ? 'is' : 'are'} deleted.`;
    case 'replaced':
      return `${pulls} ${before === 1 ? 'is' : 'are'} replaced by ${after}.`;
    case 'added':
      return `Adds ${counted(after, 'pull')}.`;
    case 'unused':
      return `${pulls} ${before === 1 ? 'stays' : 'stay'} in the plan, and nobody makes ${before === 1 ? 'it' : 'them'}.`;
  }
}

/** What people say who prefer another method. */
export const OTHER_VIEWS: Readonly<Record<Method, string>> = {
  fixed: 'Others pull even small changes, for a zone as thin as the look needs.',
  'constant-distance': 'Others stand still and pull, so that no steps show in the picture.',
  'walk-in': 'Others follow all the way, so that the arrival is no surprise.',
  'push-in': 'Others pull along with the camera, sharp from the first frame.',
  follow: 'Others set a distance and let the action pass through it: nothing is turned, nothing is missed.',
  rack: 'Others cut, or stop down until both are sharp, and never turn the ring during a take.',
  'acquire-then-lock': 'Others measure with a tape: a measured distance needs no search.',
  automatic: 'Others never use autofocus where the picture has more than one face.',
};
