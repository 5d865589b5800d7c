import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { ringOf } from '../kit/index';
import {
  addLandmark,
  addPull,
  addStay,
  addSubject,
  changeLandmark,
  changePull,
  changeStay,
  hiddenRunsOf,
  newPlan,
  setDuration,
  setStop,
  type ShotPlan,
  startFloor,
} from '../plan/index';
import { followArrivals } from './followArrivals';
import { focusTrack } from '../track/index';
import { checkDeviceCommand, checkDeviceMessage } from './deviceMessages';
import { exactFps, frameOfTimecode, isDropFrame, timecodeAt, timecodeOf } from './simulators/timecode';
import { restingMotor, runMotor, SIMULATED_MOTOR } from './simulators/motor';
import { rollClock } from './rollClock';
import { rollCues } from './rollCues';
import { prepareRoll } from './rollNow';
import { zoneCourse } from './zoneCourse';
import { turnWheel } from './simulators/handWheel';
import { caseCount } from '../../test/caseCount';

const clocked = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const onLook: ShotPlan = changePull(clocked, 'pull-1', { trigger: 'look', cue: 'she looks up' });

describe('the clock of a roll', () => {
  test('runs with the time, and stops at the end of the shot', () => {
    const clock = rollClock(clocked, []);
    expect([0, 3.5, 5, 1000].map(clock.planSAt)).toEqual([0, 3.5, 5, clocked.durationS]);
    expect(clock.waitingPullAt(5)).toBeNull();
    expect(clock.realSAt(3)).toBe(3);
  });

  test('stands at a pull that an event sets off until it does; then everything is as much later', () => {
    const waiting = rollClock(onLook, []);
    expect([3.9, 4, 9].map(waiting.planSAt)).toEqual([3.9, 4, 4]);
    expect([3.9, 4.1].map(waiting.waitingPullAt)).toEqual([null, 'pull-1']);
    expect(waiting.realSAt(4.5)).toBeNull();
    const late = rollClock(onLook, [{ pullId: 'pull-1', timeS: 5.2 }]);
    expect([3, 4.5, 5.2, 6.2].map(late.planSAt)).toEqual([3, 4, 4, 5]);
    expect(late.waitingPullAt(5.3)).toBeNull();
    expect(late.realSAt(5)).toBeCloseTo(6.2, 9);
  });

  test('an event that comes sooner takes the plan on with it; what was jumped over has no time of its own', () => {
    const soon = rollClock(onLook, [{ pullId: 'pull-1', timeS: 3 }]);
    expect([2, 3, 4].map(soon.planSAt)).toEqual([2, 4, 5]);
    expect(soon.realSAt(3.5)).toBeNull();
    expect(soon.realSAt(5)).toBe(4);
  });

  test('by the clock it waits for nobody; in slow practice it takes longer', () => {
    expect(rollClock(onLook, [], { rate: 1, isClockTriggered: true }).planSAt(6)).toBe(6);
    const slow = rollClock(clocked, [], { rate: 0.25, isClockTriggered: false });
    expect(slow.planSAt(16)).toBe(4);
    expect(slow.realSAt(4)).toBe(16);
  });

  test('never goes back, whatever is set off when', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 12, noNaN: true }), fc.constantFrom(0.25, 0.5, 1), (timeS, rate) => {
        const clock = rollClock(onLook, [{ pullId: 'pull-1', timeS }], { rate, isClockTriggered: false });
        const plansS = Array.from({ length: 58 }, (_, k) => clock.planSAt(k * 0.7));
        expect(plansS.filter((planS, k) => k > 0 && planS < plansS[k - 1]!)).toEqual([]);
        const isOff = (planS: number) => {
          const back = clock.realSAt(planS);
          return back !== null && planS < onLook.durationS && !(Math.abs(clock.planSAt(back) - planS) < 1e-9);
        };
        expect(plansS.filter(isOff)).toEqual([]);
      }),
    );
  });
});

