import {
  addPull,
  addSubject,
  changeBeat,
  changePull,
  evaluatePull,
  findFixes,
  firstArrivalS,
  fitHelicoid,
  halfViewDeg,
  judgeTake,
  newPlan,
  planNotes,
  presetRig,
  readLensData,
  reversed,
  ringOf,
  rollClock,
  type RingTrack,
  type ShotPlan,
  startFloor,
  stopFigures,
  trackDegAt,
  trackOfReadings,
} from '../src/index';
import { twoPeople } from './plans';

// situations on the set whose figure would change if one term of a formula were left out or turned round

test('an anamorphic lens sees twice as wide: 50 mm with squeeze 2 on a sensor of 24 mm', () => {
  const { optics } = newPlan();
  const camera = { ...optics.camera, sensorWidthMm: 24, cropPercent: 0 };
  const at = (squeeze: number) =>
    halfViewDeg({ ...optics, camera, focalLengthMm: 50, lens: { ...optics.lens, focalLengthMm: 50, longestMm: 50, squeeze } }, 0);
  expect(at(1)).toBeCloseTo((Math.atan(12 / 50) * 180) / Math.PI, 6);
  expect(at(2)).toBeCloseTo((Math.atan(24 / 50) * 180) / Math.PI, 6);
});

test('shot in reverse, the key moment ends where it started: frame 24 of 10 s becomes frame 215', () => {
  const plan = changeBeat({ ...twoPeople(), durationS: 10, captureFps: 24 }, 'beat-1', { fromS: 0, toS: 4 });
  const keyed = { ...plan, beats: plan.beats.map((beat) => (beat.id === 'beat-1' ? { ...beat, keyMomentS: 1 } : beat)) };
  const back = reversed(keyed).beats.find(({ id }) => id === 'beat-1')!;
  expect(back.keyMomentS).toBeCloseTo(10 - 1 - 1 / 24, 9);
  expect(back.fromS).toBeCloseTo(6, 9);
});

describe('a usable span', () => {
  const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
  const still = (durationS: number): RingTrack => {
    const ring = ringOf(plan.optics.lens);
    return { hz: 100, ringDeg: new Float64Array(100 * durationS + 1).fill(ring.angleAt(2900)) };
  };

  test('ends where the take was cut: after 2 s of a ring on the mark, 2 s can be used', () => {
    const onlyTam: ShotPlan = { ...plan, beats: plan.beats.filter(({ subjectId }) => subjectId === 'subject-1') };
    const { usable } = judgeTake(onlyTam, still(2), [])!;
    expect(usable.map(({ fromS }) => fromS)).toEqual([0]);
    // the frame that shows the last sample belongs to it
    expect(usable[0]!.toS).toBeCloseTo(2 + 1 / plan.captureFps, 6);
  });

  test('leaves out a focus check from its first frame to its last', () => {
    const onlyTam: ShotPlan = {
      ...plan,
      captureFps: 25,
      beats: [{ ...plan.beats[0]!, fromS: 0, toS: plan.durationS }],
    };
    const { usable } = judgeTake(onlyTam, still(plan.durationS), [{ fromS: 3.01, toS: 3.41 }])!;
    expect(usable).toEqual([
      { fromS: 86 / 25, toS: plan.durationS },
      { fromS: 0, toS: 75 / 25 },
    ]);
  });
});

describe('a cue before its turn', () => {
  let plan = addPull(twoPeople(), 'mark-1', 7);
  for (const { id } of plan.focusTrack.pulls) plan = changePull(plan, id, { trigger: 'look' });
  const [first, second] = plan.focusTrack.pulls.map(({ id }) => id);

  test('does not trigger a pull that comes after one still waiting', () => {
    const clock = rollClock(plan, [
      { pullId: second!, timeS: 2 },
      { pullId: first!, timeS: 5 },
    ]);
    // 4 s of plan until the first pull, then the wait until 5 s; the second pull starts 3 s later and waits for its own cue
    expect(clock.planSAt(5)).toBeCloseTo(4, 9);
    expect(clock.waitingPullAt(20)).toBe(second);
    expect(clock.planSAt(20)).toBeCloseTo(7, 9);
  });

  test('given in order, both count', () => {
    const clock = rollClock(plan, [
      { pullId: first!, timeS: 5 },
      { pullId: second!, timeS: 9 },
    ]);
    expect(clock.waitingPullAt(20)).toBeNull();
    expect(clock.planSAt(9.5)).toBeCloseTo(7.5, 9);
  });
});

test('while the iris is pulled from 2.8 to 5.6, the light falls by two stops', () => {
  const base = twoPeople();
  const plan: ShotPlan = {
    ...base,
    exposure: { ...base.exposure, meteredStop: 2.8 },
    optics: {
      ...base.optics,
      lens: { ...base.optics.lens, stopScale: 'T', transmittance: 1 },
      stop: 2.8,
      irisPulls: [{ id: 'iris-1', startS: 2, durationS: 2, to: 5.6 }],
    },
  };
  const brighter = (timeS: number) => stopFigures(plan, [2.8], timeS)[0]!.brighterStops!;
  expect(brighter(1)).toBeCloseTo(0, 6);
  expect(brighter(3)).toBeLessThan(-0.5);
  expect(brighter(3)).toBeGreaterThan(-1.5);
  expect(brighter(5)).toBeCloseTo(-2, 6);
});

