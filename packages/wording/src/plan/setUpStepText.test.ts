import { addStay, addSubject, METHODS, newPlan, setUpSteps } from '@still-heron/core';
import { setUpStepText } from './setUpStepText';

const walking = addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 }), 'subject-1', { distanceMm: 2000, fromS: 8 });

test('steps are orders that name who and where', () => {
  expect(setUpSteps({ ...walking, method: 'walk-in' }).map(setUpStepText)).toEqual([
    'Switch lens and camera to manual focus.',
    'Ask Ines to stand at the end at B.',
    'Focus on Ines at B, with the picture enlarged.',
    'Mark the ring, and read it.',
    'Send Ines back to the start at A.',
    'Leave the ring alone until the take is over.',
  ]);
  expect(setUpSteps({ ...newPlan(), method: 'acquire-then-lock' }).map(setUpStepText)[1]).toBe(
    'Let autofocus find the subject once.',
  );
});

test('every step of every method is one sentence', () => {
  for (const method of METHODS)
    for (const step of setUpSteps({ ...walking, method })) expect(setUpStepText(step)).toMatch(/^[A-Z][^.]+\.$/);
});
