import { isDeepStrictEqual } from 'node:util';
import { RANDOM_PLANS } from '../../test/randomPlans';
import { longShot } from '../../test/plans';
import { changePull } from '../plan/index';
import { solveTrack } from '../track/index';
import { evaluateFrames, evaluatePull, evaluateResult } from './evaluatePull';
import { knownOutside } from './fixes/fix';
import { spanOf } from './fixes/pullFixes';

test('a plan whose pull has moved is judged from the frames of the plan before exactly as from the beginning', () => {
  let compared = 0;
  const solved = RANDOM_PLANS.slice(0, 20).flatMap((plan) => solveTrack(plan, 'fewest-holds')?.plan ?? []);
  for (const plan of [...solved, longShot()]) {
    const { verdict, track } = evaluateFrames(plan);
    if (verdict.status !== 'judged' || !track) continue;
    for (const pull of plan.focusTrack.pulls) {
      const known = knownOutside({ plan, verdict, track }, ...spanOf(plan, pull));
      for (const changes of [
        { startS: pull.startS - 0.4 },
        { startS: pull.startS + 0.7 },
        { durationS: pull.durationS * 1.5 },
        { easing: 'steady' as const },
      ]) {
        const changed = changePull(plan, pull.id, changes);
        // whole arrays: Jest’s own comparison takes ten times as long
        expect(isDeepStrictEqual(evaluateFrames(changed, known).verdict, evaluatePull(changed))).toBe(true);
        compared++;
      }
    }
  }
  expect(compared).toBeGreaterThan(40);
});

test('the result alone is that of the whole verdict', () => {
  for (const plan of [...RANDOM_PLANS.slice(0, 40), longShot()]) {
    const verdict = evaluatePull(plan);
    const result = evaluateResult(plan);
    if (verdict.status === 'judged') expect(verdict).toMatchObject(result!);
    else expect(result).toBeNull();
  }
});

test('a verdict belongs to its caller: one whose arrays were handed to another thread leaves the next one whole', () => {
  const plan = longShot();
  const [first, expected] = [evaluatePull(plan), structuredClone(evaluatePull(plan))];
  if (first.status !== 'judged') throw new Error('the plan is complete');
  const arrays = [first.track.timesS, ...first.subjects.map(({ distanceMm }) => distanceMm)];
  structuredClone(first, { transfer: [...new Set(arrays.map(({ buffer }) => buffer as ArrayBuffer))] });
  expect(first.subjects[0]!.distanceMm).toHaveLength(0);
  expect(evaluatePull(plan)).toEqual(expected);
  // the same people and marks at another rate are other frames
  const slow = evaluatePull({ ...plan, captureFps: 12 });
  if (slow.status !== 'judged') throw new Error('the plan is complete');
  expect(slow.subjects[0]!.distanceMm).toHaveLength(slow.frameCount);
});
