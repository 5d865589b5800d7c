import {
  addStay,
  addSubject,
  changeBeat,
  changeSubject,
  type Fix,
  findFixes,
  newPlan,
  setStop,
  type ShotPlan,
  SOLVER_WAYS,
  solveTrack,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { fixName, fixResult, fixStepName, fixTakes, idealTakeText } from './fixText';
import { impossibleText, smallestChangeText, solutionText, SOLVER_WAY_WORDS } from './solverText';

const two = twoPeople();
const walking = addStay(addSubject(setStop(newPlan(), 2.2), { name: 'Ines', distanceMm: 4500 }), 'subject-1', {
  distanceMm: 2000,
  fromS: 8,
});

test('worked-out tracks, each with its result', () => {
  const result = { outcome: 'sharp', sharpS: 8, requiredS: 8, isWhole: true, fastestDegPerS: 10 } as const;
  const texts = SOLVER_WAYS.map((way) => {
    const solution = solveTrack(changeBeat(two, 'beat-2', { fromS: 6 }), way)!;
    return `${SOLVER_WAY_WORDS[way]}: ${solutionText({ ...result, solution })}`;
  });
  expect(texts).toEqual([
    'Fewest holds: sharp for all 8.0 s, 2 holds',
    'Follow: sharp for all 8.0 s, at most 10°/s',
    'Fixed: sharp for all 8.0 s',
    'Retime my pulls: sharp for all 8.0 s, 1.6 s to spare',
  ]);
  const solution = { way: 'fewest-holds', holds: 1, timings: [], cuesGivenUp: 0 } as const;
  expect(solutionText({ ...result, solution, isWhole: false, sharpS: 4 })).toBe('sharp for 4.0 of 8.0 s, no pull');
  expect(solutionText({ ...result, solution: { ...solution, way: 'follow' }, outcome: 'tight', fastestDegPerS: 0 })).toBe(
    'sharp for all 8.0 s, tight, no pull',
  );
  expect(solutionText({ ...result, solution: { ...solution, holds: 3, cuesGivenUp: 1 } })).toBe(
    'sharp for all 8.0 s, 3 holds, 1 pull by the clock instead of its cue',
  );
  expect(solutionText({ ...result, solution: { ...solution, way: 'retime' } })).toBe('sharp for all 8.0 s');
});

test('why a plan is impossible, and the changes that would help', () => {
  expect(impossibleText({ fromS: 3, why: 'at-once' })).toContain('From 3.0 s no focus distance');
  expect(impossibleText({ fromS: 3, why: 'too-fast' })).toContain('faster than the hand can');
  const plan = walking;
  const ids = { beatId: 'beat-1', subjectId: 'subject-1', markId: 'mark-1' };
  expect([
    smallestChangeText({ kind: 'stop', from: 2.2, to: 4.5, stopsLost: 2, plan }, plan, 'metric'),
    smallestChangeText({ kind: 'focal-length', fromMm: 65, toMm: 32, plan }, plan, 'metric'),
    smallestChangeText({ kind: 'later', ...ids, byS: 0.31, plan }, plan, 'metric'),
    smallestChangeText({ kind: 'until', ...ids, byS: 0.3, plan }, plan, 'metric'),
    smallestChangeText({ kind: 'stand', ...ids, fromMm: 4500, toMm: 4100, plan }, plan, 'metric'),
  ]).toEqual([
    'T2.2 → T4.5 (between T4 and T5.6), 2 stops less light',
    '65 → 32 mm, with this ring',
    'Ines must be sharp 0.31 s later',
    'Ines may go soft 0.30 s sooner',
    'Ines at 4.10 m instead of 4.50 m',
  ]);
});

describe('fixes', () => {
  const base = { outcome: 'sharp', sharpS: 8, requiredS: 9, stopsLost: 0 } as const;

  test.each<[Fix['change'], string]>([
    [{ kind: 'earlier', pullId: 'pull-1', byS: 0.3 }, 'Start 0.3 s sooner → sharp for 8.0 of 9.0 s'],
    [{ kind: 'later', pullId: 'pull-1', byS: 0.3 }, 'Start 0.3 s later → sharp for 8.0 of 9.0 s'],
    [{ kind: 'longer', pullId: 'pull-1', byS: 0.3 }, 'Start 0.3 s sooner, land at the same time → sharp for 8.0 of 9.0 s'],
    [{ kind: 'shorter', pullId: 'pull-1', byS: 0.3 }, 'Start 0.3 s later, land at the same time → sharp for 8.0 of 9.0 s'],
    [{ kind: 'easing', pullId: 'pull-1', easing: 'ease-out' }, 'Turn gently at the landing → sharp for 8.0 of 9.0 s'],
    [{ kind: 'follow', subjectId: 'subject-2', leadS: 0.2 }, 'Follow Ines, 0.2 s ahead → sharp for 8.0 of 9.0 s'],
    [{ kind: 'lead', subjectId: 'subject-2', leadS: 0 }, 'Follow Ines exactly → sharp for 8.0 of 9.0 s'],
    [{ kind: 'lead', subjectId: 'subject-2', leadS: -0.1 }, 'Follow Ines, 0.1 s behind → sharp for 8.0 of 9.0 s'],
    [{ kind: 'split', fromMm: 2900, toMm: 2600, at: null }, 'Focus between them at 2.60 m → sharp for 8.0 of 9.0 s'],
    [{ kind: 'reference', fromMm: 2900, toMm: 2600, at: 'lamp post' }, 'Focus on the lamp post instead → sharp for 8.0 of 9.0 s'],
    [
      { kind: 'other-order', firstId: 'subject-2', secondId: 'subject-1' },
      'First Ines, then Old Tam → sharp for 8.0 of 9.0 s, changes the story',
    ],
    [{ kind: 'reversed' }, 'Shoot it reversed → sharp for 8.0 of 9.0 s, played backwards in the edit'],
    [{ kind: 'shorter-walk', subjectId: 'subject-2', toMm: 2400 }, 'Ines stops at 2.40 m → sharp for 8.0 of 9.0 s, a new mark'],
    [{ kind: 'step-back', byMm: 500 }, 'Move the camera back 50 cm → sharp for 8.0 of 9.0 s, wider picture, measure again'],
    [
      { kind: 'step-aside', subjectId: 'subject-2', markId: 'mark-2', byMm: 300 },
      'Ines steps aside 30 cm at B → sharp for 8.0 of 9.0 s, no longer hidden, a new mark',
    ],
    [{ kind: 'gear', wheelPerRing: 0.8 }, 'Gear 0.8 on the wheel → sharp for 8.0 of 9.0 s'],
    [{ kind: 'hard-stops', letters: ['A', 'B'] }, 'Hard stops at A and B → sharp for 8.0 of 9.0 s'],
    [{ kind: 'solve-track', holds: 3, cuesGivenUp: 0 }, 'Work out the pulls: 3 holds → sharp for 8.0 of 9.0 s'],
    [{ kind: 'solve-track', holds: 1, cuesGivenUp: 0 }, 'Hold one focus distance → sharp for 8.0 of 9.0 s'],
  ])('%j', (change, text) => {
    expect(`${fixName({ change }, two, 'metric')} → ${fixResult({ ...base, change })}`).toBe(text);
  });

  test('a fix with less light and a tight pull shows both', () => {
    const change = { kind: 'stop', from: 3.2, to: 4.5 } as const;
    expect(fixResult({ ...base, outcome: 'tight', change, sharpS: 9, stopsLost: 1 })).toBe(
      'sharp for all 9.0 s, tight, 1 stop less light',
    );
    expect(fixResult({ ...base, outcome: 'too-hard', change })).toContain(', too hard');
    expect(fixName({ change }, two, 'metric')).toBe('T3.2 → T4.5 (between T4 and T5.6)');
  });

  test('with several pulls the fix names its pull; inside a sentence it keeps a name at its start', () => {
    const pulls = [...two.focusTrack.pulls, { ...two.focusTrack.pulls[0]!, id: 'pull-2', startS: 7 }];
    const several: ShotPlan = { ...two, focusTrack: { ...two.focusTrack, pulls } };
    expect(fixName({ change: { kind: 'earlier', pullId: 'pull-2', byS: 0.3 } }, several, 'metric')).toBe(
      'Pull to B at 7.0 s: start 0.3 s sooner',
    );
    const gorka = changeSubject(two, 'subject-2', { name: 'Gorka' });
    expect(fixStepName({ change: { kind: 'shorter-walk', subjectId: 'subject-2', toMm: 2400 } }, gorka, 'metric')).toBe(
      'Gorka stops at 2.40 m',
    );
    expect(fixStepName({ change: { kind: 'earlier', pullId: 'pull-1', byS: 0.3 } }, two, 'metric')).toBe('start 0.3 s sooner');
  });

  test('every fix that is found has a name', () => {
    for (const fix of findFixes(walking)) expect(fixName(fix, walking, 'imperial')).not.toMatch(/undefined|NaN/);
  });
});

test('a fix says what the ideal take gains, and what happens to the takes', () => {
  expect(fixTakes({ keepRate: 0.61, keepRateBefore: 0.77, takes: 'fewer' })).toBe('61 of 100 takes kept, was 77');
  expect(fixTakes({ keepRate: 0.004, keepRateBefore: 0, takes: 'same' })).toBe('1 of 100 takes kept, as before');
  expect(fixTakes({ keepRate: null, keepRateBefore: 0.77, takes: 'same' })).toBe('');
  expect(idealTakeText({ sharpS: 8.4, requiredS: 8.4 })).toBe('as planned sharp for all 8.4 s');
  expect(idealTakeText({ sharpS: 6.2, requiredS: 8.4 })).toBe('as planned sharp for 6.2 of 8.4 s');
});
