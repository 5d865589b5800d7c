import { numbersFrom } from '../../test/randomPlans';
import { bump, HZ, plus, sampled, thereAndBack, type Turned } from '../../test/turned';
import { defaultWheel, ringOf } from '../kit/index';
import { changePull, type ShotPlan } from '../plan/index';
import { asJudged, verdictOf } from './asJudged';
import { corrections } from './corrections';
import { newTake } from './newTake';
import { focusTrack } from '../track/index';
import { judgeTake } from './judgeTake';
import { type PullScore, scorePulls } from './scorePulls';
import { packTrack, type RingTrack, trackOfReadings } from './track';

const plan = thereAndBack();
const ring = ringOf(plan.optics.lens);
const [tamDeg, inesDeg] = [ring.angleAt(2900), ring.angleAt(2050)];
const lineOf = (one: ShotPlan) => focusTrack(one, ringOf(one.optics.lens))!;

const perfect: Turned = lineOf(plan).ringDegAt;
const withPulls = (first: object, second: object = {}): Turned =>
  lineOf(changePull(changePull(plan, 'pull-1', first), 'pull-2', second)).ringDegAt;
/** A take, and what must be said of its two pulls. */
const TAKES: readonly (readonly [what: string, turned: Turned, hits: readonly PullScore['hit'][]])[] = [
  ['perfect', perfect, ['hit', 'hit']],
  ['late by 0.4 s', withPulls({ startS: 3.4 }), ['late', 'hit']],
  ['overshot by 5° and back', plus(perfect, bump(4, 4.8, 5 * Math.sign(inesDeg - tamDeg))), ['overshot', 'hit']],
  ['the second pull 1.2 s early', withPulls({}, { startS: 4.8 }), ['hit', 'early']],
  ['the second pull begins when the first has landed', withPulls({}, { startS: 4.3 }), ['hit', 'early']],
  ['a false start of 4° before the second', plus(perfect, bump(5, 5.5, 4 * Math.sign(tamDeg - inesDeg))), ['hit', 'false-start']],
  ['the ring was never turned', () => tamDeg, ['behind', 'hit']],
];

/** The same turn as encoders and hands give it. */
const RECORDINGS: readonly (readonly [what: string, record: (turned: Turned) => RingTrack])[] = [
  ['exact', (turned) => sampled(plan, turned)],
  ['a tremor of 8 Hz', (turned) => sampled(plan, plus(turned, tremor(8)))],
  ['a tremor of 10 Hz', (turned) => sampled(plan, plus(turned, tremor(10)))],
  ['a tremor of 12 Hz', (turned) => sampled(plan, plus(turned, tremor(12)))],
  ['10 bits of 300°', (turned) => sampled(plan, (timeS) => inSteps(turned(timeS), 300 / 2 ** 10))],
  ['12 bits', (turned) => sampled(plan, (timeS) => inSteps(turned(timeS), 300 / 2 ** 12))],
  ['16 bits', (turned) => sampled(plan, (timeS) => inSteps(turned(timeS), 300 / 2 ** 16))],
  ['24 a second', (turned) => sampled(plan, turned, 24)],
  ['jitter of 4 ms', jittered],
  ['10 bits, jitter and a tremor', (turned) => jittered((timeS) => inSteps(turned(timeS) + tremor(9)(timeS), 300 / 2 ** 10))],
];

const tremor =
  (hz: number): Turned =>
  (timeS) =>
    0.5 * Math.sin(2 * Math.PI * hz * timeS);
const inSteps = (deg: number, stepDeg: number) => Math.round(deg / stepDeg) * stepDeg;

function jittered(turned: Turned): RingTrack {
  const next = numbersFrom(3);
  const readings = Array.from({ length: plan.durationS * 100 }, (_, k) => k / 100 + (next() - 0.5) * 0.008)
    .filter((timeS) => timeS >= 0)
    .map((timeS) => ({ timeS, ringDeg: turned(timeS) }));
  return trackOfReadings(readings, HZ, plan.durationS);
}

describe.each(TAKES)('%s', (_, turned, hits) => {
  test.each(RECORDINGS)('recorded with %s', (__, record) => {
    const scores = scorePulls(plan, record(turned));
    expect(scores.map(({ hit }) => hit)).toEqual(hits);
  });
});

