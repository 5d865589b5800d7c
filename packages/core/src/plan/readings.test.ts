import { defaultLens, defaultWheel, lensProblems, lensRing, type Lens, readDistance, type RingReading } from '../kit/index';
import { conjugates } from '../optics/index';
import { evaluatePull } from '../verdict/index';
import { keepRate } from '../trials/index';
import { checkPlan } from './checkPlan';
import { addBeat } from './edits/beats';
import { chooseLens, chooseWheel } from './edits/gear';
import { addSubjectAt } from './edits/floor';
import { changeMark, marksHold } from './edits/marks';
import { newPlan } from './edits/newPlan';
import { setLens } from './edits/optics';
import { adoptReading, adoptScaleOfMarks, setReading } from './edits/readings';
import { setMarkFocus } from './edits/setMarkFocus';
import { addSubject } from './edits/subjects';
import { markFocusMm } from './planDistances';
import { commonOffset, markRead, marksOffTheRing, readAndMeasured, scaleOfMarks } from './readings';
import type { ShotPlan } from './shotPlan';

/** A photo lens whose throw nobody has measured. In truth its ring is at 12° at infinity and turns 55° for each mm of extension. */
const photoLens = defaultLens({ name: 'Photo 50', focalLengthMm: 50, closeFocusMm: 600, ringDiameterMm: 64 });
const trueDeg = (distanceMm: number) => 12 + 55 * conjugates(50, distanceMm).extensionMm;

/** People at distances, on a lens, without a floor. */
function people(lens: Lens, distancesMm: readonly number[]): ShotPlan {
  return distancesMm.reduce(
    (plan, distanceMm, index) => addSubject(plan, { name: `Person ${index}`, distanceMm }),
    setLens(newPlan(), lens),
  );
}

const ringDeg = (deg: number): RingReading => ({ kind: 'ring', deg });
const letters = (marks: readonly { readonly letter: string }[]) => marks.map(({ letter }) => letter).join('');

describe('an unscaled photo lens, five readings and three tapes', () => {
  const stoodAt = [900, 1400, 2100, 3200, 5000];
  const taped = [0, 2, 4];
  const typed = people(
    photoLens,
    stoodAt.map((mm, index) => (taped.includes(index) ? mm : 1000)),
  );
  const asRead = stoodAt.reduce((plan, mm, index) => {
    // a mark that nobody taped was found in the picture
    const found = taped.includes(index) ? plan : changeMark(plan, `mark-${index + 1}`, { method: 'picture' });
    return setReading(found, `mark-${index + 1}`, ringDeg(trueDeg(mm)));
  }, typed);

  test('what was taped keeps its tape; what was only read stands by an assumed ring', () => {
    expect(asRead.marks.map(({ method }) => method)).toEqual(['tape', 'picture', 'tape', 'picture', 'tape']);
    expect(asRead.marks[2]!.distanceMm).toBe(2100);
    expect(markRead(asRead, asRead.marks[1]!)).toMatchObject({ by: 'assumed-ring', between: null });
    expect(asRead.marks[1]!.distanceMm).not.toBeCloseTo(1400, -1);
    expect(checkPlan(asRead)).toEqual([]);
  });

  test('the three that were taped make the scale, and the other two then say where people stood', () => {
    const { marks, scale } = scaleOfMarks(asRead);
    expect(letters(marks)).toBe('ACE');
    expect(scale).toMatchObject({ standOut: [] });
    const plan = adoptScaleOfMarks(asRead);
    expect(plan.optics.lens.ring).toMatchObject({ kind: 'fitted' });
    expect(plan.marks.map(({ distanceMm }) => Math.round(distanceMm!))).toEqual(stoodAt);
    expect(plan.marks.every(({ stale }) => stale === null)).toBe(true);
    expect(markRead(plan, plan.marks[3]!)!.between!.farthestMm).toBeGreaterThan(3200);
    expect(checkPlan(plan)).toEqual([]);
  });

  test('the plan has a verdict and a chance: a turn from the nearest to the farthest is that of the readings', () => {
    const scaled = adoptScaleOfMarks(asRead);
    const withPull: ShotPlan = {
      ...addBeat({ ...scaled, beats: [] }, 'subject-5', 6),
      focusTrack: {
        start: { kind: 'mark', markId: 'mark-1' },
        pulls: [
          {
            id: 'pull-1',
            startS: 3,
            durationS: 2,
            easing: 'eased',
            target: { kind: 'mark', markId: 'mark-5' },
            trigger: 'clock',
            cue: '',
            countInS: 1,
            cueSigmaS: 0.1,
          },
        ],
      },
    };
    const verdict = evaluatePull(withPull);
    expect(verdict.status === 'judged' && verdict.pulls[0]!.travelDeg).toBeCloseTo(trueDeg(900) - trueDeg(5000), 6);
    expect(keepRate(withPull, { takes: 2000, seed: 1 }).keepRate).toBeGreaterThan(0.3);
  });
});

