import { twoPeople } from '../../../test/plans';
import { addLandmark, changePicture, layPicture, removePicture, scalePicture } from './landmarks';
import { checkPlan } from '../checkPlan';
import { copyOnFloor, type FloorItem, moveOnFloor, removeFromFloor } from './group';
import { planDistances } from '../planDistances';
import type { ShotPlan } from '../shotPlan';
import { startFloor, walkTo } from './floor';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });
const drawn = (): ShotPlan => addLandmark(startFloor(twoPeople()), 'box', 'sand box', at(1000, 1000));
const three: readonly FloorItem[] = [
  { kind: 'mark', id: 'mark-1' },
  { kind: 'landmark', id: 'landmark-1' },
  { kind: 'camera', id: 'camera-1' },
];

test('several things move by as much, and what stands between them stays as far apart', () => {
  const plan = moveOnFloor(drawn(), three, at(200, -300));
  expect(plan.marks[0]!.place).toEqual(at(3100, -300));
  expect(plan.floor!.landmarks[0]).toMatchObject(at(1200, 700));
  expect(plan.floor!.camera[0]).toMatchObject(at(200, -300));
  expect(plan.marks[1]!.place).toEqual(drawn().marks[1]!.place);
  expect(planDistances(plan).markSightings.get('mark-1')!.tapeMm).toBeCloseTo(2900, 6);
  expect(moveOnFloor(twoPeople(), three, at(1, 1))).toEqual(twoPeople());
  expect(moveOnFloor(plan, [], at(1, 1))).toBe(plan);
});

test('copied, someone comes with their whole way, as someone else; a thing gets the next name', () => {
  const walked = walkTo(drawn(), 'subject-1', at(4000, 500), 6);
  const { plan, copies } = copyOnFloor(walked, three, at(0, 900));
  expect(checkPlan(plan)).toEqual([]);
  expect(copies.map(({ kind }) => kind)).toEqual(['mark', 'mark', 'landmark']);
  const [copy] = plan.subjects.slice(-1);
  expect(copy).toMatchObject({ name: 'Old Tam 2' });
  expect(copy!.stays.map(({ fromS, untilS }) => [fromS, untilS])).toEqual(
    walked.subjects[0]!.stays.map(({ fromS, untilS }) => [fromS, untilS]),
  );
  expect(planDistances(plan).sightingAt(copy!, 9)!.place).toEqual(at(4000, 1400));
  expect(plan.marks.find(({ id }) => id === copies[0]!.id)).toMatchObject({ letter: 'D', method: 'drawn' });
  expect(plan.floor!.landmarks.map(({ name }) => name)).toEqual(['sand box', 'sand box 2']);
  expect(copyOnFloor(plan, [{ kind: 'landmark', id: 'landmark-2' }], at(0, 0)).plan.floor!.landmarks[2]!.name).toBe('sand box 3');
  expect(copyOnFloor(plan, [{ kind: 'camera', id: 'camera-1' }], at(0, 0))).toEqual({ plan, copies: [] });
});

test('where there is no room for all of them, nothing is copied', () => {
  const full = Array.from({ length: 10 }).reduce<ShotPlan>(
    (plan) => copyOnFloor(plan, [{ kind: 'mark', id: 'mark-1' }], at(0, 300)).plan,
    drawn(),
  );
  expect(full.subjects).toHaveLength(12);
  expect(copyOnFloor(full, three, at(0, 300)).copies).toEqual([]);
});

test('several are deleted at once; the camera’s last key stays, and a focus reference goes with its landmark', () => {
  const standing = { ...drawn(), marks: drawn().marks.map((mark) => ({ ...mark, focusReferenceId: 'landmark-1' })) };
  expect(checkPlan(standing)).toEqual([]);
  const plan = removeFromFloor(standing, three);
  expect(checkPlan(plan)).toEqual([]);
  expect(plan.floor!.camera).toHaveLength(1);
  expect(plan.marks.map(({ id, focusReferenceId }) => [id, focusReferenceId])).toEqual([['mark-2', null]]);
  const lost = { ...standing, floor: { ...standing.floor!, landmarks: [] } };
  expect(checkPlan(lost)).toContainEqual(
    expect.objectContaining({ code: 'no-such-landmark', path: 'marks[0].focusReferenceId' }),
  );
});

test('a picture is scaled by a known length: that length is then right, and its first end stays where it was', () => {
  const laid = layPicture(drawn(), { pictureId: 'p', name: 'yard.png', aspect: 2 }, at(3000, 0));
  expect(laid.floor!.picture).toMatchObject({ widthMm: 10_000, heightMm: 5000, isScaled: false });
  const plan = scalePicture(laid, at(1000, 0), at(3000, 0), 4000);
  expect(plan.floor!.picture).toMatchObject({ widthMm: 20_000, heightMm: 10_000, xMm: 5000, yMm: 0, isScaled: true });
  expect(checkPlan(plan)).toEqual([]);
  expect(scalePicture(laid, at(1, 1), at(1, 1), 4000)).toBe(laid);
  expect(changePicture(plan, { turnedDeg: 900, xMm: 1 }).floor!.picture).toMatchObject({ turnedDeg: 720, xMm: 1 });
  expect(removePicture(plan).floor!.picture).toBeNull();
  expect(scalePicture(twoPeople(), at(0, 0), at(1, 0), 5)).toEqual(twoPeople());
});
