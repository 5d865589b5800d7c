import { RANDOM_PLANS } from '../../test/randomPlans';
import { longShot } from '../../test/plans';
import { changePull } from '../plan/index';
import { solveTrack } from '../track/index';
import { evaluateFrames, evaluatePull } from './evaluatePull';
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
        expect(evaluateFrames(changed, known).verdict).toEqual(evaluatePull(changed));
        compared++;
      }
    }
  }
  expect(compared).toBeGreaterThan(40);
});