describe('cues', () => {
  test('three counts, the start and the landing, each with its way', () => {
    const cues = rollCues(changePull(clocked, 'pull-1', { countInS: 1.5 }));
    expect(cues.map(({ timeS }) => timeS)).toEqual([2.5, 3, 3.5, 4, 5]);
    expect(cues.map(({ kind, left }) => [kind, left])).toEqual([
      ['count', 3],
      ['count', 2],
      ['count', 1],
      ['start', 0],
      ['land', 0],
    ]);
    expect(new Set(cues.map(({ way }) => way)).size).toBe(1);
  });

  test('no count-in before the shot, without a lead, or without a track', () => {
    expect(rollCues(changePull(clocked, 'pull-1', { countInS: 0 })).map(({ kind }) => kind)).toEqual(['start', 'land']);
    const soon = changePull(clocked, 'pull-1', { startS: 0.5, countInS: 1 });
    expect(rollCues(soon).every(({ timeS }) => timeS >= 0)).toBe(true);
    expect(rollCues(newPlan())).toEqual([]);
  });
});

describe('what a roll shows', () => {
  const rolled = prepareRoll(clocked)!;
  const track = focusTrack(clocked, ringOf(clocked.optics.lens))!;

  test('the distance now, and the pull to come: how long still, how far, which way', () => {
    const { now, upcoming: coming } = rolled.figuresAt(1);
    expect(now.distanceMm).toBeCloseTo(track.start.distanceMm, 6);
    expect(now.zone.nearMm).toBeLessThan(now.distanceMm);
    expect(coming[0]).toMatchObject({ pullId: 'pull-1', startsInS: 3, landsInS: 4, isUnderWay: false, durationS: 1 });
    expect(coming[0]!.way).toBe(track.pulls[0]!.to.distanceMm > track.start.distanceMm ? 'farther' : 'nearer');
    expect(coming[0]!.travelDeg).toBeCloseTo(Math.abs(track.pulls[0]!.to.ringDeg - track.start.ringDeg), 9);
  });

  test('under way it says until when, and afterwards nothing comes', () => {
    expect(rolled.figuresAt(4.5).upcoming[0]).toMatchObject({ startsInS: 0, landsInS: 0.5, isUnderWay: true });
    expect(rolled.figuresAt(5.5).upcoming).toEqual([]);
    expect(rolled.figuresAt(5.5).at).toEqual(track.pulls[0]!.to.target);
    expect(prepareRoll(newPlan())).toBeNull();
  });

  test('a wheel that is geared turns farther, and the other way where it is mirrored', () => {
    const wheel = { ...WHEEL, wheelPerRing: 2, turns: 'opposite' as const };
    const [plain, geared] = [rolled, prepareRoll({ ...clocked, wheel })!].map((one) => one.figuresAt(1).upcoming[0]!);
    expect(geared!.travelDeg).toBeCloseTo(2 * plain!.travelDeg, 9);
    expect(geared!.turns).not.toBe(plain!.turns);
  });
});

const WHEEL = {
  name: 'Hand wheel',
  kind: 'wheel' as const,
  wheelPerRing: 1,
  turns: 'same' as const,
  discDiameterMm: 80,
  hasEndStops: false,
  comfortableDeg: 160,
  fastestDegPerS: null,
  notes: '',
};

describe('the simulated motor', () => {
  test('gets where it is told, never faster and never quicker to speed up than it can', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 300, noNaN: true }), { minLength: 1, maxLength: 5 }), (targets) => {
        let motor = restingMotor(100);
        let [timeS, fastest, quickest] = [0, 0, 0];
        for (const target of targets)
          for (let k = 0; k < 150; k++) {
            timeS += 1 / 120;
            const next = runMotor(motor, timeS, target);
            fastest = Math.max(fastest, Math.abs(next.degPerS));
            quickest = Math.max(quickest, Math.abs(next.degPerS - motor.degPerS));
            motor = next;
          }
        expect(fastest).toBeLessThanOrEqual(SIMULATED_MOTOR.fastestDegPerS + 1e-6);
        expect(quickest).toBeLessThanOrEqual(SIMULATED_MOTOR.degPerS2 / 120 + 40);
        expect(Math.abs(motor.motorDeg - targets[targets.length - 1]!)).toBeLessThan(0.01);
        expect(Math.abs(motor.ringDeg - motor.motorDeg)).toBeLessThanOrEqual(SIMULATED_MOTOR.backlashDeg / 2 + 1e-9);
      }),
      { numRuns: caseCount(40) },
    );
  });

  test('does nothing until it has heard, and loses its play where it turns back', () => {
    const limits = { ...SIMULATED_MOTOR, latencyS: 0.1, backlashDeg: 2 };
    const deaf = runMotor(restingMotor(0), 0, 50, limits);
    expect(runMotor(deaf, 0.09, 50, limits).motorDeg).toBe(0);
    let motor = restingMotor(0);
    for (let k = 1; k <= 120; k++) motor = runMotor(motor, k / 60, 50, limits);
    expect(motor.ringDeg).toBeCloseTo(49, 2);
    for (let k = 121; k <= 240; k++) motor = runMotor(motor, k / 60, 49, limits);
    expect(motor.ringDeg).toBeCloseTo(49, 2);
  });
});

