import {
  addPull,
  addSubject,
  changeMark,
  changePull,
  defaultWheel,
  evaluatePull,
  type KeepRate,
  keepRate,
  planNotes,
  setStop,
  type ShotPlan,
} from '../src/index';
import { twoPeople } from './plans';

const TAKES = 4000;

/** A pull of 0.4 s from Tam to Ines: too quick to land without a stop. Nobody else errs. */
function quick(): ShotPlan {
  const plan = setStop(changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 0.4 }), 2.8);
  return {
    ...plan,
    wheel: defaultWheel({ name: 'Hand wheel', hasEndStops: true }),
    subjects: plan.subjects.map((subject) => ({ ...subject, markSigmaMm: 0, timingSigmaS: 0 })),
    marks: plan.marks.map((mark) => ({ ...mark, uncertaintyMm: 0 })),
    focusTrack: { ...plan.focusTrack, pulls: plan.focusTrack.pulls.map((pull) => ({ ...pull, cueSigmaS: 0 })) },
    beats: plan.beats.map((beat) => (beat.subjectId === 'subject-2' ? { ...beat, fromS: 4.5 } : { ...beat, toS: 3.9 })),
  };
}

const withStops = (plan: ShotPlan, ...ids: string[]): ShotPlan =>
  ids.reduce((now, id) => changeMark(now, id, { hasHardStop: true }), plan);
const rateOf = (plan: ShotPlan): KeepRate => keepRate(plan, { takes: TAKES, seed: 5 });
const pullOf = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  return verdict.pulls[0]!;
};

test('a pull that runs against a stop lands exactly, with one stop as with two', () => {
  expect(rateOf(quick()).keepRate).toBeLessThan(0.8);
  for (const set of [withStops(quick(), 'mark-2'), withStops(quick(), 'mark-1', 'mark-2')]) {
    expect(rateOf(set).keepRate).toBe(1);
    expect(pullOf(set)).toMatchObject({ isAgainstHardStop: true });
    expect(pullOf(set).neededS).toBeLessThan(pullOf(quick()).neededS);
    expect(planNotes(set, { shutterAngleDeg: 180 })).toEqual([]);
  }
});

test('a stop is set by the reading of its mark: a tape that is off spoils the landing all the same', () => {
  const badTape = (plan: ShotPlan) => changeMark(plan, 'mark-2', { uncertaintyMm: 40 });
  const exact = { ...quick(), hand: { reactionS: 0, perBitS: 1e-3, steadyDeg: 0, twoJobsFactor: 1 } };
  const without = rateOf(badTape(exact)).keepRate;
  expect(without).toBeLessThan(0.9);
  expect(rateOf(badTape(withStops(quick(), 'mark-2'))).keepRate).toBeCloseTo(without, 2);
  expect(rateOf(badTape(withStops(quick(), 'mark-1', 'mark-2'))).keepRate).toBeCloseTo(without, 2);
});

test('a tape that is off at the first stop moves where the ring starts, and nothing else', () => {
  const off = changeMark(withStops(quick(), 'mark-1', 'mark-2'), 'mark-1', { uncertaintyMm: 60 });
  const [first, second] = rateOf(off).beats;
  expect(first!.keepRate).toBeLessThan(0.95);
  expect(second!.keepRate).toBe(1);
});

test('a pull away from a stop and on to a third mark beyond it is a warning, and never lands', () => {
  let plan = addSubject(quick(), { name: 'Bohdan', distanceMm: 6000 });
  plan = changePull(addPull(plan, 'mark-3', 7), 'pull-2', { startS: 7, durationS: 1.5 });
  plan = withStops(plan, 'mark-1', 'mark-2');
  const [note] = planNotes(plan, { shutterAngleDeg: 180 });
  expect(note).toMatchObject({ code: 'outside-stops', letters: ['C'], stops: ['A', 'B'] });
  const verdict = evaluatePull(plan);
  expect(verdict.status === 'judged' && verdict.pulls[1]!.to).toMatchObject({ reachable: false });
});

test('three stops, as an older plan may hold them, make no landing exact and bound nothing', () => {
  const third = addSubject(withStops(quick(), 'mark-1', 'mark-2'), { name: 'Bohdan', distanceMm: 6000 });
  const three = { ...third, marks: third.marks.map((mark) => ({ ...mark, hasHardStop: true })) };
  expect(pullOf(three).isAgainstHardStop).toBe(false);
  expect(rateOf(three).keepRate).toBeCloseTo(rateOf(quick()).keepRate, 1);
  expect(planNotes(three, { shutterAngleDeg: 180 }).map(({ code }) => code)).toContain('too-many-stops');
});
