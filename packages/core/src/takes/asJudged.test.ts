import fc from 'fast-check';
import { twoPeople } from '../../test/plans';
import { heldOnRing, ringOf } from '../kit/index';
import { changePull } from '../plan/index';
import { clockCueEvents, prepareRoll } from '../roll/index';
import { newTake } from './newTake';
import { checkTake, type Take } from './take';
import { upgradeTake } from './upgradeTake';
import { asJudged, verdictOf } from './asJudged';
import { judgeTake } from './judgeTake';
import { onPlanTime } from './onPlanTime';
import { packTrack, type RingTrack } from './track';
import { spanWords } from './editorial/spanWords';

const plan = changePull(twoPeople(), 'pull-1', { startS: 4, durationS: 1 });
const take: Take = newTake(plan, 1);

describe('a span in words', () => {
  test('in the camera’s timecode, or in seconds from the take’s start', () => {
    expect(spanWords({ fromS: 1, toS: 2.5 }, { ...take, startTimecode: '10:00:00:00' })).toBe('10:00:01:00 – 10:00:02:12');
    expect(spanWords({ fromS: 1, toS: 2.5 }, take)).toBe('1.0 s – 2.5 s');
    expect(spanWords({ fromS: 0, toS: 2 }, { ...take, startTimecode: '23:59:59:00' })).toBe('23:59:59:00 – 00:00:01:00');
  });
});

describe('an angle held on the ring', () => {
  const ring = ringOf(plan.optics.lens);

  test('stays within its limits, and is unchanged where it was inside them', () => {
    fc.assert(
      fc.property(fc.double({ min: -1e4, max: 1e4, noNaN: true }), (deg) => {
        const held = heldOnRing(ring, deg);
        expect(() => ring.distanceAt(held)).not.toThrow();
        const ends = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
        if (deg >= Math.min(...ends) && deg <= Math.max(...ends)) expect(held === deg).toBe(true);
      }),
    );
  });

  test('what a roll shows of it can always be printed', () => {
    const { figureOf } = prepareRoll(plan)!;
    for (const deg of [-500, 0, 120, 9999]) {
      const { distanceMm, wheelDeg, zone } = figureOf(deg, 1);
      expect(Number.isNaN(distanceMm + wheelDeg + zone.nearMm)).toBe(false);
      expect(zone.nearMm).toBeLessThanOrEqual(distanceMm);
    }
  });
});

describe('a track on the plan’s clock', () => {
  const ramp: RingTrack = { hz: 50, ringDeg: Float64Array.from({ length: 501 }, (_, k) => k / 50) };

  test('is itself where nothing waited, and ends where the roll ended', () => {
    const whole = onPlanTime(plan, ramp, []).ringDeg;
    expect(whole).toHaveLength(50 * plan.durationS + 1);
    whole.forEach((deg, k) => expect(deg).toBeCloseTo(ramp.ringDeg[k]!, 9));
    const short = { hz: 50, ringDeg: ramp.ringDeg.slice(0, 101) };
    expect(onPlanTime(plan, short, []).ringDeg).toHaveLength(101);
  });

  test('leaves out what was waited, and goes at full speed where it was practised slowly', () => {
    const waits = changePull(plan, 'pull-1', { trigger: 'hand' });
    const late = onPlanTime(waits, ramp, [{ pullId: 'pull-1', timeS: 6 }]).ringDeg;
    expect(late[50 * 3]).toBeCloseTo(3, 6);
    expect(late[50 * 5]).toBeCloseTo(7, 6);
    const slow = onPlanTime(plan, ramp, [], { rate: 0.5, isClockTriggered: false }).ringDeg;
    expect(slow[50 * 2]).toBeCloseTo(4, 6);
    expect(slow).toHaveLength(50 * 5 + 1);
  });

  test('one that was cut short shows nothing after that, and speaks of no pull it had not come to', () => {
    const still = { hz: 50, ringDeg: new Float64Array(101).fill(100) };
    const verdict = judgeTake(plan, still)!;
    expect(verdict).toMatchObject({ isWhole: false, isKept: false, pulls: [] });
    expect(Math.max(0, ...verdict.usable.map(({ toS }) => toS))).toBeLessThanOrEqual(2 + 2 / plan.captureFps);
  });
});

test('a take with pulls triggered by the clock is judged the same from its cues alone', () => {
  const waits = changePull(plan, 'pull-1', { trigger: 'spoken-line' });
  const { track: track } = prepareRoll(waits)!;
  const ringDeg = Float64Array.from({ length: 100 * plan.durationS + 1 }, (_, k) => track.ringDegAt(k / 100));
  const cues = clockCueEvents(waits, plan.durationS);
  expect(cues).toEqual([{ pullId: 'pull-1', timeS: 4 }]);
  expect(clockCueEvents(waits, 3)).toEqual([]);
  const recorded = { ...take, durationS: plan.durationS, track: packTrack({ hz: 100, ringDeg }), cues };
  expect(verdictOf(waits, recorded)).toEqual(verdictOf(waits, recorded, { rate: 1, isClockTriggered: true }));
  expect(verdictOf(waits, recorded)).toMatchObject({ isWhole: true, pulls: [{ hit: 'hit' }] });
});

test('focus checks are left out at their times, also after a pull that waited for its cue', () => {
  const waits = changePull(plan, 'pull-1', { trigger: 'hand' });
  const ring = prepareRoll(waits)!.track;
  const ringDeg = Float64Array.from({ length: 100 * (plan.durationS + 3) }, (_, k) =>
    ring.ringDegAt(k / 100 < 4 ? k / 100 : Math.max(4, k / 100 - 3)),
  );
  const recorded: Take = {
    ...take,
    durationS: plan.durationS + 3,
    cues: [{ pullId: 'pull-1', timeS: 7 }],
    focusChecks: [{ fromS: 9, toS: 9.5 }],
    track: packTrack({ hz: 100, ringDeg }),
  };
  const { usable } = asJudged(waits, recorded).measured!;
  for (const { fromS, toS } of usable) expect(toS <= 9 + 0.05 || fromS >= 9.5 - 0.05).toBe(true);
  expect(usable.some(({ fromS }) => fromS > 9)).toBe(true);
});

describe('a take of an earlier form', () => {
  const NEW = [
    'predictedKeepRate',
    'usable',
    'findings',
    'measured',
    'isNoGood',
    'alternate',
    'ringFrom',
    'timecodeFrom',
    'clip',
  ];
  const earlier = Object.fromEntries(Object.entries(take).filter(([name]) => !NEW.includes(name)));

  test('is completed by what nobody said, and one of this form stays as it is', () => {
    const hits = [{ pullId: 'pull-1', hit: 'late', lateS: 0.2 }];
    const upgraded = upgradeTake({ ...earlier, hits }) as Take;
    expect(upgraded).toEqual({
      ...take,
      hits: [{ pullId: 'pull-1', said: null, measured: 'late', lateS: 0.2, landsLateS: null, offDeg: null, turn: null }],
      ringFrom: 'unknown',
    });
    expect(checkTake(upgraded)).toEqual([]);
    expect(upgradeTake(take)).toEqual(take);
  });

  test.each([null, 7, 'take', {}, [], { gear: null, hits: [] }, { gear: {}, hits: 7 }, { ...earlier, hits: [null] }])(
    '%j is none, and says so',
    (value) => expect(checkTake(upgradeTake(value)).length).toBeGreaterThan(0),
  );
});
