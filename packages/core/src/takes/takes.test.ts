import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { RANDOM_PLANS } from '../../test/randomPlans';
import { ringOf } from '../kit/index';
import {
  addPull,
  addStay,
  addSubject,
  changePull,
  checkPlan,
  newPlan,
  setGoals,
  setTrackStart,
  type ShotPlan,
} from '../plan/index';
import { focusTrack } from '../track/index';
import { evaluatePull } from '../verdict/index';
import { adviseNext } from './advice';
import { newTake } from './newTake';
import { checkTake, type Take } from './take';
import { readTakeTime, takeTimeText } from './takeTime';
import { corrections } from './corrections';
import { readTakesTable, takesTable } from './exchange';
import { judgeTake } from './judgeTake';
import { type MarkHit, scorePulls } from './scorePulls';
import { packTrack, type RingTrack, trackDegAt, unpackTrack } from './track';

const HZ = 120;
const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });

/** What a hand did that followed the plan, so much later, and off by something. */
function turned(
  of: ShotPlan,
  { lateS = 0, offDeg = () => 0 }: { lateS?: number; offDeg?: (timeS: number) => number } = {},
): RingTrack {
  const track = focusTrack(of, ringOf(of.optics.lens))!;
  const samples = Math.ceil(of.durationS * HZ) + 1;
  return {
    hz: HZ,
    ringDeg: Float64Array.from({ length: samples }, (_, k) => track.ringDegAt(Math.max(k / HZ - lateS, 0)) + offDeg(k / HZ)),
  };
}

const track = focusTrack(plan, ringOf(plan.optics.lens))!;
const [pull] = track.pulls;
const travelDeg = pull!.to.ringDeg - pull!.from.ringDeg;
const verdict = evaluatePull(plan);
const windowDeg = verdict.status === 'judged' ? verdict.pulls[0]!.windowDeg : NaN;

