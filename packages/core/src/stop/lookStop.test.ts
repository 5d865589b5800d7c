import {
  addSubject,
  blurDiameterMm,
  lookStop,
  newPlan,
  pictureWidthMm,
  setGoals,
  setStop,
  withLookStop,
  zoneLensAt,
} from '../index';

/** One person at 2 m before the horizon, 65 mm at T5.6. */
const closeUp = setStop(addSubject(newPlan(), { name: 'Ines', distanceMm: 2000 }), 5.6);
const softBy = (percent: number) => setGoals(closeUp, { blurPercent: percent });

test('the stop that gives the look is the narrowest whose background is soft enough', () => {
  const plan = softBy(2);
  const look = lookStop(plan, 0)!;
  expect(look.isEnough).toBe(true);
  // the horizon behind 2 m, by the formula for blur
  const blurAt = (stop: number) => {
    const { focalLengthMm, fNumber, principalSeparationMm = 0 } = zoneLensAt(setStop(plan, stop).optics, 0);
    const mm = blurDiameterMm({
      focalLengthMm,
      fNumber,
      focusDistanceMm: 2000,
      subjectDistanceMm: Infinity,
      principalSeparationMm,
    });
    return (100 * mm) / pictureWidthMm(plan.optics);
  };
  expect(blurAt(look.stop)).toBeGreaterThanOrEqual(2);
  expect(blurAt(look.stop * 2 ** (1 / 6))).toBeLessThan(2.02);
  expect(look.backgroundPercent).toBeCloseTo(blurAt(look.stop), 6);
  expect(withLookStop(plan).optics.stop).toBe(look.stop);
});

test('where no stop is enough, the widest is taken, and that is told', () => {
  const look = lookStop(softBy(40), 0)!;
  expect(look).toMatchObject({ isEnough: false, stop: closeUp.optics.lens.widestStop });
  expect(look.backgroundPercent).toBeGreaterThan(look.nowPercent);
});

test('without a look, or without a distance, the stop stays', () => {
  expect(lookStop(closeUp, 0)).toBeNull();
  expect(withLookStop(closeUp)).toBe(closeUp);
  const empty = setGoals(newPlan(), { blurPercent: 2 });
  expect(lookStop(empty, 0)).toBeNull();
  expect(withLookStop(empty)).toBe(empty);
});
