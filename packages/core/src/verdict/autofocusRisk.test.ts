import {
  addBeat,
  addLandmark,
  addSubject,
  addSubjectAt,
  autofocusRisk,
  changeBeat,
  changeLandmark,
  newPlan,
  setDuration,
  setStop,
  type ShotPlan,
  startFloor,
  walkTo,
} from '../index';

/** A camera with so large an autofocus area. */
const withArea = (plan: ShotPlan, autofocusAreaPercent: number | null): ShotPlan => ({
  ...plan,
  optics: { ...plan.optics, camera: { ...plan.optics.camera, autofocusAreaPercent } },
});
const withLens = (plan: ShotPlan, autofocus: ShotPlan['optics']['lens']['autofocus']): ShotPlan => ({
  ...plan,
  optics: { ...plan.optics, lens: { ...plan.optics.lens, autofocus } },
});
const alone = (xMm: number, yMm: number): ShotPlan => addSubjectAt(startFloor(setDuration(newPlan(), 8)), 'Ines', { xMm, yMm });

describe('the place in the picture', () => {
  /**
   * A 65 mm lens on 24.89 mm of sensor sees 383 mm to either side for each 2 m of depth. She walks across at 4 m, from the middle to 1.2 m to the
   * side, past the edge of the picture at 766 mm and of an area of half of it at 383 mm.
   */
  const crossing = (): ShotPlan => walkTo(alone(4000, 0), 'subject-1', { xMm: 4000, yMm: 1200 }, 6);

  test('in the middle nothing is at risk; past the area she is outside it, and past the edge out of the picture', () => {
    const risk = autofocusRisk(withArea(crossing(), 50));
    expect(risk.spans.map(({ reason }) => reason.kind)).toEqual(['outside-area', 'out-of-picture']);
    const [area, picture] = risk.spans;
    // she walks from 4 to 6 s; the middle of the way, 600 mm, is between the two edges
    expect(area!.fromS).toBeGreaterThan(4);
    expect(area!.fromS).toBeLessThan(5);
    expect(picture!.fromS).toBe(area!.toS);
    expect(picture!.fromS).toBeGreaterThan(5);
    expect([picture!.toS, risk.requiredS]).toEqual([8, 8]);
    expect(risk.atRiskS).toBeCloseTo(8 - area!.fromS, 9);
  });

  test('an area of all of the picture leaves only what is out of the picture, as does one that nobody knows', () => {
    for (const percent of [100, null])
      expect(autofocusRisk(withArea(crossing(), percent)).spans.map(({ reason }) => reason.kind)).toEqual(['out-of-picture']);
    expect(autofocusRisk(withArea(crossing(), null)).areaPercent).toBeNull();
  });

  test.each([
    [382, []],
    [384, ['outside-area']],
    [765, ['outside-area']],
    [768, ['out-of-picture']],
  ])('%d mm to the side at 4 m', (yMm, kinds) => {
    const width = newPlan().optics.camera.sensorWidthMm;
    expect((4000 * width) / 2 / 65).toBeCloseTo(766, 0);
    expect(autofocusRisk(withArea(alone(4000, yMm), 50)).spans.map(({ reason }) => reason.kind)).toEqual(kinds);
  });

  test('with nothing drawn the place is not known, and that is said', () => {
    const taped = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
    expect(autofocusRisk(withArea(taped, 20))).toMatchObject({ isPlaced: false, spans: [], atRiskS: 0 });
  });
});

describe('others in the picture', () => {
  const two = (nearMm: number, yMm = 200): ShotPlan => addSubjectAt(alone(4000, 0), 'Old Tam', { xMm: nearMm, yMm });

  test('who is nearer in the area may be focused on instead; not who is in the same zone, behind, or outside the area', () => {
    expect(autofocusRisk(two(2500)).spans).toEqual([
      { subjectId: 'subject-1', reason: { kind: 'nearer-in-area', otherId: 'subject-2' }, fromS: 0, toS: 8 },
    ]);
    expect(autofocusRisk(two(3980, 500)).spans).toEqual([]);
    expect(autofocusRisk(two(6000, 500)).spans).toEqual([]);
    // 400 mm at 2.5 m is 0.84 of the way to the edge
    expect(autofocusRisk(withArea(two(2500, 400), 80)).spans).toEqual([]);
  });

  test('two who must be sharp at once are one too many, unless one zone holds both', () => {
    const both = addBeat(two(2500), 'subject-2', 2);
    const beat = both.beats.at(-1)!;
    const risk = autofocusRisk(changeBeat(both, beat.id, { fromS: 2, toS: 5 }));
    expect(risk.spans.filter(({ reason }) => reason.kind === 'several-at-once')).toMatchObject([
      { subjectId: 'subject-1', fromS: 2, toS: 5 },
      { subjectId: 'subject-2', fromS: 2, toS: 5 },
    ]);
    expect(autofocusRisk(setStop(addBeat(two(3900), 'subject-2', 2), 16)).spans).toEqual([]);
  });

  test('a thing that stands nearer in the area is a rival as well, unless it is beside it, flat, or as sharp', () => {
    const scene = withArea(setStop(alone(4000, 0), 2.2), 50);
    const withPost = (xMm: number, yMm: number, tallMm = 2200) =>
      changeLandmark(addLandmark(scene, 'post', 'lamp post', { xMm, yMm }), 'landmark-1', { tallMm, widthMm: 100, depthMm: 100 });
    // at 2.5 m an area of half of the picture ends 239 mm to the side
    expect(autofocusRisk(withPost(2500, 150)).spans).toEqual([
      { subjectId: 'subject-1', reason: { kind: 'thing-in-area', landmarkId: 'landmark-1' }, fromS: 0, toS: 8 },
    ]);
    expect(autofocusRisk(withPost(2500, 400)).spans).toEqual([]);
    expect(autofocusRisk(withPost(2500, 150, 0)).spans).toEqual([]);
    expect(autofocusRisk(withPost(3990, 150)).spans).toEqual([]);
    expect(autofocusRisk(withPost(5000, 150)).spans).toEqual([]);
  });

  test('who is hidden is at risk first of all by what hides', () => {
    const [span] = autofocusRisk(two(2000, 0)).spans;
    expect(span!.reason).toEqual({ kind: 'hidden', by: { kind: 'subject', id: 'subject-2' } });
  });
});

test('nearer than the lens focuses is a risk', () => {
  expect(autofocusRisk(alone(500, 0)).spans).toMatchObject([{ reason: { kind: 'too-near' } }]);
});

test('a lens without a motor, or a test that failed, refuses autofocus; an open test is only said', () => {
  const plan = alone(4000, 0);
  expect(autofocusRisk(plan)).toMatchObject({ refusal: null, isLensTested: false, isModeTested: false });
  expect(autofocusRisk(withLens(plan, 'no-motor')).refusal).toBe('no-motor');
  expect(autofocusRisk(withLens(plan, 'fails')).refusal).toBe('lens-fails');
  const failed = { ...plan.optics.camera, autofocusRolling: 'no' as const };
  expect(autofocusRisk({ ...plan, optics: { ...plan.optics, camera: failed } }).refusal).toBe('mode-fails');
  expect(autofocusRisk(withLens(plan, 'works'))).toMatchObject({ refusal: null, isLensTested: true });
});

test('a shot in which nothing must be sharp has no risk and no required time', () => {
  const plan = alone(4000, 0);
  expect(autofocusRisk(changeBeat(plan, plan.beats[0]!.id, { requirement: 'none' }))).toMatchObject({
    requiredS: 0,
    atRiskS: 0,
    spans: [],
  });
});
