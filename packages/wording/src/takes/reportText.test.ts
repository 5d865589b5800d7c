import { changePull, newTake, type Take } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { reportFrameRates, reportSpan, reportSummary, reportTakeHead, reportTakeLines, reportTitle } from './reportText';

const take: Take = {
  ...newTake(changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 }), 2),
  durationS: 10,
  isCircled: true,
  focus: 'usable',
  performance: 'good',
  hits: [
    { pullId: 'pull-1', said: 'in-front', measured: null, lateS: null, landsLateS: null, offDeg: null },
    { pullId: 'pull-2', said: 'hit', measured: null, lateS: null, landsLateS: null, offDeg: null },
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
  expect(reportTakeHead(2, take)).toBe('Take 2, circled, usable, performance good');
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
  expect(reportTakeHead(3, reversed)).toBe('Take 3, NO GOOD, not said, cut short, alternate B, SIMULATED, SHOT REVERSED');
  expect(reportTakeLines(take, 'T', { pullName: () => 'B', placeName: () => '3.0 s' }).slice(-8)).toEqual([
    'cut out 10:00:01:00 – 10:00:02:00: focus check',
    'focus: in front at B, camera jumped: 3.0 s',
    'file A003_C012',
    'timecode 10:00:00:00, from the slate',
    'repairs: speed changed, focus check cut out',
    'kept although soft: her look',
    'again tomorrow',
    'checked on the large display at 4 ×',
  ]);
});
