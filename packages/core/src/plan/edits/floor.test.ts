import fc from 'fast-check';
import { twoPeople } from '../../../test/plans';
import { easedWay, type FloorPlan, shortestTurnDeg } from '../../floor/index';
import { addLandmark, changeLandmark, removeLandmark } from './landmarks';
import { addSubject, removeSubject } from './subjects';
import {
  addSubjectAt,
  clearFloor,
  adoptDrawnDistance,
  placeMark,
  setLensHeight,
  setSubjectHeight,
  startFloor,
  walkTo,
} from './floor';
import { changeCameraKey, moveCameraTo, removeAim, setAim } from './cameraPath';
import { changeMark } from './marks';
import { checkPlan } from '../checkPlan';
import { newPlan } from './newPlan';
import { planDistances } from '../planDistances';
import type { ShotPlan } from '../shotPlan';
import { shortestDurationS } from './shot';
import { caseCount } from '../../../test/caseCount';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });
const drawn = (place = at(3000, 0)) => setSubjectHeight(addSubjectAt(newPlan(), 'Ines', place), 'subject-1', 1620);
const ines = (plan: ShotPlan) => plan.subjects[0]!;
const focusMm = (plan: ShotPlan, timeS = 0) => planDistances(plan).focusMmAt(ines(plan), timeS);
const sight = (plan: ShotPlan, timeS = 0) => planDistances(plan).sightingAt(ines(plan), timeS)!;
const onInes = (plan: ShotPlan) => setAim(plan, { kind: 'subject', subjectId: 'subject-1' });
const place = fc.record({
  xMm: fc.double({ min: 500, max: 20_000, noNaN: true }),
  yMm: fc.double({ min: -8000, max: 8000, noNaN: true }),
});

describe('from taped distances to the floor', () => {
  test('everyone stands where the tape has them, and nothing in the shot changes; infinity is not drawn', () => {
    const taped = addSubject(twoPeople(), { name: 'River ferry', distanceMm: null });
    const plan = startFloor(taped);
    expect(checkPlan(plan)).toEqual([]);
    for (const [index, mm] of [2900, 2050].entries()) {
      const { tapeMm } = planDistances(plan).sightingAt(plan.subjects[index]!, 0)!;
      expect(tapeMm).toBeCloseTo(mm, 6);
    }
    expect(plan.marks[2]!.place).toBeNull();
    expect(planDistances(plan).focusMmAt(plan.subjects[2]!, 3)).toBe(Infinity);
    expect(startFloor(plan)).toBe(plan);
    expect(clearFloor(plan).marks.map(({ distanceMm, place: put }) => [distanceMm, put])).toEqual([
      [2900, null],
      [2050, null],
      [null, null],
    ]);
  });

  test('someone drawn has the distance a tape would read, and keeps it when the drawing goes', () => {
    const plan = drawn(at(3000, 4000));
    expect(plan.marks[0]).toMatchObject({ method: 'drawn', distanceMm: 5000 });
    expect(focusMm(plan)).toBeCloseTo(3000, 9);
    expect(clearFloor(plan).marks[0]).toMatchObject({ method: 'eye', distanceMm: 5000, place: null });
    expect(checkPlan(clearFloor(plan))).toEqual([]);
  });
});

