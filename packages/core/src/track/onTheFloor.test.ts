import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { measureSigmaMm, simulatedReadingMm } from '../floor/index';
import { defaultLens } from '../kit/index';
import { depthOfField } from '../optics/index';
import {
  addLandmark,
  addPlace,
  addSubjectAt,
  changeAim,
  changeCameraKey,
  changeLandmark,
  fieldOfAction,
  floorTimes,
  framedSpans,
  isInFrame,
  motionOf,
  moveCameraTo,
  newPlan,
  placementOf,
  setAim,
  setLens,
  setLensHeight,
  setStop,
  type ShotPlan,
  startFloor,
  walkTo,
  zoneLensAt,
} from '../plan/index';
import { markReading } from './markReading';
import { missAllowance } from './missAllowance';
import { focusReferences } from './focusReferences';
import { caseCount } from '../../test/caseCount';

const at = (xMm: number, yMm: number) => ({ xMm, yMm });
const drawn = (): ShotPlan => setLensHeight(startFloor(twoPeople()), 1620);
const scaled = defaultLens({
  name: '65 mm, scaled',
  focalLengthMm: 65,
  closeFocusMm: 650,
  ring: {
    kind: 'table',
    points: [
      { distanceMm: null, ringDeg: 0 },
      { distanceMm: 5000, ringDeg: 60 },
      { distanceMm: 2500, ringDeg: 110 },
      { distanceMm: 1200, ringDeg: 190 },
      { distanceMm: 650, ringDeg: 280 },
    ],
  },
});

describe('a mark read on the ring', () => {
  test('lies between two figures, with the zone to both sides, in distance and in degrees', () => {
    const plan = setLens(drawn(), scaled);
    const reading = markReading(plan, plan.marks[0]!);
    const zone = depthOfField({ ...zoneLensAt(plan.optics, 0), focusDistanceMm: 2900 });
    expect(reading).toMatchObject({
      beyond: null,
      nearerFigure: { distanceMm: 2500, ringDeg: 110 },
      fartherFigure: { distanceMm: 5000, ringDeg: 60 },
    });
    expect(reading.focusMm).toBeCloseTo(2900, 6);
    expect(reading.nearerMm).toBeCloseTo(zone.inFrontMm, 6);
    expect(reading.fartherMm).toBeCloseTo(zone.behindMm, 6);
    expect(reading.fartherMm).toBeGreaterThan(reading.nearerMm);
    expect([reading.towardsNearDeg > 0, reading.towardsFarDeg > 0]).toEqual([true, true]);
    expect(reading.ringDeg).toBeGreaterThan(60);
    expect(reading.ringDeg).toBeLessThan(110);
  });

  test('on a figure it has the figure on both sides; beyond an end it says which; without a scale there are no figures', () => {
    const on = setLens(twoPeople(), scaled);
    const exactly = { ...on.marks[0]!, distanceMm: 2500 };
    const plan = { ...on, marks: [exactly, { ...on.marks[1]!, distanceMm: 500 }] };
    expect(markReading(plan, exactly)).toMatchObject({ nearerFigure: { ringDeg: 110 }, fartherFigure: { ringDeg: 110 } });
    expect(markReading(plan, plan.marks[1]!)).toMatchObject({ beyond: 'close-focus', ringDeg: 280 });
    expect(markReading(twoPeople(), twoPeople().marks[0]!)).toMatchObject({ nearerFigure: null, fartherFigure: null });
  });
});

describe('how far someone may miss a mark', () => {
  test('what the zone holds is allowed; for more there is a stop, and at that stop it is allowed', () => {
    const plan = setStop(drawn(), 2.2);
    const mark = plan.marks[0]!;
    const { nearerMm } = markReading(plan, mark);
    expect(missAllowance(plan, mark, nearerMm * 0.99).status).toBe('allowed');
    fc.assert(
      fc.property(fc.double({ min: 1, max: 700, noNaN: true }), (missMm) => {
        const answer = missAllowance(plan, mark, missMm);
        if (answer.status === 'allowed') expect(missMm).toBeLessThanOrEqual(nearerMm);
        if (answer.status === 'needs-stop') {
          expect(missAllowance(setStop(plan, answer.stop), mark, missMm).status).toBe('allowed');
          expect(answer.stops).toBeGreaterThan(0);
        }
        if (answer.status === 'not-on-this-lens') expect(answer.wouldNeedStop).toBeGreaterThan(plan.optics.lens.narrowestStop);
      }),
      { seed: 44, numRuns: caseCount(60) },
    );
    expect(missAllowance(plan, mark, 2800).status).toBe('not-on-this-lens');
  });
});

