import { defaultLens, ringOf, type RingPoint } from '@still-heron/core';
import { checkPoints } from './checkPoints';
import { endsOf, ringLayout, type RingScene } from './ringLayout';

const lens = defaultLens({ name: '65', focalLengthMm: 65, closeFocusMm: 650 });
const scene = (changes: Partial<RingScene> = {}): RingScene => ({
  lens,
  points: [],
  wrong: new Set(),
  atDeg: ringOf(lens).angleAt(2000),
  windowDeg: null,
  units: 'metric',
  ...changes,
});
const SIZE = 500;
/** Degrees clockwise from the top. */
const angleOf = (x: number, y: number) => (Math.atan2(x - SIZE / 2, SIZE / 2 - y) * 180) / Math.PI;

test('the distance under the witness stands on top; nearer ones come from the side one turns away from', () => {
  const byLabel = (label: string, turns: 'clockwise' | 'anticlockwise') => {
    const { ticks } = ringLayout(scene({ lens: { ...lens, nearerTurns: turns } }), SIZE);
    const tick = ticks.find((item) => item.label === label)!;
    return angleOf(tick.x, tick.y);
  };
  expect(byLabel('2', 'clockwise')).toBeCloseTo(0, 6);
  expect(byLabel('1', 'clockwise')).toBeLessThan(-20);
  expect(byLabel('∞', 'clockwise')).toBeGreaterThan(20);
  expect(byLabel('1', 'anticlockwise')).toBeCloseTo(-byLabel('1', 'clockwise'), 6);
});

test('a ring that counts down is drawn the same way round', () => {
  const up: RingPoint[] = [
    { distanceMm: null, ringDeg: 0 },
    { distanceMm: 2000, ringDeg: 90 },
    { distanceMm: 650, ringDeg: 280 },
  ];
  const down = up.map(({ distanceMm, ringDeg }) => ({ distanceMm, ringDeg: 280 - ringDeg }));
  const placed = (points: RingPoint[]) => {
    const table = { ...lens, ring: { kind: 'table' as const, points } };
    return ringLayout(scene({ lens: table, points, atDeg: ringOf(table).angleAt(2000) }), SIZE).pips.map(({ x, y }) =>
      angleOf(x, y),
    );
  };
  placed(down).forEach((angle, k) => expect(angle).toBeCloseTo(placed(up)[k]!, 6));
  expect(endsOf(ringOf({ ...lens, ring: { kind: 'table', points: down } }))).toEqual({ farDeg: 280, nearDeg: 0 });
});

test('a ring of more than one turn is drawn closer together, and dragged by as much more', () => {
  const long = { ...lens, ring: { kind: 'helicoid' as const, focusThrowDeg: 652 } };
  const layout = ringLayout(scene({ lens: long, atDeg: 300 }), SIZE);
  expect(layout.scale).toBeCloseTo(0.5, 6);
  const quarter = (one: typeof layout) => one.turned([SIZE / 2, 40], [SIZE - 40, SIZE / 2]);
  // a quarter turn clockwise goes nearer, and nearer counts up on a helicoid
  expect(quarter(layout)).toBeCloseTo(300 + 180, 6);
  expect(quarter(ringLayout(scene({ atDeg: 100 }), SIZE))).toBeCloseTo(190, 6);
  expect(quarter(ringLayout(scene({ atDeg: 250 }), SIZE))).toBe(280);
});

test('a mistyped point stands out with how far it is off; a wrong one is marked', () => {
  const ring = ringOf(lens);
  const points = [6000, 3000, 2000, 1400, 1000, 800].map((distanceMm, k) => ({
    distanceMm,
    ringDeg: ring.angleAt(distanceMm) + (k === 2 ? 15 : 0),
  }));
  const { pips } = ringLayout(scene({ points, wrong: new Set([4]) }), SIZE);
  expect(pips.filter(({ standsOut }) => standsOut).map(({ index }) => index)).toEqual([2]);
  expect(pips[2]!.residualDeg).toBeCloseTo(15, 3);
  expect(pips.filter(({ isWrong }) => isWrong).map(({ index }) => index)).toEqual([4]);
});

describe('points on their way to being a scale', () => {
  const at = (points: RingPoint[]) => [...checkPoints(lens, points)].map(([index, { code }]) => [index, code]);
  test('none are no problem, one is too few, a wrong one is named by its place', () => {
    expect(at([])).toEqual([]);
    expect(at([{ distanceMm: 900, ringDeg: 3 }])).toEqual([[-1, 'too-few']]);
    expect(
      at([
        { distanceMm: 200, ringDeg: 200 },
        { distanceMm: null, ringDeg: 0 },
      ]),
    ).toEqual([[0, 'closer-than-life-size']]);
    expect(
      at([
        { distanceMm: null, ringDeg: 0 },
        { distanceMm: 3000, ringDeg: 300 },
        { distanceMm: 2000, ringDeg: 90 },
        { distanceMm: 900, ringDeg: 200 },
      ]),
    ).toEqual([[1, 'turns-back']]);
  });
});