test('a strip of tape, a wheel and a place between two figures say the same angle', () => {
  const points = [
    { distanceMm: null, ringDeg: 0 },
    { distanceMm: 3000, ringDeg: 100 },
    { distanceMm: 2000, ringDeg: 150 },
    { distanceMm: 1000, ringDeg: 290 },
  ];
  const lens = defaultLens({
    name: '65',
    focalLengthMm: 65,
    ring: { kind: 'table', points },
    closeFocusMm: 1000,
    ringDiameterMm: 80,
  });
  const wheel = defaultWheel({ name: 'Wheel', wheelPerRing: 2 });
  const by = (reading: RingReading) => readDistance({ lens, wheel }, reading);
  expect(by({ kind: 'ring', deg: 125 }).ringDeg).toBe(125);
  expect(by({ kind: 'wheel', deg: 250 }).ringDeg).toBe(125);
  expect(by({ kind: 'figures', fromMm: 3000, toMm: 2000, share: 0.5 }).ringDeg).toBe(125);
  expect(by({ kind: 'strip', mm: (Math.PI * 80 * 125) / 360 }).ringDeg).toBeCloseTo(125, 9);
  expect(by({ kind: 'figures', fromMm: 3000, toMm: 2000, share: 0 }).distanceMm).toBe(3000);
  // a degree of reading and half a degree of scale, where 50° of turn take focus from 3 m to 2 m: 1/2.42 and 1/2.38
  const { nearestMm, farthestMm } = by({ kind: 'ring', deg: 125 }).between!;
  expect(Math.abs(nearestMm - 2379)).toBeLessThan(6);
  expect(Math.abs(farthestMm - 2422)).toBeLessThan(6);
});

describe('a scale that all marks read off by the same amount', () => {
  const scaled = (lens: Lens) => {
    const ring = lensRing({ kind: 'helicoid', focusThrowDeg: 270, ...lens });
    const points = [null, 6000, 4000, 3000, 2400, 1900, 1500, 1200, 1000].map((mm) => ({
      distanceMm: mm,
      ringDeg: ring.angleAt(mm ?? Infinity),
    }));
    return { ...lens, ring: { kind: 'table', points } as const, closeFocusMm: 1000 };
  };
  const lens = scaled(defaultLens({ name: '75', focalLengthMm: 75, closeFocusMm: 1000 }));
  const ring = lensRing({ kind: 'table', points: lens.ring.points });
  const read = (plan: ShotPlan, degs: readonly number[]) =>
    degs.reduce((now, deg, index) => setReading(now, `mark-${index + 1}`, ringDeg(deg)), plan);
  const stoodAt = [1300, 1800, 2700, 4500];

  test('a ring whose index is 6° off: the scale explains all of it', () => {
    const offset = commonOffset(
      read(
        people(lens, stoodAt),
        stoodAt.map((mm) => ring.angleAt(mm) + 6),
      ),
    )!;
    expect(letters(offset.marks)).toBe('ABCD');
    expect(offset.offDeg).toBeCloseTo(6, 9);
    expect(offset.causes[0]).toEqual({ cause: 'scale', by: expect.closeTo(6, 9), leftDeg: expect.closeTo(0, 9) });
    expect(offset.causes.map(({ leftDeg }) => leftDeg)).toEqual(
      [...offset.causes.map(({ leftDeg }) => leftDeg)].sort((a, b) => a - b),
    );
  });

  test('a tape whose hook is bent by 40 mm: the tape explains most, the scale little', () => {
    const offset = commonOffset(
      read(
        people(
          lens,
          stoodAt.map((mm) => mm + 40),
        ),
        stoodAt.map((mm) => ring.angleAt(mm)),
      ),
    )!;
    expect(offset.causes[0]!.cause).toBe('tape-zero');
    expect(offset.causes[0]!.by).toBeGreaterThan(35);
    expect(offset.causes[0]!.by).toBeLessThan(45);
    expect(offset.causes[0]!.leftDeg).toBeLessThan(0.5);
    expect(offset.causes.find(({ cause }) => cause === 'scale')!.leftDeg).toBeGreaterThan(2);
  });

  test('a lens that sits 0.1 mm too far out needs that much less extension', () => {
    const degPerMm = 270 / conjugates(75, 1000).extensionMm;
    const offset = commonOffset(
      read(
        people(lens, stoodAt),
        stoodAt.map((mm) => ring.angleAt(mm) - 0.1 * degPerMm),
      ),
    )!;
    expect(offset.causes.find(({ cause }) => cause === 'mount')!.by).toBeCloseTo(0.1, 2);
  });

  test('readings that scatter, agree, or stand alone say nothing', () => {
    const at = (degs: readonly number[]) =>
      commonOffset(
        read(
          people(lens, stoodAt),
          stoodAt.map((mm, k) => ring.angleAt(mm) + degs[k]!),
        ),
      );
    expect(at([6, -5, 4, -6])).toBeNull();
    expect(at([0.3, 0.2, 0.4, 0.1])).toBeNull();
    expect(commonOffset(read(people(lens, [1300]), [ring.angleAt(1300) + 6]))).toBeNull();
    expect(commonOffset(read(people(photoLens, stoodAt), stoodAt.map(trueDeg)))).toBeNull();
  });
});

