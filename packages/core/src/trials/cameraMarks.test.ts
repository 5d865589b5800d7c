import {
  changeCameraKey,
  keepRate,
  moveCameraTo,
  setCameraMiss,
  startFloor,
  type ShotPlan,
  STEADY_CAMERA,
  evaluatePull,
} from '../index';
import { errorSources } from './errorSources';
import { addSubject, newPlan } from '../index';

/** One person at 3 m before a camera on the floor, focused on exactly: what the tape and the person add is left out. */
function alone(): ShotPlan {
  const drawn = startFloor(addSubject(newPlan(), { name: 'Ines', distanceMm: 3000 }));
  return {
    ...drawn,
    cameraErrors: STEADY_CAMERA,
    marks: drawn.marks.map((mark) => ({ ...mark, uncertaintyMm: 0 })),
    subjects: drawn.subjects.map((subject) => ({ ...subject, markSigmaMm: 0, timingSigmaS: 0 })),
  };
}

/** Probability that a normal deviate lies between two values. */
function between(low: number, high: number): number {
  const cdf = (x: number) => {
    const steps = 4000;
    let sum = 0;
    for (let k = 0; k < steps; k++) {
      const t = -8 + ((x + 8) * (k + 0.5)) / steps;
      sum += Math.exp((-t * t) / 2);
    }
    return (sum * (x + 8)) / steps / Math.sqrt(2 * Math.PI);
  };
  return cdf(high) - cdf(low);
}

const roomOf = (plan: ShotPlan) => {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error(verdict.status);
  const { track } = verdict;
  return { inFront: track.focusMm[0]! - track.nearMm[0]!, behind: track.farMm[0]! - track.focusMm[0]! };
};

test('an operator who comes back to a start mark misses it: the share of kept takes is the closed form', () => {
  const plan = changeCameraKey(alone(), 'camera-1', { missSigmaMm: 80 });
  const { inFront, behind } = roomOf(plan);
  // a camera too near is a subject too near
  const expected = between(-inFront / 80, behind / 80);
  expect(expected).toBeGreaterThan(0.3);
  expect(expected).toBeLessThan(0.98);
  expect(Math.abs(keepRate(plan, { takes: 20_000, seed: 3 }).keepRate - expected)).toBeLessThan(0.01);
  expect(keepRate(alone(), { takes: 400, seed: 3 }).keepRate).toBe(1);
});

/** The camera pushes in by 1 m from 2 s to 6 s; she must be sharp in the last second, with focus set for that. */
function pushIn(): ShotPlan {
  const moved = changeCameraKey(
    moveCameraTo(moveCameraTo(alone(), { xMm: 0, yMm: 0 }, 2), { xMm: 1000, yMm: 0 }, 6),
    'camera-2',
    {},
  );
  return {
    ...moved,
    beats: moved.beats.map((beat) => ({ ...beat, fromS: 8, toS: 10 })),
    focusTrack: { start: { kind: 'distance', distanceMm: 2000 }, pulls: [] },
  };
}

test('a taped end mark has a miss of its own, whatever the support would have', () => {
  const plan = changeCameraKey(pushIn(), 'camera-3', { missSigmaMm: 40 });
  const { inFront, behind } = roomOf(plan);
  const expected = between(-behind / 40, inFront / 40);
  expect(Math.abs(keepRate(plan, { takes: 20_000, seed: 5 }).keepRate - expected)).toBeLessThan(0.01);
  // the miss of the start is over when the end is reached
  const atStart = changeCameraKey(plan, 'camera-1', { missSigmaMm: 500 });
  expect(Math.abs(keepRate(atStart, { takes: 20_000, seed: 5 }).keepRate - expected)).toBeLessThan(0.012);
  expect(keepRate(pushIn(), { takes: 400, seed: 5 }).keepRate).toBe(1);
});

test('the miss is one of the errors of the shot, typed and not assumed', () => {
  const plan = changeCameraKey(pushIn(), 'camera-3', { missSigmaMm: 40 });
  expect(errorSources(plan)).toContainEqual({ source: { kind: 'camera-stop' }, sigma: 40, unit: 'mm', isAssumed: false });
  // typed among the errors, it is typed at its place
  expect(errorSources(setCameraMiss(plan, 20))).toContainEqual(expect.objectContaining({ sigma: 20 }));
  expect(setCameraMiss(plan, 20).floor!.camera.map(({ missSigmaMm }) => missSigmaMm)).toEqual([null, null, 20]);
  expect(errorSources(alone()).some(({ source }) => source.kind === 'camera-stop')).toBe(false);
});
