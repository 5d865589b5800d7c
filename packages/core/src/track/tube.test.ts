import fc from 'fast-check';
import { longShot, twoPeople } from '../../test/plans';
import { lensRing, ringOf } from '../kit/index';
import { blurDiameterMm } from '../optics/index';
import { addOpticsChange, addStay, setStop, zoneLensAt } from '../plan/index';
import { fewestHolds } from './solvers/fewestHolds';
import { sharpWindow, tubeOf } from './tube';
import { caseCount } from '../../test/caseCount';

const lensCases = fc.record({
  focalLengthMm: fc.double({ min: 12, max: 200, noNaN: true }),
  fNumber: fc.double({ min: 0.9, max: 22, noNaN: true }),
  circleOfConfusionMm: fc.double({ min: 0.004, max: 0.05, noNaN: true }),
  principalSeparationMm: fc.double({ min: -20, max: 30, noNaN: true }),
});

describe('where the ring may stand', () => {
  test('inside the window the blur is at most the circle, outside it is more', () => {
    const cases = fc.tuple(lensCases, fc.double({ min: 0.3, max: 60, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }));
    fc.assert(
      fc.property(cases, ([lens, metres, share]) => {
        const closeFocusMm = 8 * lens.focalLengthMm + lens.principalSeparationMm;
        const ring = lensRing({ kind: 'helicoid', focusThrowDeg: 270, closeFocusMm, ...lens });
        const distanceMm = closeFocusMm + metres * 1000;
        const found = sharpWindow(lens, ring, distanceMm)!;
        const ringDeg = share * ring.throwDeg;
        const blurMm = blurDiameterMm({ ...lens, focusDistanceMm: ring.distanceAt(ringDeg), subjectDistanceMm: distanceMm });
        const isInside = ringDeg >= found.lowDeg && ringDeg <= found.highDeg;
        const isEdge = Math.min(Math.abs(ringDeg - found.lowDeg), Math.abs(ringDeg - found.highDeg)) < 1e-6;
        if (!isEdge) expect(blurMm <= lens.circleOfConfusionMm).toBe(isInside);
        for (const edge of [found.lowDeg, found.highDeg])
          if (edge > 1e-9 && edge < ring.throwDeg - 1e-9) {
            const edgeMm = blurDiameterMm({ ...lens, focusDistanceMm: ring.distanceAt(edge), subjectDistanceMm: distanceMm });
            expect(edgeMm / lens.circleOfConfusionMm).toBeCloseTo(1, 5);
          }
      }),
      { seed: 51, numRuns: caseCount(400) },
    );
  });

  test('at infinity it begins at the end of the ring; nearer than the lens focuses there may be none', () => {
    const lens = { focalLengthMm: 50, fNumber: 2, circleOfConfusionMm: 0.02 };
    const ring = lensRing({ kind: 'helicoid', focalLengthMm: 50, focusThrowDeg: 270, closeFocusMm: 1500 });
    const endless = sharpWindow(lens, ring, Infinity)!;
    expect(endless.lowDeg).toBe(0);
    const edge = ring.distanceAt(endless.highDeg);
    expect(blurDiameterMm({ ...lens, focusDistanceMm: edge, subjectDistanceMm: Infinity })).toBeCloseTo(0.02, 9);
    expect(sharpWindow(lens, ring, 600)).toBeNull();
    expect(sharpWindow(lens, ring, 1490)).toMatchObject({ highDeg: 270 });
    const table = lensRing({
      kind: 'table',
      points: [
        { distanceMm: 4000, ringDeg: 90 },
        { distanceMm: 1000, ringDeg: 0 },
      ],
    });
    expect(sharpWindow(lens, table, 9000)).toBeNull();
  });
});

describe('the tube of a plan', () => {
  test('is as wide as the ring where nothing must be sharp, and otherwise the window of the subject that must', () => {
    const plan = twoPeople();
    const { lowDeg, highDeg, required } = tubeOf(plan);
    const ring = ringOf(plan.optics.lens);
    expect(required).toHaveLength(240);
    const [first, second] = plan.beats;
    expect([...required].filter((flag) => flag === 0)).toHaveLength(Math.ceil(second!.fromS * 24 - 1e-6) - first!.toS * 24);
    expect([lowDeg[100], highDeg[100]]).toEqual([0, ring.throwDeg]);
    const tam = sharpWindow(zoneLensAt(plan.optics, 0), ring, 2900)!;
    expect([lowDeg[0], highDeg[0]]).toEqual([tam.lowDeg, tam.highDeg]);
  });

  test('two who must be sharp at once share what is left, which may be nothing; a stop that is turned narrows it', () => {
    const both = { ...twoPeople(), beats: twoPeople().beats.map((beat) => ({ ...beat, fromS: 0, toS: 10 })) };
    const wide = tubeOf(setStop(both, 2));
    expect(wide.lowDeg[0]).toBeGreaterThan(wide.highDeg[0]!);
    const deep = tubeOf(setStop(both, 22));
    expect(deep.lowDeg[0]).toBeLessThan(deep.highDeg[0]!);
    const turned = tubeOf(addOpticsChange(twoPeople(), 'irisPulls', 0, 2.2));
    expect(turned.highDeg[60]! - turned.lowDeg[60]!).toBeLessThan(turned.highDeg[0]! - turned.lowDeg[0]!);
  });

  test('someone who walks is followed frame by frame', () => {
    const { lowDeg, required } = tubeOf(addStay(twoPeople(), 'subject-2', { distanceMm: 1200, fromS: 8 }));
    expect(required[150]).toBe(1);
    for (let frame = 150; frame < 190; frame++) expect(lowDeg[frame]!).toBeGreaterThanOrEqual(lowDeg[frame - 1]!);
  });
});

