import { addSubjectAt, moveCameraTo, newPlan, setLensHeight, spotTape, startFloor } from '../index';

test('from eye height the floor is farther than the eyes of who stands there', () => {
  const plan = setLensHeight(startFloor(newPlan()), 1600);
  const tape = spotTape(plan, { xMm: 3000, yMm: 0 }, 1600, 0)!;
  expect(tape).toEqual({ alongMm: 3000, floorMm: 3400, aboveMm: 3000 });
});

test('close by, the difference is largest; from a lens on the floor there is none to the floor', () => {
  const high = setLensHeight(startFloor(newPlan()), 1600);
  const near = spotTape(high, { xMm: 600, yMm: 800 }, 1600, 0)!;
  expect(near.floorMm - near.aboveMm).toBeCloseTo(Math.hypot(1000, 1600) - 1000, 9);
  const low = setLensHeight(high, 0);
  expect(spotTape(low, { xMm: 600, yMm: 800 }, 0, 0)).toEqual({ alongMm: 1000, floorMm: 1000, aboveMm: 1000 });
});

test('it is taken from where the camera is at that time, and agrees with the mark of who stands there', () => {
  const drawn = addSubjectAt(startFloor(newPlan()), 'Ines', { xMm: 4000, yMm: 0 });
  const plan = moveCameraTo(drawn, { xMm: 1000, yMm: 0 }, 10);
  const { heightMm } = plan.subjects[0]!;
  expect(spotTape(plan, { xMm: 4000, yMm: 0 }, heightMm, 10)!.alongMm).toBeCloseTo(3000, 6);
  expect(spotTape(plan, { xMm: 4000, yMm: 0 }, heightMm, 0)!.aboveMm).toBeCloseTo(plan.marks[0]!.distanceMm!, 6);
  expect(spotTape(newPlan(), { xMm: 1, yMm: 1 }, 0, 0)).toBeNull();
});
