import { twoPeople } from '../../../test/plans';
import { RANDOM_PLANS } from '../../../test/randomPlans';
import { checkPlan } from '../checkPlan';
import { shotChanges } from '../differences/shotChanges';
import { splitAlternates } from '../edits/alternates';
import { addBeat } from '../edits/beats';
import { changeMark } from '../edits/marks';
import { setLens, setStop } from '../edits/optics';
import { addPull, changePull, removePull } from '../edits/pulls';
import { reversed } from '../edits/reverse';
import { setDuration, setSchedule } from '../edits/shot';
import { addSubject, changeSubject } from '../edits/subjects';
import type { ShotPlan } from '../shotPlan';
import { mergePlans } from './mergePlans';

const base = twoPeople();
const merged = (mine: ShotPlan, theirs: ShotPlan, rule: 'mine' | 'theirs' = 'mine') => mergePlans({ base, mine, theirs }, rule);
const changes = (before: ShotPlan, after: ShotPlan) => {
  const titled = (plan: ShotPlan) => ({ scene: '', slate: '4B', title: '', plan });
  return shotChanges(titled(before), titled(after));
};

test('the puller tapes a mark again while the operator stops down: both stay', () => {
  const mine = changeMark(base, 'mark-2', { distanceMm: 2100 });
  const theirs = setStop(base, 4.5);
  const both = merged(mine, theirs)!;
  expect(both.marks.find(({ id }) => id === 'mark-2')!.distanceMm).toBe(2100);
  expect(both.optics.stop).toBe(4.5);
  expect(changes(base, both)).toEqual(['stop', 'mark']);
  expect(merged(theirs, mine)).toEqual(both);
});

test('two marks taped by two people both have their new distance', () => {
  const both = merged(changeMark(base, 'mark-1', { distanceMm: 3000 }), changeMark(base, 'mark-2', { distanceMm: 2100 }))!;
  expect(both.marks.map(({ distanceMm }) => distanceMm).slice(0, 2)).toEqual([3000, 2100]);
});

test('where both have taped the same mark, the rule decides, and nothing else is lost', () => {
  const mine = setSchedule(changeMark(base, 'mark-2', { distanceMm: 2100 }), { day: 2 });
  const theirs = changeSubject(changeMark(base, 'mark-2', { distanceMm: 2300 }), 'subject-2', { name: 'Old Tam' });
  for (const [rule, distanceMm] of [
    ['mine', 2100],
    ['theirs', 2300],
  ] as const) {
    const both = merged(mine, theirs, rule)!;
    expect(both.marks.find(({ id }) => id === 'mark-2')!.distanceMm).toBe(distanceMm);
    expect([both.schedule.day, both.subjects[1]!.name]).toEqual([2, 'Old Tam']);
  }
});

test('lens and focal length come from one side, as they belong together', () => {
  const theirs = setLens(base, { ...base.optics.lens, name: 'Long one' });
  const mine = setStop(base, 8);
  const both = merged(mine, theirs)!;
  expect([both.optics.lens.name, both.optics.focalLengthMm, both.optics.stop]).toEqual([
    'Long one',
    theirs.optics.focalLengthMm,
    8,
  ]);
});

test('a pull that one has removed and the other moved is kept or not, by the rule', () => {
  const mine = removePull(base, 'pull-1');
  const theirs = changePull(base, 'pull-1', { startS: 3.5 });
  expect(merged(mine, theirs, 'mine')!.focusTrack.pulls).toEqual(mine.focusTrack.pulls);
  expect(merged(mine, theirs, 'theirs')!.focusTrack.pulls).toEqual(theirs.focusTrack.pulls);
});

test('a shot that one side has split into alternates keeps the track of one side as a whole', () => {
  const mine = splitAlternates(setStop(base, 8));
  const theirs = setSchedule(changePull(base, 'pull-1', { startS: 3.5 }), { day: 2 });
  const [withMine, withTheirs] = [merged(mine, theirs, 'mine')!, merged(mine, theirs, 'theirs')!];
  expect([withMine.alternates, withMine.focusTrack]).toEqual([mine.alternates, mine.focusTrack]);
  expect([withTheirs.alternates, withTheirs.focusTrack]).toEqual([null, theirs.focusTrack]);
  for (const both of [withMine, withTheirs]) expect([both.optics.stop, both.schedule.day]).toEqual([8, 2]);
});

test('what both have added under one id is not put together: a pull would go to the other’s mark', () => {
  const maren = addSubject(base, { name: 'Maren', distanceMm: 2000 });
  const bohdan = addPull(addSubject(base, { name: 'Bohdan', distanceMm: 4000 }), 'mark-3', 2);
  expect(merged(maren, bohdan)).toBeNull();
  expect(merged(bohdan, bohdan)).toEqual(bohdan);
});

test.each<[string, ShotPlan, ShotPlan]>([
  ['a plan that is played backwards now', reversed(base), setStop(base, 8)],
  ['a beat beyond the new end', addBeat(base, 'subject-1', base.durationS), setDuration(base, base.durationS - 1)],
])('%s is not put together with other changes', (_, mine, theirs) => {
  expect(merged(mine, theirs)).toBeNull();
  expect(merged(theirs, mine)).toBeNull();
});

test('one side alone is taken as it is, and equal sides are one', () => {
  for (const [index, plan] of RANDOM_PLANS.slice(0, 40).entries()) {
    const other = RANDOM_PLANS[(index + 7) % RANDOM_PLANS.length]!;
    if (plan.isReversed !== other.isReversed) continue;
    expect(mergePlans({ base: plan, mine: plan, theirs: other }, 'mine')).toEqual(other);
    expect(mergePlans({ base: plan, mine: other, theirs: plan }, 'theirs')).toEqual(other);
    expect(mergePlans({ base: plan, mine: other, theirs: other }, 'mine')).toEqual(other);
  }
});

test('two people at different parts of any plan both keep what they did', () => {
  for (const plan of RANDOM_PLANS.slice(0, 100)) {
    const mark = plan.marks.find(({ distanceMm }) => distanceMm !== null);
    if (!mark) continue;
    const mine = changeMark(plan, mark.id, { note: 'by the door' });
    const theirs = changeSubject(setSchedule(plan, { day: plan.schedule.day + 1 }), plan.subjects[0]!.id, { detail: 'far eye' });
    const both = mergePlans({ base: plan, mine, theirs }, 'mine')!;
    expect(checkPlan(both)).toEqual([]);
    expect(both).toEqual({ ...theirs, marks: mine.marks });
  }
});

test('unrelated plans are put together to a valid plan, or not at all', () => {
  for (let index = 0; index + 2 < RANDOM_PLANS.length; index++) {
    const [base, mine, theirs] = RANDOM_PLANS.slice(index, index + 3) as [ShotPlan, ShotPlan, ShotPlan];
    const both = mergePlans({ base, mine, theirs }, index % 2 === 0 ? 'mine' : 'theirs');
    if (both) expect(checkPlan(both)).toEqual([]);
  }
});
