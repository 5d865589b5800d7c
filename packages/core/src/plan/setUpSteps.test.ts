import { addStay, addSubject, METHODS, newPlan, setUpSteps, type ShotPlan } from '../index';

const by = (plan: ShotPlan, method: ShotPlan['method']) => setUpSteps({ ...plan, method });
const standing = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
const walking = addStay(standing, 'subject-1', { distanceMm: 2000, fromS: 8 });

test('who walks is taken to the end first, focus is found there, and then they go back to the start', () => {
  expect(by(walking, 'walk-in').map(({ code, name, letter }) => [code, name, letter])).toEqual([
    ['manual-focus', null, null],
    ['subject-to-end', 'Ines', 'B'],
    ['focus-at-end', 'Ines', 'B'],
    ['mark-the-ring', null, null],
    ['subject-back', 'Ines', 'A'],
    ['ring-stays', null, null],
  ]);
  expect(by(standing, 'walk-in').map(({ code }) => code)).not.toContain('subject-to-end');
});

test('acquire, then lock begins with autofocus and ends with a locked ring; by hand the first step is manual focus', () => {
  expect(by(standing, 'acquire-then-lock').map(({ code }) => code)).toEqual([
    'area-on-subject',
    'autofocus-once',
    'check-enlarged',
    'lock-focus',
    'ring-stays',
  ]);
  for (const method of METHODS.filter((one) => one !== 'acquire-then-lock' && one !== 'automatic'))
    expect(by(walking, method)[0]!.code).toBe('manual-focus');
});

test('a shot without anybody has steps as well, about nobody', () => {
  for (const method of METHODS)
    for (const { name, letter } of by(newPlan(), method)) expect([name, letter]).toEqual([null, null]);
});
