import { twoPeople } from '../../test/plans';
import { changePull, type ShotPlan } from '../plan/index';
import { adviseNext } from './advice';
import { asJudged } from './asJudged';
import { corrections, lateByS } from './corrections';
import type { LoggedHit } from './loggedHit';
import { askedPlaces, FINDINGS_AT, isSamePlace } from './findings';
import { focusOf, hitOf, isKeptTake, isSimulated, isUsable, takesOfAlternate } from './said';
import { newTake } from './newTake';
import { checkTake, type Take } from './take';
import { packTrack } from './track';
import { usableSpansOf } from './editorial/usableSpans';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const take = (changes: Partial<Take> = {}): Take => ({ ...newTake(plan, 1), ...changes });
const hit = (said: LoggedHit['said'], measured: LoggedHit['measured'], lateS: number | null = null): LoggedHit => ({
  pullId: 'pull-1',
  said,
  measured,
  lateS,
  landsLateS: null,
  offDeg: null,
  turn: null,
});

describe('what nobody said, and no track shows', () => {
  test('a new take is neither kept nor lost, has no hit, and nothing of it can be used', () => {
    expect(take().hits).toEqual([]);
    expect([focusOf(take()), isKeptTake(take()), isUsable(take())]).toEqual([null, null, false]);
    expect(usableSpansOf(take())).toEqual([]);
  });

  test('no correction follows from it, and it does not hide the fault before it', () => {
    expect(corrections(plan, [[hit('late', null)], []])).toMatchObject([{ hit: 'late', times: 1 }]);
    expect(corrections(plan, [[hit('late', null)], [hit(null, null)]])).toMatchObject([{ hit: 'late', times: 1 }]);
  });
});

describe('what a person says goes before what the track shows', () => {
  test('of a pull; its lateness was measured for the other', () => {
    expect([hitOf(hit(null, 'late')), hitOf(hit('hit', 'late')), hitOf(hit('behind', null))]).toEqual(['late', 'hit', 'behind']);
    expect([lateByS(hit(null, 'late', 0.4)), lateByS(hit('late', 'late', 0.4)), lateByS(hit('early', 'late', 0.4))]).toEqual([
      0.4,
      0.4,
      null,
    ]);
  });

  test('of focus and of spans', () => {
    const measured = { focus: 'soft' as const, usable: [{ fromS: 1, toS: 3 }] };
    expect(focusOf(take({ measured }))).toBe('soft');
    expect(isKeptTake(take({ measured, focus: 'sharp' }))).toBe(true);
    expect(usableSpansOf(take({ measured }))).toEqual(measured.usable);
    expect(usableSpansOf(take({ measured, usable: [{ fromS: 0, toS: 4 }] }))).toEqual([{ fromS: 0, toS: 4 }]);
  });

  test('a track that is read later leaves what was said', () => {
    const track = packTrack({ hz: 50, ringDeg: new Float64Array(501).fill(100) });
    const judged = asJudged(plan, take({ track, durationS: 10, focus: 'sharp', hits: [hit('hit', null)] }));
    expect(judged.focus).toBe('sharp');
    expect(judged.measured!.focus).not.toBe('sharp');
    expect(judged.hits[0]).toMatchObject({ said: 'hit' });
    expect(judged.hits[0]!.measured).not.toBe('hit');
    expect(checkTake(judged)).toEqual([]);
  });
});

test('circled, kept and of use are three things', () => {
  const kept = take({ focus: 'sharp' });
  const circledSoft = take({ focus: 'soft', isCircled: true });
  const poor = take({ focus: 'sharp', performance: 'poor' });
  const noGood = take({ focus: 'sharp', isCircled: true, isNoGood: true });
  const table = [kept, circledSoft, poor, noGood].map((one) => [one.isCircled, isKeptTake(one), isUsable(one)]);
  expect(table).toEqual([
    [false, true, true],
    [true, false, true],
    [false, true, false],
    [true, false, false],
  ]);
  expect(usableSpansOf(noGood)).toEqual([]);
});

test('of a shot with alternates, advice goes by the takes of the one that is shown', () => {
  const twoWays = (shown: 'A' | 'B'): ShotPlan => ({ ...plan, alternates: { shown, other: plan.focusTrack } });
  const takes = [take({ alternate: 'A', focus: 'sharp' }), take({ alternate: 'B', focus: 'soft' })];
  expect(newTake(twoWays('B'), 1).alternate).toBe('B');
  expect(takesOfAlternate(plan, takes)).toHaveLength(2);
  expect(adviseNext(twoWays('A'), takes)).toMatchObject({ advice: 'move-on', kept: 1 });
  expect(adviseNext(twoWays('B'), takes)).toMatchObject({ advice: 'go-again', kept: 0 });
  expect(adviseNext(twoWays('B'), takes.slice(0, 1)).advice).toBe('first');
});

