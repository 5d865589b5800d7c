import { RANDOM_PLANS } from '../../test/randomPlans';
import { twoPeople } from '../../test/plans';
import { defaultWheel, focusesForBlur, ringOf } from '../kit/index';
import { blurDiameterMm } from '../optics/index';
import {
  addStay,
  addSubject,
  changeMark,
  changePull,
  checkPlan,
  type FocusTarget,
  hasRoomForStop,
  newPlan,
  pictureWidthMm,
  removeMark,
  removeSubject,
  ringReach,
  setTrackStart,
  type ShotPlan,
  zoneLensAt,
} from '../plan/index';
import { eased, easingPeak, EASINGS } from '../hand/index';
import { focusTrack } from './focusTrack';
import { solveTrack } from './solvers/solveTrack';

const lineOf = (plan: ShotPlan) => focusTrack(plan, ringOf(plan.optics.lens))!;
const walking = () =>
  addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 }), 'subject-1', { distanceMm: 2000, fromS: 8 });

describe('easings', () => {
  test.each(EASINGS)('%s runs from end to end without turning back, as fast as its peak says', (easing) => {
    const shares = Array.from({ length: 1001 }, (_, k) => eased(easing, k / 1000));
    expect([shares[0], shares[1000]]).toEqual([0, 1]);
    const steps = shares.slice(1).map((share, k) => (share - shares[k]!) * 1000);
    expect(Math.min(...steps)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...steps)).toBeLessThanOrEqual(easingPeak(easing) * (1 + 1e-9));
    expect(Math.max(...steps)).toBeGreaterThan(easingPeak(easing) * 0.99);
    expect([eased(easing, -1), eased(easing, 2)]).toEqual([0, 1]);
  });

  test('eased at one end, the other is at its fastest', () => {
    expect(eased('ease-in', 0.01)).toBeLessThan(0.001);
    expect(1 - eased('ease-in', 0.99)).toBeGreaterThan(0.018);
    expect(eased('ease-out', 0.3) + eased('ease-in', 0.7)).toBeCloseTo(1, 12);
  });
});

describe('a blur to begin with', () => {
  test.each(['near', 'far'] as const)('towards %s, the mark blurs to just so much of the width', (towards) => {
    const target: FocusTarget = { kind: 'blur', markId: 'mark-1', blurPercent: 2, towards };
    const plan = setTrackStart(twoPeople(), target);
    const { distanceMm, reachable } = lineOf(plan).start;
    expect(reachable).toBe(true);
    expect(towards === 'near' ? distanceMm < 2900 : distanceMm > 2900).toBe(true);
    const blurMm = blurDiameterMm({ ...zoneLensAt(plan.optics, 0), focusDistanceMm: distanceMm, subjectDistanceMm: 2900 });
    expect((100 * blurMm) / pictureWidthMm(plan.optics)).toBeCloseTo(2, 9);
    expect(checkPlan(plan)).toEqual([]);
  });

  test('more blur than the ring gives is as much as it gives', () => {
    const plan = setTrackStart(twoPeople(), { kind: 'blur', markId: 'mark-1', blurPercent: 50, towards: 'near' });
    expect(lineOf(plan).start.distanceMm).toBe(650);
    const far = setTrackStart(twoPeople(), { kind: 'blur', markId: 'mark-1', blurPercent: 50, towards: 'far' });
    expect(lineOf(far).start.distanceMm).toBe(Infinity);
    const lens = zoneLensAt(plan.optics, 0);
    expect(focusesForBlur(lens, Infinity, 0.1).farMm).toBe(Infinity);
  });
});

