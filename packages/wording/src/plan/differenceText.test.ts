import {
  addBeat,
  addPull,
  addSubject,
  changeBeat,
  changeMark,
  changePull,
  changeSubject,
  chooseWheel,
  defaultWheel,
  removeBeat,
  removePull,
  removeSubject,
  reversed,
  setDuration,
  setGoals,
  setHandLimit,
  setStop,
  setTrackStart,
  type ShotPlan,
  solveTrack,
} from '@still-heron/core';
import { RANDOM_PLANS } from '../../../core/test/randomPlans';
import { twoPeople } from '../../../core/test/plans';
import { differenceLines, differenceSummary } from './differenceText';

const lines = (after: ShotPlan, before = twoPeople()) => differenceLines(before, after, 'metric');
/** When Ines must be sharp. */
const FROM = `${twoPeople().beats[1]!.fromS.toFixed(2)} s`;

test.each<[string, ShotPlan, string[]]>([
  ['a stop', setStop(twoPeople(), 4.5), ['the stop: T3.2 → T4.5']],
  ['a mark', changeMark(twoPeople(), 'mark-2', { distanceMm: 2100 }), ['mark B: 2.05 m → 2.10 m']],
  ['its note', changeMark(twoPeople(), 'mark-2', { note: 'by the post' }), ['the details of mark B']],
  [
    'a pull moved',
    changePull(twoPeople(), 'pull-1', { startS: 3.5 }),
    ['the pull to B starts at: 4.00 s → 3.50 s', 'the pull to B lands at: 5.00 s → 4.50 s'],
  ],
  [
    'its motion and cue',
    changePull(twoPeople(), 'pull-1', { easing: 'steady', cue: 'now' }),
    ['the motion of the pull to B: eased → steady', 'the cue of the pull to B'],
  ],
  [
    'its target',
    changePull(twoPeople(), 'pull-1', { target: { kind: 'mark', markId: 'mark-1' } }),
    ['the pull to B goes to: B → A'],
  ],
  ['a pull removed', removePull(twoPeople(), 'pull-1'), ['removed: pull to B at 4.00 s']],
  ['a pull added', twoPeople(), ['added: pull to B at 4.00 s']],
  ['a start', setTrackStart(twoPeople(), { kind: 'mark', markId: 'mark-2' }), ['the focus track starts at: A → B']],
  ['a name', changeSubject(twoPeople(), 'subject-2', { name: 'Maren' }), ['the name: Ines → Maren']],
  ['a detail', changeSubject(twoPeople(), 'subject-2', { detail: '' }), ['focus on Ines: near eye → no detail']],
  ['errors', changeSubject(twoPeople(), 'subject-2', { timingSigmaS: 0.5 }), ['the timing and accuracy of Ines']],
  ['a removed subject', removeSubject(twoPeople(), 'subject-1'), expect.arrayContaining(['removed: Old Tam']) as string[]],
  [
    'a beat',
    changeBeat(twoPeople(), 'beat-1', { toS: 3 }),
    ['Old Tam must be sharp from 0.00 s to 4.00 s → Old Tam must be sharp from 0.00 s to 3.00 s'],
  ],
  ['a key moment', changeBeat(twoPeople(), 'beat-1', { keyMomentS: 1 }), ['the details of “Old Tam must be sharp from 0.00 s”']],
  ['a beat removed', removeBeat(twoPeople(), 'beat-2'), [`removed: Ines must be sharp from ${FROM} to 10.00 s`]],
  ['a beat added', addBeat(twoPeople(), 'subject-1', 7), ['added: Old Tam must be sharp from 7.00 s to 9.00 s']],
  ['the speed of the hand', setHandLimit(twoPeople(), 300), ['the highest speed of the hand: 720°/s → 300°/s']],
  ['a wheel', chooseWheel(twoPeople(), null, defaultWheel({ name: 'Hand wheel' })), ['the wheel: none → Hand wheel']],
  ['goals', setGoals(twoPeople(), { isOneChance: true }), ['the goals of the shot']],
  ['reversed', { ...twoPeople(), isReversed: true }, ['the direction of the shot: forwards → reversed']],
])('%s', (what, after, expected) => {
  const before = what === 'a pull added' ? removePull(twoPeople(), 'pull-1') : twoPeople();
  expect(lines(after, before)).toEqual(expected);
});

test('whatever an edit changes has a line, and no line has a gap', () => {
  for (const [index, plan] of RANDOM_PLANS.slice(0, 60).entries()) {
    const edits = [
      reversed(plan),
      setDuration(plan, 14),
      addSubject(plan, { name: 'River ferry', distanceMm: null }),
      addPull(plan, 'mark-1', 3),
      solveTrack(plan, 'follow')?.plan ?? plan,
      { ...plan, notes: 'wait for the bell' },
    ];
    const after = edits[index % edits.length]!;
    if (JSON.stringify(after) === JSON.stringify(plan)) continue;
    expect(lines(after, plan).length).toBeGreaterThan(0);
    expect(lines(after, plan).join()).not.toMatch(/NaN|undefined|null|\[object/);
  }
});

test('a summary names each area once; key order does not matter', () => {
  const document = { scene: '4', slate: '4A', title: '', plan: twoPeople() };
  const shuffled = Object.fromEntries(Object.entries(twoPeople()).reverse()) as unknown as ShotPlan;
  expect(differenceSummary(document, { ...document, plan: shuffled })).toBe('nothing');
  expect(differenceSummary(document, { ...document, title: 'x' })).toBe('the title');
  const plan = changePull(changeMark(setStop(twoPeople(), 8), 'mark-1', { distanceMm: 3100 }), 'pull-1', { startS: 3 });
  expect(differenceSummary(document, { ...document, slate: '4B', plan })).toBe(
    'the slate, the stop, the marks and the focus track',
  );
});