test('the simulated wheel turns the ring through its gear, as far as the ring goes', () => {
  const reach = { lowDeg: 0, highDeg: 90 };
  expect(turnWheel({ ringDeg: 10 }, 20, null, reach).ringDeg).toBe(30);
  expect(turnWheel({ ringDeg: 10 }, 20, { ...WHEEL, wheelPerRing: 4 }, reach).ringDeg).toBe(15);
  expect(turnWheel({ ringDeg: 10 }, 200, null, reach).ringDeg).toBe(90);
  expect(turnWheel({ ringDeg: 10 }, -200, null, reach).ringDeg).toBe(0);
});

describe('timecode', () => {
  test.each([
    [0, 24, '00:00:00:00'],
    [3661.5, 24, '01:01:01:12'],
    [86_399.999, 25, '23:59:59:24'],
    [86_400, 25, '00:00:00:00'],
    [1, 23.976, '00:00:01:00'],
    [0.5, 50, '00:00:00:25'],
  ])('%d s at %d is %s, and back', (seconds, fps, expected) => {
    expect(timecodeAt(seconds, fps)).toBe(expected);
    expect(timecodeOf(frameOfTimecode(expected, fps)!, fps)).toBe(expected);
  });

  test.each([
    [29.97, 1800, '00:01:00;02'],
    [29.97, 17_982, '00:10:00;00'],
    [59.94, 3600, '00:01:00;04'],
    [59.94, 107_892, '00:30:00;00'],
    [29.97, 107_892, '01:00:00;00'],
    [100, 99, '00:00:00:99'],
    [120, 119, '00:00:00:119'],
  ])('at %d frame %d is %s, and back', (fps, frame, expected) => {
    expect(timecodeOf(frame, fps, isDropFrame(expected))).toBe(expected);
    expect(frameOfTimecode(expected, fps)).toBe(frame);
  });

  test.each([29.97, 59.94])('drop-frame at %d keeps the time of day to five frames, and every frame has its own', (fps) => {
    const frames = Array.from({ length: Math.ceil((24 * 3600 * fps) / 997) }, (_, k) => k * 997);
    const isOff = (frame: number) => {
      const text = timecodeOf(frame, fps, true);
      const [hours, minutes, seconds, ofSecond] = text.split(/[:;]/).map(Number);
      const shownS = hours! * 3600 + minutes! * 60 + seconds! + ofSecond! / Math.round(fps);
      return frameOfTimecode(text, fps) !== frame || !(Math.abs(shownS - frame / exactFps(fps)) < 0.16);
    };
    expect(frames.filter(isOff)).toEqual([]);
  });

  test.each([
    ['00:01:00;00', 29.97],
    ['00:01:00;01', 29.97],
    ['00:59:00;03', 59.94],
    ['00:00:10;00', 24],
    ['00:00:10;00', 30],
  ])('%s has no frame at %d', (text, fps) => expect(frameOfTimecode(text, fps)).toBeNull());

  test.each([
    [23.976, 24_000 / 1001],
    [23.98, 24_000 / 1001],
    [29.97, 30_000 / 1001],
    [59.94, 60_000 / 1001],
    [119.88, 120_000 / 1001],
    [24, 24],
    [33.5, 33.5],
  ])('%d runs at %d frames per second', (fps, exact) => expect(exactFps(fps)).toBeCloseTo(exact, 9));

  test.each(['1:2:3:4', '24:00:00:00', '00:60:00:00', '00:00:00:24', ''])('%p is none at 24', (text) =>
    expect(frameOfTimecode(text, 24)).toBeNull(),
  );
});

