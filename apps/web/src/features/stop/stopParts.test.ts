import {
  addStay,
  changePull,
  drawLayoutOf,
  type HowWide,
  keepRate,
  lightBalances,
  DEFAULT_SCHEDULE,
  setHand,
  setStop,
  setGoals,
  type ShotPlan,
  stopFigures,
  suggestImprovements,
} from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { errorName, improvementCost, improvementName } from './improvementWords';
import { balanceWords } from './lightWords';
import { howWideWords, lightWords, ofTakes } from './stopWords';
import { stripStops } from './stripStops';
import { surfaceLayout } from './surfaceLayout';
import { stopRatesOf, indexOfStop, sweepOf } from './sweep';
import { minutesWords, takesWords } from './timeWords';

describe('what is drawn anew', () => {
  const sweep = sweepOf(TWO_PEOPLE, null);

  test('turning the stop, metering, or another wish draws nothing anew; anything takes depend on does', () => {
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

  test('each stop is asked with the same numbers, at its own stop', () => {
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

describe('words', () => {
  test.each([
    [0.8, '8 of 10'],
    [0.806, '8 of 10'],
    [0.83, '83 of 100'],
    [0.95, '95 of 100'],
    [0.9999, '99 of 100'],
    [0.0004, '1 of 100'],
    [1, '10 of 10'],
    [0, '0 of 10'],
  ])('%d is %s', (share, words) => expect(ofTakes(share)).toBe(words));

  test.each<[Partial<HowWide>, Partial<ShotPlan['goals']>, string]>([
    [{ answer: 'open', isSure: true }, {}, 'T4, as wide as it goes, keeps 8 of 10 takes.'],
    [{ answer: 'from', isSure: true }, {}, 'T4 is the widest stop that keeps 8 of 10 takes.'],
    [{ answer: 'from', isSure: false }, {}, 'T4 is about the widest stop that keeps 8 of 10 takes.'],
    [{ answer: 'never' }, { targetKeepRate: 0.95 }, 'No stop keeps 95 of 100 takes. T8 keeps the most: 6 of 10.'],
    [
      { answer: 'between' },
      { blurPercent: 2, background: { name: 'furnace door', distanceMm: 7500 } },
      'T4 to T5.6 keeps 8 of 10 takes, and furnace door at 2 % or softer.',
    ],
    [{ answer: 'apart' }, { blurPercent: 2 }, 'T4 keeps 8 of 10 takes, and the background is 2 % soft only up to T5.6.'],
    [
      { answer: 'apart', softest: null },
      { blurPercent: 2 },
      'T4 keeps 8 of 10 takes, and at no stop is the background 2 % soft.',
    ],
  ])('how wide: %j', (changes, wanted, said) => {
    const at = (stop: number, keepRateOf: number) => ({ stop, keepRate: keepRateOf, low: 0, high: 1, backgroundPercent: 1 });
    const wide: HowWide = {
      keeps: at(4, 0.8),
      softest: at(5.6, 0.9),
      best: at(8, 0.6),
      isSure: true,
      answer: 'from',
      ...changes,
    };
    expect(
      howWideWords(wide, setGoals(TWO_PEOPLE, wanted))
        .map(({ text }) => text)
        .join(' '),
    ).toBe(said);
  });

  test('light, time and takes', () => {
    expect(lightWords(4, 5.6)).toBe('1 stop less light');
    expect(lightWords(4, 2.8)).toBe('1 stop more light');
    expect(lightWords(4, 4.1)).toBe('the same light');
    expect([0.2, 35.4, 60, 79.6, 125].map(minutesWords)).toEqual(['1 min', '35 min', '1 h', '1 h 20', '2 h 05']);
    const time = { takes: 3, chance: 0.914, minutes: 20 };
    expect(takesWords(time, TWO_PEOPLE)).toBe('plan 3 takes');
    expect(takesWords({ ...time, takes: null }, TWO_PEOPLE)).toBe('no number of takes is enough');
    expect(takesWords({ ...time, chance: 0.9999 }, setGoals(TWO_PEOPLE, { isOneChance: true }))).toBe('one chance: 99 % kept');
    expect(takesWords(time, { ...TWO_PEOPLE, schedule: { ...DEFAULT_SCHEDULE, takes: 3 } })).toBe(
      '3 takes planned: 91 % for one kept',
    );
  });

  test('every help has a name of its own, and says what it costs', () => {
    const walking = addStay(setStop(TWO_PEOPLE, 2.2), 'subject-2', { distanceMm: 1500, fromS: 8 });
    const improvements = suggestImprovements(walking);
    const names = improvements.map(({ change }) => improvementName(change, walking, 'metric'));
    expect(new Set(names).size).toBe(names.length);
    expect(names).toEqual(
      expect.arrayContaining(['Ines hits every mark', 'Ines is always on time', 'A is measured exactly', 'Shoot at T2.5']),
    );
    expect(names.some((name) => /someone|undefined/.test(name))).toBe(false);
    expect(improvementCost({ kind: 'stop', stop: 4, stopsLost: 1 })).toBe('1 stop less light');
    expect(errorName({ kind: 'landing', pullId: 'pull-1' }, walking, 'metric')).toBe('the pull to B lands');
    expect(errorName({ kind: 'following', pullId: null }, walking, 'metric')).toBe('the hand goes with someone');
  });

  test('what makes the light up is said with what is changed, and nothing else', () => {
    const { exposure } = TWO_PEOPLE;
    const at = { tStop: 4, captureFps: 24, ...exposure };
    const limits = { iso: { min: 50, max: 25_600 }, ndStops: { max: 20 }, angleDeg: 180 };
    const words = lightBalances(at, -1, limits).map((balance) => balanceWords(balance, TWO_PEOPLE));
    expect(words).toEqual(['ND 1 stop', 'ISO 400', 'lamps ×0.50', 'shutter 90.0°']);
  });
});
