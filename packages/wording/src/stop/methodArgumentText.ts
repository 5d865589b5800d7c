import { formatTime, type Method, type MethodArgument } from '@still-heron/core';

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
  'nothing-known': 'nobody knows what will happen',
  'a-hand-is-safer': 'the action is known: a hand that knows it is safer',
  'not-computable': 'how autofocus searches and jumps can’t be computed: only test takes show it',
};

/** An argument for or against a method. */
export function methodArgumentText(argument: MethodArgument): string {
  switch (argument.code) {
    case 'several-in-turn':
      return `${argument.people} subjects must be sharp in turn`;
    case 'one-distance-for-several':
      return `${argument.people} subjects must be sharp, and there is one focus distance`;
    case 'several-to-choose-from':
      return `${argument.people} subjects must be sharp, and autofocus does not know which one and when`;
    case 'crossing':
      return `${argument.name} comes in front at ${formatTime(argument.timeS)}: autofocus may jump`;
    case 'hidden-behind':
      return `autofocus may jump to ${argument.hider}: ${argument.name} is hidden for ${formatTime(argument.forS)} from ${formatTime(argument.timeS)}`;
    default:
      return PLAIN[argument.code] ?? argument.code;
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
