import { twoPeople } from '../../../test/plans';
import { defaultLens, defaultWheel, type KitCamera, presetRig } from '../../kit/index';
import { handTimeS, pullDifficultyBits, wheelTurn } from '../../hand/index';
import { addOpticsChange, cameraMoved, changeOpticsChange, removeOpticsChange, setLens, setStop } from './optics';
import { addSubject } from './subjects';
import { changeMark, marksHold } from './marks';
import { checkPlan } from '../checkPlan';
import { gearDifferences } from '../differences/gearDifferences';
import type { GearPart } from './gear';
import { focalLengthAt, stopAt, zoneLensAt } from '../opticsOverTime';
import { gearChanges, detachFromKit, chooseCamera, chooseLens, chooseRig, chooseWheel } from './gear';
import { newPlan } from './newPlan';
import { planNotes } from '../notes/planNotes';
import type { ShotPlan } from '../shotPlan';
import { shortestDurationS } from './shot';

const zoom = defaultLens({
  name: 'Zoom 25–100',
  focalLengthMm: 25,
  longestMm: 100,
  widestStop: 2.8,
  widestStopLong: 4,
  closeFocusMm: 900,
});
const wheel = defaultWheel({ name: 'Large wheel', wheelPerRing: 2, discDiameterMm: 90, hasEndStops: true, comfortableDeg: 150 });
const body: KitCamera = {
  name: 'Cine body A',
  software: '2',
  modes: [
    { id: 'open', name: 'Open', sensorWidthMm: 27, sensorHeightMm: 18, photositesWide: 5120, fastestFps: 60 },
    { id: 'wide', name: 'Wide', sensorWidthMm: 27, sensorHeightMm: 14, photositesWide: 5120, fastestFps: 75 },
  ],
  steadying: [],
  frameRates: [24],
  baseIsos: [800],
  displays: [],
  automaticAreaPercent: null,
  tests: [],
  retestAfterDays: 0,
  notes: '',
};
const letters = (plan: ShotPlan) => plan.marks.map(({ stale }) => stale);

describe('what makes measured distances stale', () => {
  test('another lens does what was read off its ring, the stop does not, nor another name for the same lens', () => {
    const plan = changeMark(twoPeople(), 'mark-2', { method: 'picture' });
    expect(letters(setStop(plan, 8))).toEqual([null, null]);
    expect(letters(setLens(plan, { name: 'The old 65', widestStop: 2, gear: 'pitch 0.8' }))).toEqual([null, null]);
    expect(letters(setLens(plan, { focalLengthMm: 75, closeFocusMm: 750 }))).toEqual([null, 'lens']);
    expect(letters(setLens(plan, { ring: { kind: 'helicoid', focusThrowDeg: 300 } }))).toEqual([null, 'lens']);
  });

  test('the camera moved does; infinity stays where it is', () => {
    const plan = addSubject(twoPeople(), { name: 'River ferry', distanceMm: null });
    expect(letters(cameraMoved(plan))).toEqual(['camera', 'camera', null]);
  });

  test('until each is measured again, or found to hold', () => {
    const moved = cameraMoved(twoPeople());
    expect(letters(changeMark(moved, 'mark-1', { distanceMm: 3000 }))).toEqual([null, 'camera']);
    expect(letters(changeMark(moved, 'mark-1', { note: 'by the post' }))).toEqual(['camera', 'camera']);
    expect(letters(marksHold(moved, 'mark-2'))).toEqual(['camera', null]);
    expect(letters(marksHold(moved))).toEqual([null, null]);
    expect(planNotes(moved, { shutterAngleDeg: 180 })[0]).toMatchObject({
      code: 'stale-marks',
      letters: ['A', 'B'],
      since: 'camera',
    });
  });
});

