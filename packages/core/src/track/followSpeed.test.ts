import {
  addStay,
  addSubject,
  addSubjectAt,
  changeCameraKey,
  chooseWheel,
  moveCameraTo,
  newPlan,
  type ShotPlan,
} from '../plan/index';
import { defaultWheel, ringOf } from '../kit/index';
import { followSpeed } from './followSpeed';

/** The camera goes evenly from 10 m to 6 m before Ines, in 4 s. */
function steadyApproach(): ShotPlan {
  const plan = moveCameraTo(addSubjectAt(newPlan(), 'Ines', { xMm: 10_000, yMm: 0 }), { xMm: 4000, yMm: 0 }, 4);
  return changeCameraKey(plan, 'camera-2', { pace: 'steady' });
}
const speedAt = (plan: ShotPlan, timeS: number) => followSpeed(plan, plan.subjects[0]!, timeS);

test('a steady approach is followed at its own pace, by as many degrees as the ring has there', () => {
  const plan = steadyApproach();
  const { mmPerS, maxHandDegPerS } = speedAt(plan, 2)!;
  expect(mmPerS).toBeCloseTo(-1000, 6);
  const ring = ringOf(plan.optics.lens);
  expect(maxHandDegPerS).toBeCloseTo((ring.angleAt(7900) - ring.angleAt(8100)) / 0.2, 6);
  expect(speedAt(plan, 0)!.mmPerS).toBeCloseTo(-1000, 6);
  expect(speedAt(plan, 8)).toEqual({ mmPerS: 0, maxHandDegPerS: 0 });
});

test('a gear of two makes the hand turn twice as fast', () => {
  const plan = steadyApproach();
  const geared = chooseWheel(plan, 'wheel-1', defaultWheel({ name: 'Hand wheel', wheelPerRing: 2 }));
  expect(Math.abs(speedAt(geared, 2)!.maxHandDegPerS)).toBeCloseTo(2 * Math.abs(speedAt(plan, 2)!.maxHandDegPerS), 9);
});

test('to and from infinity there is nothing to follow; nearer than the ring goes it stands at its end', () => {
  const ferry = addStay(addSubject(newPlan(), { name: 'River ferry', distanceMm: null }), 'subject-1', {
    distanceMm: 3000,
    fromS: 6,
  });
  expect(speedAt(ferry, 1)).toBeNull();
  expect(speedAt(ferry, 6)).toBeNull();
  expect(speedAt(ferry, 9)).toEqual({ mmPerS: 0, maxHandDegPerS: 0 });
  const close = moveCameraTo(addSubjectAt(newPlan(), 'Ines', { xMm: 200, yMm: 0 }), { xMm: 100, yMm: 0 }, 4);
  expect(speedAt(close, 2)!.mmPerS).toBeLessThan(0);
  expect(speedAt(close, 2)!.maxHandDegPerS).toBe(0);
});
