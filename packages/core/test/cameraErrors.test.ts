import {
  addStay,
  addSubject,
  cameraErrorsOf,
  changeCameraKey,
  changeMark,
  changeStay,
  changeSubject,
  chooseRig,
  errorSources,
  keepRate,
  methodOffers,
  moveCameraTo,
  newPlan,
  planDistances,
  presetRig,
  setCameraErrors,
  setStop,
  setSubjectKind,
  type ShotPlan,
  startFloor,
  STEADY_CAMERA,
  subjectNamed,
  suggestImprovements,
  type Support,
  walkTo,
} from '../src/index';

const rateOf = (plan: ShotPlan) => keepRate(plan, { takes: 4000, seed: 9 }).keepRate;
const on = (plan: ShotPlan, support: Support) => chooseRig(plan, null, presetRig('the rig', support, 'alone'));

/** Ines at 3.2 m, with a zone of about 15 cm each way. She and the tape are exact. */
function closeBehind(): ShotPlan {
  const plan = changeSubject(addSubject(newPlan(), { name: 'Ines', distanceMm: 3200 }), 'subject-1', {
    markSigmaMm: 0,
    timingSigmaS: 0,
  });
  return changeMark(setStop(plan, 2.8), 'mark-1', { uncertaintyMm: 0 });
}

/** The camera walks backward in front of her at her pace, over 4 m. */
function backward(): ShotPlan {
  const drawn = startFloor(closeBehind());
  const walked = walkTo(drawn, 'subject-1', { xMm: 3200 - 4000, yMm: 0 }, 10);
  const together = changeStay(walked, 'subject-1', 'stay-1', { untilS: 0 });
  return moveCameraTo(together, { xMm: -4000, yMm: 0 }, 10);
}

test('who walks backward in front of an actor by feel loses most takes; on legs and standing hardly any', () => {
  const still = closeBehind();
  expect(rateOf(on(still, 'legs'))).toBeGreaterThan(0.99);
  expect(rateOf(on({ ...still, method: 'constant-distance' }, 'handheld'))).toBeLessThan(0.5);
  const walking = on(backward(), 'shoulder');
  expect(cameraErrorsOf(walking).driftSigmaMm).toBe(150);
  expect(rateOf(walking)).toBeLessThan(0.5);
  expect(rateOf(setCameraErrors(walking, { driftSigmaMm: 0, timingSigmaS: 0 }))).toBeGreaterThan(rateOf(walking) + 0.3);
});

test('the errors of the camera are listed as assumed, can be typed, and what removes them is offered', () => {
  const walking = on(backward(), 'handheld');
  const drift = errorSources(walking).find(({ source }) => source.kind === 'camera-drift')!;
  expect(drift).toEqual({ source: { kind: 'camera-drift' }, sigma: 150, unit: 'mm', isAssumed: true });
  const typed = setCameraErrors(walking, { driftSigmaMm: 40 });
  expect(errorSources(typed)).toContainEqual({ ...drift, sigma: 40, isAssumed: false });
  expect(setCameraErrors(typed, null).cameraErrors).toBeNull();
  const removed = suggestImprovements(walking).find(({ without }) => without?.kind === 'camera-drift')!;
  const rate = keepRate(walking, { takes: 2000, seed: 9 }).keepRate;
  expect(removed.minutes).toBeGreaterThan(0);
  expect(rateOf(setCameraErrors(removed.plan, { driftSigmaMm: 0 }))).toBeGreaterThan(rate);
});

test('a camera that stands is neither late nor beside its mark; without a support it is where the plan has it', () => {
  const kinds = (plan: ShotPlan) => errorSources(plan).map(({ source }) => source.kind);
  expect(kinds(on(closeBehind(), 'dolly'))).not.toContain('camera-timing');
  expect(kinds(on(backward(), 'dolly'))).toEqual(expect.arrayContaining(['camera-timing', 'camera-stop']));
  expect(cameraErrorsOf(backward())).toEqual(STEADY_CAMERA);
  // a crane that only rises is late like any other, and has no mark on the floor to miss
  const above = moveCameraTo(startFloor(closeBehind()), { xMm: 0, yMm: 0 }, 6);
  const rising = changeCameraKey(above, above.floor!.camera[1]!.id, { heightMm: 2600 });
  expect(kinds(on(above, 'dolly'))).not.toContain('camera-timing');
  expect(kinds(on(rising, 'dolly'))).toContain('camera-timing');
  expect(kinds(on(rising, 'dolly'))).not.toContain('camera-stop');
  expect(kinds(closeBehind())).not.toContain('camera-drift');
});

