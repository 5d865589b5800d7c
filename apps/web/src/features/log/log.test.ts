import type { LoggedTakeView } from '@still-heron/contract';
import { changePull, newTake, retime, usableSpansOf } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { loggedTakes, readTakesFile, takesFile } from '../takes/exchangeTakes';
import { calibrationLayout, CHART, keptBars, overTimeLayout } from './logCharts';
import { isNarrowed, printLogQuery, readLogQuery, requestOfLog } from './logQuery';

test('what a log is narrowed to stands in the address, and nothing else', () => {
  const plain = readLogQuery(new URLSearchParams());
  expect(printLogQuery(plain).toString()).toBe('');
  expect(isNarrowed({ ...plain, page: 3, order: 'oldest' })).toBe(false);
  const asked = { ...plain, search: 'her & him', isCircled: true, focus: 'soft' as const, order: 'oldest' as const, page: 4 };
  expect(readLogQuery(printLogQuery(asked))).toEqual(asked);
  expect(isNarrowed(asked)).toBe(true);
  expect(readLogQuery(new URLSearchParams('page=-3&order=up&focus=blunt'))).toEqual(plain);
});

test('takes by a simulator are asked for, and left out otherwise', () => {
  const query = readLogQuery(new URLSearchParams('fault=camera-jumped&focus=not-said'));
  expect(query).toMatchObject({ fault: 'camera-jumped', focus: 'not-said', withSimulated: false });
  expect(requestOfLog(query)).toContain('simulated=false');
  const asked = { ...query, withSimulated: true };
  expect(requestOfLog(asked)).not.toContain('simulated');
  expect(readLogQuery(printLogQuery(asked))).toEqual(asked);
});

test('bars, the calibration and the days are drawn where their shares are', () => {
  const [bar] = keptBars([{ name: '65 mm', takes: 10, kept: 8 }]);
  expect(bar).toMatchObject({ share: 0.8, takes: 10 });
  expect(bar!.low).toBeLessThan(0.8);
  expect(bar!.high).toBeGreaterThan(0.8);
  const { diagonal, points } = calibrationLayout([
    { predicted: 0.5, takes: 100, kept: 50 },
    { predicted: 1, takes: 4, kept: 0 },
  ]);
  // where both agree it lies on the diagonal
  const share = (points[0]!.x - diagonal.x1) / (diagonal.x2 - diagonal.x1);
  expect(points[0]!.y).toBeCloseTo(diagonal.y1 + share * (diagonal.y2 - diagonal.y1), 9);
  expect(points[0]!.radius).toBeGreaterThan(points[1]!.radius);
  expect(points[1]!.y).toBe(CHART.height - CHART.bottom);
  const days = overTimeLayout(['2026-03-01', '2026-03-02', '2026-03-03'].map((name) => ({ name, takes: 4, kept: 2 })));
  expect(days.points[0]!.x).toBeLessThan(days.points[2]!.x);
  expect(overTimeLayout([]).points).toEqual([]);
});

describe('files of takes', () => {
  const plan = changePull(TWO_PEOPLE, 'pull-1', { cue: 'she looks up' });
  const take = { ...newTake(plan, 2), durationS: 8, usable: [{ fromS: 0, toS: 3 }], note: 'quick, “good”\nand bright' };
  const views = [
    {
      id: 'a',
      shotId: 's',
      number: 1,
      version: 1,
      rolledAt: '2026-03-01T10:00:00.000Z',
      hasTrack: false,
      slate: '4A',
      title: '',
      take,
    },
  ] as LoggedTakeView[];

  test.each(['csv', 'json'] as const)('as %s they come back as they were', (kind) => {
    const text = takesFile(kind, 'Bell', views, { plan, planOf: () => plan, units: 'metric', wish: null });
    expect(readTakesFile(text)).toEqual({ status: 'read', items: loggedTakes(views) });
  });

  test('an editor is sent no take of a simulator; CSV and JSON say what it is', () => {
    const simulated = [{ ...views[0]!, take: { ...take, ringFrom: 'on-screen' as const } }];
    const wish = { plan: null, planOf: () => plan, units: 'metric' as const, wish: null };
    const file = (kind: 'csv' | 'json' | 'otio' | 'vtt') => takesFile(kind, 'Bell', simulated, wish);
    for (const kind of ['otio', 'vtt'] as const) expect(file(kind)).not.toContain('4A take 1');
    for (const kind of ['csv', 'json'] as const) expect(file(kind)).toContain('on-screen');
  });

  test('a timeline has them retimed as was wished; cues are those of the plan', () => {
    const wish = { fastest: 4, wantedScreenS: 5 };
    const timeline = JSON.parse(takesFile('otio', 'Bell', views, { plan, planOf: () => plan, units: 'metric', wish })) as {
      tracks: { children: { children: { effects: { time_scalar: number }[] }[] }[] };
    };
    const [, retimed] = timeline.tracks.children;
    const expected = retime(8, usableSpansOf(take), 5, { fastest: 4, slowest: 1 });
    expect(retimed!.children.map(({ effects }) => effects[0]?.time_scalar ?? 1)).toEqual(
      expected.stretches.map(({ speed }) => speed),
    );
    expect(takesFile('vtt', 'Bell', views, { plan, planOf: () => plan, units: 'metric', wish: null })).toContain(
      'pull to B: she looks up',
    );
    expect(takesFile('vtt', 'Bell', views, { plan: null, planOf: () => plan, units: 'metric', wish: null })).toContain(
      '4A take 1: not said',
    );
  });
});