describe('what the lens meets', () => {
  test('aimed at a subject at lens height, depth is the tape distance at every place', () => {
    fc.assert(
      fc.property(place, (where) => {
        const plan = onInes(drawn(where));
        const { tapeMm, depthMm, offAxisDeg } = sight(plan);
        expect(depthMm / tapeMm).toBeCloseTo(1, 9);
        expect(offAxisDeg).toBeCloseTo(0, 6);
        expect(tapeMm).toBeCloseTo(Math.hypot(where.xMm, where.yMm), 6);
      }),
      { seed: 83, numRuns: caseCount(200) },
    );
  });

  test('a sideways cross leaves focus alone while the camera does not pan, and is the straight line when it pans along', () => {
    const cross = walkTo(drawn(at(4000, -2000)), 'subject-1', at(4000, 2000), 6);
    const panned = onInes(cross);
    for (let timeS = 0; timeS <= 6; timeS += 0.25) {
      expect(focusMm(cross, timeS)).toBeCloseTo(4000, 6);
      const { yMm } = sight(panned, timeS).place;
      expect(focusMm(panned, timeS)).toBeCloseTo(Math.hypot(4000, yMm), 6);
    }
    expect(sight(cross, 0).offAxisDeg).toBeCloseTo((Math.atan2(-2000, 4000) * 180) / Math.PI, 9);
  });

  test('heights: tape is the straight line in space, and a lens that looks level goes by the depth', () => {
    const plan = setLensHeight(setSubjectHeight(drawn(at(3000, 0)), 'subject-1', 5620), 1620);
    expect(sight(plan)).toMatchObject({ tapeMm: 5000 });
    expect(sight(plan).depthMm).toBeCloseTo(3000, 9);
  });

  test('behind the camera there is nothing to focus on: it is told by a negative depth, and computed as close by', () => {
    const plan = drawn(at(-2000, 0));
    expect(sight(plan).depthMm).toBeCloseTo(-2000, 9);
    expect(focusMm(plan)).toBe(1);
    expect(checkPlan(plan)).toEqual([]);
    expect(focusMm(onInes(drawn(at(0, 0))))).toBeGreaterThan(0);
  });
});

describe('tape wins where it was taken', () => {
  test('the drawn distance is shifted by as much as tape and drawing disagree, and the shift goes over as they walk', () => {
    let plan = onInes(walkTo(drawn(at(4000, 0)), 'subject-1', at(2000, 0), 6));
    plan = changeMark(plan, 'mark-2', { distanceMm: 2100 });
    expect(plan.marks[1]).toMatchObject({ method: 'tape', distanceMm: 2100 });
    expect(focusMm(plan, 0)).toBeCloseTo(4000, 9);
    expect(focusMm(plan, 8)).toBeCloseTo(2100, 9);
    expect(focusMm(plan, 5)).toBeCloseTo(3000 + 50, 9);
    expect(planDistances(plan).markSightings.get('mark-2')?.tapeMm).toBeCloseTo(2000, 9);
    const again = adoptDrawnDistance(plan, 'mark-2');
    expect(again.marks[1]).toMatchObject({ method: 'drawn', distanceMm: 2000 });
  });

  test('a moved mark takes its drawn distance if it was drawn; one that was taped keeps its tape, and the ring its correction', () => {
    const plan = drawn(at(4000, 0));
    expect(placeMark(plan, 'mark-1', at(1500, 0)).marks[0]!.distanceMm).toBe(1500);
    const taped = placeMark(changeMark(plan, 'mark-1', { distanceMm: 4100 }), 'mark-1', at(1500, 0));
    expect(taped.marks[0]!.distanceMm).toBe(4100);
    expect(focusMm(taped)).toBeCloseTo(1600, 9);
  });
});

