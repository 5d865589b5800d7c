import {
  addLightReading,
  changeLightReading,
  exposureSpans,
  followLight,
  idleLightReadings,
  lightSpans,
  meteredStopAt,
  missingStopsAt,
  planNotes,
  rebalance,
  removeLightReading,
  removeMark,
  reversed,
  setDuration,
  setExposure,
  setStop,
  type ShotPlan,
  splitShot,
  stopAt,
  zoneLensAt,
} from '../index';
import { caseCount } from '../../test/caseCount';
import { numbersFrom } from '../../test/randomPlans';
import { twoPeople } from '../../test/plans';

/** Metered at T4 at the start and T11 at 8 s: she walks out of a dark door into the yard in 4 s. 10 s long, shot at T4. */
function outOfTheDoor(): ShotPlan {
  const dark = setExposure(setStop(twoPeople(), 4), { meteredStop: 4, toleranceStops: 0.35 });
  const still = addLightReading(dark, { kind: 'time', timeS: 3 }, 4);
  return addLightReading(still, { kind: 'time', timeS: 7 }, 11);
}

const stopsOff = (plan: ShotPlan, timeS: number) => missingStopsAt(plan, lightSpans(plan), timeS);
const worstOff = (plan: ShotPlan) => {
  const off = Array.from({ length: 241 }, (_, k) => Math.abs(stopsOff(plan, (k / 240) * plan.durationS)));
  return Math.max(...off);
};

test('a fixed iris is too bright outside: from when, and by how much', () => {
  const plan = outOfTheDoor();
  // 2 log2(11/4) = 2.92 stops of change in 4 s: a third of a stop is passed 0.48 s after it begins
  expect(stopsOff(plan, 2)).toBe(0);
  expect(stopsOff(plan, 5)).toBeCloseTo(-1.459, 3);
  expect(stopsOff(plan, 9)).toBeCloseTo(-2.919, 3);
  const spans = exposureSpans(plan);
  expect(spans).toHaveLength(1);
  expect(spans[0]).toMatchObject({ isDark: false, toS: 10 });
  expect(spans[0]!.fromS).toBeCloseTo(3.48, 1);
  expect(spans[0]!.stops).toBeCloseTo(2.919, 3);
  expect(planNotes(plan, { shutterAngleDeg: 180 })).toContainEqual(
    expect.objectContaining({ code: 'exposure-off', kind: 'warning', times: 1 }),
  );
});

test('the iris follows the light with one pull, the exposure holds, and the zone grows with it', () => {
  const plan = followLight(outOfTheDoor());
  expect(plan.optics.irisPulls).toMatchObject([{ startS: 2, durationS: 6, to: expect.closeTo(11, 6) as number }]);
  expect(worstOff(plan)).toBeLessThan(0.13);
  expect(exposureSpans(plan)).toEqual([]);
  expect(stopAt(plan.optics, 10)).toBeCloseTo(11, 6);
  expect(zoneLensAt(plan.optics, 10).fNumber / zoneLensAt(plan.optics, 0).fNumber).toBeCloseTo(11 / 4, 6);
});

test('without room around it the light is followed in as many pulls as the tolerance asks for', () => {
  const dark = setExposure(setStop(twoPeople(), 2.8), { meteredStop: 2.8, toleranceStops: 0.2 });
  const plan = followLight(addLightReading(dark, { kind: 'time', timeS: 10 }, 11));
  expect(plan.optics.irisPulls).toHaveLength(3);
  expect(worstOff(plan)).toBeLessThanOrEqual(0.2);
});

test('a picture that is kept a stop under at the start stays a stop under', () => {
  const plan = followLight(setStop(outOfTheDoor(), 5.6));
  expect(stopsOff(plan, 0)).toBeCloseTo(2 * Math.log2(5.6 / 4), 6);
  expect(stopsOff(plan, 9)).toBeCloseTo(2 * Math.log2(5.6 / 4), 6);
});

