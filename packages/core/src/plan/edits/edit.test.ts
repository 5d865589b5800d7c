import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { addBeat, changeBeat, removeBeat } from './beats';
import { addOpticsChange, cameraMoved, changeOpticsChange, removeOpticsChange, setFocalLength, setLens, setStop } from './optics';
import { addPull, changePull, dragPullEdge, pullRoom, pullStartFrom, removePull, setTrackStart } from './pulls';
import {
  addStay,
  addSubject,
  canAddStay,
  changeStay,
  changeSubject,
  nextArrivalS,
  removeSubject,
  setSubjectKind,
} from './subjects';
import { addSubjectAt, clearFloor, adoptDrawnDistance, placeMark, startFloor, walkTo } from './floor';
import { changeCameraKey, moveCameraTo, removeAim, removeCameraKey, setAim } from './cameraPath';
import { changeMark, marksHold, removeMark } from './marks';
import { checkPlan } from '../checkPlan';
import { newPlan } from './newPlan';
import { pullEndS, type ShotPlan } from '../shotPlan';
import { setDuration, setHand, setGoals, shortestDurationS } from './shot';
import { caseCount } from '../../../test/caseCount';

describe('from two tape measures to a focus track', () => {
  test('the first subject starts the track and must be sharp throughout', () => {
    const plan = addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 });
    expect(plan.marks).toMatchObject([{ id: 'mark-1', letter: 'A', subjectId: 'subject-1', distanceMm: 2900, method: 'tape' }]);
    expect(plan.focusTrack.start).toEqual({ kind: 'mark', markId: 'mark-1' });
    expect(plan.beats).toMatchObject([{ subjectId: 'subject-1', fromS: 0, toS: 10 }]);
  });

  test('after a pull to the second subject, that one must be sharp', () => {
    const plan = twoPeople();
    expect(plan.focusTrack.pulls).toMatchObject([{ id: 'pull-1', startS: 4, target: { kind: 'mark', markId: 'mark-2' } }]);
    const added = addPull(
      addSubject(addSubject(newPlan(), { name: 'Old Tam', distanceMm: 2900 }), { name: 'Ines', distanceMm: 2050 }),
      'mark-2',
      4,
    );
    const landS = pullEndS(added.focusTrack.pulls[0]!);
    expect(added.beats).toMatchObject([
      { subjectId: 'subject-1', fromS: 0, toS: 4 },
      { subjectId: 'subject-2', fromS: landS, toS: 10 },
    ]);
    expect(landS - 4).toBeGreaterThan(0.3);
    expect(landS - 4).toBeLessThan(2.5);
  });

  test('without room or a start no pull is added', () => {
    const plan = twoPeople();
    expect(addPull(newPlan(), 'mark-1', 0)).toEqual(newPlan());
    expect(pullStartFrom(plan, 9.99)).toBeNull();
    expect(pullStartFrom(plan, 4.2)).toBe(5);
    expect(pullStartFrom(newPlan(), 0)).toBeNull();
    expect(addPull(plan, 'mark-1', 9.99)).toBe(plan);
    expect(addPull(plan, 'mark-1', 4.2).focusTrack.pulls.map(({ startS }) => startS)).toEqual([4, 5]);
  });
});