describe('a shot takes its gear from the kit', () => {
  const shot = chooseRig(
    chooseWheel(
      chooseCamera(
        chooseLens(changeMark(twoPeople(), 'mark-2', { method: 'reference' }), 'lens-9', zoom),
        { id: 'cam-9', modeId: 'wide', steadyingId: null },
        body,
      ),
      'wheel-9',
      wheel,
    ),
    'rig-9',
    presetRig('On legs', 'legs', 'puller'),
  );
  const item = { lens: zoom, isHired: false, holdTestedOn: '', holdTestedBy: '', notes: '' };
  const now = { camera: body, lens: item, wheel, rig: presetRig('On legs', 'legs', 'puller') };

  test('as a snapshot that can be stored; a zoom keeps its range', () => {
    expect(checkPlan(shot)).toEqual([]);
    expect(shot.optics).toMatchObject({
      camera: { mode: 'Wide', sensorHeightMm: 14 },
      focalLengthMm: 65,
      lens: { longestMm: 100 },
    });
    expect(shot.optics.stop).toBeGreaterThan(3.2);
    expect(gearChanges(shot, now)).toEqual([]);
  });

  test('and says what has changed in the kit since, part by part, and takes it over on request', () => {
    const recalibrated = { ...zoom, closeFocusMm: 1000 };
    const [change, ...others] = gearChanges(shot, { ...now, lens: { ...item, lens: recalibrated } });
    expect(others).toEqual([]);
    expect(change!.part).toBe('lens');
    expect(gearDifferences(shot, change!.updatedPlan!, 'lens')).toMatchObject([{ part: 'lens', field: 'closeFocusMm' }]);
    expect(letters(change!.updatedPlan!)).toEqual([null, 'lens']);
    expect(gearChanges(change!.updatedPlan!, { ...now, lens: { ...item, lens: recalibrated } })).toEqual([]);
    const softer = gearChanges(shot, { ...now, wheel: { ...wheel, wheelPerRing: 3 } });
    expect(softer.map(({ part }) => part)).toEqual(['wheel']);
    expect(letters(softer[0]!.updatedPlan!)).toEqual(letters(shot));
    expect(gearDifferences(shot, softer[0]!.updatedPlan!, 'wheel')).toMatchObject([{ part: 'wheel', field: 'wheelPerRing' }]);
  });

  test('a scale that changed is summed up, not listed point by point', () => {
    const points = [0, 80, 190, 280].map((ringDeg, k) => ({ distanceMm: [null, 3000, 1500, 900][k]!, ringDeg }));
    const scale = (list: typeof points) => chooseLens(twoPeople(), 'z', { ...zoom, ring: { kind: 'table', points: list } });
    const differences = (a: ShotPlan, b: ShotPlan) => gearDifferences(a, b, 'lens');
    const helicoid = chooseLens(twoPeople(), 'z', zoom);
    expect(differences(helicoid, scale(points))).toEqual([
      { part: 'ring', was: { kind: 'helicoid', throwDeg: 280 }, is: { kind: 'table', points: 4, spanDeg: 280 } },
    ]);
    expect(differences(helicoid, chooseLens(helicoid, 'z', { ...zoom, ring: { kind: 'helicoid', focusThrowDeg: 300 } }))).toEqual(
      [{ part: 'ring', was: { kind: 'helicoid', throwDeg: 280 }, is: { kind: 'helicoid', throwDeg: 300 } }],
    );
    const reread = points.map((point, k) => (k === 1 ? { ...point, ringDeg: 82.5 } : point));
    expect(differences(scale(points), scale(reread))).toEqual([{ part: 'scale-shifted', count: 1, total: 4, maxDeg: 2.5 }]);
    expect(differences(scale(points), scale([...points.slice(0, 2), { distanceMm: 1200, ringDeg: 230 }, points[3]!]))).toEqual([
      { part: 'scale-added', count: 1 },
      { part: 'scale-removed', count: 1 },
    ]);
    expect(differences(scale(points), scale(points))).toEqual([]);
  });

  test('gear that is no longer in Kit is reported; figures typed in the shot are not compared', () => {
    const { wheel: _, ...withoutWheel } = now;
    expect(gearChanges(shot, withoutWheel)).toEqual([{ part: 'wheel', updatedPlan: null }]);
    expect(gearChanges(detachFromKit(detachFromKit(shot, 'wheel'), 'camera'), withoutWheel)).toEqual([]);
    expect(gearChanges(newPlan(), {})).toEqual([]);
    const fieldsOf = (after: ShotPlan, part: GearPart) =>
      gearDifferences(shot, after, part).map((difference) => 'field' in difference && difference.field);
    const open = chooseCamera(shot, { id: 'cam-9', modeId: 'open', steadyingId: null }, body);
    expect(fieldsOf(open, 'camera')).toEqual(['mode', 'sensorHeightMm', 'fastestFps']);
    expect(fieldsOf(chooseRig(shot, 'rig-9', { ...shot.rig!, weightKg: 9 }), 'rig')).toEqual(['weightKg']);
  });

  test('a new shot takes the gear of the one before, and not its turns', () => {
    const turned = addOpticsChange(shot, 'irisPulls', 2, 8);
    expect(newPlan(turned)).toMatchObject({ wheel, kit: shot.kit, optics: { irisPulls: [], lens: zoom } });
  });
});