test('two distances that are each read twice: the fit takes the mean of both readings', () => {
  const points = [
    { distanceMm: 3000, ringDeg: 10 },
    { distanceMm: 3000, ringDeg: 14 },
    { distanceMm: 1000, ringDeg: 100 },
    { distanceMm: 1000, ringDeg: 106 },
  ];
  const fit = fitHelicoid(points, 50)!;
  expect(fit.points[0]!.fittedDeg).toBeCloseTo(12, 6);
  expect(fit.points[2]!.fittedDeg).toBeCloseTo(103, 6);
});

test('lens data in feet: 10 ft is 3.048 m on the ring', () => {
  const plan = newPlan();
  const reading = readLensData(
    [
      ['time', 'distance ft'],
      ['0', '10'],
      ['1', '10'],
    ],
    plan,
  );
  expect(reading.status).toBe('read');
  const { track } = reading as Extract<typeof reading, { status: 'read' }>;
  expect(trackDegAt(track, 0.5)).toBeCloseTo(ringOf(plan.optics.lens).angleAt(3048), 2);
});

test('a plan that is sharp throughout is offered no fix', () => {
  const base = twoPeople();
  const calm = changePull(base, 'pull-1', { startS: 4, durationS: 1.8 });
  const fine = changeBeat(changeBeat(calm, 'beat-1', { fromS: 0, toS: 3.5 }), 'beat-2', { fromS: 6.5 });
  const verdict = evaluatePull(fine);
  expect(verdict.status === 'judged' && verdict.outcome).toBe('sharp');
  expect(findFixes(fine)).toEqual([]);
});

test('a ring that is engraved at nine distances reads true between its last two', () => {
  const helicoid = ringOf(newPlan().optics.lens);
  const distances = [null, 12_000, 6000, 4000, 2500, 1700, 1200, 900, helicoid.closeFocusMm];
  const points = distances.map((distanceMm) => ({ distanceMm, ringDeg: helicoid.angleAt(distanceMm ?? Infinity) }));
  const engraved = ringOf({ ...newPlan().optics.lens, ring: { kind: 'table', points } });
  for (const mm of [helicoid.closeFocusMm + 60, (900 + helicoid.closeFocusMm) / 2, 880]) {
    const wholeDeg = Math.abs(helicoid.angleAt(Infinity) - helicoid.angleAt(helicoid.closeFocusMm));
    expect(Math.abs(engraved.angleAt(mm) - helicoid.angleAt(mm)) / wholeDeg).toBeLessThan(0.002);
  }
});

test('a set drawn for the first time has three people side by side, so far apart that nobody hides anybody', () => {
  let plan = newPlan();
  for (const name of ['Tam', 'Ines', 'Bohdan']) plan = addSubject(plan, { name, distanceMm: 3000 });
  const places = startFloor(plan).marks.map(({ place }) => place!);
  expect(places.map(({ xMm, yMm }) => (Math.atan2(yMm, xMm) * 180) / Math.PI)).toEqual([
    expect.closeTo(0, 3),
    expect.closeTo(-6, 3),
    expect.closeTo(6, 3),
  ]);
});

test('a mark that is reached twice is read for the first time of the two', () => {
  const plan = twoPeople();
  const stays = [
    { id: 'stay-1', markId: 'mark-1', fromS: 1, untilS: 2, pace: 'eased' as const },
    { id: 'stay-2', markId: 'mark-2', fromS: 4, untilS: 5, pace: 'eased' as const },
    { id: 'stay-3', markId: 'mark-1', fromS: 7, untilS: 9, pace: 'eased' as const },
  ];
  const walking = { ...plan, subjects: [{ ...plan.subjects[0]!, stays }] };
  expect([firstArrivalS(walking, 'mark-1'), firstArrivalS(walking, 'mark-2'), firstArrivalS(walking, 'mark-9')]).toEqual([
    1, 4, 0,
  ]);
});

test('a track of 0.29 s at 100 a second has a sample at its start, its end and each hundredth between', () => {
  const { ringDeg } = trackOfReadings(
    [
      { timeS: 0, ringDeg: 0 },
      { timeS: 0.29, ringDeg: 29 },
    ],
    100,
    0.29,
  );
  expect(ringDeg).toHaveLength(30);
  expect(ringDeg[29]).toBeCloseTo(29, 9);
});

test('on a car mount nobody can reach the ring: a rack and a follow are blocked, a fixed focus is not', () => {
  const plan = { ...newPlan(), rig: presetRig('On the car', 'vehicle', 'alone') };
  const isBlocked = (method: ShotPlan['method']) =>
    planNotes({ ...plan, method }, { shutterAngleDeg: 180 }).some(({ code }) => code === 'out-of-reach');
  expect((['rack', 'follow', 'fixed', 'walk-in'] as const).map(isBlocked)).toEqual([true, true, false, false]);
});