describe('a pull stays between its neighbours and inside the shot', () => {
  const two = addPull(twoPeople(), 'mark-1', 7);
  const [first, second] = two.focusTrack.pulls;

  test('its room', () => {
    expect(pullRoom(two, first!.id)).toEqual({ earliestStartS: 0, latestEndS: 7 });
    expect(pullRoom(two, second!.id)).toEqual({ earliestStartS: 5, latestEndS: 10 });
  });

  test('moved as a whole it keeps its length; stretched it stops at the neighbour; an edge leaves the other where it is', () => {
    expect(changePull(two, first!.id, { startS: 9 }).focusTrack.pulls[0]).toMatchObject({ startS: 6, durationS: 1 });
    expect(changePull(two, first!.id, { startS: -3 }).focusTrack.pulls[0]).toMatchObject({ startS: 0, durationS: 1 });
    expect(changePull(two, first!.id, { durationS: 99 }).focusTrack.pulls[0]).toMatchObject({ startS: 4, durationS: 3 });
    expect(dragPullEdge(two, first!.id, 'start', 3.5).focusTrack.pulls[0]).toMatchObject({ startS: 3.5, durationS: 1.5 });
    expect(dragPullEdge(two, first!.id, 'start', 8).focusTrack.pulls[0]!.startS).toBeCloseTo(4.96, 9);
    expect(dragPullEdge(two, first!.id, 'end', 3).focusTrack.pulls[0]!.durationS).toBeCloseTo(0.04, 9);
    expect(dragPullEdge(two, 'pull-9', 'end', 3)).toBe(two);
  });
});

describe('taking things away keeps the plan whole', () => {
  test('a move to a removed mark keeps its distance', () => {
    const plan = removeMark(twoPeople(), 'mark-2');
    expect(plan.focusTrack.pulls[0]!.target).toEqual({ kind: 'distance', distanceMm: 2050 });
    expect(plan.subjects[1]!.stays).toEqual([]);
    expect(checkPlan(plan)).toEqual([]);
  });

  test('a person takes their marks and beats along', () => {
    const plan = removeSubject(twoPeople(), 'subject-1');
    expect(plan.marks).toHaveLength(1);
    expect(plan.focusTrack.start).toEqual({ kind: 'distance', distanceMm: 2900 });
    expect(plan.beats.every((beat) => beat.subjectId === 'subject-2')).toBe(true);
    expect(checkPlan(plan)).toEqual([]);
  });

  test('letters and ids do not come back as twins', () => {
    const plan = addSubject(removeSubject(twoPeople(), 'subject-1'), { name: 'Bohdan', distanceMm: 5000 });
    expect(plan.marks.map(({ letter, id }) => [letter, id])).toEqual([
      ['B', 'mark-2'],
      ['A', 'mark-3'],
    ]);
  });
});

describe('the shot as a whole', () => {
  test('shorter cuts what lies past the end, longer carries along what reached it, and moves are never cut', () => {
    expect(setDuration(twoPeople(), 1).durationS).toBe(5);
    expect(shortestDurationS(twoPeople())).toBe(5);
    const longer = setDuration(twoPeople(), 15);
    expect(longer.beats[1]!.toS).toBe(15);
    expect(longer.subjects[0]!.stays[0]!.untilS).toBe(15);
  });

  test('the stop stays on the lens, also when the lens changes', () => {
    expect(setStop(twoPeople(), 1).optics.stop).toBe(2.2);
    const slower = setLens(twoPeople(), { widestStop: 4.5, focalLengthMm: 200 });
    expect(slower.optics.stop).toBe(4.5);
    expect(slower.optics.lens.closeFocusMm).toBe(800);
    expect(checkPlan(slower)).toEqual([]);
  });
});

test('someone walks on: leaves in time, arrives, stays', () => {
  const plan = addStay(twoPeople(), 'subject-2', { distanceMm: 1500, fromS: 8 });
  expect(plan.subjects[1]!.stays).toMatchObject([
    { fromS: 0, untilS: 6 },
    { markId: 'mark-3', fromS: 8, untilS: 10 },
  ]);
  const later = changeStay(plan, 'subject-2', 'stay-2', { fromS: 5 });
  expect(later.subjects[1]!.stays[1]!.fromS).toBe(6);
  expect(changeStay(plan, 'subject-2', 'stay-1', { untilS: 9 }).subjects[1]!.stays[0]!.untilS).toBe(8);
});