describe('going on with someone', () => {
  test('the ring is where they are, or will be, or were; within the shot', () => {
    const ring = ringOf(newPlan().optics.lens);
    for (const leadS of [0, 0.5, -0.5]) {
      const plan = setTrackStart(walking(), { kind: 'subject', subjectId: 'subject-1', leadS });
      const other = setTrackStart(walking(), { kind: 'subject', subjectId: 'subject-1', leadS: 0 });
      for (const timeS of [2, 6.5, 7])
        expect(lineOf(plan).ringDegAt(timeS)).toBeCloseTo(lineOf(other).ringDegAt(timeS + leadS), 9);
      expect(lineOf(plan).ringDegAt(10)).toBeCloseTo(ring.angleAt(2000), 9);
    }
  });

  test('a pull ends on a moving subject and follows it; the next pull starts there', () => {
    let plan = addSubject(walking(), { name: 'Old Tam', distanceMm: 2900 });
    plan = { ...plan, focusTrack: { start: { kind: 'mark', markId: 'mark-3' }, pulls: [] } };
    plan = addMoves(plan, { startS: 6, durationS: 0.8, target: { kind: 'subject', subjectId: 'subject-1', leadS: 0 } });
    plan = addMoves(plan, { startS: 7.4, durationS: 0.5, target: { kind: 'mark', markId: 'mark-3' } });
    expect(checkPlan(plan)).toEqual([]);
    const track = lineOf(plan);
    const follow = lineOf(setTrackStart(plan, { kind: 'subject', subjectId: 'subject-1', leadS: 0 }));
    expect(track.ringDegAt(5.99)).toBe(track.start.ringDeg);
    expect(track.ringDegAt(6.8)).toBeCloseTo(follow.start && track.pulls[0]!.to.ringDeg, 6);
    expect(track.pulls.map(({ isTracking }) => isTracking)).toEqual([true, false]);
    const speed = (timeS: number) => (track.ringDegAt(timeS + 1e-4) - track.ringDegAt(timeS - 1e-4)) / 2e-4;
    // no jerk where it lands on them
    expect(Math.abs(speed(6.8 - 2e-4) - speed(6.8 + 2e-4))).toBeLessThan(1);
    expect(track.pulls[1]!.from.ringDeg).toBeCloseTo(track.ringDegAt(7.4), 9);
    expect(track.ringDegAt(9)).toBe(track.start.ringDeg);
  });

  test('a subject that is deleted, or has no place any more, is no longer followed', () => {
    const plan = setTrackStart(walking(), { kind: 'subject', subjectId: 'subject-1', leadS: 0 });
    expect(removeSubject(plan, 'subject-1').focusTrack.start).toEqual({ kind: 'distance', distanceMm: 4000 });
    const gone = removeMark(removeMark(plan, 'mark-1'), 'mark-2');
    expect(gone.focusTrack.start?.kind).toBe('distance');
    expect(checkPlan(gone)).toEqual([]);
    expect(checkPlan({ ...gone, focusTrack: plan.focusTrack }).map(({ code }) => code)).toContain('stands-nowhere');
  });
});

/** The plan with a move more, as it is told apart from the rest. */
function addMoves(
  plan: ShotPlan,
  move: Pick<ShotPlan['focusTrack']['pulls'][number], 'startS' | 'durationS' | 'target'>,
): ShotPlan {
  const id = `pull-${plan.focusTrack.pulls.length + 1}`;
  const [plain] = twoPeople().focusTrack.pulls;
  return { ...plan, focusTrack: { ...plan.focusTrack, pulls: [...plan.focusTrack.pulls, { ...plain!, ...move, id }] } };
}

