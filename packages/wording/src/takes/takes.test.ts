import { FINDINGS } from '@still-heron/core';
import { findingCorrectionText } from './correctionText';
import { heldByText } from './wrapUpText';
import {
  adviseNext,
  changePull,
  judgeTake,
  newTake,
  NOT_MEASURED,
  prepareRoll,
  type RingTrack,
  setGoals,
  type Take,
  WRAP_STATES,
  type WrapState,
} from '@still-heron/core';
import { twoPeople } from '../../../core/test/plans';
import { findingFaultText, findingPlaceText, findingTimeText, lookFirstText, takeFaultText } from './findingText';
import { takeChangesText } from './takeChangesText';
import { wrapUpSentence, wrapUpText } from './wrapUpText';
import { adviceText, correctionText, faultText, focusText, hitMeasuredText, logText, takeVerdictText } from './takeText';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const empty = newTake(plan, 4);
const hits: Take['hits'] = [
  { pullId: 'pull-1', said: null, measured: 'late', lateS: 0.42, landsLateS: null, offDeg: null, turn: null },
  { pullId: 'pull-9', said: 'in-front', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null },
];

test('faults name the mark and the time', () => {
  expect(faultText(hits, plan, 'metric')).toBe('late at B by 0.4 s, in front at a deleted pull');
  const one = { pullId: 'pull-1', ...NOT_MEASURED };
  expect(
    faultText(
      [
        { ...one, said: 'hit', measured: 'late' },
        { ...one, said: null, measured: null },
      ],
      plan,
      'metric',
    ),
  ).toBe('');
});

test('what a person says stands beside what the track shows', () => {
  const measured = { focus: 'sharp' as const, usable: [] };
  const texts = [
    { focus: null, measured: null },
    { focus: null, measured },
    { focus: 'sharp' as const, measured },
    { focus: 'soft' as const, measured },
    { focus: 'usable' as const, measured: null },
  ].map(focusText);
  expect(texts).toEqual(['not said', 'sharp by its track', 'sharp', 'soft, by its track sharp', 'usable']);
  expect(hitMeasuredText({ ...NOT_MEASURED, measured: 'in-front' })).toBe('by its track in front');
  expect(hitMeasuredText({ ...NOT_MEASURED, measured: 'late', lateS: 0.42 })).toBe('by its track late by 0.4 s');
  expect(hitMeasuredText({ ...NOT_MEASURED, measured: null })).toBe('');
});

test('faults at other places name who, where and when', () => {
  const [beat] = plan.beats;
  const [subject] = plan.subjects;
  const at = { kind: 'beat' as const, beatId: beat!.id };
  const arrival = { kind: 'arrival' as const, subjectId: subject!.id, markId: plan.marks[0]!.id };
  expect(findingPlaceText(arrival, plan)).toBe(`${subject!.name} at ${plan.marks[0]!.letter}`);
  expect(findingPlaceText({ kind: 'key-moment', beatId: beat!.id }, plan)).toMatch(/^key moment of /);
  expect(findingPlaceText({ ...at, beatId: 'gone' }, plan)).toBe('a deleted span');
  expect(
    findingFaultText(
      [
        { at, found: 'fine' },
        { at: { kind: 'time', timeS: 3.25 }, found: 'camera-jumped' },
        { at: arrival, found: 'late' },
      ],
      plan,
    ),
  ).toBe(`camera jumped: 3.3 s; late: ${findingPlaceText(arrival, plan)}`);
});

test('what was changed of a take is named', () => {
  const after = {
    ...empty,
    focus: 'soft' as const,
    findings: [{ at: { kind: 'time' as const, timeS: 1 }, found: 'searched' as const }],
  };
  expect(takeChangesText(empty, after)).toBe('focus, other faults');
  expect(takeChangesText(empty, { ...empty, planVersion: 9 })).toBe('other details');
});

test('faults of a take in a list: nothing is said of what nobody said', () => {
  const said = (hit: 'hit' | 'late' | null) => ({
    hits: [{ pullId: 'pull-1', ...NOT_MEASURED, said: hit, measured: null }],
    findings: [],
  });
  const texts = [said(null), said('hit'), said('late')].map((one) => takeFaultText(one, plan, 'metric'));
  expect(texts).toEqual(['marks not said', 'every mark hit', 'late at B']);
  const jumped = [{ at: { kind: 'time' as const, timeS: 1 }, found: 'camera-jumped' as const }];
  expect(takeFaultText({ ...said('late'), findings: jumped }, plan, 'metric')).toBe('late at B; camera jumped: 1.0 s');
  expect(findingTimeText('camera-jumped', 1)).toBe('camera jumped at 1.0 s');
  const still = { ...plan, focusTrack: { ...plan.focusTrack, pulls: [] } };
  expect(takeFaultText({ hits: [], findings: [] }, still, 'metric')).toBe('');
});

