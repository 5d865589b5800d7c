import fc from 'fast-check';
import { blockingDistance, type Vec3 } from './blockingDistance';
import { distanceAtTime, isWalking, type Subject } from './subject';
import { minimumJerk } from './minimumJerk';

const point = fc.tuple(
  ...(Array.from({ length: 3 }, () => fc.integer({ min: -9000, max: 9000 })) as [
    fc.Arbitrary<number>,
    fc.Arbitrary<number>,
    fc.Arbitrary<number>,
  ]),
);

describe('tape and depth', () => {
  test('the worked example', () => {
    expect(blockingDistance({ camera: [0, 0, 0], aimAt: [1000, 0, 0], subject: [3000, 4000, 0] })).toEqual({
      tapeMm: 5000,
      depthMm: 3000,
    });
  });

  test('aimed at the subject they are the same; otherwise depth is less', () => {
    fc.assert(
      fc.property(point, point, point, (camera: Vec3, aimAt: Vec3, subject: Vec3) => {
        fc.pre(Math.hypot(aimAt[0] - camera[0], aimAt[1] - camera[1], aimAt[2] - camera[2]) > 1);
        const { tapeMm, depthMm } = blockingDistance({ camera, aimAt, subject });
        expect(Math.abs(depthMm)).toBeLessThanOrEqual(tapeMm * (1 + 1e-12) + 1e-9);
        if (tapeMm < 1) return;
        const aimed = blockingDistance({ camera, aimAt: subject, subject });
        expect(aimed.depthMm).toBeCloseTo(aimed.tapeMm, 6);
      }),
      { seed: 6 },
    );
  });

  test('no direction, or a point that is none', () => {
    expect(() => blockingDistance({ camera: [1, 2, 3], aimAt: [1, 2, 3], subject: [0, 0, 0] })).toThrow(
      expect.objectContaining({ code: 'no-direction', path: 'aimAt' }),
    );
    expect(() => blockingDistance({ camera: [0, 0, 0], aimAt: [1, 0, 0], subject: [NaN, 0, 0] })).toThrow(
      expect.objectContaining({ code: 'not-a-number', path: 'subject' }),
    );
  });
});

describe('minimum jerk', () => {
  test('starts and lands at rest, half-way at half time, and mirrors itself', () => {
    expect([minimumJerk(-1), minimumJerk(0), minimumJerk(0.5), minimumJerk(1), minimumJerk(2)]).toEqual([0, 0, 0.5, 1, 1]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (t) => Math.abs(minimumJerk(t) + minimumJerk(1 - t) - 1) < 1e-12),
    );
    expect(() => minimumJerk(NaN)).toThrow(expect.objectContaining({ code: 'not-a-number' }));
  });
});

describe('a subject over time', () => {
  const distances = new Map([
    ['far', 4200],
    ['near', 2050],
  ]);
  const walker: Subject = {
    id: 's',
    kind: 'person',
    name: 'Ines',
    detail: 'near eye',
    heightMm: 1620,
    widthMm: 450,
    tallMm: 1730,
    markSigmaMm: 0,
    timingSigmaS: 0,
    stays: [
      { id: '1', markId: 'far', fromS: 1, untilS: 2, pace: 'eased' },
      { id: '2', markId: 'near', fromS: 5, untilS: 8, pace: 'eased' },
    ],
  };
  const at = (timeS: number) => distanceAtTime(walker, distances, timeS);

  test('stands before the first stay, at it, walks, and stands after the last', () => {
    expect([at(0), at(1.5), at(2), at(5), at(6), at(60)]).toEqual([4200, 4200, 4200, 2050, 2050, 2050]);
    expect(at(3.5)).toBeCloseTo((4200 + 2050) / 2, 9);
    expect(at(2.5)).toBeGreaterThan(at(3));
  });

  test('at a steady pace half the time is half the way, and so is a quarter', () => {
    const [first, second] = walker.stays;
    const steady: Subject = { ...walker, stays: [first!, { ...second!, pace: 'steady' }] };
    const gone = [2.75, 3.5, 4.25].map((timeS) => (4200 - distanceAtTime(steady, distances, timeS)) / (4200 - 2050));
    expect(gone.map((share) => Number(share.toFixed(9)))).toEqual([0.25, 0.5, 0.75]);
  });

  test('walking is said of the walk alone', () => {
    expect([1.5, 2.5, 4.9, 5, 9].map((timeS) => isWalking(walker, distances, timeS))).toEqual([false, true, true, false, false]);
    const sideways = new Map([...distances, ['near', 4200] as const]);
    expect(isWalking(walker, sideways, 3)).toBe(false);
  });

  test('nobody is nowhere: a missing sample', () => {
    expect(distanceAtTime({ ...walker, stays: [] }, distances, 1)).toBeNaN();
  });

  test('a hurried cut from one mark to the next jumps', () => {
    const cut: Subject = { ...walker, stays: [{ ...walker.stays[0]!, untilS: 5 }, walker.stays[1]!] };
    expect([distanceAtTime(cut, distances, 4.99), distanceAtTime(cut, distances, 5)]).toEqual([4200, 2050]);
  });
});
