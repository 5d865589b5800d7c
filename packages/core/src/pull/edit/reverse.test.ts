import { RANDOM_PLANS } from '../../../test/randomPlans';
import {
  addOpticsMove,
  addRack,
  changeBeat,
  changeCameraKey,
  changeRack,
  checkPlan,
  layLine,
  moveCameraTo,
  planDistances,
  reversed,
  setAim,
  type ShotPlan,
  startFloor,
} from '../index';
import { focusLine } from '../focusLine';
import { ringOf } from '../../kit/index';

/** To the last digits: a time mirrored twice is rounded twice. */
const rounded = (plan: ShotPlan): unknown =>
  JSON.parse(JSON.stringify(plan, (_, value: unknown) => (typeof value === 'number' ? Number(value.toFixed(6)) : value)));

const cases = RANDOM_PLANS.slice(0, 40).map((plan, index): ShotPlan => {
  const laid = layLine(plan, index % 2 === 0 ? 'fewest-holds' : 'follow')?.plan ?? plan;
  const drawn =
    index % 4 === 0 ? setAim(moveCameraTo(startFloor(laid), { xMm: -900, yMm: 300 }, 7), { kind: 'heading', deg: 20 }, 5) : laid;
  return addOpticsMove(drawn, 'stopPulls', 3, 8);
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
    const [lineBack, line] = [focusLine(back, ring)!, focusLine(plan, ring)!];
    for (const timeS of [0.5, 3.3, 7.1, 11]) {
      for (const subject of plan.subjects) {
        const mirrored = back.subjects.find(({ id }) => id === subject.id)!;
        expect(there.focusMmAt(mirrored, 12 - timeS)).toBeCloseTo(here.focusMmAt(subject, timeS), 3);
      }
      // with the camera on its way a mark is read elsewhere
      if (plan.floor === null) expect(lineBack.ringDegAt(12 - timeS)).toBeCloseTo(line.ringDegAt(timeS), 6);
    }
  }
});

test('a key moment stays the frame it is, a move eased in is eased out, someone led is lagged behind', () => {
  const plan = changeBeat(
    cases.find(({ beats }) => beats.length > 0)!,
    'beat-1',
    {},
  );
  const keyed = changeBeat({ ...plan, floor: null }, 'beat-1', { keyS: plan.beats[0]!.fromS + 1 / plan.captureFps });
  const { keyS, fromS, toS } = reversed(keyed).beats[0]!;
  expect(keyS).toBeGreaterThanOrEqual(fromS);
  expect(keyS).toBeLessThanOrEqual(toS);
  const moved = changeRack(addRack({ ...keyed, line: { ...keyed.line, moves: [] } }, 'mark-1', 2), 'rack-1', {
    easing: 'ease-in',
    target: { kind: 'subject', subjectId: 'subject-1', leadS: 0.3 },
  });
  const back = reversed(moved);
  expect(back.line.start).toEqual({ kind: 'subject', subjectId: 'subject-1', leadS: -0.3 });
  expect(back.line.moves[0]!.easing).toBe('ease-out');
  expect(changeCameraKey(back, 'nobody', {})).toBe(back);
});
