import fc from 'fast-check';
import {
  LENS_AUTOFOCUS,
  type KitLens,
  lensTable,
  readLensTable,
  readScale,
  readWheelTable,
  type RingPoint,
  type Wheel,
  wheelTable,
} from '../../index';
import { caseCount } from '../../../test/caseCount';

/** A figure as a form would take it: a few decimals. */
const figure = (min: number, max: number, decimals = 2) =>
  fc.integer({ min: Math.round(min * 10 ** decimals), max: Math.round(max * 10 ** decimals) }).map((n) => n / 10 ** decimals);
/** Names and notes with everything that troubles a table. */
const words = (min: number, max: number) =>
  fc
    .array(fc.constantFrom('a', 'Ö', '"', ',', ';', '\t', '|', "'", ' ', '7', '–', '.', '=', '\n'), {
      minLength: min,
      maxLength: max,
    })
    .map((letters) => letters.join('').trim())
    .filter((text) => text.length >= min);
/** A name that is not read as the start of a table: headings are told from it by their place. */
const name = words(1, 20);

const ring = fc.oneof(
  fc.record({ kind: fc.constant('helicoid' as const), focusThrowDeg: figure(10, 1440) }),
  fc.uniqueArray(fc.integer({ min: 3000, max: 90_000 }), { minLength: 2, maxLength: 10 }).map((distances) => ({
    kind: 'table' as const,
    points: [...distances]
      .sort((a, b) => b - a)
      .map((distanceMm, k): RingPoint => ({ distanceMm: k === 0 ? null : distanceMm, ringDeg: k * 12.25 })),
  })),
);

const lens: fc.Arbitrary<KitLens> = fc
  .record({
    name,
    focalLengthMm: figure(4, 300, 1),
    zoom: fc.constantFrom(1, 1, 2, 2.5),
    stopScale: fc.constantFrom('T' as const, 'f' as const),
    widestStop: figure(0.7, 4),
    slower: fc.constantFrom(1, 1.25),
    narrowestStop: figure(8, 45, 1),
    transmittance: figure(0.3, 1),
    principalSeparationMm: figure(-100, 100, 1),
    ring,
    nearerTurns: fc.constantFrom('clockwise' as const, 'anticlockwise' as const),
    response: fc.constantFrom('angle' as const, 'speed' as const, 'steps' as const),
    steps: fc.integer({ min: 1, max: 5000 }),
    reportsData: fc.boolean(),
    autofocus: fc.constantFrom(...LENS_AUTOFOCUS),
    squeeze: figure(1, 2),
    breathingPercent: figure(-30, 30, 1),
    holdsFocus: fc.constantFrom('untested' as const, 'holds' as const, 'drifts' as const),
    frontDiameterMm: fc.option(figure(20, 400, 1)),
    ringDiameterMm: fc.option(figure(20, 400, 1)),
    gear: words(0, 12),
    isHired: fc.boolean(),
    notes: words(0, 40),
  })
  .map(({ zoom, slower, steps, isHired, notes, ...given }): KitLens => {
    const longestMm = given.focalLengthMm * zoom;
    return {
      lens: {
        ...given,
        longestMm,
        widestStopLong: zoom === 1 ? given.widestStop : given.widestStop * slower,
        closeFocusMm: Math.max(4 * longestMm + given.principalSeparationMm, 30) + 10,
        stepCount: given.response === 'steps' ? steps : 0,
      },
      isHired,
      holdTestedOn: '',
      holdTestedBy: '',
      notes,
    };
  })
  .filter(
    ({ lens: { ring: given, longestMm, principalSeparationMm } }) =>
      given.kind === 'helicoid' || 4 * longestMm + principalSeparationMm < 3000,
  );

test('any lens comes back from a table as it was', () => {
  fc.assert(
    fc.property(fc.array(lens, { minLength: 1, maxLength: 6 }), (lenses) => {
      expect(readLensTable(lensTable(lenses))).toEqual({ status: 'read', items: lenses });
    }),
    { seed: 53, numRuns: caseCount(200) },
  );
});

test('any wheel comes back from a table as it was', () => {
  const wheel: fc.Arbitrary<Wheel> = fc.record({
    name,
    kind: fc.constantFrom('wheel' as const, 'motor' as const),
    wheelPerRing: figure(0.1, 10, 3),
    turns: fc.constantFrom('same' as const, 'opposite' as const),
    discDiameterMm: figure(20, 300, 1),
    hasEndStops: fc.boolean(),
    comfortableDeg: figure(20, 360, 0),
    fastestDegPerS: fc.option(figure(10, 5000, 0)),
    notes: words(0, 30),
  });
  fc.assert(
    fc.property(fc.array(wheel, { minLength: 1, maxLength: 6 }), (wheels) => {
      expect(readWheelTable(wheelTable(wheels))).toEqual({ status: 'read', items: wheels });
    }),
    { seed: 59, numRuns: caseCount(200) },
  );
});

test('columns may stand in any order, and an empty line between does not matter', () => {
  fc.assert(
    fc.property(lens, fc.integer({ min: 0, max: 1e6 }), (item, seed) => {
      const [head, row] = lensTable([item]) as [string[], string[]];
      const order = head.map((_, k) => k).sort((a, b) => ((a * 7919 + seed) % 101) - ((b * 7919 + seed) % 101) || a - b);
      const shuffled = [order.map((k) => head[k]!), [''], order.map((k) => row[k]!)];
      expect(readLensTable(shuffled)).toEqual({ status: 'read', items: [item] });
    }),
    { seed: 61, numRuns: caseCount(100) },
  );
});

test('a scale from any file is read whole or refused with places; it never throws', () => {
  const cell = fc.oneof(
    fc.constantFrom(
      '',
      'inf',
      '∞',
      '2.4',
      '2,4',
      '1,200',
      '2.4m',
      "7'11",
      '7ft',
      '95in',
      '80°',
      'deg',
      'distance m',
      'x',
      '-5',
      '1e9',
      '\uFEFF3',
    ),
    fc.string({ maxLength: 6 }),
  );
  fc.assert(
    fc.property(fc.array(fc.array(cell, { maxLength: 4 }), { maxLength: 8 }), fc.boolean(), (rows, hasHeading) => {
      const reading = readScale(hasHeading ? [['distance m', 'ring deg'], ...rows] : rows);
      if (reading.status === 'unread') {
        expect(reading.problems.length).toBeGreaterThan(0);
        for (const { path } of reading.problems) expect(path).toMatch(/^line \d+/);
      } else {
        expect(reading.items.length).toBeGreaterThan(0);
        for (const { distanceMm, ringDeg } of reading.items) {
          expect(Number.isFinite(ringDeg)).toBe(true);
          expect(distanceMm === null || distanceMm >= 20).toBe(true);
        }
      }
    }),
    { seed: 67, numRuns: caseCount(1500) },
  );
});