describe('objects to focus on instead', () => {
  const withThings = () => {
    let plan = addLandmark(drawn(), 'post', 'post at the depth', at(2900, 500));
    plan = addLandmark(plan, 'post', 'post a little behind', at(3000, -300));
    plan = addLandmark(plan, 'post', 'post far behind', at(7000, 800));
    plan = addLandmark(plan, 'post', 'post out of the picture', at(2900, 3000));
    return addLandmark(plan, 'wall', 'wall through all depths', at(4000, 0));
  };

  test('are ranked by the room they leave round the mark, and only what is seen counts', () => {
    const plan = changeLandmark(withThings(), 'landmark-5', { turnedDeg: 0, widthMm: 6000 });
    const found = focusReferences(plan, plan.marks[0]!);
    expect(found.map(({ name }) => name).slice(2)).toEqual(['post a little behind', 'post far behind']);
    const first = found.find(({ name }) => name === 'post at the depth');
    const wall = found.find(({ name }) => name === 'wall through all depths');
    expect(first!.focusMm).toBeCloseTo(2900, 9);
    expect(first!.nearerMm).toBeCloseTo(markReading(plan, plan.marks[0]!).nearerMm, 6);
    expect(wall!.focusMm).toBeCloseTo(2900, 6);
    expect(found[3]!.marginMm).toBeLessThan(0);
    expect(found.every(({ nearerMm, fartherMm, marginMm }) => marginMm === Math.min(nearerMm, fartherMm))).toBe(true);
  });

  test('what stands behind a wall is not offered, until the wall is lower than the lens', () => {
    const plan = changeLandmark(withThings(), 'landmark-5', { turnedDeg: 90, widthMm: 6000 });
    const namesOf = (tallMm: number) =>
      focusReferences(changeLandmark(plan, 'landmark-5', { tallMm }), plan.marks[0]!).map(({ name }) => name);
    expect(namesOf(2600)).not.toContain('post far behind');
    expect(namesOf(1000)).toContain('post far behind');
  });

  test('without a drawing, or at infinity, there are none', () => {
    expect(focusReferences(twoPeople(), twoPeople().marks[0]!)).toEqual([]);
    const far = drawn();
    const endless = { ...far, marks: far.marks.map((mark) => ({ ...mark, distanceMm: null })) };
    expect(focusReferences(endless, endless.marks[0]!)).toEqual([]);
  });
});

describe('what the lens sees', () => {
  const crossing = (): ShotPlan => walkTo(addSubjectAt(newPlan(), 'Ines', at(4000, 4000)), 'subject-1', at(4000, -4000), 8);

  test('someone who crosses comes in on one side and goes out on the other, and is in between', () => {
    const plan = crossing();
    const [span, ...others] = framedSpans(plan, plan.subjects[0]!)!;
    expect(others).toEqual([]);
    expect(span!.fromS).toBeGreaterThan(6);
    expect(span!.untilS).toBeLessThan(8);
    for (const [timeS, isIn] of [
      [span!.fromS - 0.05, false],
      [span!.fromS + 0.05, true],
      [span!.untilS - 0.05, true],
      [span!.untilS + 0.05, false],
    ] as const)
      expect(isInFrame(plan, plan.subjects[0]!, timeS)).toBe(isIn);
    const followed = setAim(plan, { kind: 'subject', subjectId: 'subject-1' });
    expect(framedSpans(followed, plan.subjects[0]!)).toEqual([{ fromS: 0, untilS: plan.durationS }]);
    expect(framedSpans(twoPeople(), twoPeople().subjects[0]!)).toBeNull();
  });

  test('a cross before a camera that stands still is all sideways; panned after, the depth changes all the same', () => {
    const plan = crossing();
    const still = motionOf(plan, plan.subjects[0]!, 6.6)!;
    expect(still.alongMmPerS).toBeCloseTo(0, 6);
    expect(still.depthMmPerS).toBeCloseTo(0, 6);
    expect(still.acrossMmPerS).toBeLessThan(-1000);
    const panned = setAim(plan, { kind: 'subject', subjectId: 'subject-1' });
    const followed = motionOf(panned, plan.subjects[0]!, 6.6)!;
    expect(followed.depthMmPerS).toBeLessThan(-500);
    expect(Math.hypot(followed.alongMmPerS, followed.acrossMmPerS)).toBeCloseTo(Math.abs(still.acrossMmPerS), 0);
  });

  test('a camera that goes up to someone who stands is motion in depth', () => {
    const plan = moveCameraTo(addSubjectAt(newPlan(), 'Ines', at(4000, 0)), at(2000, 0), 4);
    const steady = changeCameraKey(plan, 'camera-2', { pace: 'steady' });
    expect(motionOf(steady, plan.subjects[0]!, 2)).toMatchObject({ acrossMmPerS: 0 });
    expect(motionOf(steady, plan.subjects[0]!, 2)!.alongMmPerS).toBeCloseTo(-500, 6);
    expect(motionOf(twoPeople(), twoPeople().subjects[0]!, 1)).toBeNull();
  });
});

