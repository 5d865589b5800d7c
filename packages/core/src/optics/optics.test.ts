import fc from 'fast-check';
import { airyDiameterMm } from './diffraction';
import { blurDiameterMm } from './blurDiameter';
import { circleOfConfusionMm } from './circleOfConfusion';
import { conjugates, tapeAtExtension } from './conjugates';
import { depthOfField } from './depthOfField';
import { exposureChange, geometricStop } from './exposure';
import { fieldAt, matchFormat } from './formatMatch';
import { caseCount } from '../../test/caseCount';

const lens = fc.record({
  focalLengthMm: fc.double({ min: 8, max: 300, noNaN: true }),
  fNumber: fc.double({ min: 0.7, max: 32, noNaN: true }),
  circleOfConfusionMm: fc.double({ min: 0.003, max: 0.06, noNaN: true }),
  principalSeparationMm: fc.constantFrom(-12, 0, 5.5, 31),
});
/** Focus distance in focal lengths, from life size to far beyond hyperfocal */
const reach = fc.double({ min: 4.2, max: 20_000, noNaN: true });
const at = (focalLengthMm: number, focalLengths: number, separationMm: number) => focalLengthMm * focalLengths + separationMm;

describe('the zone', () => {
  test('the worked example of its documentation', () => {
    const zone = depthOfField({ focalLengthMm: 50, fNumber: 2.8, circleOfConfusionMm: 0.025, focusDistanceMm: 3000 });
    expect(zone.nearMm).toBeCloseTo(2778.576, 3);
    expect(zone.farMm).toBeCloseTo(3260.549, 3);
    expect(zone.inFrontMm + zone.behindMm).toBeCloseTo(zone.totalMm, 9);
  });

  test('at each limit the blur is exactly the circle of confusion', () => {
    fc.assert(
      fc.property(lens, reach, (o, focalLengths) => {
        const focusDistanceMm = at(o.focalLengthMm, focalLengths, o.principalSeparationMm);
        const { nearMm, farMm } = depthOfField({ ...o, focusDistanceMm });
        for (const subjectDistanceMm of [nearMm, farMm]) {
          if (subjectDistanceMm === Infinity) continue;
          // far beyond a million focal lengths the difference of two near equals has lost its digits
          if (subjectDistanceMm > 1e6 * o.focalLengthMm) continue;
          const blur = blurDiameterMm({ ...o, focusDistanceMm, subjectDistanceMm });
          expect(Math.abs(blur / o.circleOfConfusionMm - 1)).toBeLessThan(1e-6);
        }
      }),
      { seed: 1, numRuns: caseCount(500) },
    );
  });

  test('holds the focus distance; grows with the stop and with the circle', () => {
    fc.assert(
      fc.property(lens, reach, (o, focalLengths) => {
        const focusDistanceMm = at(o.focalLengthMm, focalLengths, o.principalSeparationMm);
        const zone = depthOfField({ ...o, focusDistanceMm });
        expect(zone.nearMm).toBeLessThanOrEqual(focusDistanceMm);
        expect(zone.farMm).toBeGreaterThanOrEqual(focusDistanceMm);
        for (const wider of [
          { ...o, fNumber: o.fNumber * 1.5 },
          { ...o, circleOfConfusionMm: o.circleOfConfusionMm * 1.5 },
        ]) {
          const bigger = depthOfField({ ...wider, focusDistanceMm });
          expect(bigger.nearMm).toBeLessThan(zone.nearMm);
          expect(bigger.farMm >= zone.farMm).toBe(true);
        }
      }),
      { seed: 2 },
    );
  });

  test('focused at the hyperfocal distance it reaches from half of it to infinity', () => {
    const o = { focalLengthMm: 28, fNumber: 8, circleOfConfusionMm: 0.02 };
    const { hyperfocalMm } = depthOfField({ ...o, focusDistanceMm: 5000 });
    const zone = depthOfField({ ...o, focusDistanceMm: hyperfocalMm * (1 + 1e-12) });
    expect(zone.farMm).toBe(Infinity);
    expect(zone.behindMm).toBe(Infinity);
    expect(zone.nearMm / hyperfocalMm).toBeCloseTo(0.5, 2);
  });

  test('with one lens at one distance the smaller format has the thinner zone', () => {
    const total = (sensorWidthMm: number, sensorHeightMm: number) =>
      depthOfField({
        focalLengthMm: 50,
        fNumber: 4,
        focusDistanceMm: 3000,
        circleOfConfusionMm: circleOfConfusionMm({ kind: 'diagonal', sensorWidthMm, sensorHeightMm, divisor: 1500 }),
      }).totalMm;
    expect(total(12.5, 7.4)).toBeLessThan(total(36, 24));
  });

  test.each([
    [
      { focalLengthMm: 50, fNumber: 2.8, circleOfConfusionMm: 0.025, focusDistanceMm: 150 },
      'closer-than-life-size',
      'focusDistanceMm: closer-than-life-size (given 150, min 200)',
    ],
    [
      { focalLengthMm: 50, fNumber: 0, circleOfConfusionMm: 0.025, focusDistanceMm: 3000 },
      'out-of-range',
      'fNumber: out-of-range (given 0, above 0)',
    ],
    [
      { focalLengthMm: NaN, fNumber: 2, circleOfConfusionMm: 0.025, focusDistanceMm: 3000 },
      'not-a-number',
      'focalLengthMm: not-a-number (given NaN, above 0)',
    ],
    [
      { focalLengthMm: 50, fNumber: 2, circleOfConfusionMm: -1, focusDistanceMm: 3000 },
      'out-of-range',
      'circleOfConfusionMm: out-of-range (given -1, above 0)',
    ],
    [
      { focalLengthMm: 50, fNumber: 2, circleOfConfusionMm: 0.02, focusDistanceMm: NaN },
      'not-a-number',
      'focusDistanceMm: not-a-number (given NaN, min 200)',
    ],
  ])('bad input is named: %#', (options, code, message) => {
    expect(() => depthOfField(options)).toThrow(expect.objectContaining({ name: 'CoreError', code, message }));
  });
});

