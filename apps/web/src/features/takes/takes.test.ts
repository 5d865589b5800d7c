import { adviseNext, changePull, newTake, setGoals, type Take } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { freshDraft, takeOfDraft, withHit } from './draft';
import { adviceWords, correctionWords, faultWords } from './takeWords';

const empty = newTake(TWO_PEOPLE, 4);

describe('what is said of a take', () => {
  test('a good one until something is said against it; every pull is logged', () => {
    expect(takeOfDraft(freshDraft(), empty, ['pull-1'])).toEqual({
      ...empty,
      hits: [{ pullId: 'pull-1', hit: 'hit', lateS: null, offDeg: null }],
      focus: 'sharp',
      performance: 'good',
    });
  });

  test('a fault makes it usable at best, but for what was said of it already; taken back it stays as it was said', () => {
    const late = withHit(freshDraft(), 'pull-1', 'late');
    expect(late.focus).toBe('usable');
    expect(withHit({ ...freshDraft(), focus: 'soft' }, 'pull-1', 'late').focus).toBe('soft');
    expect(takeOfDraft(late, empty, ['pull-1', 'pull-2']).hits.map(({ hit }) => hit)).toEqual(['late', 'hit']);
  });

  test('why a soft one is kept is only said of one that is circled and soft', () => {
    const kept = { ...freshDraft(), focus: 'soft' as const, isCircled: true, note: 'her look' };
    expect(takeOfDraft(kept, empty, []).whyKept).toBe('her look');
    expect(takeOfDraft({ ...kept, isCircled: false }, empty, []).whyKept).toBe('');
  });
});

test('faults, advice and corrections in words', () => {
  const hits: Take['hits'] = [
    { pullId: 'pull-1', hit: 'late', lateS: 0.42, offDeg: null },
    { pullId: 'pull-9', hit: 'in-front', lateS: null, offDeg: null },
  ];
  expect(faultWords(hits, TWO_PEOPLE, 'metric')).toBe('late at B by 0.4 s, in front at a pull that is gone');
  expect(faultWords([{ pullId: 'pull-1', hit: 'hit', lateS: null, offDeg: null }], TWO_PEOPLE, 'metric')).toBe('');
  const late = { ...empty, hits: hits.slice(0, 1), focus: 'soft' as const };
  const said = (takes: readonly Take[], plan = TWO_PEOPLE) => adviceWords(adviseNext(plan, takes), takes.length, 3).text;
  expect(said([])).toBe('No take yet; 3 planned.');
  expect(said([late])).toBe('Go again: take 1 of 3 planned, none to use yet.');
  expect(said([late, late])).toBe('Change something first: take 2 of 3 planned, and the same fault again.');
  expect(said([late, { ...empty, focus: 'sharp' }])).toBe('Move on: 1 of 2 takes can be used.');
  expect(said([late], setGoals(TWO_PEOPLE, { isOneChance: true }))).toBe('It happened. Move on.');
  const [correction] = adviseNext(TWO_PEOPLE, [late, late]).corrections;
  expect(correctionWords(correction!, TWO_PEOPLE, 'metric')).toBe('2 times late at B by 0.4 s: begin sooner');
  expect(correction!.plan).toEqual(changePull(TWO_PEOPLE, 'pull-1', { startS: correction!.plan!.focusTrack.pulls[0]!.startS }));
});
