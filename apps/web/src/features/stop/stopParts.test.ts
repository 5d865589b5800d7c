import { changePull, drawLayoutOf, keepRate, DEFAULT_SCHEDULE, setHand, setStop, setGoals, stopFigures } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { stripStops } from './stripStops';
import { surfaceLayout } from './surfaceLayout';
import { stopRatesOf, indexOfStop, sweepOf } from './sweep';

describe('what is simulated again', () => {
  const sweep = sweepOf(TWO_PEOPLE, null);

  test('a turned stop, metering or a goal changes no simulation; anything that trials depend on does', () => {
    for (const same of [
      setStop(TWO_PEOPLE, 8),
      setGoals(TWO_PEOPLE, { isOneChance: true }),
      { ...TWO_PEOPLE, notes: 'x', schedule: { ...DEFAULT_SCHEDULE, day: 4 } },
      { ...TWO_PEOPLE, exposure: { ...TWO_PEOPLE.exposure, meteredStop: 4 } },
    ])
      expect(sweepOf(same, sweep)).toBe(sweep);
    for (const other of [
      changePull(TWO_PEOPLE, 'pull-1', { startS: 3 }),
      setHand(TWO_PEOPLE, { steadyDeg: 1 }),
      // between two thirds there is one stop more
      setStop(TWO_PEOPLE, 3),
    ])
      expect(sweepOf(other, sweep)).not.toBe(sweep);
  });

  test('each stop is simulated with the same random numbers', () => {
    expect(sweep.asks.map(({ plan }) => plan.optics.stop)).toEqual(sweep.stops);
    expect(sweep.asks.every(({ order }) => order.count === drawLayoutOf(TWO_PEOPLE).count)).toBe(true);
    expect(indexOfStop(sweep.stops, 3.25)).toBe(sweep.stops.indexOf(3.2));
  });

  test('until every stop has a rate there is no answer made of half of them', () => {
    const figures = stopFigures(TWO_PEOPLE, sweep.stops, 0);
    const rate = keepRate(TWO_PEOPLE, { takes: 50, seed: 1 });
    expect(stopRatesOf(sweep.stops, [rate], figures)).toEqual([]);
    expect(
      stopRatesOf(
        sweep.stops,
        sweep.stops.map(() => rate),
        figures,
      ),
    ).toHaveLength(sweep.stops.length);
  });
});

describe('the surface', () => {
  const { stops, asks } = sweepOf(TWO_PEOPLE, null);
  const rates = asks.map(({ plan }) => keepRate(plan, { takes: 100, seed: 1 }));
  const size = { width: 900, height: 420 };

  test('stops from left to right, evenly by light; a pointer finds the nearest', () => {
    const layout = surfaceLayout(stops, rates, stopFigures(TWO_PEOPLE, stops, 1), size);
    expect(layout.xs).toEqual([...layout.xs].sort((a, b) => a - b));
    const [from, to] = [layout.x(2.8), layout.x(5.6)];
    expect(to - from).toBeCloseTo(layout.x(11.2) - to, 6);
    for (const [k, stop] of stops.entries()) expect(layout.nearest(layout.xs[k]! + 3)).toBe(stop);
    expect(layout.y(1)).toBe(layout.keep.top);
    expect(layout.lightY(0)).toBeLessThan(layout.lightY(-2));
    expect(layout.lightY(99)).toBeGreaterThanOrEqual(layout.light.top);
  });

  test('discs are as wide as the blur in a picture as wide as the surface, or said to be cut', () => {
    const figures = stopFigures(TWO_PEOPLE, stops, 1);
    const { discs, frontDiscs, left, right } = surfaceLayout(stops, rates, figures, size);
    for (const [k, { diameter, percent, isCut }] of discs.entries()) {
      expect(percent).toBe(figures[k]!.backgroundPercent);
      if (!isCut) expect(diameter).toBeCloseTo((percent / 100) * (right - left), 9);
    }
    expect(frontDiscs).toHaveLength(stops.length);
  });

  test('nothing is drawn of what is not known, and what lies in front takes room only where there is something', () => {
    const figures = stopFigures(TWO_PEOPLE, stops, 9);
    const { front, keptArea, keptLine, frontDiscs } = surfaceLayout(
      stops,
      stops.map(() => null),
      figures,
      size,
    );
    expect([front, keptArea, keptLine, frontDiscs]).toEqual([null, '', '', []]);
    const one = surfaceLayout([4], [rates[0]!], figures.slice(0, 1), size);
    expect(one.xs[0]).toBeGreaterThan(one.left);
    expect(one.keptArea).not.toContain('NaN');
  });
});

test('five pictures: the widest, the one that keeps enough, the one that is set, and what lies between', () => {
  const stops = [2.2, 2.5, 2.8, 3.2, 3.5, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10, 11];
  const shown = (matter: readonly number[]) => stripStops(stops, matter).map((index) => stops[index]);
  expect(shown([2.2])).toEqual([2.2, 3.2, 4.5, 6.3, 9]);
  expect(shown([5, 2.8])).toEqual([2.2, 2.8, 5, 6.3, 9]);
  expect(shown([5, 5.6])).toEqual([2.2, 3.2, 5, 5.6, 9]);
  expect(shown([11])).toEqual([2.2, 3.5, 5, 8, 11]);
  expect(stripStops([2.8, 4], [2.8])).toEqual([0, 1]);
});