test('the field of action is how far the camera turns, however it goes round', () => {
  const base = addSubjectAt(newPlan(), 'Ines', at(3000, 0));
  expect(fieldOfAction(base)).toEqual({ fromDeg: 0, toDeg: 0, turnDeg: 0, fastestDegPerS: 0 });
  const panned = setAim(
    setAim(base, { kind: 'heading', deg: 40, tiltDeg: null }, { atS: 4, isNew: true, panS: 2 }),
    { kind: 'heading', deg: -20, tiltDeg: null },
    { atS: 8, isNew: true, panS: 2 },
  );
  const field = fieldOfAction(panned);
  expect([field.fromDeg, field.toDeg, field.turnDeg].map(Math.round)).toEqual([-20, 40, 60]);
  // 60° in two seconds at minimum jerk: 1.875 times the mean speed
  expect(field.fastestDegPerS).toBeCloseTo((60 / 2) * 1.875, 0);
  const round = [120, 240, 360].reduce(
    (plan, deg, k) => setAim(plan, { kind: 'heading', deg, tiltDeg: null }, { atS: 3 * (k + 1), isNew: true, panS: 2 }),
    base,
  );
  expect(fieldOfAction(round).turnDeg).toBeCloseTo(360, 6);
});

test('an aim is moved in time between its neighbours, its pan no longer than there is time, its heading typed', () => {
  const plan = setAim(
    addSubjectAt(newPlan(), 'Ines', at(3000, 0)),
    { kind: 'subject', subjectId: 'subject-1' },
    { atS: 4, isNew: true },
  );
  const [first, second] = plan.floor!.aims;
  expect(changeAim(plan, second!.id, { timeS: 99, panS: 99 }).floor!.aims[1]).toMatchObject({ timeS: 10, panS: 10 });
  expect(changeAim(plan, first!.id, { timeS: 7, panS: 3 }).floor!.aims[0]).toMatchObject({ timeS: 3.98, panS: 0 });
  expect(changeAim(plan, second!.id, { deg: 900 }).floor!.aims[1]!.at).toEqual({ kind: 'heading', deg: 720, tiltDeg: null });
  expect(changeAim(twoPeople(), 'aim-1', { deg: 1 })).toEqual(twoPeople());
});

test('where nobody can be focused on is told apart: behind the camera, on top of it, or too near', () => {
  const standing = (place: { xMm: number; yMm: number }) => {
    const plan = setLensHeight(addSubjectAt(newPlan(), 'Ines', place), 1620);
    return placementOf(plan, plan.subjects[0]!, 0);
  };
  expect(standing(at(3000, 0))).toBe('before-the-camera');
  expect(standing(at(-3000, 0))).toBe('behind-it');
  expect(standing(at(0, 0))).toBe('on-top-of-it');
  expect(standing(at(400, 0))).toBe('nearer-than-it-focuses');
  expect(placementOf(twoPeople(), twoPeople().subjects[0]!, 0)).toBe('not-on-the-floor');
  expect(floorTimes(walkTo(addSubjectAt(newPlan(), 'Ines', at(3000, 0)), 'subject-1', at(2000, 0), 6))).toEqual([0, 4, 6, 10]);
});

describe('the simulated measure', () => {
  test('reads the true distance with the noise of the method, in steps of what the device shows', () => {
    expect(simulatedReadingMm('tape', 3000, 0.4)).toBe(3005);
    expect(simulatedReadingMm('laser', 3000.2, 0)).toBe(3000);
    expect(simulatedReadingMm('tape', 12, -9)).toBe(5);
    fc.assert(
      fc.property(
        fc.constantFrom('tape' as const, 'laser' as const),
        fc.double({ min: 200, max: 30_000, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (method, distanceMm, deviate) => {
          const off = simulatedReadingMm(method, distanceMm, deviate) - distanceMm;
          expect(Math.abs(off - deviate * measureSigmaMm(method, distanceMm))).toBeLessThanOrEqual(2.5 + 1e-9);
        },
      ),
      { seed: 45 },
    );
    expect(() => simulatedReadingMm('tape', 0, 0)).toThrow(expect.objectContaining({ code: 'out-of-range', path: 'distanceMm' }));
    expect(() => simulatedReadingMm('tape', 10, NaN)).toThrow(expect.objectContaining({ code: 'not-a-number' }));
  });
});

test('a place to wait at is a mark that nobody stands at; a full plan takes no more', () => {
  const { plan, markId } = addPlace(drawn(), at(5000, 0), 'subject-1');
  expect(plan.marks.find(({ id }) => id === markId)).toMatchObject({ distanceMm: 5000, subjectId: 'subject-1', method: 'drawn' });
  const full = { ...plan, marks: Array.from({ length: 40 }, (_, k) => ({ ...plan.marks[0]!, id: `mark-${k + 1}` })) };
  expect(addPlace(full, at(1, 1), null)).toEqual({ plan: full, markId: 'mark-40' });
});
