import { addBeat } from './edits/beats';
import { addSubjectAt, startFloor } from './edits/floor';
import { newPlan } from './edits/newPlan';
import { addPull } from './edits/pulls';
import { addSubject } from './edits/subjects';
import { splitAlternates, showAlternate } from './edits/alternates';
import { checkPlan } from './checkPlan';
import { fullList } from './planRoom';
import type { ShotPlan } from './shotPlan';

/** The same edit until it changes nothing more. */
function filled(plan: ShotPlan, edit: (plan: ShotPlan, round: number) => ShotPlan): ShotPlan {
  for (let round = 0; round < 1000; round++) {
    const next = edit(plan, round);
    expect(checkPlan(next)).toEqual([]);
    if (next === plan) return plan;
    plan = next;
  }
  throw new Error('it is never full');
}

const twoOverTenMinutes = () => {
  const plan = { ...newPlan(), durationS: 600 };
  return addSubject(addSubject(plan, { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: 2050 });
};

test('the sixtieth pull has its beat as every other, also in both alternates; a sixty-first is not made', () => {
  const pulled = (plan: ShotPlan) =>
    filled(plan, (now, round) => addPull(now, round % 2 === 0 ? 'mark-2' : 'mark-1', 4 + 9 * round));
  const one = pulled(twoOverTenMinutes());
  expect(one.focusTrack.pulls).toHaveLength(60);
  expect(one.beats).toHaveLength(61);
  expect(fullList(one, ['subjects', 'pulls'])).toEqual({ list: 'pulls', max: 60 });
  const both = pulled(showAlternate(splitAlternates(twoOverTenMinutes()), 'B'));
  expect(both.focusTrack.pulls).toHaveLength(60);
});

test('a shot that is full of beats still takes another subject: only the first one has to be sharp at once', () => {
  const full = filled(twoOverTenMinutes(), (plan) => addBeat(plan, 'subject-1', 3));
  const more = addSubject(full, { name: 'Bohdan', distanceMm: 4000 });
  expect([more.subjects.length, more.beats.length, checkPlan(more)]).toEqual([3, 120, []]);
});

test.each<[string, (plan: ShotPlan) => ShotPlan, ReturnType<typeof fullList>]>([
  ['beats', (plan) => addBeat(plan, 'subject-1', 3), { list: 'beats', max: 120 }],
  ['subjects', (plan) => addSubject(plan, { name: 'Bohdan', distanceMm: 4000 }), { list: 'subjects', max: 12 }],
  ['subjects on the floor', (plan) => addSubjectAt(plan, 'Bohdan', { xMm: 0, yMm: 4000 }), { list: 'subjects', max: 12 }],
])('%s are added until the plan is full, and no plan is refused', (_, edit, full) => {
  const start = startFloor(twoOverTenMinutes());
  expect(fullList(start, ['subjects', 'marks', 'beats', 'pulls'])).toBeNull();
  expect(fullList(filled(start, edit), ['subjects', 'marks', 'beats', 'pulls'])).toEqual(full);
});
