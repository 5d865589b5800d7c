import { changePull, newTake, type Take } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { allFine, draftOf, foundAt, freshDraft, takeOfDraft, withFinding, withHit } from './draft';

const plan = changePull(TWO_PEOPLE, 'pull-1', { startS: 4, durationS: 1 });
const empty = newTake(plan, 4);
const NONE = { lateS: null, landsLateS: null, offDeg: null, turn: null };

describe('what is said of a take that was judged by its track', () => {
  const judged: Take = {
    ...newTake(plan, 2),
    measured: { focus: 'usable', usable: [{ fromS: 1, toS: 4 }] },
    hits: [{ pullId: 'pull-1', said: null, measured: 'late', lateS: 0.42, landsLateS: null, offDeg: 0.3, turn: null }],
    markMisses: [{ markId: 'mark-1', byMm: 30 }],
    checkedOn: 'the large display',
    checkMagnification: 4,
    repairs: ['retimed'],
    whyKept: 'her look',
    isCircled: true,
    startTimecode: '10:00:00:00',
    timecodeFrom: 'camera',
  };

  test('unchanged it stays as it was measured, and nothing is said that nobody said', () => {
    expect(takeOfDraft(draftOf(judged), judged)).toEqual({ ...judged, note: 'her look' });
  });

  test('said otherwise, both stand side by side', () => {
    const take = takeOfDraft(withHit(draftOf(judged), 'pull-1', 'overshot'), judged);
    expect(take.hits).toEqual([{ ...judged.hits[0], said: 'overshot' }]);
    expect(takeOfDraft(withHit(draftOf(take), 'pull-1', null), take).hits).toEqual(judged.hits);
  });

  test('all fine leaves to the track what it shows', () => {
    const fine = allFine(draftOf(judged), judged, ['pull-1', 'pull-2']);
    expect(fine).toMatchObject({ hits: { 'pull-2': 'hit' }, focus: null, performance: 'good' });
  });

  test('a timecode that is typed comes from the slate', () => {
    const typed = { ...draftOf(judged), startTimecode: '11:00:00:00' };
    expect(takeOfDraft(typed, judged).timecodeFrom).toBe('slate');
  });

  test('a mark that nobody missed is not kept', () => {
    const draft = { ...freshDraft(), missedMm: { 'mark-1': 0, 'mark-2': -20 } };
    const take = takeOfDraft(draft, newTake(plan, 1));
    expect(take.markMisses).toEqual([{ markId: 'mark-2', byMm: -20 }]);
    expect(take.hits).toEqual([]);
  });
});

describe('what is said of a take without a track', () => {
  test('nothing, until somebody says it; all fine says it of every pull at once', () => {
    expect(takeOfDraft(freshDraft(), empty)).toEqual(empty);
    expect(takeOfDraft(allFine(freshDraft(), empty, ['pull-1']), empty)).toEqual({
      ...empty,
      hits: [{ pullId: 'pull-1', said: 'hit', measured: null, ...NONE }],
      focus: 'sharp',
      performance: 'good',
    });
  });

  test('a fault makes a sharp take usable at best; without a grade it says none', () => {
    expect(withHit(freshDraft(), 'pull-1', 'late').focus).toBeNull();
    expect(withHit({ ...freshDraft(), focus: 'sharp' }, 'pull-1', 'late').focus).toBe('usable');
    expect(withHit({ ...freshDraft(), focus: 'soft' }, 'pull-1', 'late').focus).toBe('soft');
    const rest = allFine(withHit(freshDraft(), 'pull-1', 'late'), empty, ['pull-1', 'pull-2']);
    expect(rest).toMatchObject({ hits: { 'pull-1': 'late', 'pull-2': 'hit' }, focus: 'usable' });
  });

  test('other places: said once, changed, and taken back', () => {
    const at = { kind: 'beat' as const, beatId: 'beat-1' };
    const drifted = withFinding({ ...freshDraft(), focus: 'sharp' }, at, 'drifted-nearer');
    expect([drifted.findings, drifted.focus]).toEqual([[{ at, found: 'drifted-nearer' }], 'usable']);
    const left = withFinding(drifted, at, 'left-zone');
    expect(left.findings).toEqual([{ at, found: 'left-zone' }]);
    expect(foundAt(left, at)).toBe('left-zone');
    expect(withFinding(left, at, null).findings).toEqual([]);
  });

  test('why a soft one is kept is only said of one that is circled and soft', () => {
    const kept = { ...freshDraft(), focus: 'soft' as const, isCircled: true, note: 'her look' };
    expect(takeOfDraft(kept, empty).whyKept).toBe('her look');
    expect(takeOfDraft({ ...kept, isCircled: false }, empty).whyKept).toBe('');
  });
});