test.each([
  [{ kind: 'drive', ringDeg: -12.5 }, []],
  [{ kind: 'roll', isRolling: false }, []],
  [{ kind: 'drive', ringDeg: 1e9 }, ['ringDeg']],
  [{ kind: 'drive', ringDeg: NaN }, ['ringDeg']],
  [{ kind: 'roll', isRolling: 'yes' }, ['isRolling']],
  [{ kind: 'wheel', device: 'x', ringDeg: 1 }, ['kind']],
  [null, ['kind']],
])('what a device is told is checked: %j', (command, paths) =>
  expect(checkDeviceCommand(command).map(({ path }) => path)).toEqual(paths),
);

test.each([
  [{ kind: 'wheel', device: 'wheel on the arm', ringDeg: 12.5 }, []],
  [{ kind: 'camera', device: 'A', isRolling: true, timecode: '10:00:00:00' }, []],
  [{ kind: 'wheel', device: '', ringDeg: 12.5 }, ['device']],
  [{ kind: 'wheel', device: 'x', ringDeg: 'far' }, ['ringDeg']],
  [{ kind: 'drone' }, ['kind']],
  [{ kind: 'motor', device: 'x', ringDeg: 1, more: 1 }, ['more']],
  [null, ['kind']],
])('what a device tells is checked: %j', (message, paths) =>
  expect(checkDeviceMessage(message).map(({ path }) => path)).toEqual(paths),
);

describe('a follow', () => {
  /** Ines walks from 4 m to 2 m by 6 s, and on to 1.5 m by 9 s; the ring follows from the start, and leaves for Old Tam at 7 s. */
  const followed = (withPull: boolean): ShotPlan => {
    let plan = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
    plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 6 });
    plan = addStay(plan, 'subject-1', { distanceMm: 1500, fromS: 9 });
    plan = changeStay(changeStay(plan, 'subject-1', 'stay-1', { untilS: 2 }), 'subject-1', 'stay-2', { untilS: 6.5 });
    plan = addSubject(plan, { name: 'Old Tam', distanceMm: 5000 });
    plan = { ...plan, focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] } };
    return withPull ? changePull(addPull(plan, 'mark-4', 7), 'pull-1', { startS: 7, durationS: 1 }) : plan;
  };
  const arrivals = (plan: ShotPlan) =>
    followArrivals(plan, focusTrack(plan, ringOf(plan.optics.lens))!).map(({ timeS, markId }) => [timeS, markId]);

  test('comes to the marks of its subject, as long as the ring is with it', () => {
    expect(arrivals(followed(false))).toEqual([
      [6, 'mark-2'],
      [9, 'mark-3'],
    ]);
    expect(arrivals(followed(true))).toEqual([[6, 'mark-2']]);
    expect(arrivals(twoPeople())).toEqual([]);
  });

  test('is announced with its distance and its time, until a pull comes sooner', () => {
    const ready = prepareRoll(followed(true))!;
    const { arrival, upcoming } = ready.figuresAt(4.5);
    expect(arrival).toMatchObject({ subjectId: 'subject-1', markId: 'mark-2', arrivesInS: 1.5 });
    expect(arrival!.to.distanceMm).toBeCloseTo(2000, 0);
    expect(upcoming).toHaveLength(1);
    expect(ready.figuresAt(6.2).arrival).toBeNull();
    expect(prepareRoll(followed(false))!.figuresAt(6.2).arrival).toMatchObject({ markId: 'mark-3' });
  });

  test('its arrival sounds like a landing, on the way nearer', () => {
    const cues = rollCues(followed(false)).filter(({ kind }) => kind !== 'tick');
    expect(cues.map(({ kind, timeS, way, pullId }) => [kind, timeS, way, pullId])).toEqual([
      ['land', 6, 'nearer', null],
      ['land', 9, 'nearer', null],
    ]);
  });
});

test('a shot that is left to autofocus cues nothing, and shows no next pull', () => {
  const automatic: ShotPlan = { ...clocked, method: 'automatic' };
  expect(rollCues(clocked).length).toBeGreaterThan(0);
  expect(rollCues(automatic)).toEqual([]);
  expect(prepareRoll(automatic)!.figuresAt(0).upcoming).toEqual([]);
});

