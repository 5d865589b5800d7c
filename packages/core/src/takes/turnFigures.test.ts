import { bump, plus, sampled, thereAndBack, type Turned } from '../../test/turned';
import { ringOf } from '../kit/index';
import { changeMark, changePull, setStop } from '../plan/index';
import { focusTrack } from '../track/index';
import { scorePulls } from './scorePulls';
import { turnFigures, turnWords } from './turnFigures';

const plan = thereAndBack();
const ring = ringOf(plan.optics.lens);
const [tamDeg, inesDeg] = [ring.angleAt(2900), ring.angleAt(2050)];
const wayDeg = inesDeg - tamDeg;
const toInes = Math.sign(wayDeg);
const perfect: Turned = focusTrack(plan, ring)!.ringDegAt;

/** Figures of the pull to Ines at 3 to 4 s, and of the one back. */
const figuresOf = (turned: Turned) => scorePulls(plan, sampled(plan, turned)).map((score) => turnFigures(score)!);
const wordsOf = (turned: Turned) => figuresOf(turned).map(turnWords);

test('a pull as planned is direct, even, without overshoot, and stays at once', () => {
  const [there, back] = figuresOf(perfect);
  expect(there!.plannedDeg).toBeCloseTo(Math.abs(wayDeg), 2);
  expect(there!.travelDeg / there!.plannedDeg).toBeCloseTo(1, 1);
  expect([there, back].map((one) => turnWords(one!))).toEqual(
    Array(2).fill({ travel: 'direct', overshoot: 'none', reversals: 'none', smoothness: 'even', settling: 'at-once' }),
  );
});

test('a hand that runs 5° past Ines and comes back within 0.8 s has gone 10° farther, and settles late', () => {
  const [there, back] = figuresOf(plus(perfect, bump(4, 4.8, 5 * toInes)));
  expect(there!.overshootDeg).toBeGreaterThan(4.5);
  expect(there!.overshootDeg).toBeLessThan(5.1);
  expect(there).toMatchObject({ isPastZone: true, reversals: 1 });
  expect(there!.travelDeg - there!.plannedDeg).toBeGreaterThan(8.5);
  expect(there!.travelDeg - there!.plannedDeg).toBeLessThanOrEqual(10.1);
  expect(there!.settlingS!).toBeGreaterThan(0.5);
  expect(there!.settlingS!).toBeLessThan(0.95);
  expect(turnWords(there!)).toMatchObject({ overshoot: 'past-zone', reversals: 'one', settling: 'slow' });
  expect(turnWords(back!)).toMatchObject({ overshoot: 'none', settling: 'at-once' });
});

test('a pause in the middle of a pull makes it uneven, not indirect', () => {
  const halfway = (tamDeg + inesDeg) / 2;
  // the first half in 0.4 s, a second of rest, the second half in 0.4 s
  const paused: Turned = (timeS) => {
    if (timeS < 3) return tamDeg;
    if (timeS < 3.4) return tamDeg + ((timeS - 3) / 0.4) * (wayDeg / 2);
    if (timeS < 4.4) return halfway;
    return timeS < 4.8 ? halfway + ((timeS - 4.4) / 0.4) * (wayDeg / 2) : inesDeg;
  };
  const there = figuresOf(paused)[0]!;
  expect(turnWords(there)).toMatchObject({ travel: 'direct', reversals: 'none', smoothness: 'broken' });
});

test('a ring that was never turned has never settled, and gone nowhere', () => {
  const there = figuresOf(() => tamDeg)[0]!;
  expect(there).toMatchObject({ settlingS: null, travelDeg: 0, overshootDeg: 0, reversals: 0 });
  expect(turnWords(there)).toMatchObject({ settling: 'never', overshoot: 'none' });
});

test('cranking to and fro on the way is a long way with many turns', () => {
  const cranked = plus(perfect, bump(3.2, 3.5, 12 * toInes), bump(3.5, 3.9, -14 * toInes), bump(3.9, 4.3, 9 * toInes));
  const words = wordsOf(cranked)[0]!;
  expect(words).toMatchObject({ reversals: 'many' });
  expect(words.travel).not.toBe('direct');
});

test('a slower pull over the same way has the same figures', () => {
  const slow = changePull(plan, 'pull-1', { startS: 2, durationS: 2 });
  const there = turnFigures(scorePulls(slow, sampled(slow, focusTrack(slow, ring)!.ringDegAt))[0]!)!;
  expect(turnWords(there)).toEqual({
    travel: 'direct',
    overshoot: 'none',
    reversals: 'none',
    smoothness: 'even',
    settling: 'at-once',
  });
});

test('a pull that stays inside the zone all the way settles at once', () => {
  // at T22 and 3 m the zone of both is one: Tam is sharp while Ines is
  const deep = setStop(plan, 22);
  const small = changePull(deep, 'pull-1', { startS: 3, durationS: 1 });
  const there = turnFigures(scorePulls(small, sampled(small, focusTrack(small, ring)!.ringDegAt))[0]!)!;
  expect(there.settlingS).toBe(0);
  expect(turnWords(there)).toMatchObject({ settling: 'at-once', overshoot: 'none' });
});

test('a pull to where the ring is already is not judged as a turn, whatever a tremor adds up to', () => {
  const still = changeMark(plan, 'mark-2', { distanceMm: 2900 });
  const [there] = scorePulls(still, sampled(still, plus(focusTrack(still, ring)!.ringDegAt, bump(3.2, 3.6, 1.5))));
  expect(there!.plannedDeg).toBeLessThan(1);
  expect(turnFigures(there!)).toBeNull();
});
