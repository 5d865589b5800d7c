import { RANDOM_PLANS } from '../../../test/randomPlans';
import { addOpticsChange } from './optics';
import { addPull, changePull } from './pulls';
import { changeBeat } from './beats';
import { changeCameraKey, moveCameraTo, setAim } from './cameraPath';
import { checkPlan } from '../checkPlan';
import { focusTrack, solveTrack } from '../../track/index';
import { ringOf } from '../../kit/index';
import { planDistances } from '../planDistances';
import { reversed } from './reverse';
import type { ShotPlan } from '../shotPlan';
import { startFloor } from './floor';

/** To the last digits: a time mirrored twice is rounded twice. */
const rounded = (plan: ShotPlan): unknown =>
  JSON.parse(JSON.stringify(plan, (_, value: unknown) => (typeof value === 'number' ? Number(value.toFixed(6)) : value)));

const cases = RANDOM_PLANS.slice(0, 40).map((plan, index): ShotPlan => {
  const laid = solveTrack(plan, index % 2 === 0 ? 'fewest-holds' : 'follow')?.plan ?? plan;
  const drawn =
    index % 4 === 0
      ? setAim(
          moveCameraTo(startFloor(laid), { xMm: -900, yMm: 300 }, 7),
          { kind: 'heading', deg: 20, tiltDeg: null },
          { atS: 5 },
        )
      : laid;
  return addOpticsChange(drawn, 'irisPulls', 3, 8);
});

test('backwards and backwards again is the shot it was, and can be saved on the way', () => {
  for (const plan of cases) {
    const back = reversed(plan);
    expect(back.isReversed).toBe(true);
    expect(checkPlan(back)).toEqual([]);
    expect(rounded(reversed(back))).toEqual(rounded(plan));
  }
});

test('everyone is where they were at the mirrored time, and so is the ring', () => {
  for (const plan of cases) {
    const back = reversed(plan);
    const [there, here] = [planDistances(back), planDistances(plan)];
    const ring = ringOf(plan.optics.lens);
    const [lineBack, track] = [focusTrack(back, ring)!, focusTrack(plan, ring)!];
    for (const timeS of [0.5, 3.3, 7.1, 11]) {
      for (const subject of plan.subjects) {
        const mirrored = back.subjects.find(({ id }) => id === subject.id)!;
        expect(there.focusMmAt(mirrored, 12 - timeS)).toBeCloseTo(here.focusMmAt(subject, timeS), 3);
      }
      // with the camera on its way a mark is read elsewhere
      if (plan.floor === null) expect(lineBack.ringDegAt(12 - timeS)).toBeCloseTo(track.ringDegAt(timeS), 6);
    }
  }
});

test('a key moment stays the frame it is, a move eased in is eased out, someone led is lagged behind', () => {
  const plan = changeBeat(
    cases.find(({ beats }) => beats.length > 0)!,
    'beat-1',
    {},
  );
  const keyed = changeBeat({ ...plan, floor: null }, 'beat-1', { keyMomentS: plan.beats[0]!.fromS + 1 / plan.captureFps });
  const { keyMomentS, fromS, toS } = reversed(keyed).beats[0]!;
  expect(keyMomentS).toBeGreaterThanOrEqual(fromS);
  expect(keyMomentS).toBeLessThanOrEqual(toS);
  const moved = changePull(addPull({ ...keyed, focusTrack: { ...keyed.focusTrack, pulls: [] } }, 'mark-1', 2), 'pull-1', {
    easing: 'ease-in',
    target: { kind: 'subject', subjectId: 'subject-1', leadS: 0.3 },
  });
  const back = reversed(moved);
  expect(back.focusTrack.start).toEqual({ kind: 'subject', subjectId: 'subject-1', leadS: -0.3 });
  expect(back.focusTrack.pulls[0]!.easing).toBe('ease-out');
  expect(changeCameraKey(back, 'nobody', {})).toBe(back);
});