describe('a shot in which nobody pulls', () => {
  // Ines walks from 6 m to 2 m between 2 s and 8 s, on a line from the lens that is set to 3 m
  const walkIn = (): ShotPlan => {
    let plan = addSubject({ ...setDuration(newPlan(), 10), method: 'walk-in' }, { name: 'Ines', distanceMm: 6000 });
    plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 8 });
    plan = changeStay(plan, 'subject-1', plan.subjects[0]!.stays[0]!.id, { untilS: 2, pace: 'steady' });
    plan = changeStay(plan, 'subject-1', plan.subjects[0]!.stays[1]!.id, { pace: 'steady' });
    return { ...setStop(plan, 4), focusTrack: { start: { kind: 'distance', distanceMm: 3000 }, pulls: [] } };
  };
  /** When she is at a distance on that walk */
  const atS = (mm: number) => 2 + ((6000 - mm) / 4000) * 6;

  test('the zone is entered and left where the walk crosses its limits', () => {
    const plan = walkIn();
    const { nearMm, farMm } = prepareRoll(plan)!.figuresAt(0).now.zone;
    const [enters, leaves, ...more] = zoneCourse(plan)!.changes;
    expect(more).toEqual([]);
    expect([enters, leaves]).toMatchObject([{ enters: true }, { enters: false }]);
    expect(Math.abs(enters!.timeS - atS(farMm))).toBeLessThan(1.5 / plan.captureFps);
    expect(Math.abs(leaves!.timeS - atS(nearMm))).toBeLessThan(1.5 / plan.captureFps);
  });

  test('at each moment it says how near to the limits she is, and for how long', () => {
    const plan = walkIn();
    const course = zoneCourse(plan)!;
    const { nearMm, farMm } = prepareRoll(plan)!.figuresAt(0).now.zone;
    const [before] = course.placesAt(1);
    expect(before).toMatchObject({ subjectId: 'subject-1', isInside: false, distanceMm: 6000 });
    expect(before!.toFarMm).toBeCloseTo(farMm - 6000, 6);
    expect(before!.changesInS).toBeCloseTo(course.changes[0]!.timeS - 1, 9);
    const [inside] = course.placesAt(atS(3000));
    expect(inside).toMatchObject({ isInside: true });
    expect(Math.abs(inside!.toNearMm - (3000 - nearMm))).toBeLessThan(20);
    expect(course.placesAt(9.9)[0]).toMatchObject({ isInside: false, changesInS: null });
  });

  test('somebody hidden for a moment has not left the zone', () => {
    const plan = walkIn();
    // a wall between the lens and Ines, which she walks out from behind
    const drawn = startFloor(plan);
    const { camera } = drawn.floor!;
    const wall = addLandmark(drawn, 'box', 'wall', { xMm: camera[0]!.xMm + 1000, yMm: camera[0]!.yMm });
    const [landmark] = wall.floor!.landmarks;
    const hidden = changeLandmark(wall, landmark!.id, { tallMm: 3000, widthMm: 1000, depthMm: 1000 });
    expect(hiddenRunsOf(hidden, 'subject-1').length).toBeGreaterThan(0);
    expect(zoneCourse(hidden)!.changes).toEqual(zoneCourse(drawn)!.changes);
  });

  test('the zone is heard: high where it is entered, low where it is left', () => {
    const plan = walkIn();
    const { changes } = zoneCourse(plan)!;
    expect(rollCues(plan).map(({ kind, way, timeS }) => [kind, way, timeS])).toEqual([
      ['enters', 'nearer', changes[0]!.timeS],
      ['leaves', 'farther', changes[1]!.timeS],
    ]);
  });

  test('where somebody pulls, follows or the camera focuses, there is no such course', () => {
    const plan = walkIn();
    expect(zoneCourse({ ...plan, method: 'automatic' })).toBeNull();
    expect(
      zoneCourse({ ...plan, focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] } }),
    ).toBeNull();
    expect(zoneCourse({ ...plan, beats: [] })).toBeNull();
    expect(zoneCourse(clocked)).toBeNull();
  });
});
