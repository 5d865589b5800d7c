import fc from 'fast-check';
import type { AimKey, FloorPlan } from './floorPlan';
import { blockingDistance } from './blockingDistance';
import { cameraAxisAt, cameraMissAt, cameraPlaceAt } from './cameraAt';
import { easedWay } from './easedWay';
import { floorDistances } from './floorDistances';
import { placeAt } from './markPlace';
import { type Mark, DEFAULT_MARK } from './mark';
import type { Place } from './place';
import type { Subject } from './subject';
import { caseCount } from '../../test/caseCount';

const at = (xMm: number, yMm: number): Place => ({ xMm, yMm });

function floorWith(camera: readonly Place[], aim: AimKey['at'], lensHeightMm = 1620): FloorPlan {
  return {
    camera: camera.map((place, index) => ({
      id: `camera-${index + 1}`,
      timeS: index * 4,
      ...place,
      pace: 'eased',
      heightMm: null,
      missSigmaMm: null,
    })),
    lensHeightMm,
    aims: [{ id: 'aim-1', timeS: 0, panS: 0, at: aim }],
    landmarks: [],
    picture: null,
  };
}

function markAt(index: number, place: Place | null, tapedMm?: number): Mark {
  return {
    ...DEFAULT_MARK,
    id: `mark-${index + 1}`,
    letter: 'ABC'[index]!,
    subjectId: 'tam',
    distanceMm: tapedMm ?? 1000,
    place,
    method: tapedMm === undefined ? 'drawn' : 'tape',
    uncertaintyMm: 20,
  };
}

/** Old Tam: at the first mark until 2 s, at the next from 4 s to 6 s, and so on. */
const tam = (markCount: number, heightMm = 1620): Subject => ({
  id: 'tam',
  kind: 'person',
  name: 'Old Tam',
  detail: 'near eye',
  heightMm,
  widthMm: 450,
  tallMm: 1730,
  markSigmaMm: 0,
  timingSigmaS: 0,
  stays: Array.from({ length: markCount }, (_, k) => ({
    id: `stay-${k + 1}`,
    markId: `mark-${k + 1}`,
    fromS: k * 4,
    untilS: k * 4 + 2,
    pace: 'eased',
  })),
});

const times = Array.from({ length: 41 }, (_, k) => k * 0.25);
const places = fc.record({
  xMm: fc.double({ min: -9000, max: 9000, noNaN: true }),
  yMm: fc.double({ min: -9000, max: 9000, noNaN: true }),
});

describe('a set that is turned or carried elsewhere is the same set', () => {
  const turned = ({ xMm, yMm }: Place, deg: number, by: Place): Place => {
    const rad = (deg * Math.PI) / 180;
    return at(xMm * Math.cos(rad) - yMm * Math.sin(rad) + by.xMm, xMm * Math.sin(rad) + yMm * Math.cos(rad) + by.yMm);
  };

  test('distances over time stay, whatever is drawn', () => {
    const cases = fc.tuple(
      fc.array(places, { minLength: 1, maxLength: 3 }),
      fc.array(places, { minLength: 1, maxLength: 3 }),
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.double({ min: -360, max: 360, noNaN: true }),
      places,
    );
    fc.assert(
      fc.property(cases, ([camera, way, headingDeg, turnDeg, by]) => {
        const subject = tam(way.length);
        const before = floorDistances(
          floorWith(camera, { kind: 'heading', deg: headingDeg, tiltDeg: null }),
          [subject],
          way.map((place, k) => markAt(k, place)),
        );
        const after = floorDistances(
          floorWith(
            camera.map((place) => turned(place, turnDeg, by)),
            { kind: 'heading', deg: headingDeg + turnDeg, tiltDeg: null },
          ),
          [subject],
          way.map((place, k) => markAt(k, turned(place, turnDeg, by))),
        );
        const differs = times.filter((timeS) => {
          const [one, other] = [before.sightingAt(subject, timeS)!, after.sightingAt(subject, timeS)!];
          const isSame = Math.abs(other.tapeMm - one.tapeMm) < 1e-6 && Math.abs(other.depthMm - one.depthMm) < 1e-6;
          return !(isSame && Math.abs(one.depthMm) <= one.tapeMm + 1e-9 && before.focusMmAt(subject, timeS) >= 1);
        });
        expect(differs).toEqual([]);
      }),
      { seed: 41, numRuns: caseCount(60) },
    );
  });
});

