import {
  HAND_TASKS,
  handClashes,
  type HandRelief,
  type HandSpan,
  chooseWheel,
  defaultWheel,
  setWheelJob,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { HAND_TASK_WORDS, handClashText, handReliefText, turnsOtherWayText, wheelJobText } from './handText';

test('a lens that turns the other way names the shot before', () => {
  expect(turnsOtherWayText('clockwise', '9A')).toBe('Nearer is clockwise here. In the shot before, 9A, it is the other way.');
});

test('a clash names who, what and when', () => {
  const span = (task: HandSpan['task'], fromS: number, toS: number): HandSpan => ({
    who: 'operator',
    task,
    fromS,
    toS,
    hands: 1,
  });
  const [clash] = handClashes([span('carry', 0, 10), span('focus', 2, 5), span('zoom', 4, 6)]);
  expect(handClashText(clash!)).toBe(
    'From 4.0 to 5.0 s the operator carries the camera, turns focus and zooms: two hands are not enough.',
  );
  for (const task of HAND_TASKS) expect(HAND_TASK_WORDS[task]).toMatch(/^[a-z]/);
});

test('each way out is a sentence; a wheel elsewhere leaves focus to a hand', () => {
  const reliefs: readonly HandRelief[] = ['second-person', 'wheel-back-to-focus', 'motor', 'other-time', 'leave-to-camera'];
  for (const relief of reliefs) expect(handReliefText(relief)).toMatch(/^[A-Z].*\.$/);
  const plan = chooseWheel(twoPeople(), null, defaultWheel({ name: 'Wheel' }));
  expect(wheelJobText(plan)).toBeUndefined();
  expect(wheelJobText(setWheelJob(plan, 'iris'))).toBe('The wheel turns the iris: focus is turned at the ring.');
});
