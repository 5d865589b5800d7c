import {
  addOpticsChange,
  addSubjectAt,
  checkPlan,
  chooseRig,
  chooseWheel,
  defaultLens,
  defaultWheel,
  handClashes,
  handReliefs,
  handSpans,
  moveCameraTo,
  newPlan,
  planNotes,
  presetRig,
  type Rig,
  setDuration,
  setLens,
  setReading,
  setWheelJob,
  type ShotPlan,
  startFloor,
  wheelJob,
  wheelOf,
} from '../index';
import { twoPeople } from '../../test/plans';

const zoom = defaultLens({ name: 'Zoom 25–100', focalLengthMm: 25, longestMm: 100, closeFocusMm: 900 });
const on = (support: Rig['support'], puller: Rig['puller'], plan = twoPeople()): ShotPlan =>
  chooseRig(plan, null, presetRig('Rig', support, puller));
/** The pull to B is under way while the lens zooms. */
const zooming = (): ShotPlan => {
  const plan = setLens(twoPeople(), zoom, false);
  return addOpticsChange(plan, 'zooms', plan.focusTrack.pulls[0]!.startS, 90);
};
const clashesOf = (plan: ShotPlan) => handClashes(handSpans(plan));
const wheel = defaultWheel({ name: 'Wheel', wheelPerRing: 2 });

describe('who does what by hand', () => {
  test('alone and handheld, a pull during a zoom wants a third hand, from the later start to the earlier end', () => {
    const plan = on('handheld', 'alone', zooming());
    const [pull] = plan.focusTrack.pulls;
    const [clash, ...others] = clashesOf(plan);
    expect(others).toEqual([]);
    expect(clash).toMatchObject({ who: 'operator', tasks: ['carry', 'focus', 'zoom'], fromS: pull!.startS });
    expect(clash!.toS).toBe(Math.min(pull!.startS + pull!.durationS, pull!.startS + 2));
    expect(handReliefs(plan, clash!)).toEqual(['other-time', 'second-person', 'leave-to-camera']);
    expect(planNotes(plan, { shutterAngleDeg: 180 })).toContainEqual(
      expect.objectContaining({ code: 'hands-clash', times: 1, relief: 'other-time' }),
    );
  });

  test('with a puller, on legs, or without the zoom, two hands are enough', () => {
    expect(clashesOf(on('handheld', 'puller', zooming()))).toEqual([]);
    expect(clashesOf(on('legs', 'alone', zooming()))).toEqual([]);
    expect(clashesOf(on('handheld', 'alone'))).toEqual([]);
  });

  test('a stabiliser takes both hands, unless a motor is turned by a thumb', () => {
    expect(clashesOf(on('stabiliser', 'alone'))).toMatchObject([{ tasks: ['carry', 'focus'] }]);
    const motor = chooseWheel(on('stabiliser', 'alone'), null, { ...wheel, kind: 'motor' });
    expect(clashesOf(motor)).toEqual([]);
    expect(clashesOf({ ...on('stabiliser', 'alone'), method: 'automatic' })).toEqual([]);
  });

  test('a hand for something else counts all the time, and a camera on legs only while it moves', () => {
    const standing = addSubjectAt(startFloor(setDuration(newPlan(), 10)), 'Ines', { xMm: 4000, yMm: 0 });
    const moving = moveCameraTo(moveCameraTo(standing, { xMm: 0, yMm: 0 }, 4), { xMm: 0, yMm: 1000 }, 6);
    const pans = handSpans(on('dolly', 'alone', moving)).filter(({ task }) => task === 'pan');
    expect(pans).toHaveLength(1);
    expect(pans[0]!.fromS).toBeGreaterThanOrEqual(3.8);
    expect(pans[0]!.toS).toBeLessThanOrEqual(6.2);
    const followed: ShotPlan = {
      ...on('dolly', 'alone', moving),
      areHandsNeeded: true,
      focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] },
    };
    // the ring follows and a hand is needed all the time: a third only while the camera moves
    expect(clashesOf(followed)).toMatchObject([{ tasks: ['pan', 'focus', 'other'], fromS: pans[0]!.fromS, toS: pans[0]!.toS }]);
  });
});

describe('what the wheel turns', () => {
  test('away from focus a hand is at the ring; back on it nothing has changed', () => {
    const focus = chooseWheel(twoPeople(), 'wheel-1', wheel);
    const iris = setWheelJob(focus, 'iris');
    expect([iris.wheel, wheelJob(iris), wheelOf(iris)]).toEqual([null, 'iris', wheel]);
    expect(checkPlan(iris)).toEqual([]);
    expect(setWheelJob(setWheelJob(iris, 'zoom'), 'focus')).toEqual(focus);
    expect(setWheelJob(twoPeople(), 'iris')).toEqual(twoPeople());
    const other = { ...wheel, name: 'Other wheel' };
    expect(wheelOf(chooseWheel(iris, 'wheel-2', other))).toEqual(other);
    expect(wheelJob(chooseWheel(iris, 'wheel-2', other))).toBe('iris');
    expect(chooseWheel(iris, null, null)).toMatchObject({ wheel: null, wheelElsewhere: null });
  });

  test('a reading of the wheel becomes one of the ring', () => {
    const read = setReading(chooseWheel(twoPeople(), null, wheel), 'mark-1', { kind: 'wheel', deg: 80 });
    expect(setWheelJob(read, 'iris').marks[0]!.reading).toEqual({ kind: 'ring', deg: 40 });
  });

  test('a clash with focus at the ring is mended by the wheel', () => {
    const plan = setWheelJob(chooseWheel(on('handheld', 'alone', zooming()), null, wheel), 'iris');
    expect(handReliefs(plan, clashesOf(plan)[0]!)).toContain('wheel-back-to-focus');
  });
});
