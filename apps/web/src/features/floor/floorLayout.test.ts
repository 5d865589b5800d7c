import {
  addSubjectAt,
  cameraPlaceAt,
  depthOfField,
  evaluatePull,
  moveCameraTo,
  newPlan,
  planDistances,
  setAim,
  type ShotPlan,
  walkTo,
  zoneLensAt,
} from '@still-heron/core';
import { fittedView, floorLayout, scaledView } from './floorLayout';

const SIZE = { width: 900, height: 520 };
const at = (xMm: number, yMm: number) => ({ xMm, yMm });

/** Ines walks towards a camera that goes sideways and keeps looking at her. */
function moving(): ShotPlan {
  let plan = addSubjectAt(newPlan(), 'Ines', at(5000, 600));
  plan = walkTo(plan, 'subject-1', at(2500, -400), 7);
  plan = moveCameraTo(plan, at(300, 1500), 9);
  return setAim(plan, { kind: 'subject', subjectId: 'subject-1' });
}

/** Numbers of a path, in pairs. */
const points = (path: string) => [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)] as const);

test('the plane of focus and the zone lie where the core has them, square to the axis, at fifty times of the shot', () => {
  const plan = moving();
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') throw new Error('not judged');
  const view = fittedView(plan, SIZE);
  for (let k = 0; k < 50; k++) {
    const frame = (k * 97) % verdict.frameCount;
    const timeS = frame / plan.captureFps;
    const focusMm = verdict.track.focusMm[frame]!;
    const layout = floorLayout({ plan, timeS, focusMm, view }, SIZE);
    const camera = cameraPlaceAt(plan.floor!, timeS);
    const heading = (planDistances(plan).headingAt(timeS) * Math.PI) / 180;
    /** How deep a place in pixels lies along the axis. */
    const depthOf = (px: readonly [number, number]) => {
      const { xMm, yMm } = layout.toPlace(px);
      return (xMm - camera.xMm) * Math.cos(heading) + (yMm - camera.yMm) * Math.sin(heading);
    };
    const pixelMm = 1 / view.pxPerMm;
    for (const end of points(layout.plane!)) expect(Math.abs(depthOf(end) - focusMm)).toBeLessThan(pixelMm);
    const zone = depthOfField({ ...zoneLensAt(plan.optics, timeS), focusDistanceMm: focusMm });
    const depths = points(layout.zone!).map(depthOf);
    expect(Math.abs(Math.min(...depths) - zone.nearMm)).toBeLessThan(pixelMm);
    expect(Math.abs(Math.max(...depths) - zone.farMm)).toBeLessThan(pixelMm);
    const person = layout.toPlace(layout.subjects[0]!.now!);
    expect(Math.hypot(person.xMm - camera.xMm, person.yMm - camera.yMm)).toBeCloseTo(verdict.subjects[0]!.distanceMm[frame]!, 3);
  }
});

test('a place goes to pixels and back; everything is in sight at first', () => {
  const plan = moving();
  const view = fittedView(plan, SIZE);
  const layout = floorLayout({ plan, timeS: 0, focusMm: null, view }, SIZE);
  const { xMm, yMm } = layout.toPlace(layout.toPx(at(1234, -567)));
  expect([xMm, yMm].map((mm) => Math.round(mm))).toEqual([1234, -567]);
  for (const place of [...plan.floor!.camera, ...plan.marks.map((mark) => mark.place!)]) {
    const [x, y] = layout.toPx(place);
    expect(x > 0 && x < SIZE.width && y > 0 && y < SIZE.height).toBe(true);
  }
  expect([layout.plane, layout.zone]).toEqual([null, null]);
  expect(layout.subjects[0]!.isInFrame).toBe(true);
  const turned = floorLayout(
    { plan: setAim(plan, { kind: 'heading', deg: 90, tiltDeg: null }), timeS: 0, focusMm: null, view },
    SIZE,
  );
  expect(turned.subjects[0]!.isInFrame).toBe(false);
  expect(layout.gridMm * view.pxPerMm).toBeGreaterThanOrEqual(46);
});

test('drawn larger or smaller, what lies under the pointer stays there', () => {
  const plan = moving();
  const view = fittedView(plan, SIZE);
  const under = [200, 400] as const;
  const before = floorLayout({ plan, timeS: 0, focusMm: null, view }, SIZE).toPlace(under);
  for (const factor of [1.12, 0.5, 1e6, 1e-6]) {
    const scaled = scaledView(view, factor, under, SIZE);
    const after = floorLayout({ plan, timeS: 0, focusMm: null, view: scaled }, SIZE).toPlace(under);
    expect(Math.hypot(after.xMm - before.xMm, after.yMm - before.yMm)).toBeLessThan(1e-6);
    expect(scaled.pxPerMm).toBeGreaterThanOrEqual(0.002);
    expect(scaled.pxPerMm).toBeLessThanOrEqual(2);
  }
});

test('an empty floor has room for a shot before the camera, and one that is full shows all of it', () => {
  const empty = fittedView({ ...newPlan(), floor: moving().floor }, SIZE);
  expect(SIZE.width / empty.pxPerMm).toBeGreaterThan(6000);
  const far = addSubjectAt(moving(), 'Bohdan', at(30_000, 4000));
  const view = fittedView(far, SIZE);
  const [x] = floorLayout({ plan: far, timeS: 0, focusMm: null, view }, SIZE).toPx(at(30_000, 4000));
  expect(x).toBeLessThan(SIZE.width);
});
