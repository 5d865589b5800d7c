import type { LoggedTakeView } from '@still-heron/contract';
import { changePull, newTake, retime, takesTable, usableSpansOf } from '@still-heron/core';
import { printCsv } from '../../shared/files/csv';
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

  const context = { plan, planOf: () => plan, units: 'metric' as const, wish: null };

  test('as JSON they come back as they were; so does CSV of an earlier version', () => {
    expect(readTakesFile(takesFile('json', 'Bell', views, context))).toEqual({ status: 'read', items: loggedTakes(views) });
    const earlier = printCsv(takesTable(loggedTakes(views)));
    expect(readTakesFile(earlier)).toEqual({ status: 'read', items: loggedTakes(views) });
  });

  test.each(['csv', 'pulls'] as const)(
    'a sheet for reading (%s) has no JSON in a cell, and says so if it is read back',
    (kind) => {
      const said = {
        ...take,
        hits: [
          { pullId: 'pull-1', said: 'late' as const, measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
        ],
      };
      const text = takesFile(kind, 'Bell', [{ ...views[0]!, take: said }], context);
      expect(text).not.toMatch(/[{}[\]]/);
      expect(text).toContain(kind === 'csv' ? 'late at B' : 'B,late');
      expect(readTakesFile(text)).toMatchObject({ status: 'unread', problems: [{ code: 'wrong-file' }] });
    },
  );

  test('an editor is sent no take of a simulator; CSV and JSON say what it is', () => {
    const simulated = [{ ...views[0]!, take: { ...take, ringFrom: 'on-screen' as const } }];
    const wish = { plan: null, planOf: () => plan, units: 'metric' as const, wish: null };
    const file = (kind: 'csv' | 'json' | 'otio' | 'vtt') => takesFile(kind, 'Bell', simulated, wish);
    for (const kind of ['otio', 'vtt'] as const) expect(file(kind)).not.toContain('4A take 1');
    expect(file('json')).toContain('on-screen');
    expect(file('csv')).toContain('simulated wheel on the screen');
  });

  test('a timeline has them retimed as was wished', () => {
    const wish = { fastest: 4, wantedScreenS: 5 };
    const timeline = JSON.parse(takesFile('otio', 'Bell', views, { plan, planOf: () => plan, units: 'metric', wish })) as {
      tracks: { children: { children: { effects: { time_scalar: number }[] }[] }[] };
    };
    const [, retimed] = timeline.tracks.children;
    const expected = retime(8, usableSpansOf(take), 5, { fastest: 4, slowest: 1 });
    expect(retimed!.children.map(({ effects }) => effects[0]?.time_scalar ?? 1)).toEqual(
      expected.stretches.map(({ speed }) => speed),
    );
  });

  test('cues are those of the plan until there is a take; then its spans, its pulls and its faults, take after take', () => {
    expect(takesFile('vtt', 'Bell', [], context)).toContain('pull to B: she looks up');
    const said = {
      ...take,
      focusChecks: [{ fromS: 3, toS: 4 }],
      cues: [{ pullId: 'pull-1', timeS: 5 }],
      hits: [
        { pullId: 'pull-1', said: 'late' as const, measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
      ],
      findings: [{ at: { kind: 'time' as const, timeS: 7 }, found: 'camera-jumped' as const }],
    };
    const two = [views[0]!, { ...views[0]!, number: 2, take: said }];
    const cues = takesFile('vtt', 'Bell', two, context).split('\n\n').slice(1);
    // the second take begins where the first one ends, after 8 s
    expect(cues.map((cue) => cue.split('\n').slice(1).join(' ').trim())).toEqual([
      '00:00:00.000 --> 00:00:08.000 4A take 1: not said',
      '00:00:00.000 --> 00:00:03.000 use',
      expect.stringMatching(/--> .* pull to B$/),
      '00:00:08.000 --> 00:00:16.000 4A take 2: not said',
      '00:00:08.000 --> 00:00:11.000 use',
      '00:00:11.000 --> 00:00:12.000 cut out: focus check',
      expect.stringMatching(/--> .* pull to B: late$/),
      '00:00:15.000 --> 00:00:17.000 camera jumped: 7.0 s',
    ]);
  });
});
