import { twoPeople } from '../../../test/plans';
import { RANDOM_PLANS } from '../../../test/randomPlans';
import { defaultWheel } from '../../kit/index';
import { solveTrack } from '../../track/index';
import { addBeat, changeBeat, removeBeat } from '../edits/beats';
import { addPull, changePull, removePull, setTrackStart } from '../edits/pulls';
import { addSubject, changeSubject, removeSubject } from '../edits/subjects';
import { changeMark } from '../edits/marks';
import { reversed } from '../edits/reverse';
import { setDuration, setHand, setHandLimit, setSchedule, setGoals } from '../edits/shot';
import { setLens, setStop } from '../edits/optics';
import type { ShotPlan } from '../shotPlan';
import { splitAlternates } from '../edits/alternates';
import { startFloor } from '../edits/floor';
import { chooseWheel } from '../edits/gear';
import { planDifferences } from './planChanges';

/** When Ines must be sharp, as the plan has it. */
const FROM = `${twoPeople().beats[1]!.fromS.toFixed(2)} s`;

const said = (after: ShotPlan, before = twoPeople()) => planDifferences(before, after, 'metric');

test('the same plan, also after a trip through JSON, differs in nothing', () => {
  for (const plan of RANDOM_PLANS.slice(0, 20)) expect(said(JSON.parse(JSON.stringify(plan)) as ShotPlan, plan)).toEqual([]);
});

test.each<[string, ShotPlan, string[]]>([
  ['the stop', setStop(twoPeople(), 4.5), ['the stop: T3.2 → T4.5']],
  ['a mark', changeMark(twoPeople(), 'mark-2', { distanceMm: 2100 }), ['mark B: 2.05 m → 2.10 m']],
  [
    'a pull moved',
    changePull(twoPeople(), 'pull-1', { startS: 3.5 }),
    ['the pull to B starts at: 4.00 s → 3.50 s', 'the pull to B lands at: 5.00 s → 4.50 s'],
  ],
  [
    'a pull eased and cued',
    changePull(twoPeople(), 'pull-1', { easing: 'steady', cue: 'now' }),
    ['the pull to B is eased: eased → steady', 'what sets off the pull to B'],
  ],
  [
    'a pull aimed',
    changePull(twoPeople(), 'pull-1', { target: { kind: 'mark', markId: 'mark-1' } }),
    ['the pull to B goes to: B → A'],
  ],
  ['a hand', setHand(twoPeople(), { reactionS: 0.2 }), ['what the hand can do']],
  ['how many takes', setGoals(twoPeople(), { isOneChance: true }), ['what is requested of the takes and the look']],
  ['a day', setSchedule(twoPeople(), { day: 2 }), ['what it takes of the day']],
  ['a pull gone', removePull(twoPeople(), 'pull-1'), ['no pull to B at 4.00 s']],
  ['a start', setTrackStart(twoPeople(), { kind: 'mark', markId: 'mark-2' }), ['the line starts at: A → B']],
  [
    'someone renamed',
    changeSubject(twoPeople(), 'subject-2', { name: 'Maren' }),
    ['the name: Ines → Maren', `Maren must be sharp from ${FROM} to 10.00 s, not: Ines must be sharp from ${FROM} to 10.00 s`],
  ],
  [
    'someone focused on elsewhere',
    changeSubject(twoPeople(), 'subject-2', { detail: '' }),
    ['focus on Ines: near eye → nothing said'],
  ],
  [
    'a beat',
    changeBeat(twoPeople(), 'beat-1', { toS: 3 }),
    ['Old Tam must be sharp from 0.00 s to 3.00 s, not: Old Tam must be sharp from 0.00 s to 4.00 s'],
  ],
  ['a beat’s key', changeBeat(twoPeople(), 'beat-1', { keyMomentS: 1 }), ['how Old Tam must be sharp from 0.00 s']],
  ['a beat gone', removeBeat(twoPeople(), 'beat-1'), ['no longer: Old Tam must be sharp from 0.00 s to 4.00 s']],
  ['a beat more', addBeat(twoPeople(), 'subject-1', 7), ['Old Tam must be sharp from 7.00 s to 9.00 s']],
  ['the hand', setHandLimit(twoPeople(), 300), ['the hand turns at most: 720°/s → 300°/s']],
  ['a wheel', chooseWheel(twoPeople(), null, defaultWheel({ name: 'Hand wheel' })), ['the wheel: none → Hand wheel']],
  ['the lens’s figures', setLens(twoPeople(), { transmittance: 0.8 }), ['the lens’s figures']],
  ['alternates', splitAlternates(twoPeople()), ['takes A and B']],
  [
    'a drawing',
    startFloor({ ...twoPeople(), marks: twoPeople().marks }),
    expect.arrayContaining(['the drawing from above']) as string[],
  ],
])('%s', (_, after, lines) => {
  expect(said(after)).toEqual(lines);
});

test('whatever differs, something is said of it, and nothing is said that is no figure', () => {
  for (const [index, plan] of RANDOM_PLANS.slice(0, 60).entries()) {
    const changedPlans = [
      reversed(plan),
      setDuration(plan, 14),
      addSubject(plan, { name: 'River ferry', distanceMm: null }),
      removeSubject(plan, 'subject-1'),
      addPull(plan, 'mark-1', 3),
      solveTrack(plan, 'follow')?.plan ?? plan,
      { ...plan, notes: 'wait for the bell' },
    ];
    const after = changedPlans[index % changedPlans.length]!;
    if (JSON.stringify(after) === JSON.stringify(plan)) continue;
    const lines = said(after, plan);
    expect(lines.length).toBeGreaterThan(0);
    expect(lines.join()).not.toMatch(/NaN|undefined|null|\[object/);
    expect(said(plan, after).length).toBeGreaterThan(0);
  }
});