describe('fewest holds', () => {
  test('the worked example, and tubes without frames or without need', () => {
    const tube = { lowDeg: [10, 12, 30], highDeg: [20, 18, 40], required: [1, 1, 1] };
    expect(fewestHolds(tube)).toEqual([
      { fromFrame: 0, toFrame: 2, ringDeg: 15 },
      { fromFrame: 2, toFrame: 3, ringDeg: 35 },
    ]);
    expect(fewestHolds({ lowDeg: [], highDeg: [], required: [] })).toEqual([]);
    expect(fewestHolds({ ...tube, required: [0, 0, 0] })).toEqual([{ fromFrame: 0, toFrame: 3, ringDeg: 0 }]);
    expect(fewestHolds({ ...tube, required: [1, 0, 0] })).toEqual([{ fromFrame: 0, toFrame: 3, ringDeg: 15 }]);
  });

  test('never more than any other way to do it, and every required frame lies inside', () => {
    const rows = fc.array(
      fc.record({ low: fc.integer({ min: 0, max: 9 }), width: fc.integer({ min: 0, max: 4 }), required: fc.boolean() }),
      { minLength: 1, maxLength: 9 },
    );
    fc.assert(
      fc.property(rows, (frames) => {
        const tube = {
          lowDeg: frames.map(({ low }) => low),
          highDeg: frames.map(({ low, width }) => low + width),
          required: frames.map(({ required }) => (required ? 1 : 0)),
        };
        const holds = fewestHolds(tube);
        expect(holds.map(({ fromFrame }) => fromFrame)).toEqual([0, ...holds.slice(0, -1).map(({ toFrame }) => toFrame)]);
        for (const { fromFrame, toFrame, ringDeg } of holds)
          for (let frame = fromFrame; frame < toFrame; frame++)
            if (tube.required[frame]) expect(ringDeg >= tube.lowDeg[frame]! && ringDeg <= tube.highDeg[frame]!).toBe(true);
        expect(holds).toHaveLength(fewestByTrying(tube));
      }),
      { seed: 52, numRuns: caseCount(300) },
    );
  });

  test('a frame that nothing fits, and lists that differ, are said', () => {
    expect(() => fewestHolds({ lowDeg: [1, 5], highDeg: [2, 4], required: [1, 1] })).toThrow(
      expect.objectContaining({ code: 'no-room', path: 'tube[1]' }),
    );
    expect(fewestHolds({ lowDeg: [1, 5], highDeg: [2, 4], required: [1, 0] })).toHaveLength(1);
    expect(() => fewestHolds({ lowDeg: [NaN], highDeg: [2], required: [1] })).toThrow(
      expect.objectContaining({ code: 'not-a-number' }),
    );
    expect(() => fewestHolds({ lowDeg: [1], highDeg: [2], required: [1, 1] })).toThrow(
      expect.objectContaining({ code: 'lengths-differ' }),
    );
  });

  test('a minute of four people is held as often as focus goes from one to the next', () => {
    expect(fewestHolds(tubeOf(longShot())).length).toBe(new Set([0, 1, 2, 3, 4, 5, 6]).size);
  });
});

/** The fewest, by trying every angle of a whole number for every run of frames. */
function fewestByTrying({ lowDeg, highDeg, required }: Record<'lowDeg' | 'highDeg' | 'required', number[]>): number {
  const best = [0];
  for (let end = 1; end <= required.length; end++) {
    best[end] = Infinity;
    for (let start = 0; start < end; start++) {
      const fits = Array.from({ length: 14 }, (_, deg) => deg).some((deg) =>
        required.slice(start, end).every((need, k) => !need || (deg >= lowDeg[start + k]! && deg <= highDeg[start + k]!)),
      );
      if (fits) best[end] = Math.min(best[end]!, best[start]! + 1);
    }
  }
  return best[required.length]!;
}