describe('a pull on the track', () => {
  test('turned as planned it is hit, on time, in one go', () => {
    const [score] = scorePulls(plan, turned(plan));
    expect(score).toMatchObject({ hit: 'hit', reversals: 0 });
    expect(score!.landsLateS!).toBeLessThanOrEqual(0);
    expect(score!.startsLateS!).toBeLessThan(0.2);
    expect(score!.endErrorDeg).toBeCloseTo(0, 6);
    expect(score!.overshootDeg).toBeLessThan(1e-6);
    expect(score!.smoothness).toBeGreaterThan(0.9);
    // a minimum jerk is at its fastest 15/8 of its mean speed
    expect(score!.peakDegPerS / (1.875 * Math.abs(travelDeg))).toBeCloseTo(1, 1);
  });

  test.each([0.2, 0.4, 1])('begun %d s late it is late by that', (lateS) => {
    const [onTime] = scorePulls(plan, turned(plan));
    const [late] = scorePulls(plan, turned(plan, { lateS }));
    expect(late!.hit).toBe('late');
    expect(late!.startsLateS! - onTime!.startsLateS!).toBeCloseTo(lateS, 2);
    expect(late!.landsLateS! - onTime!.landsLateS!).toBeCloseTo(lateS, 2);
  });

  test('the pull before, landed late, does not make one early', () => {
    const two = changePull(addPull(plan, 'mark-1', 5.6), 'pull-2', { startS: 5.6, durationS: 1 });
    const late = (timeS: number) => (timeS < 5.55 ? 0.4 : 0);
    const of = focusTrack(two, ringOf(two.optics.lens))!;
    const ringDeg = Float64Array.from({ length: HZ * two.durationS }, (_, k) => of.ringDegAt(Math.max(k / HZ - late(k / HZ), 0)));
    const [first, second] = scorePulls(two, { hz: HZ, ringDeg });
    expect(first!.hit).toBe('late');
    expect(second).toMatchObject({ hit: 'hit' });
    expect(Math.abs(second!.startsLateS!)).toBeLessThan(0.05);
  });

  test('a pull that follows a walker is hit if the ring follows, and not if it stays', () => {
    // Ines walks from 4 m to 2 m; the ring comes to her from 6 m and follows her
    const met = addStay(addSubject(newPlan(), { name: 'Ines', distanceMm: 4000 }), 'subject-1', { distanceMm: 2000, fromS: 8 });
    const line1 = addPull(setTrackStart(met, { kind: 'distance', distanceMm: 6000 }), 'mark-1', 1);
    const target = { kind: 'subject', subjectId: 'subject-1', leadS: 0 } as const;
    const walks = changePull(line1, 'pull-1', { startS: 5, durationS: 1, target });
    const [followed, id] = [0, 'pull-1'];
    const scoreOf = (track: RingTrack) => scorePulls(walks, track).find(({ pullId }) => pullId === id);
    expect(scoreOf(turned(walks))).toMatchObject({ hit: 'hit' });
    const of = focusTrack(walks, ringOf(walks.optics.lens))!;
    const { endS } = of.pulls[followed]!;
    const stays = Float64Array.from({ length: HZ * walks.durationS }, (_, k) => of.ringDegAt(Math.min(k / HZ, endS)));
    expect(scoreOf({ hz: HZ, ringDeg: stays })!.hit).not.toBe('hit');
  });

  test('begun too soon it is early', () => {
    const soon = turned(changePull(plan, 'pull-1', { startS: 3.4 }));
    expect(scorePulls(plan, soon)[0]).toMatchObject({ hit: 'early' });
    expect(scorePulls(plan, soon)[0]!.landsLateS!).toBeLessThan(-0.4);
  });

  test('gone past and come back it is overshot, by as much as it went', () => {
    const past = 1.5 * windowDeg * Math.sign(travelDeg);
    const bump = (timeS: number) => (timeS > 5 && timeS < 5.8 ? past * Math.sin(((timeS - 5) / 0.8) * Math.PI) : 0);
    const [score] = scorePulls(plan, turned(plan, { offDeg: bump }));
    expect(score!.hit).toBe('overshot');
    expect(score!.overshootDeg / Math.abs(past)).toBeCloseTo(1, 1);
    expect(score!.reversals).toBe(1);
    expect(score!.landsLateS!).toBeGreaterThan(0.3);
  });

  test('rocked to and fro it is searched for, and every turn back is counted', () => {
    const swings = 5;
    const swing = (timeS: number) =>
      timeS > 5 && timeS < 7 ? 2 * windowDeg * Math.sin(((timeS - 5) / 2) * swings * Math.PI) : 0;
    const [score] = scorePulls(plan, turned(plan, { offDeg: swing }));
    expect(score!.hit).toBe('searched');
    expect(score!.reversals).toBeGreaterThanOrEqual(swings - 1);
    expect(score!.reversals).toBeLessThanOrEqual(swings + 1);
    expect(score!.smoothness).toBeLessThan(0.5);
  });

  test.each<[MarkHit, number]>([
    ['in-front', 1],
    ['behind', -1],
  ])('left beside the mark it is %s', (hit, side) => {
    const ring = ringOf(plan.optics.lens);
    const nearer = Math.sign(ring.angleAt(ring.closeFocusMm) - ring.angleAt(ring.farthestMm)) * side;
    const off = (timeS: number) => (timeS < 4 ? 0 : nearer * 1.2 * windowDeg * Math.min(timeS - 4, 1));
    const [score] = scorePulls(plan, turned(plan, { offDeg: off }));
    expect(score).toMatchObject({ hit, landS: null });
    expect(Math.sign(score!.endErrorDeg)).toBe(side);
  });

  test('never turned it began never, and the last mark is not hit', () => {
    const still = { hz: HZ, ringDeg: new Float64Array(HZ * 10).fill(pull!.from.ringDeg) };
    expect(scorePulls(plan, still)[0]).toMatchObject({
      startS: null,
      landS: null,
      startsLateS: null,
      reversals: 0,
      smoothness: 1,
    });
    expect(scorePulls(newPlan(), still)).toEqual([]);
  });
});

