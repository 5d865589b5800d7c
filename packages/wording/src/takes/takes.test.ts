import { adviseNext, changePull, judgeTake, newTake, prepareRoll, type RingTrack, setGoals, type Take } from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { adviceText, correctionText, faultText, takeVerdictText } from './takeText';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const empty = newTake(plan, 4);
const hits: Take['hits'] = [
  { pullId: 'pull-1', hit: 'late', lateS: 0.42, landsLateS: null, offDeg: null },
  { pullId: 'pull-9', hit: 'in-front', lateS: null, landsLateS: null, offDeg: null },
];

test('faults name the mark and the time', () => {
  expect(faultText(hits, plan, 'metric')).toBe('late at B by 0.4 s, in front at a deleted pull');
  expect(faultText([{ pullId: 'pull-1', hit: 'hit', lateS: null, landsLateS: null, offDeg: null }], plan, 'metric')).toBe('');
});

test('advice after a take', () => {
  const late = { ...empty, hits: hits.slice(0, 1), focus: 'soft' as const };
  const text = (takes: readonly Take[], of = plan) => adviceText(adviseNext(of, takes), takes.length, 3).text;
  expect(text([])).toBe('No take yet; 3 planned.');
  expect(text([late])).toBe('Go again: take 1 of 3 planned, none can be used yet.');
  expect(text([late, late])).toBe('Change something first: take 2 of 3 planned had the same fault again.');
  expect(text([late, { ...empty, focus: 'sharp' }])).toBe('Move on: 1 of 2 takes can be used.');
  expect(text([late], setGoals(plan, { isOneChance: true }))).toBe('It happened once. Move on.');
  const next = { advice: 'too-short' as const, kept: 1, longestScreenS: 4.25, corrections: [] };
  expect(adviceText(next, 2, 3)).toEqual({
    tone: 'edge',
    text: 'Go again for length: the longest sharp stretch gives 4.3 s on screen, and the plan needs more.',
  });
  const [correction] = adviseNext(plan, [late, late]).corrections;
  expect(correctionText(correction!, plan, 'metric')).toBe('2 times late at B by 0.4 s: start sooner');
  expect(correctionText({ ...correction!, times: 1, hit: 'searched' }, plan, 'metric')).toMatch(
    /^searched at B: set a hard stop/,
  );
});

describe('the verdict on a take', () => {
  const { track } = prepareRoll(plan)!;
  const turned = (offDeg: number, toS = plan.durationS): RingTrack => ({
    hz: 100,
    ringDeg: Float64Array.from({ length: 100 * toS + 1 }, (_, k) => track.ringDegAt(k / 100) + (k > 500 ? offDeg : 0)),
  });
  const text = (ring: RingTrack) => takeVerdictText(judgeTake(plan, ring)!, plan, 'metric');

  test('soft: which mark, and the usable length', () => {
    expect(text(turned(30))).toMatch(
      /^Soft: (in front|behind|overshot|late|searched) at B.*; \d\.\d s in one stretch can be used\.$/,
    );
  });

  test('ended early, with and without a fault', () => {
    expect(text(turned(0, 2))).toMatch(/^Ended early: \d\.\d s in one stretch can be used\.$/);
    expect(text(turned(30, 6))).toMatch(/^Ended early, and soft: /);
  });

  test('kept', () => {
    const kept = { isKept: true, isWhole: true, pulls: [], usable: [] } as unknown as Parameters<typeof takeVerdictText>[0];
    expect(takeVerdictText(kept, plan, 'metric')).toBe('Kept: every mark hit.');
    expect(takeVerdictText({ ...kept, isKept: false }, plan, 'metric')).toBe('Soft in places; nothing can be used.');
  });
});
