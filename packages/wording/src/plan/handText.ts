import {
  formatTime,
  formatTimeFigure,
  type HandClash,
  type HandRelief,
  type HandTask,
  type Person,
  type ShotPlan,
  wheelJob,
  type WheelJob,
} from '@still-heron/core';
import { listed } from '../figure.js';

export const PERSON_WORDS: Readonly<Record<Person, { readonly title: string; readonly inSentence: string }>> = {
  operator: { title: 'Operator', inSentence: 'the operator' },
  puller: { title: 'Puller', inSentence: 'the puller' },
};

export const HAND_TASK_WORDS: Readonly<Record<HandTask, string>> = {
  carry: 'carries the camera',
  pan: 'moves the camera',
  focus: 'turns focus',
  iris: 'turns the iris',
  zoom: 'zooms',
  other: 'needs a hand for something else',
};

export const WHEEL_JOB_WORDS: Readonly<Record<WheelJob, string>> = { focus: 'focus', iris: 'the iris', zoom: 'the zoom' };

/** Where somebody would need a third hand. */
export function handClashText({ who, tasks, fromS, toS }: HandClash): string {
  const doing = listed(tasks.map((task) => HAND_TASK_WORDS[task]));
  return `From ${formatTimeFigure(fromS)} to ${formatTime(toS)} ${PERSON_WORDS[who].inSentence} ${doing}: two hands are not enough.`;
}

const RELIEF_WORDS: Readonly<Record<HandRelief, string>> = {
  'second-person': 'A second person at the ring frees a hand.',
  'wheel-back-to-focus': 'The wheel back on focus frees a hand from the ring.',
  motor: 'A motor on the ring frees a hand.',
  'other-time': 'A pull at another time frees a hand.',
  'leave-to-camera': 'Fixed focus or autofocus frees a hand.',
};

export function handReliefText(relief: HandRelief): string {
  return RELIEF_WORDS[relief];
}

/** The hand turns the other way than in the shot before. */
export function turnsOtherWayText(nearerTurns: 'clockwise' | 'anticlockwise', slate: string): string {
  return `Nearer is ${nearerTurns} here. In the shot before, ${slate}, it is the other way.`;
}

/** What the wheel turns, and what that leaves to a hand. */
export function wheelJobText(plan: Pick<ShotPlan, 'wheelElsewhere'>): string | undefined {
  const job = wheelJob(plan);
  return job === 'focus' ? undefined : `The wheel turns ${WHEEL_JOB_WORDS[job]}: focus is turned at the ring.`;
}