describe('bad readings', () => {
  test('one off the ring is not taken', () => {
    const plan = people(photoLens, [2000]);
    expect(setReading(plan, 'mark-1', ringDeg(281))).toBe(plan);
    expect(setReading(plan, 'mark-1', { kind: 'strip', mm: 157 })).toBe(plan);
    expect(setReading(plan, 'mark-1', { kind: 'strip', mm: 156 })).not.toBe(plan);
  });

  test('a strip on a barrel of unknown diameter is not taken', () => {
    const plan = people({ ...photoLens, ringDiameterMm: null }, [2000]);
    expect(setReading(plan, 'mark-1', { kind: 'strip', mm: 20 })).toBe(plan);
  });

  test('two readings and a tape that contradict make no scale, and the marks are named', () => {
    const two = setReading(setReading(people(photoLens, [2000, 2000]), 'mark-1', ringDeg(80)), 'mark-2', ringDeg(120));
    expect(scaleOfMarks(two).scale).toMatchObject({ code: 'readings-contradict', values: { distanceMm: 2000, degs: [80, 120] } });
    expect(adoptScaleOfMarks(two)).toBe(two);
    const back = [100, 60, 110].reduce(
      (plan, deg, index) => setReading(plan, `mark-${index + 1}`, ringDeg(deg)),
      people(photoLens, [1500, 2000, 2500]),
    );
    expect(scaleOfMarks(back).scale).toMatchObject({ code: 'turns-back' });
    expect(scaleOfMarks(people(photoLens, [2000])).scale).toMatchObject({ code: 'too-few' });
    // the third mark is the one that turns back, beside two looks at one distance
    const shifted = [100, 101, 60, 90, 80].reduce(
      (plan, deg, index) => setReading(plan, `mark-${index + 1}`, ringDeg(deg)),
      people(photoLens, [1500, 1500, 2000, 2500, 3000]),
    );
    expect(scaleOfMarks(shifted).scale).toMatchObject({ code: 'turns-back', path: 'points[2]' });
  });
});

