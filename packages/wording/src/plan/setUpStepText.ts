import type { SetUpStep } from '@still-heron/core';

type Writer = (who: string, where: string) => string;

/** Each step as an order: subject and mark are named where there are any. */
const WRITERS: Readonly<Record<SetUpStep['code'], Writer>> = {
  'manual-focus': () => 'Switch lens and camera to manual focus.',
  'ring-to-start': (who, where) => `Set the ring to ${who}${where}.`,
  'subject-to-end': (who, where) => `Ask ${who} to stand at the end${where}.`,
  'camera-to-end': () => 'Take the camera to the end of its move.',
  'focus-at-end': (who, where) => `Focus on ${who}${where}, with the picture enlarged.`,
  'mark-the-ring': () => 'Mark the ring, and read it.',
  'mark-the-start': () => 'Tape the floor where the camera starts.',
  'mark-the-floor': () => 'Tape the floor where the camera ends.',
  'subject-back': (who, where) => `Send ${who} back to the start${where}.`,
  'camera-back': () => 'Take the camera back to its start tape.',
  'ring-stays': () => 'Leave the ring alone until the take is over.',
  'set-distance': (who, where) => `Set the ring to the distance of ${who}${where}.`,
  'walk-once': () => 'Walk the way once without rolling, at the pace of the take.',
  'autofocus-on': () => 'Switch lens and camera to autofocus.',
  'area-on-subject': (who, where) => `Put the autofocus area on ${who}${where}.`,
  'autofocus-once': (who) => `Let autofocus find ${who} once.`,
  'check-enlarged': () => 'Check with the picture enlarged, then go back to the full view.',
  'lock-focus': () => 'Lock focus: hold its button, or switch to manual.',
  'practise-the-change': () => 'Practise the change between the hand and autofocus.',
  'test-take': () => 'Record one test take, and look for searching.',
};

/** A step before the camera rolls. */
export function setUpStepText({ code, name, letter }: SetUpStep): string {
  return WRITERS[code](name ?? 'the subject', letter === null ? '' : ` at ${letter}`);
}
