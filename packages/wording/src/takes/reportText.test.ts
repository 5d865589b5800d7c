import { changePull, newTake, type Take } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { pullsSheet, takesSheet } from './takesSheet';
import {
  reportFrameRates,
  reportMissing,
  reportSpan,
  reportSummary,
  reportTakeHead,
  reportTakeLines,
  reportTitle,
} from './reportText';

const ROLLED_AT = '2026-03-01T10:15:00.000Z';

const take: Take = {
  ...newTake(changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 }), 2),
  durationS: 10,
  isCircled: true,
  focus: 'usable',
  performance: 'good',
  hits: [
    { pullId: 'pull-1', said: 'in-front', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
    { pullId: 'pull-2', said: 'hit', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
  ],
  findings: [{ at: { kind: 'time', timeS: 3 }, found: 'camera-jumped' }],
  startTimecode: '10:00:00:00',
  timecodeFrom: 'slate',
  clip: 'A003_C012',
  focusChecks: [{ fromS: 1, toS: 2 }],
  repairs: ['retimed', 'focus-check-cut'],
  whyKept: 'her look',
  note: 'again tomorrow',
  checkedOn: 'the large display',
  checkMagnification: 4,
};

test('the head of the report and of a shot', () => {
  expect(reportTitle('The Bell')).toBe('The Bell: takes for the editor');
  expect(reportSummary(new Date('2026-03-01T10:00:00Z'), { all: 1, usable: 1, repaired: 0 })).toBe(
    'Takes for the editor, 2026-03-01. 1 take, 1 usable, 0 repaired.',
  );
  expect(reportFrameRates(24, 24)).toBe('24 fps');
  expect(reportFrameRates(48, 24)).toBe('48 fps, played back at 24: one second lasts 2 s on screen');
  const span = { number: 2, fromS: 1, toS: 3, lengthS: 2 } as Parameters<typeof reportSpan>[1];
  expect(reportSpan(0, span, take, { captureFps: 48, deliveryFps: 24 })).toBe(
    '1.  take 2   10:00:01:00 – 10:00:03:00   4.0 s on screen',
  );
});

test('a take: its grades, and a line for each thing the editor must know', () => {
  expect(reportTakeHead(2, ROLLED_AT, take)).toBe('Take 2, 2026-03-01 10:15 UTC, circled, usable, performance good');
  const reversed = {
    ...take,
    focus: null,
    performance: null,
    isCircled: false,
    isCutShort: true,
    isNoGood: true,
    alternate: 'B' as const,
    ringFrom: 'on-screen' as const,
    gear: { ...take.gear, isReversed: true },
  };
  expect(reportTakeHead(3, ROLLED_AT, reversed)).toBe(
    'Take 3, 2026-03-01 10:15 UTC, NO GOOD, not said, cut short, alternate B, SIMULATED, SHOT REVERSED',
  );
  expect(reportTakeLines(take, 'T', { pullName: () => 'B', placeName: () => '3.0 s' }).slice(-8)).toEqual([
    'cut out 10:00:01:00 – 10:00:02:00: focus check',
    'focus: in front at B, camera jumped: 3.0 s',
    'file A003_C012',
    'timecode 10:00:00:00, from the slate',
    'repairs: speed changed, focus check cut out',
    'kept although soft: her look',
    'again tomorrow',
    'checked on the large display, 4 ×',
  ]);
});

describe('a sheet for people', () => {
  const one = {
    slate: '4A',
    title: 'Bronze at the lip',
    number: 2,
    rolledAt: '2026-03-01T10:15:00.000Z',
    take,
    stopScale: 'T' as const,
    pullName: (id: string) => (id === 'pull-1' ? 'B' : 'C'),
    placeName: () => '3.0 s',
  };
  const cells = (table: string[][], line = 1) => Object.fromEntries(table[0]!.map((heading, k) => [heading, table[line]![k]]));

  test('one line a take, one fact a column, in plain words', () => {
    const table = takesSheet([one, { ...one, take: { ...take, focus: null, performance: null } }]);
    expect(table.every((line) => line.length === table[0]!.length)).toBe(true);
    expect(cells(table)).toMatchObject({
      slate: '4A',
      take: '2',
      date: '2026-03-01',
      'time UTC': '10:15',
      circled: 'yes',
      'no good': '',
      focus: 'usable',
      faults: 'in front at B; camera jumped: 3.0 s',
      'cut out': '10:00:01:00 – 10:00:02:00',
      repairs: 'speed changed; focus check cut out',
      'why it is kept': 'her look',
      file: 'A003_C012',
      'timecode from': 'from the slate',
      'magnified, times': '4',
    });
    expect(cells(table, 2)).toMatchObject({ focus: 'not said', performance: 'not said' });
  });

  test('one line a pull, with what is said beside what the track shows', () => {
    const measured = {
      ...take,
      hits: [{ ...take.hits[0]!, measured: 'late' as const, said: null, lateS: 0.42, offDeg: -1.5, turn: null }],
    };
    const table = pullsSheet([one, { ...one, take: measured }]);
    expect(table).toHaveLength(4);
    expect(cells(table)).toMatchObject({ 'pull to': 'B', 'hit, as said': 'in front', 'hit, by its track': '', 'late by s': '' });
    expect(cells(table, 3)).toMatchObject({
      'hit, as said': 'not said',
      'hit, by its track': 'late',
      'late by s': '0.42',
      'ring off by °': '-1.50',
    });
  });
});

test('numbers that are not in the report are told', () => {
  expect(reportMissing([1, 2, 3])).toBe('');
  expect(reportMissing([])).toBe('');
  expect(reportMissing([1, 3])).toBe('Not here: take 2, deleted or simulated.');
  expect(reportMissing([2, 4, 7])).toBe('Not here: takes 1, 3, 5 and 6, deleted or simulated.');
});
