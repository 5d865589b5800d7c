import {
  addOpticsChange,
  addStay,
  addSubject,
  changeMark,
  changeStay,
  checkPlan,
  chooseLens,
  defaultLens,
  detachFromKit,
  evaluatePull,
  focusesForBlur,
  newPlan,
  planNotes,
  ringOf,
  setFocalLength,
  setLens,
  setStop,
  setTrackStart,
  type ShotPlan,
  solveTrack,
  startFloor,
  stopAt,
  stopFigures,
  stopLimit,
  tubeOf,
  zoneLensAt,
} from '../src/index';

// the ends of what can stand in front of a lens, and of what a lens can do

const alone = (distanceMm: number | null): ShotPlan => addSubject(newPlan(), { name: 'Ines', distanceMm });

describe('a subject nearer than the separation of the principal planes', () => {
  const lens = { focalLengthMm: 65, fNumber: 2.8, circleOfConfusionMm: 0.025, principalSeparationMm: 30 };

  test.each([20, 30, 60, 120])('at %d mm no focus distance makes it sharp', (distanceMm) => {
    expect(focusesForBlur(lens, distanceMm, 0.025)).toEqual({ nearMm: NaN, farMm: NaN });
  });

  test('has no zone: nothing the ring can do is offered as sharp', () => {
    const plan = changeMark(setLens(alone(3000), { principalSeparationMm: 40 }), 'mark-1', { distanceMm: 30 });
    const { lowDeg, highDeg } = tubeOf(plan);
    expect(lowDeg[0]!).toBeGreaterThan(highDeg[0]!);
    const verdict = evaluatePull(plan);
    expect(verdict.status === 'judged' && verdict.sharpFrames).toBe(0);
  });
});

test('someone walks past the camera: at every moment each stop has figures', () => {
  let plan = addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 });
  plan = addSubject(plan, { name: 'Old Tam', distanceMm: 3000 });
  plan = addStay(plan, 'subject-2', { distanceMm: 200, fromS: 9 });
  plan = changeStay(plan, 'subject-2', plan.subjects[1]!.stays[0]!.id, { untilS: 1 });
  const drawn = startFloor(plan);
  const passing: ShotPlan = {
    ...drawn,
    marks: drawn.marks.map((mark) =>
      mark.id === plan.subjects[1]!.stays[1]!.markId ? { ...mark, place: { ...mark.place!, xMm: -1500, yMm: 40 } } : mark,
    ),
  };
  for (const one of [plan, passing])
    for (let timeS = 0; timeS <= 10; timeS += 0.05)
      for (const figures of stopFigures(one, [2.8, 8], timeS)) {
        const { backgroundPercent, foreground, nearMm, airyCircles } = figures;
        for (const figure of [backgroundPercent, foreground?.percent ?? 0, nearMm, airyCircles])
          expect(figure).toBeGreaterThanOrEqual(0);
      }
});

test('laid distances stay within what a plan may hold: beyond ten kilometres is infinity', () => {
  let plan = addSubject(setStop(newPlan(), 16), { name: 'the far hill', distanceMm: null });
  plan = { ...plan, beats: plan.beats.map((beat) => ({ ...beat, fromS: 0, toS: plan.durationS })) };
  for (const way of ['follow', 'fewest-holds', 'fixed'] as const) {
    const solved = solveTrack(plan, way, { roomShare: 0.3 })!.plan;
    expect(checkPlan(solved)).toEqual([]);
  }
});

test('the worst frame is the one with the most blur, not the one with the least room in centimetres', () => {
  // she walks from 9 m to 2 m, and the focus stays at 3 m: centimetres are many far away, blur is large nearby
  const plan = setTrackStart(
    changeStay(addStay(alone(9000), 'subject-1', { distanceMm: 2000, fromS: 9 }), 'subject-1', 'stay-1', { untilS: 1 }),
    { kind: 'distance', distanceMm: 3000 },
  );
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('incomplete');
  const { blurCircles } = verdict.subjects[0]!;
  const { worstFrame } = verdict.beats[0]!;
  expect(blurCircles[worstFrame!]).toBe(Math.max(...blurCircles));
  for (const { fromFrame, toFrame, worstFrame: worst, worstBlurCircles } of verdict.softSpans) {
    expect(worst >= fromFrame && worst < toFrame).toBe(true);
    expect(worstBlurCircles).toBe(Math.max(...blurCircles.slice(fromFrame, toFrame)));
  }
});

