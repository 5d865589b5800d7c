import fc from 'fast-check';
import { caseCount } from '../../test/caseCount';
import { MM_PER_FOOT } from '../units/index';
import { fitHelicoid } from './ringFit';
import { defaultLens, ringOf } from './lens';
import type { RingPoint } from './ring';

const lens = defaultLens({ name: '50 mm T2.1', focalLengthMm: 50, closeFocusMm: 600 });
const ring = ringOf(lens);
const NEAREST_DEG = ring.angleAt(600);

const readAt = (distances: readonly number[], read: (deg: number) => number = (deg) => deg): RingPoint[] =>
  distances.map((mm) => ({ distanceMm: mm === Infinity ? null : mm, ringDeg: read(ring.angleAt(mm)) }));
const METRES = [Infinity, 5000, 3000, 2000, 1500, 1200, 900, 700];
const accused = (points: readonly RingPoint[]) =>
  fitHelicoid(points, 50)!.points.flatMap(({ index, standsOut }) => (standsOut ? [index] : []));

test.each<[string, RingPoint[]]>([
  ['four points, read to a whole degree', readAt([Infinity, 3000, 1500, 900], Math.round)],
  ['counted down from 300°, with the ring glued on anywhere', readAt(METRES, (deg) => 337 - deg)],
  [
    'engraved in feet, read to half a degree',
    readAt(
      [30, 15, 10, 8, 6, 5, 4, 3].map((ft) => ft * MM_PER_FOOT),
      (deg) => Math.round(2 * deg) / 2,
    ),
  ],
  ['a longer throw than was typed', readAt(METRES, (deg) => 1.3 * deg)],
  [
    'a cam that lies up to 8° beside a helicoid in the middle',
    readAt(METRES, (deg) => deg + 8 * 4 * (deg / NEAREST_DEG) * (1 - deg / NEAREST_DEG)),
  ],
  [
    'taped from the front of the lens',
    readAt(METRES).map((point) => ({ ...point, distanceMm: point.distanceMm && point.distanceMm - 90 })),
  ],
])('a good ring raises nothing: %s', (_, points) => expect(accused(points)).toEqual([]));

test('on a ring that is no helicoid, a reading that is 18° wrong is still the one that is named', () => {
  const front = readAt(METRES).map((point) => ({ ...point, distanceMm: point.distanceMm && point.distanceMm - 90 }));
  // at the near end a bend of the ring explains it as well
  for (const wrong of [...front.keys()].slice(0, -1))
    expect(accused(front.map((point, k) => (k === wrong ? { ...point, ringDeg: point.ringDeg + 18 } : point)))).toEqual([wrong]);
});

/** A figure with two neighbouring digits swapped, such as 1.9 for 9.1; null if that changes nothing. */
function swapped(figure: number, decimals: number, at: number): number | null {
  const text = figure.toFixed(decimals).split('');
  const digits = text.flatMap((character, k) => (/\d/.test(character) ? [k] : []));
  if (at + 1 >= digits.length) return null;
  const [a, b] = [digits[at]!, digits[at + 1]!];
  [text[a], text[b]] = [text[b]!, text[a]!];
  const typed = Number(text.join(''));
  return typed === Number(figure.toFixed(decimals)) ? null : typed;
}

/** A typed point that is off by less can't be told from a bad reading. */
const SEEN_DEG = 6;

test('two digits swapped in one distance or one reading: that point is named, and no other', () => {
  let cases = 0;
  fc.assert(
    fc.property(
      fc.constantFrom([3000, 2000, 1200, 700], [Infinity, 3000, 1500, 900, 650], METRES, [8000, 4500, 2300, 1900, 1300, 800]),
      fc.nat(7),
      fc.nat(3),
      fc.boolean(),
      fc.array(fc.double({ min: -0.3, max: 0.3, noNaN: true }), { minLength: 8, maxLength: 8 }),
      (distances, which, at, isDistance, noise) => {
        const index = which % distances.length;
        const points = readAt(distances).map((point, k) => ({ ...point, ringDeg: point.ringDeg + noise[k]! }));
        const { distanceMm, ringDeg } = points[index]!;
        const typed = isDistance ? swapped((distanceMm ?? 0) / 1000, 2, at) : swapped(ringDeg, 1, at);
        if (typed === null || (isDistance && (distanceMm === null || typed < 0.6))) return;
        const wrong = isDistance ? { distanceMm: typed * 1000, ringDeg } : { distanceMm, ringDeg: typed };
        const seenDeg = Math.abs(ring.angleAt(wrong.distanceMm ?? Infinity) - wrong.ringDeg);
        if (seenDeg < SEEN_DEG) return;
        cases++;
        expect(accused(points.map((point, k) => (k === index ? wrong : point)))).toEqual([index]);
      },
    ),
    { seed: 17, numRuns: caseCount(1500) },
  );
  expect(cases).toBeGreaterThan(20);
});