describe('conjugates', () => {
  test('life size: the object and image distances are equal', () => {
    expect(conjugates(50, 200)).toMatchObject({ objectMm: 100, imageMm: 100, extensionMm: 50 });
    expect(conjugates(50, Infinity)).toEqual({ objectMm: Infinity, imageMm: 50, extensionMm: 0 });
  });

  test('extension and tape distance are each other’s inverse', () => {
    fc.assert(
      fc.property(lens, reach, ({ focalLengthMm, principalSeparationMm }, focalLengths) => {
        const tapeMm = at(focalLengthMm, focalLengths, principalSeparationMm);
        const { extensionMm } = conjugates(focalLengthMm, tapeMm, principalSeparationMm);
        expect(Math.abs(tapeAtExtension(focalLengthMm, extensionMm, principalSeparationMm) / tapeMm - 1)).toBeLessThan(1e-10);
      }),
      { seed: 3 },
    );
    expect(tapeAtExtension(50, 0)).toBe(Infinity);
  });
});

describe('blur', () => {
  test('none in the focused plane, and growing away from it', () => {
    const blur = (subjectDistanceMm: number) =>
      blurDiameterMm({ focalLengthMm: 50, fNumber: 2, focusDistanceMm: 3000, subjectDistanceMm });
    expect(blur(3000)).toBe(0);
    expect(blur(2900)).toBeGreaterThan(blur(2950));
    expect(blur(3200)).toBeGreaterThan(blur(3100));
    expect(blur(Infinity)).toBeCloseTo(0.43116, 5);
  });

  test('a subject inside the lens is refused', () => {
    expect(() => blurDiameterMm({ focalLengthMm: 50, fNumber: 2, focusDistanceMm: 3000, subjectDistanceMm: 40 })).toThrow(
      expect.objectContaining({ code: 'behind-the-lens' }),
    );
    expect(() => blurDiameterMm({ focalLengthMm: 50, fNumber: 2, focusDistanceMm: 3000, subjectDistanceMm: NaN })).toThrow(
      expect.objectContaining({ code: 'not-a-number' }),
    );
  });

  test('everything at infinity is sharp when focused there', () => {
    expect(blurDiameterMm({ focalLengthMm: 50, fNumber: 2, focusDistanceMm: Infinity, subjectDistanceMm: Infinity })).toBe(0);
  });
});

describe('what follows from the stop', () => {
  test('exposure there and back is nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.7, max: 64, noNaN: true }), fc.double({ min: 0.7, max: 64, noNaN: true }), (a, b) => {
        expect(exposureChange(a, b).stops + exposureChange(b, a).stops).toBeCloseTo(0, 9);
        expect(exposureChange(a, b).isoFactor * exposureChange(b, a).isoFactor).toBeCloseTo(1, 9);
      }),
    );
    expect(() => exposureChange(0, 2)).toThrow('fromStop: out-of-range (given 0, above 0)');
  });

  test('a T-stop is geometrically wider than it says', () => {
    expect(geometricStop(2.2, 0.81)).toBeCloseTo(1.98, 12);
    expect(() => geometricStop(2.2, 1.2)).toThrow(expect.objectContaining({ code: 'out-of-range' }));
  });

  test('diffraction: the worked example, and close-up makes it worse', () => {
    expect(airyDiameterMm(16, 0)).toBeCloseTo(0.02132, 5);
    expect(airyDiameterMm(16, 1)).toBeCloseTo(2 * airyDiameterMm(16, 0), 12);
  });

  test('another format is matched by the ratio of the diagonals', () => {
    const match = matchFormat(
      { focalLengthMm: 50, fNumber: 2.8 },
      { sensorWidthMm: 24, sensorHeightMm: 18 },
      { sensorWidthMm: 36, sensorHeightMm: 27 },
    );
    expect(match.ratio).toBeCloseTo(1.5, 12);
    expect(match.focalLengthMm).toBeCloseTo(75, 12);
    expect(match.fNumber).toBeCloseTo(4.2, 12);
  });

  test('the field at the subject', () => {
    expect(fieldAt({ sensorWidthMm: 24, sensorHeightMm: 13.5 }, 0.01)).toEqual({ widthMm: 2400, heightMm: 1350 });
    expect(fieldAt({ sensorWidthMm: 24, sensorHeightMm: 13.5 }, 0).widthMm).toBe(Infinity);
  });
});
