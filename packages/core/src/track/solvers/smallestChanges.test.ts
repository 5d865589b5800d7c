import { twoPeople } from '../../../test/plans';
import { RANDOM_PLANS } from '../../../test/randomPlans';
import { addBeat, changeBeat, checkPlan, setHandLimit, setStop, type ShotPlan } from '../../plan/index';
import { solveTrack } from './solveTrack';
import { smallestChanges } from './smallestChanges';

/** Both must be sharp from 3 to 6 s, wide open. */
const both = (): ShotPlan => setStop(changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 6 }), 'beat-2', { fromS: 3 }), 2.2);
const isPossible = (plan: ShotPlan) => solveTrack(plan, 'follow')!.impossible === null;

test('two at once: the stop, the lens, the time and the place that would let them be, each at its least', () => {
  const changes = smallestChanges(both());
  expect(changes.map(({ kind }) => kind).sort()).toEqual(['focal-length', 'later', 'stand', 'stop']);
  for (const change of changes) expect(isPossible(change.plan)).toBe(true);
  const stand = changes.find(({ kind }) => kind === 'stand') as Extract<(typeof changes)[number], { kind: 'stand' }>;
  const nudged = { ...stand.plan.marks.find(({ id }) => id === stand.markId)! };
  // a step of the tape and its error less
  const less = nudged.distanceMm! + Math.sign(stand.fromMm - stand.toMm) * 60;
  const back = {
    ...stand.plan,
    marks: stand.plan.marks.map((mark) => (mark.id === stand.markId ? { ...mark, distanceMm: less } : mark)),
  };
  expect(isPossible(back)).toBe(false);
  const shorter = changes.find(({ kind }) => kind === 'focal-length') as Extract<
    (typeof changes)[number],
    { kind: 'focal-length' }
  >;
  expect(shorter.toMm).toBeLessThan(65);
});

test('a stop does where one does: the first on the lens that is dark enough', () => {
  const nearby = setStop(
    { ...both(), marks: both().marks.map((mark, k) => ({ ...mark, distanceMm: k === 0 ? 2300 : 2050 })) },
    2.2,
  );
  const stop = smallestChanges(nearby).find(({ kind }) => kind === 'stop') as Extract<
    ReturnType<typeof smallestChanges>[number],
    { kind: 'stop' }
  >;
  expect(isPossible(stop.plan)).toBe(true);
  expect(stop.stopsLost).toBeCloseTo(2 * Math.log2(stop.to / 2.2), 9);
  expect(isPossible(setStop(nearby, stop.to * 0.8))).toBe(false);
});

test('a hand that is too slow between two beats: one of them for a little less long', () => {
  const slow = setHandLimit(changeBeat(changeBeat(twoPeople(), 'beat-1', { toS: 5 }), 'beat-2', { fromS: 5.1 }), 40);
  expect(solveTrack(slow, 'follow')!.impossible).toMatchObject({ why: 'too-fast' });
  const time = smallestChanges(slow).find(({ kind }) => kind === 'later' || kind === 'until')!;
  expect(isPossible(time.plan)).toBe(true);
});

test('whatever is impossible, what is said to help does, and can be saved; what is possible needs nothing', () => {
  let helped = 0;
  for (const plan of RANDOM_PLANS.slice(0, 60)) {
    const changes = smallestChanges(plan);
    if (isPossible(plan)) expect(changes).toEqual([]);
    for (const change of changes) {
      expect(checkPlan(change.plan)).toEqual([]);
      expect(isPossible(change.plan)).toBe(true);
      helped++;
    }
  }
  expect(helped).toBeGreaterThan(20);
  expect(smallestChanges(addBeat(twoPeople(), 'subject-1', 0))).toEqual([]);
});
