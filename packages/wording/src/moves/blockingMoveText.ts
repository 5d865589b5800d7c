import type { BlockingMoveId, BlockingMoveParamKey } from '@still-heron/core';

interface MoveWords {
  readonly name: string;
  readonly description: string;
  /** Label of each parameter, and of the choices 1 and -1 */
  readonly params: Readonly<Partial<Record<BlockingMoveParamKey, string>>>;
  readonly choices?: readonly [first: string, other: string];
}

/** Blocking moves: name, purpose, and labels of their parameters. */
export const BLOCKING_MOVE_WORDS: Readonly<Record<BlockingMoveId, MoveWords>> = {
  'walk-in': {
    name: 'Walk into focus',
    description: 'Focus is set to a distance. The subject walks into it, and stops there or walks through.',
    params: { focusMm: 'focus is set to', endMm: 'the subject walks to', lastsS: 'time of the walk' },
  },
  'constant-distance': {
    name: 'Keep the distance',
    description: 'The subject walks, and the camera moves along at the same pace. Nobody turns the ring.',
    params: { way: 'the subject walks', walkMm: 'length of the walk', lastsS: 'time of the walk' },
    choices: ['towards the camera', 'away from the camera'],
  },
  'push-in': {
    name: 'Push in or pull back',
    description: 'Focus is set to a distance. The camera moves closer or farther until the subject is sharp.',
    params: { focusMm: 'focus is set to', endMm: 'distance at the end', lastsS: 'time of the move' },
  },
  arc: {
    name: 'Circle the subject',
    description: 'The camera circles the subject at one radius and stays aimed at it.',
    params: {
      side: 'the camera goes',
      arcDeg: 'angle of the circle',
      lastsS: 'time of the move',
      offMm: 'possible error of the radius',
    },
    choices: ['to the right', 'to the left'],
  },
  'slide-out': {
    name: 'Slide out from behind',
    description: 'A close object hides the subject. The camera slides out from behind it, with focus on the subject.',
    params: {
      side: 'the camera slides',
      closeMm: 'distance of the object',
      wideMm: 'width of the object',
      slideMm: 'length of the slide',
      lastsS: 'time of the slide',
    },
    choices: ['to the left', 'to the right'],
  },
  whip: {
    name: 'Whip pan to the subject',
    description: 'The camera whips to the subject, and focus changes during the motion blur.',
    params: { panS: 'time of the whip pan' },
  },
  'waiting-marks': {
    name: 'Wait at likely places',
    description: 'Nobody knows where the subject will come. Focus waits at the likely places in turn, each with its own zone.',
    params: { firstMm: 'first place', secondMm: 'second place', thirdMm: 'third place', waitS: 'wait at each place' },
  },
  sway: {
    name: 'Sway in place',
    description: 'The subject sits or stands, and sways along the lens axis. Is the zone deep enough?',
    params: { swayMm: 'sway to each side', periodS: 'time to and fro', lastsS: 'time of the swaying' },
  },
  lean: {
    name: 'Lean with the camera',
    description: 'The operator leans in or back, and comes upright again. How far is possible without turning the ring?',
    params: { way: 'the operator leans', leanMm: 'length of the lean', lastsS: 'time out and back' },
    choices: ['towards the subject', 'back'],
  },
  'iris-pull': {
    name: 'Pull the iris',
    description: 'The stop changes during the take. The zone grows or shrinks, and the light has to be corrected.',
    params: { stop: 'new stop', lastsS: 'time of the iris pull' },
  },
};

/** Label of a parameter of a blocking move. */
export function blockingMoveLabel(id: BlockingMoveId, key: BlockingMoveParamKey): string {
  return BLOCKING_MOVE_WORDS[id].params[key] ?? key;
}

/** Label of a direction: 1 or -1. */
export function directionLabel(id: BlockingMoveId, value: number): string {
  const [first, other] = BLOCKING_MOVE_WORDS[id].choices ?? ['forward', 'back'];
  return value > 0 ? first : other;
}