describe('a take', () => {
  test('turned as planned it is judged as the plan is, frame by frame', () => {
    for (const one of [plan, ...RANDOM_PLANS.slice(0, 25)]) {
      const planned = evaluatePull(one);
      if (planned.status !== 'judged') continue;
      // sampled at the frames themselves nothing is read between two samples
      const track = { hz: one.captureFps, ringDeg: planned.track.ringDeg };
      const taken = judgeTake(one, track)!;
      expect(taken.sharpFrames).toBe(planned.sharpFrames);
      expect(taken.requiredFrames).toBe(planned.requiredFrames);
      expect(taken.beats).toEqual(planned.beats);
      expect(taken.isKept).toBe(planned.beats.every(({ kept }) => kept));
    }
  });

  test('what can be used is the longest unbroken stretch first, without the spans in which focus was checked', () => {
    const whole = judgeTake(plan, turned(plan))!;
    expect(whole.usable).toEqual([{ fromS: 0, toS: 10 }]);
    const late = judgeTake(plan, turned(plan, { lateS: 1.5 }))!;
    expect(late.isKept).toBe(false);
    expect(late.usable.length).toBe(2);
    expect(late.usable[0]!.toS - late.usable[0]!.fromS).toBeGreaterThan(late.usable[1]!.toS - late.usable[1]!.fromS);
    const checked = judgeTake(plan, turned(plan), [{ fromS: 7, toS: 7.5 }])!;
    expect(checked.usable).toEqual([
      { fromS: 0, toS: 7 },
      { fromS: 7.5, toS: 10 },
    ]);
    expect(judgeTake(newPlan(), turned(plan))).toBeNull();
  });
});

describe('a track as text', () => {
  test('comes back to a two-hundredth of a degree, and takes little room', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -400, max: 400, noNaN: true }), { minLength: 1, maxLength: 300 }),
        fc.constantFrom(24, 60, 120, 119.88),
        (degs, hz) => {
          const back = unpackTrack(packTrack({ hz, ringDeg: Float64Array.from(degs) }));
          expect(back.hz).toBe(hz);
          expect(back.ringDeg).toHaveLength(degs.length);
          for (const [k, deg] of degs.entries()) expect(Math.abs(back.ringDeg[k]! - deg)).toBeLessThanOrEqual(0.005 + 1e-9);
        },
      ),
      { seed: 7 },
    );
    const packed = packTrack(turned({ ...plan, durationS: 60 }));
    expect(packed.length).toBeLessThan(60 * HZ * 1.3);
    expect(packed).toMatch(/^ring1 120 [\w-]+$/);
  });

  /** A turn of 160,000 degrees, and a number that ends nowhere near a number. */
  const TOO_FAR = packTrack({ hz: 120, ringDeg: Float64Array.of(0, 160_000) });
  const ENDLESS = `ring1 120 A${'_'.repeat(400)}A`;

  test.each([
    '',
    'ring1',
    'ring1 120 ',
    'ring1 Infinity AA',
    'ring1 0 AA',
    'ring2 120 AA',
    'ring1 120 A?',
    'ring1 120 Ag',
    'ring1 1e-300 AA',
    TOO_FAR,
    ENDLESS,
  ])('%j is no track, and says so', (text) => {
    expect(() => unpackTrack(text)).toThrow(expect.objectContaining({ code: 'broken-track', path: 'track' }));
  });

  test('between samples it is straight; before and after it stays', () => {
    const track = { hz: 10, ringDeg: Float64Array.of(1, 3, 3) };
    expect([-1, 0, 0.05, 0.1, 0.2, 9].map((timeS) => trackDegAt(track, timeS))).toEqual([1, 1, 2, 3, 3, 3]);
    expect(trackDegAt({ hz: 10, ringDeg: Float64Array.of(4) }, 0.3)).toBe(4);
  });
});