describe('stop and focal length over time', () => {
  const shot = chooseLens(twoPeople(), 'z', zoom);

  test('hold, turn evenly in light or in size, and hold', () => {
    const pulled = changeOpticsChange(addOpticsChange(setStop(shot, 4), 'irisPulls', 2, 16), 'irisPulls', 'iris-1', {
      durationS: 4,
    });
    expect([0, 2, 4, 6, 9].map((timeS) => Number(stopAt(pulled.optics, timeS).toFixed(9)))).toEqual([4, 4, 8, 16, 16]);
    const zoomed = addOpticsChange(shot, 'zooms', 1, 25);
    expect([0, 2, 3, 10].map((timeS) => Number(focalLengthAt(zoomed.optics, timeS).toFixed(6)))).toEqual([
      65,
      Number(Math.sqrt(65 * 25).toFixed(6)),
      25,
      25,
    ]);
    expect(zoneLensAt(zoomed.optics, 5)).toMatchObject({ focalLengthMm: 25 });
    expect(shortestDurationS(addOpticsChange(shot, 'zooms', 7, 50))).toBe(9);
  });

  test('stay on the lens: a prime does not zoom, and a long end that is slower lifts the stop', () => {
    expect(addOpticsChange(twoPeople(), 'zooms', 1, 90)).toEqual(twoPeople());
    const long = addOpticsChange(setStop(shot, 3.3), 'zooms', 0, 100);
    expect(addOpticsChange(long, 'irisPulls', 5, 2.8).optics.irisPulls[0]!.to).toBeCloseTo(4, 12);
    const primeAgain = setLens(long, { ...defaultLens({ name: '65', focalLengthMm: 65, closeFocusMm: 650 }) });
    expect(primeAgain.optics).toMatchObject({ zooms: [], focalLengthMm: 65 });
    expect(checkPlan(primeAgain)).toEqual([]);
  });

  test('do not overlap, and go away again', () => {
    let plan = addOpticsChange(addOpticsChange(shot, 'irisPulls', 2, 8), 'irisPulls', 2.5, 5.6);
    expect(plan.optics.irisPulls.map(({ startS }) => startS)).toEqual([2, 4]);
    plan = changeOpticsChange(plan, 'irisPulls', 'iris-1', { startS: 9 });
    expect(plan.optics.irisPulls[0]!.startS).toBe(2);
    expect(removeOpticsChange(plan, 'irisPulls', 'iris-1').optics.irisPulls).toHaveLength(1);
    const [first] = plan.optics.irisPulls;
    expect(checkPlan({ ...plan, optics: { ...plan.optics, irisPulls: [first, { ...first!, id: 'x' }] } })).toMatchObject([
      { code: 'overlap', path: 'optics.irisPulls[1].startS' },
    ]);
  });
});

describe('a turn at a wheel', () => {
  test('a gear widens window and way alike; the least time grows with grips and with the hand’s speed', () => {
    const fine = wheelTurn(wheel, { travelDeg: 100, windowDeg: 5 }, 720);
    expect(fine).toMatchObject({ travelDeg: 200, windowDeg: 10, regrips: 1 });
    expect(fine.windowOnDiscMm).toBeCloseTo((10 / 360) * Math.PI * 90, 12);
    expect(fine.minTimeS).toBeCloseTo(handTimeS(pullDifficultyBits(100, 5)) + 0.3, 12);
    expect(fine.betweenStopsS).toBeCloseTo((1.875 * 200) / 720 + 0.3, 12);
    expect(wheelTurn(wheel, { travelDeg: 60, windowDeg: 30 }, 50).minTimeS).toBeCloseTo((1.875 * 120) / 50, 12);
    const direct = wheelTurn({ ...wheel, wheelPerRing: 1, hasEndStops: false }, { travelDeg: 100, windowDeg: 5 }, 720);
    expect(direct.minTimeS).toBeLessThan(fine.minTimeS);
    expect(direct.betweenStopsS).toBeNull();
    expect(wheelTurn({ ...wheel, fastestDegPerS: 50 }, { travelDeg: 60, windowDeg: 30 }, 720).minTimeS).toBeCloseTo(
      (1.875 * 120) / 50,
      12,
    );
    expect(wheelTurn(wheel, { travelDeg: 0, windowDeg: 5 }, 720)).toMatchObject({ minTimeS: 0, regrips: 0 });
  });
});
