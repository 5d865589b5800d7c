import { addSubjectAt, frameSize, halfViewDeg, isInFrame, newPlan, setLens, type ShotPlan, startFloor } from '../index';

const withFrame = (frameAspect: number | null, plan: ShotPlan = newPlan()): ShotPlan => ({
  ...plan,
  optics: { ...plan.optics, frameAspect },
});
const { camera } = newPlan().optics;
const recorded = camera.sensorWidthMm / camera.sensorHeightMm;

test('a wider frame keeps the width and cuts the height, a narrower one the other way round', () => {
  const whole = { sensorWidthMm: camera.sensorWidthMm, sensorHeightMm: camera.sensorHeightMm };
  expect(frameSize(withFrame(null).optics)).toEqual(whole);
  expect(frameSize(withFrame(recorded).optics)).toEqual(whole);
  const wide = frameSize(withFrame(2.39).optics);
  expect(wide.sensorWidthMm).toBe(camera.sensorWidthMm);
  expect(wide.sensorHeightMm).toBeCloseTo(camera.sensorWidthMm / 2.39, 9);
  const square = frameSize(withFrame(1).optics);
  expect(square).toEqual({ sensorWidthMm: camera.sensorHeightMm, sensorHeightMm: camera.sensorHeightMm });
});

test('the shape of a frame is that of the unsqueezed picture', () => {
  const squeezed = setLens(newPlan(), { squeeze: 2 });
  const { sensorWidthMm, sensorHeightMm } = frameSize(withFrame(2.39, squeezed).optics);
  expect((2 * sensorWidthMm) / sensorHeightMm).toBeCloseTo(2.39, 9);
});

test('who stands outside the delivered frame is out of the picture', () => {
  // at 4 m a 65 mm lens sees 766 mm to either side on this sensor, and 431 mm of a square picture
  const plan = addSubjectAt(startFloor(newPlan()), 'Ines', { xMm: 4000, yMm: 600 });
  expect(isInFrame(plan, plan.subjects[0]!, 0)).toBe(true);
  expect(isInFrame(withFrame(1, plan), plan.subjects[0]!, 0)).toBe(false);
  expect(isInFrame(withFrame(2.39, plan), plan.subjects[0]!, 0)).toBe(true);
  expect(Math.tan((halfViewDeg(withFrame(1).optics, 0) * Math.PI) / 180) * 4000).toBeCloseTo(
    (4000 * camera.sensorHeightMm) / 2 / 65,
    6,
  );
});
