import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { addRun, rehearsedEvents, rehearsedTimes, removeRun, applyRehearsedTimes } from './rehearsal';
import { addStay } from './subjects';
import { checkPlan } from '../checkPlan';
import type { ShotPlan } from '../shotPlan';
import { caseCount } from '../../../test/caseCount';

/** Ines walks from 2.05 m, leaving at 4 s, to 1.6 m, where she is at 6 s; one pull starts at 4 s. */
const walking = (): ShotPlan => addStay(twoPeople(), 'subject-2', { distanceMm: 1600, fromS: 6 });

const run = (plan: ShotPlan, ...timesS: number[]): ShotPlan =>
  addRun(
    plan,
    rehearsedEvents(plan)
      .slice(0, timesS.length)
      .map(({ event }, index) => ({ event, timeS: timesS[index]! })),
  );

test('events to tap, in the order of the plan', () => {
  expect(rehearsedEvents(walking()).map(({ event, markId, timeS }) => [event.kind, markId, timeS])).toEqual([
    ['leaves', 'mark-2', 4],
    ['cue', 'mark-2', 4],
    ['arrives', 'mark-3', 6],
  ]);
});

test('several runs are averaged, with their spread, which becomes how sure the times are', () => {
  const plan = run(run(run(walking(), 3, 3.4, 5), 3.4, 3.6, 5.4), 3.2, 3.8, 5.2);
  const [leaves, cue, comes] = rehearsedTimes(plan);
  expect(leaves).toMatchObject({ count: 3, event: { kind: 'leaves', subjectId: 'subject-2' } });
  expect(leaves!.meanS).toBeCloseTo(3.2, 9);
  expect(leaves!.spreadS).toBeCloseTo(0.2, 9);
  expect(comes!.meanS).toBeCloseTo(5.2, 9);
  const taken = applyRehearsedTimes(plan);
  expect(checkPlan(taken)).toEqual([]);
  expect(taken.subjects[1]!.stays.map(({ fromS, untilS }) => [fromS, untilS].map((s) => Number(s.toFixed(6))))).toEqual([
    [0, 3.2],
    [5.2, 10],
  ]);
  expect(taken.subjects[1]!.timingSigmaS).toBeCloseTo(0.2, 9);
  expect(taken.subjects[0]!.timingSigmaS).toBe(plan.subjects[0]!.timingSigmaS);
  expect(taken.focusTrack.pulls[0]!.startS).toBeCloseTo(3.6, 9);
  expect(taken.focusTrack.pulls[0]!.cueSigmaS).toBeCloseTo(cue!.spreadS!, 9);
  expect(rehearsedTimes(removeRun(plan, 'run-2'))[0]!.count).toBe(2);
});

test('one run gives times and no spread; a run without a tap is none; of too many the oldest goes', () => {
  const once = run(walking(), 2.5);
  expect(rehearsedTimes(once)[0]).toMatchObject({ count: 1, meanS: 2.5, spreadS: null });
  expect(rehearsedTimes(once)[2]).toMatchObject({ count: 0, meanS: null, spreadS: null });
  expect(applyRehearsedTimes(once).subjects[1]).toMatchObject({ timingSigmaS: walking().subjects[1]!.timingSigmaS });
  expect(applyRehearsedTimes(once).subjects[1]!.stays[0]!.untilS).toBe(2.5);
  expect(addRun(once, [])).toBe(once);
  const many = Array.from({ length: 25 }, (_, k) => k / 10).reduce((plan, timeS) => run(plan, timeS), walking());
  expect(many.rehearsals).toHaveLength(20);
  expect(many.rehearsals[0]!.taps[0]!.timeS).toBeCloseTo(0.5, 9);
  expect(checkPlan(many)).toEqual([]);
});

test('however it was tapped, the plan that takes the times can be saved; taps of what is gone are passed over', () => {
  const taps = fc.array(fc.array(fc.double({ min: -2, max: 700, noNaN: true }), { maxLength: 3 }), { maxLength: 5 });
  fc.assert(
    fc.property(taps, (runs) => {
      const plan = runs.reduce((now, timesS) => run(now, ...timesS), walking());
      expect(checkPlan(applyRehearsedTimes(plan))).toEqual([]);
      const without = { ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } };
      expect(checkPlan(applyRehearsedTimes(without))).toEqual([]);
    }),
    { seed: 46, numRuns: caseCount(60) },
  );
});