test('an object whose mark was removed can be measured at another one, from the start of the shot', () => {
  const plan = setSubjectKind(twoPeople(), 'subject-2', 'object');
  const another = { distanceMm: 1500, fromS: nextArrivalS(plan, plan.subjects[1]!) };
  expect(addStay(plan, 'subject-2', another)).toBe(plan);
  const bare = removeMark(plan, 'mark-2');
  const bareSubject = bare.subjects[1]!;
  const again = addStay(bare, 'subject-2', { distanceMm: 1500, fromS: nextArrivalS(bare, bareSubject) });
  expect(again.subjects[1]!.stays).toMatchObject([{ fromS: 0, untilS: 10 }]);
  expect(again.marks.find(({ subjectId }) => subjectId === 'subject-2')!.distanceMm).toBe(1500);
});

test('a further mark is offered to people at a distance, and to an object that has none', () => {
  const plan = setSubjectKind(addSubject(twoPeople(), { name: 'Moon', distanceMm: null }), 'subject-2', 'object');
  const offered = (now: ShotPlan) => now.subjects.map((subject) => canAddStay(now, subject));
  expect(offered(plan)).toEqual([true, false, false]);
  expect(offered(removeMark(plan, 'mark-2'))).toEqual([true, true, false]);
});

test('whatever is edited, the plan stays one that can be stored', () => {
  const time = fc.double({ min: -5, max: 30, noNaN: true });
  const distance = fc.double({ min: 300, max: 30_000, noNaN: true });
  const place = fc.record({
    xMm: fc.double({ min: -600_000, max: 600_000, noNaN: true }),
    yMm: fc.double({ min: -9000, max: 9000, noNaN: true }),
  });
  const track = fc.constantFrom('irisPulls' as const, 'zooms' as const);
  const any = (prefix: string) => fc.integer({ min: 1, max: 4 }).map((n) => `${prefix}-${n}`);
  const step: fc.Arbitrary<(plan: ShotPlan) => ShotPlan> = fc.oneof(
    distance.map(
      (mm) => (plan: ShotPlan) => (plan.subjects.length < 12 ? addSubject(plan, { name: 'Ines', distanceMm: mm }) : plan),
    ),
    fc.tuple(any('mark'), time).map(
      ([mark, atS]) =>
        (plan: ShotPlan) =>
          plan.marks.some(({ id }) => id === mark) ? addPull(plan, mark, Math.max(0, atS)) : plan,
    ),
    fc.tuple(any('rack'), time, time).map(
      ([id, startS, durationS]) =>
        (plan: ShotPlan) =>
          changePull(plan, id, { startS, durationS }),
    ),
    fc.tuple(any('rack'), time, fc.constantFrom('start' as const, 'end' as const)).map(
      ([id, timeS, edge]) =>
        (plan: ShotPlan) =>
          dragPullEdge(plan, id, edge, timeS),
    ),
    any('rack').map((id) => (plan: ShotPlan) => removePull(plan, id)),
    fc.tuple(any('mark'), distance).map(
      ([id, distanceMm]) =>
        (plan: ShotPlan) =>
          changeMark(plan, id, { distanceMm }),
    ),
    any('mark').map((id) => (plan: ShotPlan) => removeMark(plan, id)),
    any('subject').map((id) => (plan: ShotPlan) => removeSubject(changeSubject(plan, id, { detail: 'hands' }), id)),
    fc.tuple(any('subject'), time, distance).map(
      ([id, fromS, distanceMm]) =>
        (plan: ShotPlan) =>
          plan.marks.length < 40 ? addStay(plan, id, { fromS, distanceMm }) : plan,
    ),
    fc.tuple(any('subject'), any('stay'), time, time).map(
      ([id, stay, fromS, untilS]) =>
        (plan: ShotPlan) =>
          changeStay(plan, id, stay, { fromS, untilS }),
    ),
    fc.tuple(any('subject'), time).map(
      ([id, atS]) =>
        (plan: ShotPlan) =>
          plan.subjects.some((subject) => subject.id === id) ? addBeat(plan, id, atS) : plan,
    ),
    fc.tuple(any('beat'), time, time).map(
      ([id, fromS, toS]) =>
        (plan: ShotPlan) =>
          changeBeat(plan, id, { fromS, toS }),
    ),
    fc.tuple(any('mark'), place).map(
      ([id, at]) =>
        (plan: ShotPlan) =>
          placeMark(startFloor(plan), id, at),
    ),
    fc.tuple(place, time).map(
      ([at, timeS]) =>
        (plan: ShotPlan) =>
          moveCameraTo(startFloor(plan), at, timeS),
    ),
    fc.tuple(any('camera'), place, time).map(
      ([id, at, timeS]) =>
        (plan: ShotPlan) =>
          changeCameraKey(plan, id, { ...at, timeS }),
    ),
    fc.tuple(any('subject'), place, time).map(
      ([id, at, timeS]) =>
        (plan: ShotPlan) =>
          walkTo(startFloor(plan), id, at, timeS),
    ),
    fc.tuple(any('subject'), time, fc.boolean()).map(
      ([id, timeS, isNew]) =>
        (plan: ShotPlan) =>
          plan.subjects.some((subject) => subject.id === id)
            ? setAim(plan, { kind: 'subject', subjectId: id }, { atS: timeS, isNew })
            : plan,
    ),
    fc.tuple(place, fc.constantFrom('aim-1', 'aim-2', 'camera-1', 'camera-2')).map(
      ([at, id]) =>
        (plan: ShotPlan) =>
          removeAim(removeCameraKey(addSubjectAt(plan, 'Maren', at), id), id),
    ),
    any('mark').map((id) => (plan: ShotPlan) => adoptDrawnDistance(plan, id)),
    fc.constantFrom(clearFloor, startFloor),
    any('beat').map((id) => (plan: ShotPlan) => removeBeat(plan, id)),
    time.map((durationS) => (plan: ShotPlan) => setDuration(plan, durationS)),
    fc
      .tuple(fc.integer({ min: 20, max: 150 }), fc.integer({ min: 20, max: 300 }), fc.double({ min: 1, max: 20, noNaN: true }))
      .map(
        ([focalLengthMm, longestMm, widestStop]) =>
          (plan: ShotPlan) =>
            setLens(plan, { focalLengthMm, longestMm, widestStop, widestStopLong: widestStop * 1.3 }),
      ),
    fc.tuple(track, fc.double({ min: 0, max: 12, noNaN: true }), fc.double({ min: 1, max: 200, noNaN: true })).map(
      ([name, atS, to]) =>
        (plan: ShotPlan) =>
          addOpticsChange(plan, name, atS, to),
    ),
    fc.tuple(track, fc.constantFrom('iris-1', 'zoom-1', 'iris-2'), time, time).map(
      ([name, id, startS, durationS]) =>
        (plan: ShotPlan) =>
          changeOpticsChange(plan, name, id, { startS, durationS }),
    ),
    track.map((name) => (plan: ShotPlan) => removeOpticsChange(plan, name, plan.optics[name][0]?.id ?? 'none')),
    distance.map(
      (mm) => (plan: ShotPlan) => marksHold(cameraMoved(setFocalLength(setStop(plan, mm / 1000), mm / 100)), 'mark-1'),
    ),
    distance.map((distanceMm) => (plan: ShotPlan) => setTrackStart(plan, { kind: 'distance', distanceMm })),
    fc.tuple(time, fc.boolean()).map(
      ([value, isOneChance]) =>
        (plan: ShotPlan) =>
          setGoals(setHand(plan, { reactionS: value, perBitS: value, steadyDeg: value * 5 }), {
            isOneChance,
            targetKeepRate: value,
          }),
    ),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 25 }), (steps) => {
      let plan = twoPeople();
      for (const apply of steps) {
        plan = apply(plan);
        expect(checkPlan(plan)).toEqual([]);
      }
    }),
    { seed: 7, numRuns: caseCount(300) },
  );
});
