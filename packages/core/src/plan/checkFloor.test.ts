import { addLandmark } from './edits/landmarks';
import { addSubjectAt } from './edits/floor';
import { checkPlan } from './checkPlan';
import { moveCameraTo } from './edits/cameraPath';
import { newPlan } from './edits/newPlan';
import type { ShotPlan } from './shotPlan';

/** Someone, a wall, and a camera that goes somewhere. */
const drawn = moveCameraTo(
  addLandmark(addSubjectAt(newPlan(), 'Ines', { xMm: 3000, yMm: 0 }), 'wall', 'foundry wall', { xMm: 5000, yMm: 900 }),
  { xMm: 800, yMm: 200 },
  4,
);

/** The plan with something else at a path, as a file or another program might send it. */
function spoilt(path: string, value: unknown): ShotPlan {
  const copy = JSON.parse(JSON.stringify(drawn)) as Record<string, unknown>;
  const keys = path.replaceAll('[', '.').replaceAll(']', '').split('.');
  const last = keys.pop()!;
  keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy)[last] = value;
  return copy as unknown as ShotPlan;
}

test('what is drawn passes as it is', () => {
  expect(checkPlan(drawn)).toEqual([]);
});

test.each([
  ['floor.camera', [], 'floor.camera'],
  ['floor.camera[1].xMm', 1e9, 'floor.camera[1].xMm'],
  ['floor.camera[0].pace', 'hasty', 'floor.camera[0].pace'],
  ['floor.camera[1].id', 'camera-1', 'floor.camera[1].id'],
  ['floor.lensHeightMm', null, 'floor.lensHeightMm'],
  ['floor.aims', [], 'floor.aims'],
  ['floor.aims[0].at', { kind: 'subject', subjectId: 'nobody' }, 'floor.aims[0].at.subjectId'],
  ['floor.aims[0].at', { kind: 'heading', deg: 'north', tiltDeg: null }, 'floor.aims[0].at.deg'],
  ['floor.landmarks[0].shape', 'triangle', 'floor.landmarks[0].shape'],
  ['floor.landmarks[0].widthMm', 0, 'floor.landmarks[0].widthMm'],
  ['floor.landmarks[0].name', '', 'floor.landmarks[0].name'],
  ['marks[0].place', { xMm: 3000 }, 'marks[0].place.yMm'],
  ['subjects[0].heightMm', -5, 'subjects[0].heightMm'],
  ['floor', null, 'marks[0].method'],
])('%s as %j is refused at %s', (path, value, refusedAt) => {
  const problems = checkPlan(spoilt(path, value));
  expect(problems.map((problem) => problem.path)).toContain(refusedAt);
});