describe('what the tape says more is taken along the axis', () => {
  test('off the axis the ring goes by the depth of the taped distance', () => {
    // drawn at 5 m with the axis 3-4-5 beside it, taped at 5.5 m: a tenth more, so the depth too is a tenth more
    const marks = [markAt(0, at(3000, 4000), 5500)];
    const distances = floorDistances(floorWith([at(0, 0)], { kind: 'heading', deg: 0, tiltDeg: null }), [tam(1)], marks);
    expect(distances.focusMmAt(tam(1), 0)).toBeCloseTo(3300, 9);
    expect(distances.arrivalFocusMm.get('mark-1')).toBeCloseTo(3300, 9);
    expect(distances.markSightings.get('mark-1')?.tapeMm).toBeCloseTo(5000, 9);
  });

  test('a tape that agrees with the drawing changes nothing, at any time', () => {
    fc.assert(
      fc.property(fc.array(places, { minLength: 2, maxLength: 3 }), (way) => {
        const floor = floorWith([at(-500, 300)], { kind: 'heading', deg: 20, tiltDeg: null });
        const drawn = floorDistances(
          floor,
          [tam(way.length)],
          way.map((place, k) => markAt(k, place)),
        );
        const marks = way.map((place, k) => markAt(k, place, drawn.markSightings.get(`mark-${k + 1}`)?.tapeMm));
        const taped = floorDistances(floor, [tam(way.length)], marks);
        for (const timeS of times)
          expect(taped.focusMmAt(tam(way.length), timeS)).toBeCloseTo(drawn.focusMmAt(tam(way.length), timeS), 6);
      }),
      { seed: 42, numRuns: caseCount(40) },
    );
  });

  test('a walk to a mark that is not drawn goes from the depth to the tape, and never jumps', () => {
    const marks = [markAt(0, at(3000, 4000), 5500), markAt(1, null, 2000)];
    const distances = floorDistances(floorWith([at(0, 0)], { kind: 'heading', deg: 0, tiltDeg: null }), [tam(2)], marks);
    expect(distances.sightingAt(tam(2), 3)).toBeNull();
    // he stands at 5.5 m by the tape, 3.3 m deep; on the way to 2 m nothing jumps
    expect(distances.focusMmAt(tam(2), 2)).toBeCloseTo(3300, 9);
    expect(distances.focusMmAt(tam(2), 2.001)).toBeCloseTo(3300, 3);
    expect(distances.focusMmAt(tam(2), 3)).toBeCloseTo(2650, 9);
    expect(distances.focusMmAt(tam(2), 9)).toBe(2000);
    expect(floorDistances(null, [tam(2)], marks).focusMmAt(tam(2), 0)).toBe(5500);
  });
});

test('the lens sees a place as tape and depth to it are defined, whatever the heights', () => {
  fc.assert(
    fc.property(
      places,
      places,
      fc.double({ min: -180, max: 180, noNaN: true }),
      fc.integer({ min: 0, max: 3000 }),
      (camera, place, deg, heightMm) => {
        const floor = floorWith([camera], { kind: 'heading', deg, tiltDeg: null }, 1200);
        const sight = floorDistances(floor, [tam(1, heightMm)], [markAt(0, place)]).sightingAt(tam(1, heightMm), 1)!;
        const rad = (deg * Math.PI) / 180;
        const { tapeMm, depthMm } = blockingDistance({
          camera: [camera.xMm, camera.yMm, 1200],
          aimAt: [camera.xMm + 1000 * Math.cos(rad), camera.yMm + 1000 * Math.sin(rad), 1200],
          subject: [place.xMm, place.yMm, heightMm],
        });
        expect(Math.abs(sight.tapeMm - tapeMm)).toBeLessThan(1e-6);
        expect(Math.abs(sight.depthMm - depthMm)).toBeLessThan(1e-6);
      },
    ),
    { seed: 43 },
  );
});

test('who goes to infinity, or comes from there, has a distance at every time, drawn or not', () => {
  const marks = [markAt(0, at(3000, 0)), { ...markAt(1, at(9000, 0), 2000), distanceMm: null }, markAt(2, at(2500, 0))];
  for (const floor of [null, floorWith([at(0, 0)], { kind: 'heading', deg: 0, tiltDeg: null })]) {
    const distances = floorDistances(floor, [tam(3)], marks);
    const found = times.map((timeS) => distances.focusMmAt(tam(3), timeS));
    expect(found.filter((mm) => Number.isNaN(mm))).toEqual([]);
    expect(distances.focusMmAt(tam(3), 5)).toBe(Infinity);
    expect(distances.focusMmAt(tam(3), 7)).toBe(Infinity);
    expect(distances.arrivalFocusMm.get('mark-2')).toBe(Infinity);
    expect(distances.focusMmAt(tam(3), 9)).toBe(floor ? 2500 : 1000);
  }
});

