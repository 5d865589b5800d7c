import { changePull, judgeTake, newTake, prepareRoll, type RingTrack, type Take } from '@still-heron/core';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { draftOf, freshDraft, takeOfDraft } from './draft';
import { adviceWords, verdictWords } from './takeWords';

const plan = changePull(TWO_PEOPLE, 'pull-1', { startS: 4, durationS: 1 });
const { track: track } = prepareRoll(plan)!;
const turned = (offDeg: number, toS = plan.durationS): RingTrack => ({
  hz: 100,
  ringDeg: Float64Array.from({ length: 100 * toS + 1 }, (_, k) => track.ringDegAt(k / 100) + (k > 500 ? offDeg : 0)),
});

describe('what is said of a take that was judged by its track', () => {
  const judged: Take = {
    ...newTake(plan, 2),
    focus: 'usable',
    hits: [{ pullId: 'pull-1', hit: 'late', lateS: 0.42, offDeg: 0.3 }],
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
      { pullId: 'pull-1', hit: 'overshot', lateS: null, offDeg: null },
    ]);
  });

  test('a mark that nobody missed is not kept; pulls that were not reached are not spoken of', () => {
    const draft = { ...freshDraft(), missedMm: { 'mark-1': 0, 'mark-2': -20 } };
    const take = takeOfDraft(draft, newTake(plan, 1), []);
    expect(take.markMisses).toEqual([{ markId: 'mark-2', byMm: -20 }]);
    expect(take.hits).toEqual([]);
  });
});

describe('a verdict in a sentence', () => {
  const said = (track: RingTrack) => verdictWords(judgeTake(plan, track)!, plan, 'metric');

  test('what was soft, and how long can be used', () => {
    expect(said(turned(30))).toMatch(/^Soft: (in front|behind|overshot|late|searched) at B.*; \d\.\d s in one go can be used\.$/);
  });

  test('ended early, with and without a fault', () => {
    expect(said(turned(0, 2))).toMatch(/^Ended early: \d\.\d s in one go can be used\.$/);
    expect(said(turned(30, 6))).toMatch(/^Ended early, and soft: /);
  });
});

test('too short is told by what there is', () => {
  const next = { advice: 'too-short' as const, kept: 1, longestScreenS: 4.25, corrections: [] };
  expect(adviceWords(next, 2, 3)).toEqual({
    tone: 'edge',
    text: 'Go again for length: 4.3 s on the screen in one go, and the plan asks for more.',
  });
});
