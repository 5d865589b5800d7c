import { twoPeople } from '../../test/plans';
import { adoptDrawnDistance, changeMark, placeMark, setLensHeight, startFloor } from '../plan/index';
import { disagreement } from './disagreement';
import { evaluatePull } from './evaluatePull';

const drawn = () => setLensHeight(startFloor(twoPeople()), 1620);

test('tape and drawing that agree say nothing; one that is only drawn has nothing to disagree with', () => {
  const plan = drawn();
  expect(disagreement(plan, plan.marks[0]!)).toBeNull();
  expect(disagreement(twoPeople(), twoPeople().marks[0]!)).toBeNull();
  expect(disagreement(plan, { ...plan.marks[0]!, method: 'drawn' })).toBeNull();
});

test('where they differ, it says what the take would lose if the drawing were right', () => {
  const elsewhere = placeMark(drawn(), 'mark-1', { xMm: 3600, yMm: 0 });
  // moved after it was taped, it is stale: there is nothing to hold the tape against
  expect(disagreement(elsewhere, elsewhere.marks[0]!)).toBeNull();
  const plan = changeMark(adoptDrawnDistance(elsewhere, 'mark-1'), 'mark-1', { distanceMm: 2900, method: 'tape' });
  const found = disagreement(plan, plan.marks[0]!)!;
  expect(found.drawnMm).toBeCloseTo(3600, 6);
  expect(found.tapedMm).toBe(2900);
  const { byTape, byDrawing, required } = found.sharpS!;
  const verdict = evaluatePull(plan);
  expect(byTape).toBe(verdict.status === 'judged' ? verdict.sharpFrames / verdict.captureFps : NaN);
  expect(byDrawing).toBeLessThan(byTape - 3);
  expect(required).toBeGreaterThanOrEqual(byTape);
  // a small difference is noticed, and costs nothing
  const near = changeMark(drawn(), 'mark-1', { distanceMm: 2920 });
  const small = disagreement(near, near.marks[0]!)!;
  expect(small.sharpS!.byDrawing).toBe(small.sharpS!.byTape);
});