describe('the camera’s way and aim', () => {
  test('between keys it goes smooth at both ends, or steady; before and after it stands', () => {
    const plan = moveCameraTo(drawn(at(10_000, 0)), at(4000, 0), 4);
    expect([0, 4, 9].map((timeS) => focusMm(plan, timeS))).toEqual([10_000, 6000, 6000]);
    expect(focusMm(plan, 1)).toBeCloseTo(10_000 - 4000 * easedWay(0.25, 4), 9);
    const steady = changeCameraKey(plan, 'camera-2', { pace: 'steady' });
    expect(focusMm(steady, 1)).toBeCloseTo(9000, 9);
    expect(moveCameraTo(plan, at(1000, 0), 4).floor!.camera).toHaveLength(2);
    expect(shortestDurationS(plan)).toBe(4);
    expect(changeCameraKey(plan, 'camera-1', { timeS: 9 }).floor!.camera[0]!.timeS).toBeLessThan(4);
  });

  test('round someone at one radius the distance stays; off the centre it drifts by as much as the error', () => {
    const ring = (radiusMm: number, off: number) => {
      let plan = onInes(drawn(at(0, 0)));
      plan = changeCameraKey(plan, 'camera-1', { xMm: radiusMm, yMm: off });
      for (let k = 1; k <= 8; k++) {
        const rad = (k * Math.PI) / 8;
        plan = moveCameraTo(plan, at(radiusMm * Math.cos(rad), radiusMm * Math.sin(rad) + off), k);
      }
      return plan;
    };
    const keys = Array.from({ length: 9 }, (_, k) => k);
    for (const timeS of keys) expect(focusMm(ring(3000, 0), timeS)).toBeCloseTo(3000, 6);
    const drift = keys.map((timeS) => focusMm(ring(3000, 200), timeS));
    expect(Math.max(...drift) - 3000).toBeCloseTo(200, 0);
  });

  test('a pan goes from one aim to the next the short way round, and ends when it should', () => {
    const plan = setAim(onInes(drawn(at(4000, 0))), { kind: 'point', ...at(0, 4000), heightMm: null }, { atS: 5, isNew: true });
    const { headingAt } = planDistances(plan);
    expect([0, 3.9, 5, 9].map((timeS) => Math.round(headingAt(timeS)))).toEqual([0, 0, 90, 90]);
    expect(headingAt(4.5)).toBeCloseTo(45, 9);
    expect(shortestTurnDeg(170, -170)).toBe(20);
    expect(shortestTurnDeg(-170, 170)).toBe(-20);
    expect(removeAim(plan, 'aim-2').floor!.aims).toHaveLength(1);
    expect(removeAim(removeAim(plan, 'aim-2'), 'aim-1').floor!.aims).toHaveLength(1);
  });

  test('who is taken out leaves the camera looking where they were', () => {
    const plan = removeSubject(onInes(drawn(at(3000, 3000))), 'subject-1');
    expect(plan.floor!.aims[0]!.at).toMatchObject({ kind: 'heading', deg: 45, tiltDeg: 0 });
    expect(checkPlan(plan)).toEqual([]);
  });
});

test('a landmark is put, changed within bounds, and taken away', () => {
  const plan = addLandmark(newPlan(), 'wall', 'foundry wall', at(5000, 2000));
  expect(plan.floor!.landmarks).toMatchObject([{ name: 'foundry wall', widthMm: 4000, xMm: 5000 }]);
  const changed = changeLandmark(plan, 'landmark-1', { widthMm: 0, turnedDeg: 9000, xMm: 1e9 });
  expect(changed.floor!.landmarks[0]).toMatchObject({ widthMm: 20, turnedDeg: 720, xMm: 500_000 });
  expect(checkPlan(changed)).toEqual([]);
  expect(removeLandmark(plan, 'landmark-1').floor!.landmarks).toEqual([]);
});

test('a camera that goes backwards in time, or beyond the shot, is named by its key', () => {
  const plan = moveCameraTo(drawn(), at(1000, 0), 4);
  const keyed = (times: readonly number[]): FloorPlan => ({
    ...plan.floor!,
    camera: plan.floor!.camera.map((key, index) => ({ ...key, timeS: times[index]! })),
  });
  expect(checkPlan({ ...plan, floor: keyed([4, 3]) })).toMatchObject([
    { code: 'backwards', path: 'floor.camera[1].timeS', values: { timeS: 3, previousS: 4 } },
  ]);
  expect(checkPlan({ ...plan, floor: keyed([0, 30]) })).toMatchObject([{ code: 'after-the-end', path: 'floor.camera[1].timeS' }]);
  expect(
    checkPlan({
      ...plan,
      floor: { ...plan.floor!, aims: [{ ...plan.floor!.aims[0]!, at: { kind: 'subject', subjectId: 'x' } }] },
    }),
  ).toMatchObject([{ code: 'no-such-subject', path: 'floor.aims[0].at.subjectId' }]);
});
