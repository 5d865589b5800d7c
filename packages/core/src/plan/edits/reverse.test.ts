import { twoPeople } from '../../../test/plans';
import { RANDOM_PLANS } from '../../../test/randomPlans';
import { addOpticsChange, setLens } from './optics';
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

test('backwards, a pan that began before the shot has only the part within it', () => {
  const plan = setAim(
    startFloor({ ...cases[1]!, floor: null }),
    { kind: 'heading', deg: 30, tiltDeg: null },
    { atS: 2, isNew: true },
  );
  const early = {
    ...plan,
    floor: { ...plan.floor!, aims: plan.floor!.aims.map((aim, at) => (at === 1 ? { ...aim, panS: 5 } : aim)) },
  };
  expect(checkPlan(early)).toEqual([]);
  const back = reversed(early);
  expect(checkPlan(back)).toEqual([]);
  expect(back.floor!.aims[1]).toMatchObject({ timeS: early.durationS, panS: 2 });
});

test('backwards, a lens that is slower at its long end is not opened further than it goes there', () => {
  const zoom = setLens(twoPeople(), { longestMm: 130, widestStop: 2.8, widestStopLong: 4 });
  const start = { ...zoom, optics: { ...zoom.optics, stop: 2.8, focalLengthMm: zoom.optics.lens.focalLengthMm } };
  // zoomed in at 2 s, and stopped down at the long end at 6 s
  const plan = addOpticsChange(addOpticsChange(start, 'zooms', 1, 130), 'irisPulls', 6, 8);
  expect(checkPlan(plan)).toEqual([]);
  const back = reversed(plan);
  expect(checkPlan(back)).toEqual([]);
  expect([back.optics.stop, back.optics.irisPulls[0]!.to]).toEqual([8, 4]);
});

test('an aim that is set before the first one is there at once', () => {
  const plan = startFloor({ ...cases[1]!, floor: null });
  const late = { ...plan, floor: { ...plan.floor!, aims: plan.floor!.aims.map((aim) => ({ ...aim, timeS: 4 })) } };
  const aimed = setAim(late, { kind: 'heading', deg: 30, tiltDeg: null }, { atS: 1, isNew: true });
  expect(aimed.floor!.aims.map(({ timeS, panS }) => [timeS, panS])).toEqual([
    [1, 0],
    [4, 0],
  ]);
  expect(checkPlan(aimed)).toEqual([]);
});