describe('go again, or move on', () => {
  const take = (changes: Partial<Take> = {}) => ({ ...newTake(plan, 1), ...changes });
  const late = take({
    focus: 'soft',
    hits: [{ pullId: 'pull-1', said: null, measured: 'late', lateS: 0.4, landsLateS: null, offDeg: null, turn: null }],
  });

  test('one usable take is enough to move on; a repeated fault is corrected first', () => {
    expect(adviseNext(plan, [])).toEqual({
      advice: 'first',
      takes: 0,
      kept: 0,
      notSaid: 0,
      longestScreenS: 0,
      corrections: [],
      others: [],
    });
    expect(adviseNext(plan, [late])).toMatchObject({ advice: 'go-again', kept: 0, corrections: [{ hit: 'late', times: 1 }] });
    expect(adviseNext(plan, [late, late])).toMatchObject({ advice: 'change-first', corrections: [{ times: 2 }] });
    expect(adviseNext(plan, [late, take({ focus: 'sharp' })])).toMatchObject({ advice: 'move-on', kept: 1 });
    expect(adviseNext(plan, [take({ focus: 'sharp', performance: 'poor' })]).advice).toBe('go-again');
    expect(adviseNext(plan, [take({ focus: 'soft', isCircled: true })]).advice).toBe('move-on');
    expect(adviseNext(setGoals(plan, { isOneChance: true }), [late]).advice).toBe('move-on');
  });

  test('a take of which nobody said asks for that before it is judged', () => {
    expect(adviseNext(plan, [take()])).toMatchObject({ advice: 'say-first', notSaid: 1 });
    expect(adviseNext(plan, [take({ focus: 'soft' }), take()])).toMatchObject({ advice: 'say-first', notSaid: 1 });
    expect(adviseNext(plan, [take(), take({ focus: 'sharp' })])).toMatchObject({ advice: 'move-on', notSaid: 1 });
    expect(adviseNext(plan, [take({ isNoGood: true })])).toMatchObject({ advice: 'go-again', notSaid: 0 });
  });

  test('takes of a simulator count only while there are no others', () => {
    const rehearsed = take({ ringFrom: 'on-screen', focus: 'sharp' });
    expect(adviseNext(plan, [rehearsed])).toMatchObject({ advice: 'move-on', takes: 1, kept: 1 });
    expect(adviseNext(plan, [rehearsed, take({ focus: 'soft' })])).toMatchObject({ advice: 'go-again', takes: 1, kept: 0 });
  });

  test('a take of a plan passes the check, and knows what it was shot with', () => {
    expect(checkTake(newTake(plan, 3))).toEqual([]);
    expect(newTake(plan, 3).gear).toMatchObject({ lens: '65 mm T2.2', stop: 3.2, method: 'rack', rig: '', wheel: '' });
    for (const nonsense of [null, 7, {}, { ...newTake(plan, 1), durationS: NaN }])
      expect(checkTake(nonsense).length).toBeGreaterThan(0);
  });

  test('a take of a shot in parts knows all its methods, in a table as well', () => {
    const parts: ShotPlan = {
      ...plan,
      laterMethods: [
        { id: 'part-1', fromS: 5, method: 'fixed' },
        { id: 'part-2', fromS: 7, method: 'automatic' },
      ],
    };
    const take = newTake(parts, 1);
    expect(take.gear).toMatchObject({ method: 'rack', laterMethods: ['fixed', 'automatic'] });
    expect(checkTake(take)).toEqual([]);
    const logged = { id: '', slate: '4B', number: 1, rolledAt: '2026-03-01T10:00:00.000Z', take };
    const table = takesTable([logged]);
    expect(readTakesTable(table)).toEqual({ status: 'read', items: [logged] });
    const column = table[0]!.indexOf('later methods');
    const wrong = table.map((row, line) => (line === 0 ? row : row.with(column, 'fixed, by hand')));
    expect(readTakesTable(wrong)).toMatchObject({ status: 'unread', problems: [{ code: 'not-a-choice' }] });
  });
});

