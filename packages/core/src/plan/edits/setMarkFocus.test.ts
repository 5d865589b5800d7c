import { twoPeople } from '../../../test/plans';
import { markFocusMm } from '../planDistances';
import { staleCause } from '../staleMarks';
import { addSubjectAt } from './floor';
import { moveCameraTo } from './cameraPath';
import { addPullTo } from './pulls';
import { changeMark } from './marks';
import { newPlan } from './newPlan';
import { setMarkFocus } from './setMarkFocus';

test('without a floor the ring is set to what the tape says', () => {
  expect(setMarkFocus(twoPeople(), 'mark-2', 2150).marks[1]).toMatchObject({ distanceMm: 2150, method: 'tape' });
});

test('a drawn mark beside the axis moves on the floor until its depth is what was asked for, and stays drawn', () => {
  const plan = setMarkFocus(addSubjectAt(newPlan(), 'Ines', { xMm: 3000, yMm: 1500 }), 'mark-1', 2000);
  expect(markFocusMm(plan, 'mark-1')).toBeCloseTo(2000, 3);
  expect(plan.marks[0]!.method).toBe('drawn');
  expect(plan.marks[0]!.place!.yMm / plan.marks[0]!.place!.xMm).toBeCloseTo(0.5, 6);
});

test('a tape is read again from where the camera stands when she arrives; the ring lands where the camera is by then', () => {
  const still = changeMark(addSubjectAt(newPlan(), 'Ines', { xMm: 4000, yMm: 0 }), 'mark-1', { distanceMm: 4050 });
  const dolly = moveCameraTo(moveCameraTo(still, { xMm: 0, yMm: 0 }, 2), { xMm: 1000, yMm: 0 }, 4);
  const withPull = addPullTo(
    { ...dolly, focusTrack: { start: { kind: 'distance', distanceMm: 2000 }, pulls: [] } },
    {
      kind: 'mark',
      markId: 'mark-1',
    },
    5,
    1,
  );
  expect(markFocusMm(withPull, 'mark-1')).toBeCloseTo(3050, 6);
  const plan = setMarkFocus(withPull, 'mark-1', 3000);
  expect(markFocusMm(plan, 'mark-1')).toBeCloseTo(3000, 6);
  expect(plan.marks[0]!.distanceMm).toBeCloseTo(4000, 6);
  expect(staleCause(plan, plan.marks[0]!)).toBeNull();
});