test('a dolly that stops 10 cm beside its mark is 10 cm nearer or farther from someone ahead of it', () => {
  const dolly = moveCameraTo(startFloor(closeBehind()), { xMm: 1500, yMm: 0 }, 2);
  const late = { ...dolly, beats: dolly.beats.map((beat) => ({ ...beat, fromS: 4 })) };
  const focused: ShotPlan = {
    ...late,
    focusTrack: { start: { kind: 'distance', distanceMm: planDistances(late).focusMmAt(late.subjects[0]!, 5) }, pulls: [] },
  };
  const missing = (stopSigmaMm: number) => rateOf(setCameraErrors(focused, { ...STEADY_CAMERA, stopSigmaMm }));
  expect(missing(0)).toBe(1);
  // the same as if she missed her own mark by as much
  const hers = changeSubject(setCameraErrors(focused, STEADY_CAMERA), 'subject-1', { markSigmaMm: 100 });
  expect(Math.abs(missing(100) - rateOf(hers))).toBeLessThan(0.02);
  expect(missing(100)).toBeLessThan(0.6);
});

test('constant distance is always computed for one person, whether they move by a metre or by nothing', () => {
  const rateBy = (plan: ShotPlan) => {
    const offer = methodOffers(plan).find(({ method }) => method === 'constant-distance')!;
    return rateOf(offer.plan!);
  };
  const walks = addStay(closeBehind(), 'subject-1', { distanceMm: 2200, fromS: 8 });
  for (const plan of [closeBehind(), walks]) expect(rateBy(plan)).toBeLessThan(0.5);
  expect(rateBy(setCameraErrors(walks, { driftSigmaMm: 20 }))).toBeGreaterThan(0.95);
});

describe('an object', () => {
  const fork = () => setSubjectKind(addSubject(newPlan(), { name: 'Tuning fork', distanceMm: 1450 }), 'subject-1', 'object');

  test('is never late and never beside its mark: only its measurement errs', () => {
    const one = setStop(fork(), 2.2);
    expect(one.subjects[0]).toMatchObject({ kind: 'object', detail: '' });
    expect(errorSources(one).map(({ source }) => source.kind)).toEqual(['measuring']);
    const exact = changeMark(changeSubject(one, 'subject-1', { markSigmaMm: 500 }), 'mark-1', { uncertaintyMm: 0 });
    expect(rateOf(exact)).toBe(1);
    expect(rateOf(setSubjectKind(exact, 'subject-1', 'person'))).toBeLessThan(0.2);
  });

  test('has no walk, and what walks is no object', () => {
    expect(addStay(fork(), 'subject-1', { distanceMm: 2000, fromS: 5 })).toEqual(fork());
    expect(walkTo(startFloor(fork()), 'subject-1', { xMm: 900, yMm: 0 }, 5).subjects[0]!.stays).toHaveLength(1);
    const walking = addStay(closeBehind(), 'subject-1', { distanceMm: 2200, fromS: 8 });
    expect(setSubjectKind(walking, 'subject-1', 'object').subjects[0]!.kind).toBe('person');
  });

  test('a name is known whatever its capitals and spaces', () => {
    expect(subjectNamed(fork(), ' tuning  Fork ')?.id).toBe('subject-1');
    expect(subjectNamed(fork(), 'fork')).toBeUndefined();
    expect(subjectNamed(fork(), ' ')).toBeUndefined();
  });
});

test('a tape is good to 10 mm or 0.3 %, whichever is more; what was typed stays', () => {
  const far = addSubject(newPlan(), { name: 'Ines', distanceMm: 9000 });
  expect(far.marks[0]!.uncertaintyMm).toBeCloseTo(27, 9);
  expect(changeMark(far, 'mark-1', { distanceMm: 2000 }).marks[0]!.uncertaintyMm).toBe(10);
  const typed = changeMark(far, 'mark-1', { uncertaintyMm: 15 });
  expect(changeMark(typed, 'mark-1', { distanceMm: 2000 }).marks[0]!.uncertaintyMm).toBe(15);
});