test('one that is kept, and shorter than the screen asks, is not enough', () => {
  const wanted = setGoals(plan, { screenTimeS: 6 });
  const kept = { ...newTake(plan, 1), focus: 'sharp' as const, usable: [{ fromS: 0, toS: 5 }] };
  expect(adviseNext(wanted, [kept])).toMatchObject({ advice: 'too-short', kept: 1, longestScreenS: 5 });
  expect(adviseNext({ ...wanted, captureFps: 48 }, [kept])).toMatchObject({ advice: 'move-on', longestScreenS: 10 });
  expect(adviseNext(plan, [kept]).advice).toBe('move-on');
});

describe('what to do otherwise', () => {
  const take = (hit: MarkHit, lateS: number | null = null) => [
    {
      pullId: 'pull-1',
      said: lateS === null ? hit : null,
      measured: lateS === null ? null : hit,
      lateS,
      landsLateS: null,
      offDeg: null,
      turn: null,
    },
  ];

  test('late twice: begun sooner by what it was late on the average; the plan it makes can be stored', () => {
    const [first] = corrections(plan, [take('hit'), take('late', 0.5), take('late', 0.3)]);
    expect(first).toMatchObject({ hit: 'late', times: 2, byS: expect.closeTo(0.4, 9) as number });
    expect(first!.plan!.focusTrack.pulls[0]).toMatchObject({ startS: expect.closeTo(3.6, 9) as number, durationS: 1 });
    expect(checkPlan(first!.plan)).toEqual([]);
    expect(corrections(plan, [take('late')])[0]!.plan!.focusTrack.pulls[0]!.startS).toBeCloseTo(3.8, 9);
    expect(corrections(plan, [take('early', -0.3)])[0]!.plan!.focusTrack.pulls[0]!.startS).toBeCloseTo(4.3, 9);
  });

  test('too far: more time; beside it: measured again; and once it is hit nothing', () => {
    expect(corrections(plan, [take('overshot')])[0]!.plan!.focusTrack.pulls[0]).toMatchObject({ startS: 4, durationS: 1.25 });
    for (const hit of ['in-front', 'behind', 'searched'] as const)
      expect(corrections(plan, [take(hit)])).toMatchObject([{ hit, plan: null }]);
    expect(corrections(plan, [take('late', 0.4), take('hit')])).toEqual([]);
    expect(corrections(plan, [])).toEqual([]);
    // where there is no room to begin sooner nothing is offered that changes nothing
    expect(corrections(changePull(plan, 'pull-1', { startS: 0 }), [take('late', 0.4)])[0]!.plan).toBeNull();
  });
});

describe('a time of a take, as somebody types it', () => {
  const take = { ...newTake(plan, 1), durationS: 10 };
  const slated = { ...take, startTimecode: '10:00:00:00' };

  test.each([
    ['4.5', 4.5],
    [' 4,25 s ', 4.25],
    ['0', 0],
    // the last frame ends the take
    ['10.02', 10],
    ['11', null],
    ['-1', null],
    ['soon', null],
    ['', null],
    ['10:00:04:12', null],
  ])('%j is %d s', (text, timeS) => expect(readTakeTime(text, take)).toBe(timeS));

  test('by the timecode of the take, if it has one', () => {
    expect(readTakeTime('10:00:04:12', slated)).toBe(4.5);
    expect(readTakeTime('09:59:59:00', slated)).toBeNull();
    expect(takeTimeText(4.5, slated)).toBe('10:00:04:12');
    expect(readTakeTime(takeTimeText(7.25, slated), slated)).toBe(7.25);
    expect(readTakeTime(takeTimeText(7.3, take), take)).toBe(7.3);
  });
});
