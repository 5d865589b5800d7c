import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { lensRing, ringOf, withinReach } from '../kit/index';
import { depthOfField } from '../optics/index';
import { changeMark, changePull, newPlan, planCircleMm, type ShotPlan, zoneLensAt } from '../plan/index';
import { gradePull, handTimeS, landingWindow, pullDifficultyBits } from '../hand/index';
import { focusTrack } from './focusTrack';
import { caseCount } from '../../test/caseCount';

const plan = twoPeople();
const ring = ringOf(plan.optics.lens);

describe('the focus line', () => {
  test('holds, turns with minimum jerk in ring angle, holds', () => {
    const track = focusTrack(plan, ring)!;
    const [from, to] = [ring.angleAt(2900), ring.angleAt(2050)];
    for (const [timeS, share] of [
      [0, 0],
      [3.999, 0],
      [4.5, 0.5],
      [4.25, 0.103515625],
      [5, 1],
      [10, 1],
    ] as const) {
      expect(track.ringDegAt(timeS)).toBeCloseTo(from + (to - from) * share, 9);
    }
    expect(track.pulls[0]).toMatchObject({
      pullId: 'pull-1',
      startS: 4,
      endS: 5,
      from: { requestedMm: 2900 },
      to: { requestedMm: 2050, reachable: true },
    });
  });

  test('is none without a start', () => {
    expect(focusTrack(newPlan(), ring)).toBeNull();
  });

  test('goes as far as the ring does, and says that it is not far enough', () => {
    const close = focusTrack(changeMark(plan, 'mark-2', { distanceMm: 300 }), ring)!;
    expect(close.pulls[0]!.to).toMatchObject({ requestedMm: 300, distanceMm: 650, reachable: false });
    const short = lensRing({
      kind: 'table',
      points: [1000, 2000, 4000].map((distanceMm, k) => ({ distanceMm, ringDeg: 100 - 40 * k })),
    });
    const far = focusTrack(changeMark(plan, 'mark-2', { distanceMm: null }), short)!;
    expect(far.pulls[0]!.to).toMatchObject({ requestedMm: Infinity, distanceMm: 4000, reachable: false });
  });

  test('a target of its own distance needs no mark', () => {
    const split = changePull(plan, 'pull-1', { target: { kind: 'distance', distanceMm: 2400 } });
    expect(focusTrack(split, ring)!.ringDegAt(6)).toBeCloseTo(ring.angleAt(2400), 9);
  });

  test('never jumps: between two frames it turns no more than its peak speed allows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 8, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        (startS, durationS) => {
          const moved = changePull(plan, 'pull-1', { startS, durationS });
          const track = focusTrack(moved, ring)!;
          const { startS: from, endS } = track.pulls[0]!;
          const travel = Math.abs(ring.angleAt(2050) - ring.angleAt(2900));
          const most = (1.875 * travel) / (endS - from) / 48;
          const turns = Array.from({ length: 479 }, (_, k) => track.ringDegAt((k + 1) / 48) - track.ringDegAt(k / 48));
          expect(Math.max(...turns.map(Math.abs))).toBeLessThanOrEqual(most * (1 + 1e-9));
        },
      ),
      { seed: 21, numRuns: caseCount(40) },
    );
  });
});

describe('the window at a landing', () => {
  test('is the ring angles of the zone’s limits, lopsided, kept on the ring', () => {
    const zone = depthOfField({
      focalLengthMm: 65,
      fNumber: 3.2 * Math.sqrt(0.85),
      circleOfConfusionMm: planCircleMm(plan.optics),
      focusDistanceMm: 2050,
    });
    const window = landingWindow(zoneLensAt(plan.optics, 0), ring, 2050);
    expect(window.nearSideDeg).toBeCloseTo(ring.angleAt(zone.nearMm) - ring.angleAt(2050), 9);
    expect(window.farSideDeg).toBeCloseTo(ring.angleAt(zone.farMm) - ring.angleAt(2050), 9);
    expect(window.widthDeg).toBeCloseTo(window.nearSideDeg - window.farSideDeg, 9);
    expect(landingWindow(zoneLensAt(plan.optics, 0), ring, Infinity).farSideDeg).toBe(0);
    expect(landingWindow(zoneLensAt(plan.optics, 0), ring, 650).nearSideDeg).toBe(0);
  });

  test('what the ring reaches', () => {
    expect([withinReach(ring, 100), withinReach(ring, 2000), withinReach(ring, Infinity)]).toEqual([650, 2000, Infinity]);
  });
});

describe('how a turn sits with a hand', () => {
  test('a wider window and a shorter way are easier', () => {
    expect(pullDifficultyBits(79.95, 31.79)).toBeCloseTo(1.8135, 4);
    expect(pullDifficultyBits(40, 5)).toBeGreaterThan(pullDifficultyBits(40, 10));
    expect(pullDifficultyBits(80, 5)).toBeGreaterThan(pullDifficultyBits(40, 5));
    expect(handTimeS(0)).toBe(0.15);
    expect(handTimeS(2, { reactionS: 0.1, perBitS: 0.1 })).toBeCloseTo(0.3, 12);
    expect(() => pullDifficultyBits(10, 0)).toThrow(expect.objectContaining({ code: 'out-of-range', path: 'windowDeg' }));
    expect(() => pullDifficultyBits(-1, 5)).toThrow(expect.objectContaining({ path: 'travelDeg' }));
  });

  test.each([
    [2, 1, 'comfortable'],
    [1.4, 1, 'workable'],
    [1, 1, 'tight'],
    [0.99, 1, 'too-hard'],
  ] as const)('%d s for %d s needed: %s', (available, needed, grade) => expect(gradePull(available, needed)).toBe(grade));
});

test('how sharp is sharp, by each standard, for the plan’s camera', () => {
  const withStandard = (sharpness: ShotPlan['optics']['sharpness']) => planCircleMm({ ...plan.optics, sharpness });
  expect(withStandard({ kind: 'diagonal', divisor: 1500 })).toBeCloseTo(Math.hypot(24.9, 14) / 1500, 12);
  expect(withStandard({ kind: 'photosite', count: 2 })).toBeCloseTo((2 * 24.9) / 4608, 12);
  expect(withStandard({ kind: 'viewer', viewingDistancePictureHeights: 3 })).toBeCloseTo(14 * 3 * Math.tan(Math.PI / 10800), 12);
});
