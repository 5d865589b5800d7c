import { changePull, newTake, type Take } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { draftOf, freshDraft, takeOfDraft } from './draft';

const plan = changePull(TWO_PEOPLE, 'pull-1', { startS: 4, durationS: 1 });

describe('what is said of a take that was judged by its track', () => {
  const judged: Take = {
    ...newTake(plan, 2),
    focus: 'usable',
    hits: [{ pullId: 'pull-1', hit: 'late', lateS: 0.42, landsLateS: null, offDeg: 0.3 }],
    markMisses: [{ markId: 'mark-1', byMm: 30 }],
    checkedOn: 'the large display',
    checkMagnification: 4,
    repairs: ['retimed'],
    whyKept: 'her look',
    isCircled: true,
  };

  test('unchanged it stays as it was measured', () => {
    expect(takeOfDraft(draftOf(judged), judged, ['pull-1'])).toEqual({
      ...judged,
      performance: 'good',
      note: 'her look',
    });
  });

  test('said otherwise, what was measured of the other hit is gone', () => {
    const draft = { ...draftOf(judged), hits: { 'pull-1': 'overshot' as const } };
    expect(takeOfDraft(draft, judged, ['pull-1']).hits).toEqual([
      { pullId: 'pull-1', hit: 'overshot', lateS: null, landsLateS: null, offDeg: null },
    ]);
  });

  test('a mark that nobody missed is not kept; pulls that were not reached are not spoken of', () => {
    const draft = { ...freshDraft(), missedMm: { 'mark-1': 0, 'mark-2': -20 } };
    const take = takeOfDraft(draft, newTake(plan, 1), []);
    expect(take.markMisses).toEqual([{ markId: 'mark-2', byMm: -20 }]);
    expect(take.hits).toEqual([]);
  });
});
