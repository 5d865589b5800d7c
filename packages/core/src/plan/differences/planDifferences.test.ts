import { RANDOM_PLANS } from '../../../test/randomPlans';
import { twoPeople } from '../../../test/plans';
import { defaultWheel } from '../../kit/index';
import { solveTrack } from '../../track/index';
import { addBeat, changeBeat, removeBeat } from '../edits/beats';
import { addPull, changePull, removePull, setTrackStart } from '../edits/pulls';
import { addSubject, changeSubject, removeSubject } from '../edits/subjects';
import { changeMark } from '../edits/marks';
import { chooseWheel } from '../edits/gear';
import { reversed } from '../edits/reverse';
import { setDuration, setGoals, setHand, setHandLimit, setSchedule } from '../edits/shot';
import { setLens, setStop } from '../edits/optics';
import type { ShotPlan } from '../shotPlan';
import { splitAlternates } from '../edits/alternates';
import { startFloor } from '../edits/floor';
import { type PlanDifference, planDifferences } from './planDifferences';

const differences = (after: ShotPlan, before = twoPeople()) => planDifferences(before, after);
const part = (name: Extract<PlanDifference, { kind: 'part' }>['part']): PlanDifference => ({ kind: 'part', part: name });
const pull = (change: Extract<PlanDifference, { kind: 'pull' }>['change']): PlanDifference => ({
  kind: 'pull',
  pullId: 'pull-1',
  change,
});

/** The same plan with all keys in another order, as a database returns it. */
function shuffled<T>(value: T): T {
  if (Array.isArray(value)) return value.map(shuffled) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .reverse()
      .map(([key, inner]) => [key, shuffled(inner)]),
  ) as T;
}

test('a plan that has been through a database, with its keys in another order, differs in nothing', () => {
  for (const plan of RANDOM_PLANS.slice(0, 20))
    expect(differences(shuffled(JSON.parse(JSON.stringify(plan)) as ShotPlan), plan)).toEqual([]);
});

test.each<[string, ShotPlan, PlanDifference[]]>([
  ['the stop', setStop(twoPeople(), 4.5), [part('stop')]],
  ['a mark', changeMark(twoPeople(), 'mark-2', { distanceMm: 2100 }), [{ kind: 'mark', markId: 'mark-2', change: 'distance' }]],
  ['a pull moved', changePull(twoPeople(), 'pull-1', { startS: 3.5 }), [pull('start'), pull('landing')]],
  [
    'a cue and its motion',
    changePull(twoPeople(), 'pull-1', { easing: 'steady', cue: 'now' }),
    [pull('easing'), pull('trigger')],
  ],
  ['a pull to another mark', changePull(twoPeople(), 'pull-1', { target: { kind: 'mark', markId: 'mark-1' } }), [pull('target')]],
  ['a pull removed', removePull(twoPeople(), 'pull-1'), [pull('removed')]],
  ['a hand', setHand(twoPeople(), { reactionS: 0.2 }), [part('hand')]],
  ['its speed', setHandLimit(twoPeople(), 300), [part('hand-speed')]],
  ['one chance', setGoals(twoPeople(), { isOneChance: true }), [part('goals')]],
  ['a day', setSchedule(twoPeople(), { day: 2 }), [part('schedule')]],
  ['a start', setTrackStart(twoPeople(), { kind: 'mark', markId: 'mark-2' }), [{ kind: 'track-start' }]],
  [
    'a new name',
    changeSubject(twoPeople(), 'subject-2', { name: 'Maren' }),
    [{ kind: 'subject', subjectId: 'subject-2', change: 'name' }],
  ],
  [
    'a new detail',
    changeSubject(twoPeople(), 'subject-2', { detail: '' }),
    [{ kind: 'subject', subjectId: 'subject-2', change: 'detail' }],
  ],
  ['a beat', changeBeat(twoPeople(), 'beat-1', { toS: 3 }), [{ kind: 'beat', beatId: 'beat-1', change: 'span' }]],
  ['its key moment', changeBeat(twoPeople(), 'beat-1', { keyMomentS: 1 }), [{ kind: 'beat', beatId: 'beat-1', change: 'other' }]],
  ['a beat removed', removeBeat(twoPeople(), 'beat-1'), [{ kind: 'beat', beatId: 'beat-1', change: 'removed' }]],
  ['a beat added', addBeat(twoPeople(), 'subject-1', 7), [{ kind: 'beat', beatId: 'beat-3', change: 'added' }]],
  ['a wheel', chooseWheel(twoPeople(), null, defaultWheel({ name: 'Hand wheel' })), [part('wheel')]],
  ['a figure of the lens', setLens(twoPeople(), { transmittance: 0.8 }), [part('lens-figures')]],
  ['alternates', splitAlternates(twoPeople()), [part('alternates')]],
  ['a floor plan', startFloor(twoPeople()), expect.arrayContaining([part('floor')]) as PlanDifference[]],
  ['the kit', { ...twoPeople(), kit: { ...twoPeople().kit, lensId: 'x' } }, [part('kit')]],
])('%s', (_, after, expected) => {
  expect(differences(after)).toEqual(expected);
});

test('every field of a plan is compared', () => {
  const plan = twoPeople();
  for (const field of Object.keys(plan) as (keyof ShotPlan)[]) {
    if (field === 'schema') continue;
    const other = { ...plan, [field]: otherValue(plan[field]) };
    expect([field, differences(other, plan).length]).not.toEqual([field, 0]);
  }
});

function otherValue(value: unknown): unknown {
  if (typeof value === 'number') return value + 1;
  if (typeof value === 'boolean') return !value;
  if (typeof value === 'string') return `${value}x`;
  if (Array.isArray(value)) return value.length > 0 ? [] : [{ id: 'new', taps: [] }];
  if (value === null) return { name: 'new' };
  return Object.fromEntries(Object.entries(value as object).map(([key, inner]) => [key, otherValue(inner)]));
}

test('whatever an edit changes is found, in both directions', () => {
  for (const [index, plan] of RANDOM_PLANS.slice(0, 60).entries()) {
    const edits = [
      reversed(plan),
      setDuration(plan, 14),
      addSubject(plan, { name: 'River ferry', distanceMm: null }),
      removeSubject(plan, 'subject-1'),
      addPull(plan, 'mark-1', 3),
      solveTrack(plan, 'follow')?.plan ?? plan,
      { ...plan, notes: 'wait for the bell' },
    ];
    const after = edits[index % edits.length]!;
    if (JSON.stringify(after) === JSON.stringify(plan)) continue;
    expect(differences(after, plan).length).toBeGreaterThan(0);
    expect(differences(plan, after).length).toBeGreaterThan(0);
  }
});