test('a track from the screen or from a simulated motor is none of a hand', () => {
  const of = (ringFrom: Take['ringFrom']) => isSimulated({ ringFrom });
  expect(['on-screen', 'simulated-motor'].map((one) => of(one as Take['ringFrom']))).toEqual([true, true]);
  expect(['unseen', 'device', 'lens-data', 'unknown'].map((one) => of(one as Take['ringFrom']))).toEqual([
    false,
    false,
    false,
    false,
  ]);
});

describe('places that the log asks about', () => {
  // Ines walks from her mark to Tam’s, and is followed there
  const followed = (): ShotPlan => {
    const start = { kind: 'subject' as const, subjectId: 'subject-2', leadS: 0 };
    const subjects = plan.subjects.map((subject) => {
      const [stay] = subject.stays;
      if (subject.id !== 'subject-2') return subject;
      const stays = [
        { ...stay!, id: 'stay-a', fromS: 0, untilS: 2 },
        { ...stay!, id: 'stay-b', markId: 'mark-1', fromS: 5, untilS: 10 },
      ];
      return { ...subject, stays };
    });
    const beats = [{ ...plan.beats[0]!, fromS: 1, toS: 9, keyMomentS: 6 }];
    return { ...plan, subjects, beats, focusTrack: { start, pulls: [] } };
  };

  test('a follow has its arrivals, a fixed shot its beats and key moments, in order of time', () => {
    expect(askedPlaces(followed())).toEqual([
      { timeS: 1, at: { kind: 'beat', beatId: followed().beats[0]!.id } },
      { timeS: 5, at: { kind: 'arrival', subjectId: 'subject-2', markId: 'mark-1' } },
      { timeS: 6, at: { kind: 'key-moment', beatId: followed().beats[0]!.id } },
    ]);
  });

  test('one who comes to a mark twice is asked about once', () => {
    const plan = followed();
    const subjects = plan.subjects.map((subject) => {
      const [first, second] = subject.stays;
      if (subject.id !== 'subject-2') return subject;
      const stays = [
        { ...first!, id: 'stay-a', markId: 'mark-1', fromS: 0, untilS: 1 },
        { ...second!, id: 'stay-b', markId: 'mark-2', fromS: 3, untilS: 4 },
        { ...second!, id: 'stay-c', markId: 'mark-1', fromS: 6, untilS: 7 },
        { ...second!, id: 'stay-d', markId: 'mark-2', fromS: 9, untilS: 10 },
      ];
      return { ...subject, stays };
    });
    const arrivals = askedPlaces({ ...plan, subjects }).filter(({ at }) => at.kind === 'arrival');
    expect(arrivals.map(({ timeS, at }) => [timeS, at.kind === 'arrival' && at.markId])).toEqual([
      [3, 'mark-2'],
      [6, 'mark-1'],
    ]);
  });

  test('each kind of place has faults of its own, and each can be logged', () => {
    const places = askedPlaces(followed());
    const findings = [...places.map(({ at }) => at), { kind: 'time' as const, timeS: 2.5 }].flatMap((at) =>
      FINDINGS_AT[at.kind].map((found) => ({ at, found })),
    );
    expect(findings.length).toBeGreaterThan(20);
    expect(checkTake(take({ findings }))).toEqual([]);
    expect(checkTake({ ...take(), findings: [{ at: { kind: 'time', timeS: -1 }, found: 'fine' }] })).toMatchObject([
      { path: 'findings[0].at.timeS' },
    ]);
    expect(checkTake({ ...take(), findings: [{ at: { kind: 'elsewhere' }, found: 'fine' }] })).toMatchObject([
      { path: 'findings[0].at.kind' },
    ]);
  });

  test('a place is said once; two times are two places', () => {
    const [beat, arrival, key] = askedPlaces(followed()).map(({ at }) => at);
    expect([isSamePlace(beat!, beat!), isSamePlace(beat!, key!), isSamePlace(arrival!, { ...arrival! })]).toEqual([
      true,
      false,
      true,
    ]);
    expect(isSamePlace({ kind: 'time', timeS: 1 }, { kind: 'time', timeS: 1 })).toBe(false);
  });
});