describe('a zoom that opens to 2.8 at its short end and to 4 at its long end', () => {
  const zoom = {
    ...defaultLens({ name: 'Zoom', focalLengthMm: 25, widestStop: 2.8 }),
    longestMm: 100,
    widestStopLong: 4,
    closeFocusMm: 900,
  };
  const wide = setStop(setFocalLength(chooseLens(alone(3000), 'zoom', zoom), 25), 2.8);
  const zooming = addOpticsChange(wide, 'zooms', 2, 100);

  test('limits the stop frame by frame as it zooms in, and not before', () => {
    expect(stopAt(zooming.optics, 1)).toBeCloseTo(2.8, 9);
    expect(stopAt(zooming.optics, 9)).toBeCloseTo(4, 9);
    for (let timeS = 2; timeS < 4; timeS += 0.1)
      expect(stopAt(zooming.optics, timeS + 0.1)).toBeGreaterThanOrEqual(stopAt(zooming.optics, timeS) - 1e-12);
    // the zone goes by it: the f-number of every frame
    expect(zoneLensAt(zooming.optics, 9).fNumber / zoneLensAt(zooming.optics, 0).fNumber).toBeCloseTo(4 / 2.8, 6);
    const verdict = evaluatePull(zooming);
    expect(verdict.status === 'judged' && verdict.track.fNumber.at(-1)! / verdict.track.fNumber[0]!).toBeCloseTo(4 / 2.8, 6);
  });

  test('says from when, how far, and how much light that costs', () => {
    const limit = stopLimit(zooming)!;
    expect(limit.fromS).toBeGreaterThan(2);
    expect(limit.fromS).toBeLessThan(3);
    expect(limit.stop).toBeCloseTo(4, 6);
    expect(limit.stopsLost).toBeCloseTo(2 * Math.log2(4 / 2.8), 6);
    expect(planNotes(zooming, { shutterAngleDeg: 180 }).map(({ code }) => code)).toContain('stop-limited');
    expect(stopLimit(setStop(zooming, 5.6))).toBeNull();
    expect(stopLimit(wide)).toBeNull();
  });
});

describe('scale points belong to the lens that they were read from', () => {
  const read = defaultLens({ name: 'Loft 65', focalLengthMm: 65, closeFocusMm: 650 });
  const points = [Infinity, 3000, 1500, 900, 650].map((mm) => ({
    distanceMm: mm === Infinity ? null : mm,
    ringDeg: ringOf(read).angleAt(mm) * 1.02,
  }));
  const chosen = chooseLens(alone(3000), 'loft', { ...read, ring: { kind: 'table', points } });
  const own = detachFromKit(chosen, 'lens');

  test.each([{ focalLengthMm: 50 }, { closeFocusMm: 400 }, { principalSeparationMm: 20 }])(
    '%j: they are dropped, the throw stays',
    (figures) => {
      const { ring } = setLens(own, figures).optics.lens;
      expect(ring).toEqual({ kind: 'helicoid', focusThrowDeg: Math.round(280 * 1.02) });
    },
  );

  test.each([{ name: 'Loft 65, rehoused' }, { widestStop: 2.8 }, {}])('%j: they stay', (figures) => {
    expect(setLens(own, figures).optics.lens.ring).toEqual({ kind: 'table', points });
  });

  test('another lens from the kit comes with its own', () => {
    const other = chooseLens(chosen, 'other', defaultLens({ name: 'Loft 35', focalLengthMm: 35 }));
    expect(other.optics.lens.ring.kind).toBe('helicoid');
    expect(chooseLens(other, 'loft', { ...read, ring: { kind: 'table', points } }).optics.lens.ring).toEqual({
      kind: 'table',
      points,
    });
  });
});