test('a log in a sentence: what nobody said counts neither way', () => {
  expect(logText({ takes: 12, said: 11, kept: 8, usable: 9, repaired: 1 })).toBe(
    '12 takes: 8 of 11 kept, 9 can be used. Nobody said of 1. 1 of 12 had to be repaired in the edit.',
  );
  expect(logText({ takes: 1, said: 0, kept: 0, usable: 0, repaired: 0 })).toBe('1 take. Nobody said of 1.');
  expect(logText({ takes: 2, said: 2, kept: 2, usable: 2, repaired: 0 })).toBe('2 takes: 2 of 2 kept, 2 can be used.');
});

test('advice after a take', () => {
  const late = { ...empty, hits: hits.slice(0, 1), focus: 'soft' as const };
  const text = (takes: readonly Take[], of = plan) => adviceText(adviseNext(of, takes), 3).text;
  expect(text([])).toBe('No take yet; 3 planned.');
  expect(text([late])).toBe('Go again: take 1 of 3 planned, none can be used yet.');
  expect(text([late, late])).toBe('Change something first: take 2 of 3 planned had the same fault again.');
  expect(text([late, { ...empty, focus: 'sharp' }])).toBe('Move on: 1 of 2 takes can be used.');
  expect(text([late], setGoals(plan, { isOneChance: true }))).toBe('It happened once. Move on.');
  expect(text([empty])).toBe('Nobody has said how take 1 was.');
  expect(text([late, empty])).toBe('Nobody has said how 1 of 2 takes was.');
  expect(text([empty, empty])).toBe('Nobody has said how 2 of 2 takes were.');
  const next = { advice: 'too-short' as const, takes: 2, notSaid: 0, kept: 1, longestScreenS: 4.25, corrections: [], others: [] };
  expect(adviceText(next, 3)).toEqual({
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

test('what shots still lack before anyone leaves', () => {
  const text = (state: WrapState, takes = 3) => wrapUpText({ state, takes, longestScreenS: 4.25, wantedScreenS: 6 });
  expect(WRAP_STATES.map((state) => text(state))).toEqual([
    'it could happen once, and no take can be used',
    'none of 3 takes can be used',
    'the longest sharp stretch gives 4.3 s on screen, and 6.0 s are wanted',
    'nobody has said how its 3 takes were',
    'not shot yet',
    'done',
  ]);
  expect([text('none', 1), text('not-said', 1)]).toEqual(['its take can’t be used', 'nobody has said how its take was']);
  expect(wrapUpSentence(['done', 'none', 'done'])).toBe('2 of 3 shots have what they need.');
  expect(wrapUpSentence(['done', 'lost'])).toBe('1 of 2 shots has what it needs.');
  expect(wrapUpSentence(['done'])).toBe('Every shot has what it needs.');
});

test('what to look at when a take is checked, in its timecode if it has one', () => {
  const [beat] = plan.beats;
  const who = plan.subjects.find(({ id }) => id === beat!.subjectId)!.name;
  const moments = [
    { at: { kind: 'key-moment' as const, beatId: beat!.id }, timeS: 7 },
    { at: { kind: 'beat' as const, beatId: beat!.id }, timeS: 2.25 },
  ];
  expect(lookFirstText(moments, plan, empty)).toBe(`Look first at the key moment of ${who}, 7.0 s; then at ${who}, 2.3 s.`);
  const slated = { ...empty, startTimecode: '10:00:00:00' };
  expect(lookFirstText(moments.slice(0, 1), plan, slated)).toBe(`Look first at the key moment of ${who}, 10:00:07:00.`);
  expect(lookFirstText([], plan, empty)).toBe('');
});

test('which other method would have held a lost take', () => {
  const held = (...isHeld: boolean[]) =>
    heldByText((['fixed', 'walk-in', 'follow'] as const).map((method, index) => ({ method, isHeld: isHeld[index] ?? false })));
  expect(held()).toBe('With the same errors, no other method would have held it.');
  expect(held(true)).toMatch(/^With the same errors, [\w -]+ would have held it\.$/);
  expect(held(true, true)).toMatch(/ and /);
});

test('every fault elsewhere has something to do against it', () => {
  const at = { kind: 'beat' as const, beatId: plan.beats[0]!.id };
  for (const found of FINDINGS) {
    if (found === 'fine') continue;
    const text = findingCorrectionText({ at, found, times: 2, plan: null }, plan);
    expect(text).toMatch(/^2 times [^:]+: [^:]+, [\d.]+ to [\d.]+ s: .{10,}/);
  }
  const deeper = { ...plan, optics: { ...plan.optics, stop: 4.5 } };
  expect(findingCorrectionText({ at: { kind: 'time', timeS: 3 }, found: 'left-zone', times: 1, plan: deeper }, plan)).toBe(
    'left the zone: put a mark on the floor, or use a deeper zone; at T4.5 the zone is deeper',
  );
});