describe('another lens, another wheel', () => {
  const read = setReading(changeMark(people(photoLens, [2000]), 'mark-1', { method: 'picture' }), 'mark-1', ringDeg(60));
  const mm = read.marks[0]!.distanceMm!;

  test('another lens leaves the distance that was found, and puts it in doubt', () => {
    const other = chooseLens(read, 'lens-2', { ...photoLens, name: 'Photo 85', focalLengthMm: 85, longestMm: 85 });
    expect(other.marks[0]).toMatchObject({ distanceMm: mm, stale: 'lens' });
    expect(markRead(other, other.marks[0]!)).toBeNull();
    expect(marksHold(other).marks[0]).toMatchObject({ distanceMm: mm, stale: null, reading: null });
    // the lens of the same name from another case is another lens
    const twin = chooseLens(read, 'lens-3', { ...photoLens, ring: { kind: 'helicoid', focusThrowDeg: 200 } });
    expect(twin.marks[0]).toMatchObject({ distanceMm: mm, stale: 'lens' });
  });

  test('its throw corrected, the reading stands for another distance', () => {
    const corrected = setLens(read, { ring: { kind: 'helicoid', focusThrowDeg: 200 } });
    expect(corrected.marks[0]).toMatchObject({ stale: null, reading: ringDeg(60) });
    expect(corrected.marks[0]!.distanceMm).toBeCloseTo(
      readDistance({ lens: corrected.optics.lens, wheel: null }, ringDeg(60)).distanceMm,
      6,
    );
    const short = setLens(read, { ring: { kind: 'helicoid', focusThrowDeg: 50 } });
    expect(letters(marksOffTheRing(short))).toBe('A');
    expect(short.marks[0]!.distanceMm).toBe(mm);
  });

  test('a reading of a wheel stays the angle that it was when the wheel is changed', () => {
    const [small, large] = [2, 4].map((wheelPerRing) => defaultWheel({ name: `${wheelPerRing}`, wheelPerRing }));
    const onSmall = setReading(chooseWheel(read, 'wheel-1', small!), 'mark-1', { kind: 'wheel', deg: 120 });
    expect(onSmall.marks[0]!.distanceMm).toBeCloseTo(mm, 9);
    const onLarge = chooseWheel(onSmall, 'wheel-2', large!);
    expect(onLarge.marks[0]).toMatchObject({ reading: ringDeg(60) });
    expect(onLarge.marks[0]!.distanceMm).toBeCloseTo(mm, 9);
  });

  test('a distance that is typed at a mark that was read is a tape beside the reading', () => {
    const both = changeMark(read, 'mark-1', { distanceMm: 2500 });
    expect(both.marks[0]).toMatchObject({ method: 'tape', distanceMm: 2500, reading: ringDeg(60) });
    expect(readAndMeasured(both)).toHaveLength(1);
    expect(adoptReading(both, 'mark-1').marks[0]).toMatchObject({ method: 'picture', distanceMm: mm });
    // dragged elsewhere on the chart, it is not what the reading said
    expect(setMarkFocus(read, 'mark-1', 2500).marks[0]).toMatchObject({ reading: null, distanceMm: 2500 });
  });
});

test.each([
  ['no reading', [], 'too-few'],
  ['one', [{ distanceMm: 2000, ringDeg: 90 }], 'too-few'],
  ['two of one distance', [80, 81].map((deg) => ({ distanceMm: 2000, ringDeg: deg })), 'too-few'],
  ['one nearer than life size', [150, 3000].map((mm) => ({ distanceMm: mm, ringDeg: mm / 10 })), 'closer-than-life-size'],
])('a lens from elsewhere whose ring was fitted to %s is refused', (_, points, code) => {
  const lens = { ...photoLens, ring: { kind: 'fitted' as const, atInfinityDeg: 12, degPerMm: 55, points } };
  expect(lensProblems(lens, 'lens')).toMatchObject([{ code }]);
});

test('beside the axis the ring reads the depth, and a tape would read more', () => {
  const lens = { ...photoLens, ring: { kind: 'helicoid', focusThrowDeg: 280 } as const };
  const drawn = setLens(addSubjectAt(newPlan(), 'Ines', { xMm: 3000, yMm: 1500 }), lens);
  const read = setReading(drawn, 'mark-1', ringDeg(lensRing({ kind: 'helicoid', focusThrowDeg: 280, ...lens }).angleAt(3100)));
  expect(markFocusMm(read, 'mark-1')).toBeCloseTo(3100, 6);
  const { tapeMm, depthMm } = { tapeMm: drawn.marks[0]!.distanceMm!, depthMm: markFocusMm(drawn, 'mark-1') };
  expect(read.marks[0]!.distanceMm).toBeCloseTo((3100 * tapeMm) / depthMm, 6);
});

test('a ring at its far end stands for infinity, unless somebody walks to the mark', () => {
  const plan = changeMark(people(photoLens, [2000]), 'mark-1', { method: 'picture' });
  expect(setReading(plan, 'mark-1', ringDeg(0)).marks[0]!.distanceMm).toBeNull();
});