test.each(RECORDINGS)('with %s, times are off by less than a frame, and overshoots by less than half a degree', (_, record) => {
  const late = scorePulls(plan, record(withPulls({ startS: 3.4 })))[0]!;
  expect(Math.abs(late.startsLateS! - 0.4)).toBeLessThan(1 / 24);
  const over = scorePulls(plan, record(plus(perfect, bump(4, 4.8, 5 * Math.sign(inesDeg - tamDeg)))))[0]!;
  expect(Math.abs(over.overshootDeg - 5)).toBeLessThan(0.5);
  expect(scorePulls(plan, record(perfect)).every(({ reversals }) => reversals === 0)).toBe(true);
});

test('a pull left for the next one early has landed where it was, and not where it went', () => {
  const [first, second] = scorePulls(plan, sampled(plan, withPulls({}, { startS: 4.3 })));
  expect(Math.abs(first!.endErrorDeg)).toBeLessThan(0.3);
  expect(first!.landsLateS!).toBeLessThanOrEqual(0.1);
  expect(second!.startsLateS!).toBeCloseTo(-1.7, 1);
});

test('a hand that rests on a geared wheel moves the ring less: what is rest is measured on the wheel', () => {
  const geared: ShotPlan = { ...plan, wheel: defaultWheel({ name: 'Large wheel', wheelPerRing: 4 }) };
  const unsure = (deg: number) => sampled(plan, plus(perfect, bump(4.4, 4.7, deg), bump(4.7, 5, -deg), bump(5, 5.3, deg)));
  expect(scorePulls(plan, unsure(0.25))[0]!.reversals).toBe(0);
  expect(scorePulls(geared, unsure(0.25))[0]!.reversals).toBeGreaterThan(0);
});

test('across a hole in the data nothing is judged: its pull has no score, and its beat is not kept', () => {
  const track = { ...sampled(plan, perfect), holes: [{ fromS: 3.2, toS: 3.8 }] };
  expect(scorePulls(plan, track).map(({ pullId }) => pullId)).toEqual(['pull-2']);
  const only = { ...plan, beats: [{ ...plan.beats[0]!, fromS: 0, toS: 2.9 }] };
  const over = judgeTake(only, { ...sampled(plan, perfect), holes: [{ fromS: 1, toS: 1.5 }] })!;
  expect(over.isKept).toBe(false);
  expect(over.usable.every(({ fromS, toS }) => toS <= 1 + 1 / 24 || fromS >= 1.5 - 1 / 24)).toBe(true);
  expect(judgeTake(only, sampled(plan, perfect))!.isKept).toBe(true);
});

describe('a pull that waits for an event', () => {
  const onLook = changePull(plan, 'pull-1', { trigger: 'look', cue: 'she looks up' });
  /** The event comes 3 s late, and the ring leaves 0.05 s after it. */
  const afterIt: Turned = (timeS) => perfect(timeS < 6 ? Math.min(timeS, 2.9) : timeS - 3.05);
  const long = (turned: Turned): RingTrack => ({
    hz: HZ,
    ringDeg: Float64Array.from({ length: 13 * HZ + 1 }, (_, k) => turned(k / HZ)),
  });
  const take = { ...newTake(onLook, 1), durationS: 13, track: packTrack(long(afterIt)) };

  test('is hit when its event came 3 s late and was answered well, whether the cue was given by key or not', () => {
    const byKey = verdictOf(onLook, { ...take, cues: [{ pullId: 'pull-1', timeS: 6 }] })!;
    expect(byKey.pulls.map(({ hit }) => hit)).toEqual(['hit', 'hit']);
    expect(byKey.pulls[0]!.startsLateS!).toBeCloseTo(0.05, 1);
    const seen = verdictOf(onLook, take)!;
    expect(seen.pulls.map(({ hit }) => hit)).toEqual(['hit', 'hit']);
    expect(seen.isWhole).toBe(true);
    // nothing tells how late it was
    expect(asJudged(onLook, take).hits[0]).toMatchObject({ said: null, measured: 'hit', lateS: null });
  });

  test('late on its cue it is late, and no other start is advised', () => {
    const late = verdictOf(onLook, { ...take, cues: [{ pullId: 'pull-1', timeS: 5.5 }] })!;
    expect(late.pulls[0]).toMatchObject({ hit: 'late' });
    const hits = late.pulls.map(({ pullId, hit, startsLateS }) => ({
      pullId,
      said: null,
      measured: hit,
      lateS: startsLateS,
      landsLateS: null,
      offDeg: null,
      turn: null,
    }));
    expect(corrections(onLook, [hits])[0]).toMatchObject({ hit: 'late', plan: null });
  });

  test('to which the ring never turned has no score, and the take is not whole', () => {
    const never = verdictOf(onLook, { ...take, track: packTrack(long(() => tamDeg)) })!;
    expect(never.pulls).toEqual([]);
    expect(never.isWhole).toBe(false);
  });
});
