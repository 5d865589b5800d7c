import {
  addPull,
  addStay,
  DEFAULT_SCHEDULE,
  type HowWide,
  lightBalances,
  METHODS,
  methodOffers,
  setGoals,
  setStop,
  type ShotPlan,
  suggestImprovements,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { textOf } from '../sentence';
import { chanceText, of100, takesOf100 } from '../share';
import { errorName, improvementCost, improvementName, progressText } from './improvementText';
import { methodArgumentText, OTHER_VIEWS, pullsAfterText } from './methodArgumentText';
import { minutesText, plannedTakesText, shotTimeLines } from './shotTimeText';
import { balanceText, howWideText, lightText } from './stopText';

const two = twoPeople();

test.each([
  [0.8, '80 of 100'],
  [0.806, '81 of 100'],
  [0.9999, '99 of 100'],
  [0.0004, '1 of 100'],
  [1, '100 of 100'],
  [0, '0 of 100'],
])('%d is %s', (share, text) => {
  expect(of100(share)).toBe(text);
  expect(takesOf100(share)).toBe(`${text} takes`);
});

test('an estimated chance is never certain', () => {
  expect([0, 0.004, 0.5, 0.999, 1].map(chanceText)).toEqual(['1 %', '1 %', '50 %', '99 %', '99 %']);
});

test.each<[Partial<HowWide>, Partial<ShotPlan['goals']>, string]>([
  [{ answer: 'open', isSure: true }, {}, 'T4, the widest stop, keeps 80 of 100 takes.'],
  [{ answer: 'from', isSure: true }, {}, 'T4 is the widest stop that keeps 80 of 100 takes.'],
  [{ answer: 'from', isSure: false }, {}, 'T4 is about the widest stop that keeps 80 of 100 takes.'],
  [{ answer: 'never' }, { targetKeepRate: 0.95 }, 'No stop keeps 95 of 100 takes. T8 keeps the most: 60 of 100 takes.'],
  [
    { answer: 'between' },
    { blurPercent: 2, background: { name: 'furnace door', distanceMm: 7500 } },
    'T4 to T5.6 keeps 80 of 100 takes, with furnace door at 2 % blur or more.',
  ],
  [{ answer: 'apart' }, { blurPercent: 2 }, 'T4 keeps 80 of 100 takes, and the background has 2 % blur only up to T5.6.'],
  [
    { answer: 'apart', softest: null },
    { blurPercent: 2 },
    'T4 keeps 80 of 100 takes, and at no stop has the background 2 % blur.',
  ],
])('how wide: %j', (changes, goals, text) => {
  const at = (stop: number, keepRate: number) => ({ stop, keepRate, low: 0, high: 1, backgroundPercent: 1 });
  const wide: HowWide = { keeps: at(4, 0.8), softest: at(5.6, 0.9), best: at(8, 0.6), isSure: true, answer: 'from', ...changes };
  expect(textOf(howWideText(wide, setGoals(two, goals)))).toBe(text);
});

test('light and durations', () => {
  expect(lightText(4, 5.6)).toBe('1 stop less light');
  expect(lightText(4, 2.8)).toBe('1 stop more light');
  expect(lightText(4, 4.1)).toBe('the same light');
  expect([0.2, 35.4, 60, 79.6, 125].map(minutesText)).toEqual(['1 min', '35 min', '1 h', '1 h 20 min', '2 h 05 min']);
});

test('planned takes', () => {
  const time = { takes: 3, chance: 0.914, minutes: 20 };
  expect(plannedTakesText(time, two)).toBe('plan 3 takes');
  expect(plannedTakesText({ ...time, takes: null }, two)).toBe('no number of takes is enough');
  expect(plannedTakesText({ ...time, chance: 0.9999 }, setGoals(two, { isOneChance: true }))).toBe('one chance: kept with 99 %');
  const typed = { ...two, schedule: { ...DEFAULT_SCHEDULE, takes: 3 } };
  expect(plannedTakesText(time, typed)).toBe('3 takes planned: one is kept with 91 %');
  expect(shotTimeLines(time, two, 0.53)[0]).toBe(
    '3 takes (enough for a chance of 90 %): each is kept with 53 %, at least one with 91 %.',
  );
  expect(shotTimeLines(time, typed, 0.53)[0]).toContain('3 takes (as typed)');
  expect(shotTimeLines({ ...time, takes: null, minutes: null }, two, 0.01)).toHaveLength(1);
});

test('each improvement has a name of its own, and its cost', () => {
  const walking = addStay(setStop(two, 2.2), 'subject-2', { distanceMm: 1500, fromS: 8 });
  const names = suggestImprovements(walking).map(({ change }) => improvementName(change, walking, 'metric'));
  expect(new Set(names).size).toBe(names.length);
  expect(names).toEqual(
    expect.arrayContaining(['Ines hits every mark', 'Ines is always on time', 'A is measured exactly', 'Shoot at T2.5']),
  );
  for (const name of names) expect(name).not.toMatch(/a subject|undefined/);
  expect(improvementCost({ kind: 'stop', stop: 4, stopsLost: 1 })).toBe('1 stop less light');
  expect(improvementCost({ kind: 'without', source: { kind: 'following', pullId: null } })).toBe('upper limit');
  expect(errorName({ kind: 'landing', pullId: 'pull-1' }, walking, 'metric')).toBe('the pull to B lands beside its mark');
});

test('arguments for and against each method', () => {
  const plan = addStay(setStop(two, 2.2), 'subject-2', { distanceMm: 1500, fromS: 8 });
  const offers = methodOffers(plan);
  const texts = offers.flatMap(({ pro, contra }) => [...pro, ...contra].map((one) => methodArgumentText(one, plan)));
  expect(texts).toContain('2 subjects must be sharp in turn');
  for (const text of texts) expect(text).toMatch(/^[\w ].* .*$/);
  const reason = { kind: 'nearer-in-area', otherId: 'subject-2' } as const;
  const span = { subjectId: 'subject-1', reason, fromS: 4, toS: 5 };
  expect(methodArgumentText({ code: 'autofocus-risk', span, forS: 1.2 }, two)).toBe(
    'Ines is nearer than Old Tam, and autofocus may jump, for 1.2 s from 4.0 s',
  );
  expect(methodArgumentText({ code: 'at-risk', forS: 2, ofS: 8 }, two)).toBe('at risk for 2.0 s of the 8.0 s that must be sharp');
  for (const method of METHODS) expect(OTHER_VIEWS[method]).toMatch(/^Others .*\.$/);
});

test('what a method does to the pulls that are there', () => {
  const texts = (['kept', 'removed', 'replaced', 'added', 'unused'] as const).map((fate) => [
    pullsAfterText({ fate, before: 3, after: 2 }),
    pullsAfterText({ fate, before: 1, after: 2 }),
  ]);
  expect(texts).toEqual([
    ['The 3 pulls stay.', 'The pull stays.'],
    ['The 3 pulls are deleted.', 'The pull is deleted.'],
    ['The 3 pulls are replaced by 2.', 'The pull is replaced by 2.'],
    ['Adds 2 pulls.', 'Adds 2 pulls.'],
    ['The 3 pulls stay in the plan, and nobody makes them.', 'The pull stays in the plan, and nobody makes it.'],
  ]);
});

test('a light balance lists only what changes', () => {
  const at = { tStop: 4, captureFps: 24, ...two.exposure };
  const limits = { iso: { min: 50, max: 25_600 }, ndStops: { max: 20 }, angleDeg: 180 };
  expect(lightBalances(at, -1, limits).map((balance) => balanceText(balance, two))).toEqual([
    'ND 1 stop',
    'ISO 400',
    'lamps ×0.50',
    'shutter 90.0°',
  ]);
});

test('a search tells how far it is', () => {
  expect(progressText('Looking for fixes', null)).toBe('Looking for fixes …');
  expect(progressText('Looking for fixes', { count: 12, total: 58 })).toBe('Looking for fixes: 12 of 58 …');
});

test('two pulls to the same mark are told apart by their start', () => {
  const plan = addPull(addPull(two, 'mark-1', 6), 'mark-2', 8);
  const [first, second, third] = plan.focusTrack.pulls.map(({ id }) => errorName({ kind: 'cue', pullId: id }, plan, 'metric'));
  expect(first).toBe('the pull to B at 4.0 s starts early or late');
  expect(second).toBe('the pull to A starts early or late');
  expect(third).toBe('the pull to B at 8.0 s starts early or late');
});