test('what the lens can’t open or close is said, and nothing else is set', () => {
  const dim = addLightReading(setExposure(setStop(twoPeople(), 4), { meteredStop: 4 }), { kind: 'time', timeS: 8 }, 1.4);
  const plan = followLight(dim);
  expect(plan.optics.irisPulls.at(-1)!.to).toBe(plan.optics.lens.widestStop);
  const [span] = exposureSpans(plan);
  expect(span).toMatchObject({ isDark: true });
  expect(span!.stops).toBeCloseTo(2 * Math.log2(2.2 / 1.4), 3);
});

test('read at a mark, the light holds while its subject stands there', () => {
  const { marks, subjects } = twoPeople();
  const stay = subjects[0]!.stays[0]!;
  expect(marks.find(({ id }) => id === stay.markId)!.letter).toBe('A');
  const plan = addLightReading(twoPeople(), { kind: 'mark', markId: stay.markId }, 5.6);
  // she stands there the whole time
  expect(lightSpans(plan)).toEqual([{ fromS: 0, untilS: 10, meteredStop: 5.6 }]);
  const bare = { ...plan, subjects: [] };
  expect(idleLightReadings(bare)).toHaveLength(1);
  expect(planNotes(bare, { shutterAngleDeg: 180 })).toContainEqual({ code: 'light-idle', kind: 'warning', letters: ['A'] });
  expect(removeMark(plan, stay.markId).exposure.lightReadings).toEqual([]);
});

test('readings are changed, removed, shortened with the shot, and change with the settings', () => {
  const plan = outOfTheDoor();
  const moved = changeLightReading(plan, 'light-2', { at: { kind: 'time', timeS: 99 } });
  expect(moved.exposure.lightReadings[1]!.at).toEqual({ kind: 'time', timeS: 10 });
  expect(removeLightReading(plan, 'light-1').exposure.lightReadings).toHaveLength(1);
  expect(setDuration(plan, 8.5).exposure.lightReadings).toHaveLength(2);
  // twice the ISO is one stop
  const faster = rebalance(plan, { iso: 1600 }, 4 * Math.SQRT2);
  expect(faster.exposure.lightReadings.map(({ meteredStop }) => meteredStop)).toEqual([4 * Math.SQRT2, 11 * Math.SQRT2]);
});

test('played backwards the light is the other way round, and twice backwards it is as it was', () => {
  const plan = outOfTheDoor();
  const back = reversed(plan);
  const there = lightSpans(plan);
  const around = lightSpans(back);
  for (const timeS of [0, 2, 4, 5, 6.5, 8, 10])
    expect(meteredStopAt(around, 10 - timeS)).toBeCloseTo(meteredStopAt(there, timeS)!, 9);
  const again = lightSpans(reversed(back));
  for (const timeS of [0, 2, 5, 9]) expect(meteredStopAt(again, timeS)).toBeCloseTo(meteredStopAt(there, timeS)!, 9);
});

test('cut in two, each half has its light', () => {
  const still = { ...outOfTheDoor(), focusTrack: { start: null, pulls: [] }, beats: [] };
  const halves = splitShot(still, 5);
  const there = lightSpans(still);
  const [first, second] = halves!.map((half) => lightSpans(half));
  for (const timeS of [0, 2, 4, 4.9]) expect(meteredStopAt(first!, timeS)).toBeCloseTo(meteredStopAt(there, timeS)!, 9);
  for (const timeS of [0, 1, 2, 4]) expect(meteredStopAt(second!, timeS)).toBeCloseTo(meteredStopAt(there, 5 + timeS)!, 9);
});

test('followed from any readings, the light between them is met within the tolerance if the lens can', () => {
  const next = numbersFrom(18);
  for (let k = 0; k < caseCount(40); k++) {
    const metered = () => 3.2 * 2 ** (next() * 2);
    let plan = setExposure(setStop(twoPeople(), 4), { meteredStop: 4, toleranceStops: 0.3 + next() * 0.3 });
    for (let at = 2; at < 10; at += 2 + next() * 3) plan = addLightReading(plan, { kind: 'time', timeS: at }, metered());
    const followed = followLight(plan);
    const light = lightSpans(plan);
    const isReachable = Array.from({ length: 100 }, (_, j) => meteredStopAt(light, j / 10)!).every(
      (stop) => stop > 2.2 && stop < 22,
    );
    if (isReachable) expect([k, exposureSpans(followed)]).toEqual([k, []]);
  }
});