describe('where the lens looks', () => {
  test('on the height of the eyes an aim at someone keeps depth and tape one, while both move', () => {
    const subject = tam(3);
    const way = [at(4000, -1500), at(2500, 800), at(6000, 2500)];
    const floor = floorWith([at(0, 0), at(800, 900), at(-400, 1500)], { kind: 'subject', subjectId: 'tam' });
    const distances = floorDistances(
      floor,
      [subject],
      way.map((place, k) => markAt(k, place)),
    );
    for (const timeS of times) {
      const { place, tapeMm, depthMm } = distances.sightingAt(subject, timeS)!;
      const camera = cameraPlaceAt(floor, timeS);
      expect(tapeMm).toBeCloseTo(Math.hypot(place.xMm - camera.xMm, place.yMm - camera.yMm), 6);
      expect(depthMm).toBeCloseTo(tapeMm, 6);
    }
  });

  test('a low lens that looks level meets the ground distance, and the tape is longer', () => {
    const marks = [markAt(0, at(4000, 0))];
    const tall = tam(1, 3300);
    const distances = floorDistances(floorWith([at(0, 0)], { kind: 'heading', deg: 0, tiltDeg: null }, 300), [tall], marks);
    expect(distances.sightingAt(tall, 0)).toMatchObject({ tapeMm: 5000 });
    expect(distances.focusMmAt(tall, 0)).toBeCloseTo(4000, 9);
  });

  test('an aim at the camera’s own place, or at one who is not there, keeps the heading it had', () => {
    const floor: FloorPlan = {
      ...floorWith([at(0, 0)], { kind: 'heading', deg: 30, tiltDeg: null }),
      aims: [
        { id: 'aim-1', timeS: 0, panS: 0, at: { kind: 'heading', deg: 30, tiltDeg: null } },
        { id: 'aim-2', timeS: 2, panS: 1, at: { kind: 'point', ...at(0, 0), heightMm: null } },
        { id: 'aim-3', timeS: 4, panS: 1, at: { kind: 'subject', subjectId: 'nobody' } },
      ],
    };
    for (const timeS of times) expect(cameraAxisAt(floor, timeS, () => null)).toEqual({ headingDeg: 30, tiltDeg: 0 });
  });
});

test('someone is between their marks on the way, at them while they stay, and nowhere without one', () => {
  const marks = new Map([markAt(0, at(0, 0)), markAt(1, at(1000, 2000))].map((mark) => [mark.id, mark]));
  expect([0, 2, 3, 4, 60].map((timeS) => placeAt(tam(2), marks, timeS))).toEqual([
    at(0, 0),
    at(0, 0),
    at(500, 1000),
    at(1000, 2000),
    at(1000, 2000),
  ]);
  expect(placeAt({ ...tam(2), stays: [] }, marks, 1)).toBeNull();
});

test('a lens at 1.00 m that looks at eyes at 1.62 m from 1.5 m away is focused where the tape is, at 1.623 m', () => {
  const floor = floorWith([at(0, 0)], { kind: 'subject', subjectId: 'tam' }, 1000);
  const marks = [markAt(0, at(1500, 0)), markAt(1, at(1500, 0))];
  const subject = { ...tam(1), heightMm: 1620 };
  const aimed = floorDistances(floor, [subject], marks).sightingAt(subject, 0)!;
  expect(aimed.tapeMm).toBeCloseTo(Math.hypot(1500, 620), 9);
  expect(aimed.depthMm).toBeCloseTo(aimed.tapeMm, 9);
  // by heading the axis stays level
  const level = { ...floor, aims: [{ ...floor.aims[0]!, at: { kind: 'heading' as const, deg: 0, tiltDeg: null } }] };
  expect(floorDistances(level, [subject], marks).sightingAt(subject, 0)!.depthMm).toBeCloseTo(1500, 9);
});

test('a crane rises from 1.0 m to 3.0 m: the axis tilts down to the eyes, and the ring is at the tape all the way', () => {
  const rising = floorWith([at(0, 0), at(0, 0)], { kind: 'subject', subjectId: 'tam' }, 1000);
  const camera = rising.camera.map((key, index) => ({ ...key, heightMm: index === 0 ? null : 3000 }));
  const subject = { ...tam(1), heightMm: 1620 };
  const { sightingAt, cameraAt } = floorDistances({ ...rising, camera }, [subject], [markAt(0, at(3000, 0))]);
  expect([0, 2, 4].map((timeS) => cameraAt(timeS)!.camera.heightMm)).toEqual([1000, 2000, 3000]);
  expect([0, 2, 4].map((timeS) => sightingAt(subject, timeS)!.depthMm)).toEqual(
    [620, 380, 1380].map((upMm) => expect.closeTo(Math.hypot(3000, upMm), 6)),
  );
});

test('a point with a height and a typed tilt tilt the axis; a point without one is level', () => {
  const upTo = (aim: AimKey['at']) => cameraAxisAt(floorWith([at(0, 0)], aim, 1000), 0, () => null).tiltDeg;
  expect(upTo({ kind: 'point', ...at(2000, 0), heightMm: 3000 })).toBeCloseTo(45, 9);
  expect(upTo({ kind: 'point', ...at(2000, 0), heightMm: null })).toBe(0);
  expect(upTo({ kind: 'heading', deg: 10, tiltDeg: -12 })).toBe(-12);
});

test('a dolly that stops 30 mm too far stays there until its next move; where it was set up it is exact', () => {
  const floor = floorWith([at(0, 0), at(2000, 0), at(2000, 1000)], { kind: 'heading', deg: 0, tiltDeg: null });
  const halfway = easedWay(0.25, 4);
  expect([0, 1, 4, 6, 8, 20].map((timeS) => cameraMissAt(floor, timeS, 1))).toEqual([
    at(0, 0),
    at(halfway, 0),
    at(1, 0),
    at(0.5, 0.5),
    at(0, 1),
    at(0, 1),
  ]);
});
