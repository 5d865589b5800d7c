import { newTake } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { freshDraft, takeOfDraft, withHit } from './draft';

const empty = newTake(TWO_PEOPLE, 4);

describe('what is said of a take', () => {
  test('a good one until something is said against it; every pull is logged', () => {
    expect(takeOfDraft(freshDraft(), empty, ['pull-1'])).toEqual({
      ...empty,
      hits: [{ pullId: 'pull-1', hit: 'hit', lateS: null, landsLateS: null, offDeg: null }],
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