describe('a course', () => {
  const course = (points: { timeS: number; distanceMm: number | null }[]): FocusTarget => ({ kind: 'course', points });

  test('is even in ring angle between its points, and stays before and after', () => {
    const plan = setTrackStart(
      walking(),
      course([
        { timeS: 2, distanceMm: 4000 },
        { timeS: 4, distanceMm: 2000 },
        { timeS: 5, distanceMm: null },
      ]),
    );
    const ring = ringOf(plan.optics.lens);
    const track = lineOf(plan);
    expect(track.ringDegAt(0)).toBeCloseTo(ring.angleAt(4000), 9);
    expect(track.ringDegAt(3)).toBeCloseTo((ring.angleAt(4000) + ring.angleAt(2000)) / 2, 9);
    expect(track.ringDegAt(9)).toBe(0);
    expect(checkPlan(plan)).toEqual([]);
  });

  test.each([
    [[], 'too-few'],
    [
      [
        { timeS: 3, distanceMm: 900 },
        { timeS: 2, distanceMm: 900 },
      ],
      'backwards',
    ],
    [[{ timeS: 30, distanceMm: 900 }], 'after-the-end'],
  ])('points that make none are refused: %#', (points, code) => {
    const plan = setTrackStart(walking(), course(points));
    expect(checkPlan(plan).map((problem) => problem.code)).toContain(code);
  });
});

describe('where the ring can stand', () => {
  test('between two hard stops, where the wheel has them', () => {
    const stops = changeMark(changeMark(twoPeople(), 'mark-1', { hasHardStop: true }), 'mark-2', { hasHardStop: true });
    const set = { ...stops, wheel: defaultWheel({ name: 'Hand wheel', hasEndStops: true }) };
    const ring = ringOf(set.optics.lens);
    expect(ringReach(set)).toMatchObject({ lowDeg: ring.angleAt(2900), highDeg: ring.angleAt(2050) });
    expect(ringReach(stops).lowDeg).toBe(0);
    const beyond = changePull(set, 'pull-1', { target: { kind: 'distance', distanceMm: 1000 } });
    expect(lineOf(beyond).pulls[0]!.to).toMatchObject({ requestedMm: 1000, reachable: false });
    expect(lineOf(beyond).pulls[0]!.to.distanceMm).toBeCloseTo(2050, 6);
  });

  test('one hard stop cuts off the side that nothing needed lies on; three cut off nothing', () => {
    const set = { ...twoPeople(), wheel: defaultWheel({ name: 'Hand wheel', hasEndStops: true }) };
    const { lowDeg, highDeg } = ringReach(set);
    const ring = ringOf(set.optics.lens);
    const atNear = changeMark(set, 'mark-2', { hasHardStop: true });
    expect(ringReach(atNear)).toMatchObject({ lowDeg, highDeg: ring.angleAt(2050) });
    const atFar = changeMark(set, 'mark-1', { hasHardStop: true });
    expect(ringReach(atFar)).toMatchObject({ lowDeg: ring.angleAt(2900), highDeg });
    const third = addSubject(changeMark(atNear, 'mark-1', { hasHardStop: true }), { name: 'Bohdan', distanceMm: 5000 });
    expect(hasRoomForStop(third, 'mark-1')).toBe(true);
    expect(hasRoomForStop(third, 'mark-3')).toBe(false);
    expect(changeMark(third, 'mark-3', { hasHardStop: true, note: 'brass' }).marks[2]).toMatchObject({
      hasHardStop: false,
      note: 'brass',
    });
    // plans saved before may hold three
    const three = { ...third, marks: third.marks.map((mark) => ({ ...mark, hasHardStop: true })) };
    expect(ringReach(three)).toMatchObject({ lowDeg, highDeg });
  });

  test('with steps, every frame of a track is a whole number of presses, also for solved tracks', () => {
    for (const given of RANDOM_PLANS.slice(0, 20)) {
      const lens = { ...given.optics.lens, response: 'steps' as const, stepCount: 200 };
      const plan = { ...given, optics: { ...given.optics, lens } };
      const { stepDeg } = ringReach(plan);
      expect(stepDeg).toBeCloseTo(280 / 200, 12);
      for (const way of ['fewest-holds', 'follow'] as const) {
        const track = lineOf(solveTrack(plan, way)?.plan ?? plan);
        for (let timeS = 0; timeS < 12; timeS += 0.21) {
          const presses = track.ringDegAt(timeS) / stepDeg!;
          expect(Math.abs(presses - Math.round(presses))).toBeLessThan(1e-6);
        }
      }
    }
  });
});
