import { changeBeat, evaluatePull, type CompleteVerdict, solveTrack, setTrackStart, type ShotPlan } from '@still-heron/core';
import { byDay, timeOfDay } from '../revisions/byDay';
import { pullChartLayout } from './pullChartLayout';
import { plainMm } from './dragTargets';
import { offeredPull } from './nextPull';
import { snapped, snappedSpan, timesOf } from './snapTimes';
import { choiceOf, targetChoices, targetOf } from './targetChoices';
import { moved, zoomed } from './timeView';
import { TWO_PEOPLE as two } from '../../twoPeople.fixture';

describe('snapping in time', () => {
  test('to what else happens, never to itself, and only near by on the screen', () => {
    const keyed = changeBeat(two, 'beat-1', { keyMomentS: 2 });
    expect(timesOf(keyed, 'pull-1')).toEqual(expect.arrayContaining([0, 10, 2]));
    expect(timesOf(two, 'pull-1')).not.toContain(5);
    expect(timesOf(two, 'beat-1')).toContain(5);
    expect(snapped(2.05, [2, 3], 80)).toBe(2);
    expect(snapped(2.2, [2, 3], 80)).toBe(2.2);
    expect(snapped(2.2, [2, 3], 20)).toBe(2);
    expect(snapped(2.123456, [], 80)).toBe(2.12);
  });

  test('moved as a whole, the end that is nearer to something is taken there', () => {
    expect(snappedSpan(2.05, 4.5, [2], 80)).toBe(2);
    expect(snappedSpan(1.5, 3.97, [4], 80)).toBeCloseTo(1.53, 9);
    expect(snappedSpan(1.98, 3.95, [2, 4], 80)).toBe(2);
    expect(snappedSpan(1.234, 3, [], 80)).toBe(1.23);
  });
});

describe('a stretch of the shot', () => {
  test('is drawn larger around a time that stays where it is, and never reaches past the shot', () => {
    const view = zoomed({ fromS: 0, toS: 10 }, 2, 4, 10)!;
    expect(view).toEqual({ fromS: 2, toS: 7 });
    expect((4 - view.fromS) / 5).toBeCloseTo(0.4, 12);
    expect(zoomed({ fromS: 0, toS: 10 }, 2, 0, 10)).toEqual({ fromS: 0, toS: 5 });
    expect(zoomed(view, 0.4, 4, 10)).toBeNull();
    expect(zoomed({ fromS: 1, toS: 1.6 }, 8, 1.2, 10)!.toS - zoomed({ fromS: 1, toS: 1.6 }, 8, 1.2, 10)!.fromS).toBeCloseTo(
      0.5,
      12,
    );
    expect(moved(view, 9, 10)).toEqual({ fromS: 5, toS: 10 });
    expect(moved(view, -9, 10)).toEqual({ fromS: 0, toS: 5 });
  });

  test('the channel shows it from edge to edge', () => {
    const verdict = evaluatePull(two) as CompleteVerdict;
    const size = { width: 900, height: 560 };
    const layout = pullChartLayout({ plan: two, verdict, axis: 'hand', units: 'metric', size, view: { fromS: 3.5, toS: 5.5 } });
    expect([layout.x(3.5), layout.x(5.5)]).toEqual([layout.left, layout.right]);
    expect(layout.times.every(({ at }) => at >= layout.left - 1 && at <= layout.right + 1)).toBe(true);
    expect(layout.track.length).toBeGreaterThan(
      pullChartLayout({ plan: two, verdict, axis: 'hand', units: 'metric', size: { width: 300, height: 300 } }).track.length,
    );
  });
});

describe('where a pull can go', () => {
  test('every kind of target is in the list, is found there, and comes back from it', () => {
    const targets: ShotPlan['focusTrack']['start'][] = [
      { kind: 'mark', markId: 'mark-1' },
      { kind: 'distance', distanceMm: 3000 },
      { kind: 'blur', markId: 'mark-1', blurPercent: 2, towards: 'near' },
      { kind: 'subject', subjectId: 'subject-2', leadS: 0.2 },
      { kind: 'course', points: [{ timeS: 0, distanceMm: 900 }] },
    ];
    for (const target of targets) {
      const choice = choiceOf(target!);
      expect(targetChoices(target!, two, 'metric').map(({ value }) => value)).toContain(choice);
      expect(targetOf(choice, target!, two).kind).toBe(target!.kind);
    }
    expect(targetOf('distance', { kind: 'mark', markId: 'mark-2' }, two)).toEqual({ kind: 'distance', distanceMm: 2050 });
    expect(targetOf('blur', { kind: 'mark', markId: 'mark-2' }, two)).toMatchObject({ markId: 'mark-2', towards: 'near' });
    expect(targetOf('distance', targets[3]!, two)).toEqual({ kind: 'distance', distanceMm: 2900 });
    expect(plainMm(targets[2]!, two)).toBeNull();
    expect(plainMm({ kind: 'distance', distanceMm: null }, two)).toBe(Infinity);
  });

  test('no subject is offered that the track follows already, and none at all along a course', () => {
    const alone = { ...two, focusTrack: { ...two.focusTrack, pulls: [] } };
    expect(offeredPull(alone, 0)?.mark.letter).toBe('B');
    expect(offeredPull(setTrackStart(alone, { kind: 'subject', subjectId: 'subject-2', leadS: 0 }), 0)?.mark.letter).toBe('A');
    expect(offeredPull(solveTrack(two, 'follow')!.plan, 0)).toBeNull();
  });
});

test('versions by day, the newest first', () => {
  const saved = ['2026-11-25T09:12:30', '2026-11-25T08:00:00', '2026-11-24T18:00:00'].map((at, k) => ({
    version: 9 - k,
    savedAt: new Date(at).toISOString(),
  }));
  const days = byDay(saved);
  expect(days.map(({ items }) => items.length)).toEqual([2, 1]);
  expect(days[0]!.day).toBe('Wednesday, 25 November 2026');
  expect(timeOfDay(saved[0]!.savedAt)).toBe('09:12:30');
});
