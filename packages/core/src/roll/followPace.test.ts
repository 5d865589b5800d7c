import { ringOf } from '../kit/index';
import { addStay, addSubject, changeStay, newPlan, setDuration, type ShotPlan } from '../plan/index';
import { planDistances } from '../plan/index';
import { followPaces } from './followPace';
import { rollCues } from './rollCues';

/** Ines walks from 6 m to 2 m between 1 s and 5 s, and the ring goes with her. */
function walking(): ShotPlan {
  let plan = addSubject(setDuration(newPlan(), 8), { name: 'Ines', distanceMm: 6000 });
  plan = addStay(plan, 'subject-1', { distanceMm: 2000, fromS: 5 });
  plan = changeStay(plan, 'subject-1', 'stay-1', { untilS: 1 });
  return { ...plan, focusTrack: { start: { kind: 'subject', subjectId: 'subject-1', leadS: 0 }, pulls: [] } };
}

const plan = walking();
const ring = ringOf(plan.optics.lens);
/** Degrees per second of the ring, from where she is a moment before and after. */
function handSpeed(timeS: number): number {
  const degAt = (atS: number) => ring.angleAt(planDistances(plan).focusMmAt(plan.subjects[0]!, atS));
  return Math.abs(degAt(timeS + 0.01) - degAt(timeS - 0.01)) / 0.02;
}

describe('the pace of a follow', () => {
  const { paceAt, ticks } = followPaces(plan);

  test('is the speed at which her distance turns the ring, and rises as she comes near', () => {
    for (const timeS of [1.5, 2.5, 3.5, 4.2]) {
      expect(paceAt(timeS)!.degPerS / handSpeed(timeS)).toBeCloseTo(1, 1);
      expect(paceAt(timeS)!.way).toBe('nearer');
    }
    expect(paceAt(3.5)!.degPerS).toBeGreaterThan(2 * paceAt(1.5)!.degPerS);
  });

  test('tells the fastest moment that is still to come, and nothing after it or at rest', () => {
    const times = Array.from({ length: 700 }, (_, k) => k / 100);
    const fastestS = times.reduce((best, timeS) => (handSpeed(timeS + 0.02) > handSpeed(best + 0.02) ? timeS : best), 0) + 0.02;
    const { fastest } = paceAt(2)!;
    expect(fastest!.inS).toBeCloseTo(fastestS - 2, 1);
    expect(fastest!.degPerS / handSpeed(fastestS)).toBeCloseTo(1, 1);
    expect(paceAt(fastestS + 0.1)?.fastest ?? null).toBeNull();
    // before she walks the fastest moment is told, and when she stands there is none
    expect(paceAt(0.2)).toMatchObject({ degPerS: 0, fastest: { inS: expect.closeTo(fastestS - 0.2, 1) as number } });
    expect(paceAt(6.5)).toBeNull();
  });

  test('is heard as ticks by the same angle, closest together at the fastest moment', () => {
    const travelDeg = Math.abs(ring.angleAt(6000) - ring.angleAt(2000));
    const gaps = ticks.slice(1).map(({ timeS }, index) => timeS - ticks[index]!.timeS);
    expect(Math.min(...gaps)).toBeGreaterThanOrEqual(1 / 8 - 0.021);
    const fastest = ticks.findIndex(({ share }) => share === Math.max(...ticks.map((one) => one.share)));
    expect(Math.min(...gaps)).toBeCloseTo(gaps[Math.min(fastest, gaps.length - 1)]!, 1);
    const everyDeg = travelDeg / ticks.length;
    expect(everyDeg).toBeGreaterThanOrEqual(2);
    expect(ticks.every(({ timeS, way }) => timeS > 1 && timeS < 5.05 && way === 'nearer')).toBe(true);
    expect(rollCues(plan).filter(({ kind }) => kind === 'tick')).toHaveLength(ticks.length);
  });

  test('where the camera focuses, and where nothing is followed, there is none', () => {
    const automatic = followPaces({ ...plan, method: 'automatic' });
    expect([automatic.ticks, automatic.paceAt(3)]).toEqual([[], null]);
    const fixed = followPaces({ ...plan, focusTrack: { start: { kind: 'mark', markId: 'mark-1' }, pulls: [] } });
    expect([fixed.ticks, fixed.paceAt(3)]).toEqual([[], null]);
    expect(followPaces(newPlan()).ticks).toEqual([]);
  });
});
