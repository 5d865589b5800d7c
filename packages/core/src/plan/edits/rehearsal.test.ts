import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { addRun, rehearsedEvents, rehearsedTimes, removeRun } from './rehearsal';
import { applyRehearsedTimes, withRehearsedTimes } from './rehearsedPlan';
import { moveCameraTo } from './cameraPath';
import { startFloor } from './floor';
import { changeMark } from './marks';
import { addOpticsChange, setLens } from './optics';
import { addPull, setTrackStart } from './pulls';
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
    // the shot ends as much sooner as the last event came sooner
    [5.2, 9.2],
  ]);
  expect(taken.durationS).toBeCloseTo(9.2, 9);
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

test('a plan that has the rehearsed times keeps them to the last digit when they are used again', () => {
  const seconds = fc.double({ min: 0.1, max: 1.5, noNaN: true });
  // the mark of the arrival is taped, from where the camera is then
  const taped = changeMark(startFloor(walking()), 'mark-3', { distanceMm: 1450, method: 'tape' });
  expect(taped.marks[2]!.taping).not.toBeNull();
  fc.assert(
    fc.property(fc.array(fc.tuple(seconds, seconds, seconds), { minLength: 1, maxLength: 3 }), (runs) => {
      // leaves, cue and arrival one after the other, at times that no decimal tells exactly
      const plan = runs.reduce((now, [a, b, c]) => run(now, a, a + b, a + b + c), taped);
      const once = withRehearsedTimes(plan);
      expect(once.limited).toEqual([]);
      expect(withRehearsedTimes(once.plan).plan).toEqual(once.plan);
    }),
    { seed: 47, numRuns: caseCount(100) },
  );
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

describe('what depends on the rehearsed times moves with them', () => {
  /** Until 4 s Tam must be sharp, from 5 s Ines; she turns her head at 7 s, and at 8 s the shot is cut. */
  const planned = (): ShotPlan => {
    const plan = walking();
    return {
      ...plan,
      beats: plan.beats.map((beat) => (beat.subjectId === 'subject-2' ? { ...beat, fromS: 6, toS: 10, keyMomentS: 8 } : beat)),
    };
  };
  // leaves at 4 s, is followed at 4 s, arrives at 6 s: everything takes longer
  const taken = withRehearsedTimes(run(planned(), 5, 5.4, 9));

  test('the end of the shot comes as much later as the last event', () => expect(taken.plan.durationS).toBeCloseTo(13, 9));

  test('a beat that begins with an arrival begins with it still, and its key moment keeps its distance', () => {
    const beat = taken.plan.beats.find(({ subjectId }) => subjectId === 'subject-2')!;
    expect(beat.fromS).toBeCloseTo(9, 9);
    expect(beat.keyMomentS).toBeCloseTo(11, 9);
    expect(beat.toS).toBeCloseTo(13, 9);
  });

  test('a beat that ends when the pull leaves ends when it leaves', () => {
    const beat = taken.plan.beats.find(({ subjectId }) => subjectId === 'subject-1')!;
    expect(beat.toS).toBeGreaterThanOrEqual(5);
    expect(beat.toS).toBeLessThanOrEqual(5.4 + 1e-9);
  });

  test('nothing was in the way', () => expect(taken.limited).toEqual([]));

  test('an event that was not tapped moves with those around it', () => {
    // only the departure was tapped, a second late
    const { plan } = withRehearsedTimes(run(planned(), 5));
    expect(plan.focusTrack.pulls[0]!.startS).toBeCloseTo(5, 9);
    expect(plan.subjects[1]!.stays[1]!.fromS).toBeCloseTo(7, 9);
    expect(plan.durationS).toBeCloseTo(11, 9);
  });

  test('a pull that can’t be where it was tapped is named with the time that it has', () => {
    const two = addPull(planned(), 'mark-1', 7);
    const taps = rehearsedEvents(two).map(({ event, timeS }) => ({
      event,
      timeS: event.kind === 'cue' && timeS > 6 ? 4.2 : timeS,
    }));
    const { plan, limited } = withRehearsedTimes(addRun(two, taps));
    expect(limited.map(({ event }) => event.kind)).toEqual(['cue']);
    expect(limited[0]!.meanS).toBe(4.2);
    expect(limited[0]!.nowS).toBeCloseTo(plan.focusTrack.pulls[1]!.startS, 9);
    expect(checkPlan(plan)).toEqual([]);
  });

  test('the camera, a zoom and a course keep their place in the action', () => {
    const drawn = moveCameraTo(startFloor(planned()), { xMm: 300, yMm: 0 }, 6);
    const plan = setTrackStart(addOpticsChange(setLens(drawn, { longestMm: 130 }), 'zooms', 4, 90), {
      kind: 'course',
      points: [
        { timeS: 0, distanceMm: 3000 },
        { timeS: 6, distanceMm: 2000 },
      ],
    });
    const { plan: now } = withRehearsedTimes(run(plan, 5, 5, 9));
    expect(now.floor!.camera.at(-1)!.timeS).toBeCloseTo(9, 9);
    expect(now.optics.zooms[0]!.startS).toBeCloseTo(5, 9);
    expect(now.focusTrack.start).toMatchObject({ points: [{ timeS: 0 }, { timeS: expect.closeTo(9, 9) }] });
    expect(checkPlan(now)).toEqual([]);
  });
});
