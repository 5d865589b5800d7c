import {
  addStay,
  addSubject,
  changeBeat,
  changeSubject,
  evaluatePull,
  findFixes,
  type CompleteVerdict,
  solveTrack,
  SOLVER_WAYS,
  type Fix,
  newPlan,
  setTrackStart,
  setStop,
  type ShotPlan,
} from '@still-heron/core';
import { trackOffer } from '../../shared/workers/trackOffer';
import { byDay, timeOfDay } from '../revisions/byDay';
import { pullChartLayout } from './pullChartLayout';
import { changeWords, impossibleWords, trackOfferWords, SOLVER_WAY_WORDS } from './solverWords';
import { plainMm } from './dragTargets';
import { fixName, fixResult, fixStepName } from './fixWords';
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

  test('nobody is offered whom the line goes on with, and nobody at all along a course', () => {
    const alone = { ...two, focusTrack: { ...two.focusTrack, pulls: [] } };
    expect(offeredPull(alone, 0)?.mark.letter).toBe('B');
    expect(offeredPull(setTrackStart(alone, { kind: 'subject', subjectId: 'subject-2', leadS: 0 }), 0)?.mark.letter).toBe('A');
    expect(offeredPull(solveTrack(two, 'follow')!.plan, 0)).toBeNull();
  });
});

describe('what is offered is said plainly', () => {
  const walking = addStay(addSubject(setStop(newPlan(), 2.2), { name: 'Ines', distanceMm: 4500 }), 'subject-1', {
    distanceMm: 2000,
    fromS: 8,
  });

  test('lines, each with what would come of it', () => {
    const words = SOLVER_WAYS.flatMap((way) => {
      const offer = trackOffer(changeBeat(two, 'beat-2', { fromS: 6 }), way);
      return offer ? [`${SOLVER_WAY_WORDS[way]}: ${trackOfferWords(offer)}`] : [];
    });
    expect(words).toMatchInlineSnapshot(`
     [
       "Fewest settings: sharp for all 8.0 s, 2 in all",
       "As still as it goes: sharp for all 8.0 s, at most 10°/s",
       "One setting: sharp 4.0 of 8.0 s",
       "These pulls, well timed: sharp for all 8.0 s, 1.6 s to spare",
     ]
    `);
    expect(trackOffer(newPlan(), 'follow')).toBeNull();
    expect(impossibleWords({ fromS: 3, why: 'at-once' })).toContain('From 3.0 s');
    expect(impossibleWords({ fromS: 3, why: 'too-fast' })).toContain('hand’s limit');
  });

  test('changes that would let a line be', () => {
    const { plan } = { plan: walking };
    expect(
      [
        changeWords({ kind: 'stop', from: 2.2, to: 4.5, stopsLost: 2, plan }, plan, 'metric'),
        changeWords({ kind: 'focal-length', fromMm: 65, toMm: 32, plan }, plan, 'metric'),
        changeWords({ kind: 'later', beatId: 'beat-1', subjectId: 'subject-1', byS: 0.31, plan }, plan, 'metric'),
        changeWords({ kind: 'until', beatId: 'beat-1', subjectId: 'subject-1', byS: 0.3, plan }, plan, 'metric'),
        changeWords({ kind: 'stand', markId: 'mark-1', subjectId: 'subject-1', fromMm: 4500, toMm: 4100, plan }, plan, 'metric'),
      ].join('\n'),
    ).toMatchInlineSnapshot(`
     "T2.2 → T4.5, 2 stops less light
     65 → 32 mm, with this ring
     Ines asked for 0.31 s later
     Ines asked for 0.30 s less long
     Ines at 4.10 m instead of 4.50 m"
    `);
  });

  test('mends of every kind, by name, result and cost', () => {
    const base = { plan: two, outcome: 'sharp', sharpS: 8, requiredS: 9, stopsLost: 0 } as const;
    const changes: Fix['change'][] = [
      { kind: 'earlier', pullId: 'pull-1', byS: 0.3 },
      { kind: 'shorter', pullId: 'pull-1', byS: 0.3 },
      { kind: 'easing', pullId: 'pull-1', easing: 'ease-out' },
      { kind: 'follow', subjectId: 'subject-2', leadS: 0.2 },
      { kind: 'lead', subjectId: 'subject-2', leadS: 0 },
      { kind: 'lead', subjectId: 'subject-2', leadS: -0.1 },
      { kind: 'split', fromMm: 2900, toMm: 2600, at: null },
      { kind: 'reference', fromMm: 2900, toMm: 2600, at: 'lamp post' },
      { kind: 'other-order', firstId: 'subject-2', secondId: 'subject-1' },
      { kind: 'reversed' },
      { kind: 'shorter-walk', subjectId: 'subject-2', toMm: 2400 },
      { kind: 'step-back', byMm: 500 },
      { kind: 'gear', wheelPerRing: 0.8 },
      { kind: 'hard-stops', letters: ['A', 'B'] },
      { kind: 'lay-line', holds: 3 },
    ];
    const words = changes.map((change) => {
      const mend = { ...base, change };
      return `${fixName(mend, two, 'metric')} ${fixResult(mend)}`;
    });
    expect(words.join('\n')).toMatchInlineSnapshot(`
     "Start 0.3 s sooner → 8.0 of 9.0 s
     Start 0.3 s later, land the same → 8.0 of 9.0 s
     Begin at speed, land gently → 8.0 of 9.0 s
     Go with Ines, 0.2 s ahead → 8.0 of 9.0 s
     Go exactly with Ines → 8.0 of 9.0 s
     Go with Ines, 0.1 s behind → 8.0 of 9.0 s
     Set the ring to 2.60 m → 8.0 of 9.0 s
     Set the ring to the lamp post → 8.0 of 9.0 s
     First Ines, then Old Tam → 8.0 of 9.0 s, another order of the story
     Shoot it reversed → 8.0 of 9.0 s, played backwards
     Ines stops at 2.40 m → 8.0 of 9.0 s, another mark
     Camera 50 cm farther back → 8.0 of 9.0 s, wider, tape again
     Gear 0.8 on the wheel → 8.0 of 9.0 s
     Hard stops at A and B → 8.0 of 9.0 s
     Lay the line, 3 settings → 8.0 of 9.0 s"
    `);
    for (const fix of findFixes(walking)) expect(fixName(fix, walking, 'imperial')).not.toMatch(/undefined|NaN/);
    // a step is told within a sentence, and a name at its beginning is still a name
    const gorka = changeSubject(two, 'subject-2', { name: 'Gorka' });
    const stops: Fix = { ...base, change: { kind: 'shorter-walk', subjectId: 'subject-2', toMm: 2400 } };
    expect(fixStepName(stops, gorka, 'metric')).toBe('Gorka stops at 2.40 m');
    expect(fixStepName({ ...base, change: changes[0]! }, two, 'metric')).toBe('start 0.3 s sooner');
    const dark: Fix = { ...base, outcome: 'tight', change: { kind: 'stop', from: 3.2, to: 4.5 }, sharpS: 9, stopsLost: 1 };
    expect(`${fixName(dark, two, 'metric')} ${fixResult(dark)}`).toBe('T3.2 → T4.5 → all 9.0 s, barely, 1 stop less light');
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
