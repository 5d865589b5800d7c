import { changePull, newTake, prepareRoll, ringOf, type ShotPlan, TAKE_LIMITS, trackDegAt, unpackTrack } from '@still-heron/core';
import type { RollView } from '@still-heron/contract';
import { countdownText, degreesText, cueText, figureAndUnit, turnText, targetSubjectName } from '@still-heron/wording';
import { clockOffset } from '../../shared/live/clockOffset';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { trackOf, TRACK_HZ } from './recording';
import { ringSource } from './ringSource';
import { trackChartLayout, trackPath } from '../../charts/trackChartLayout';
import { RollEngine } from './rollEngine';
import { DEFAULT_ROLL_OPTIONS, readOptions, writeOptions } from '../../shared/rollOptions';
import { asSendable, type StoredTake } from './takeOutbox';

const plan: ShotPlan = changePull(TWO_PEOPLE, 'pull-1', { startS: 2, durationS: 1, countInS: 1 });
const ready = prepareRoll(plan)!;
const view: RollView = {
  rollId: 'r',
  shotId: 's',
  startedAtMs: 0,
  rate: 1,
  isClockTriggered: false,
  isPractice: false,
  fromS: 0,
  planVersion: 3,
  device: 'a tablet',
  cueEvents: [],
};

function engine(
  of: ShotPlan = plan,
  changes: Partial<RollView> = {},
  turnedBy: 'motor-line' | 'wheel' | 'nobody' = 'motor-line',
) {
  const rolled = prepareRoll(of)!;
  const ring = ringSource(of, turnedBy, rolled.track.start.ringDeg);
  ring.reset(rolled.track.start.ringDeg);
  const setting = {
    ...{ plan: of, ready: rolled, planVersion: 3, predictedKeepRate: 0.7 },
    ...{ puller: 'Ines', hasCamera: true, ring, loop: null },
  };
  return new RollEngine(setting, { ...view, ...changes }, true, new Date(2026, 2, 1, 10, 0, 0));
}

const run = (one: RollEngine, toS: number, fromS = 0) => {
  for (let timeS = fromS; timeS <= toS + 1e-9; timeS += 0.01) one.tick(timeS);
};

describe('clocks', () => {
  test('are set by the answer that came quickest', () => {
    const slow = { sentMs: 0, heardMs: 100, serverMs: 5090 };
    const quick = { sentMs: 200, heardMs: 204, serverMs: 5202 };
    expect(clockOffset([slow, quick])).toEqual({ offsetMs: 5000, withinMs: 2 });
  });
});

describe('a recording', () => {
  test('is even in time, straight between readings, and stays where it was last', () => {
    const track = unpackTrack(
      trackOf(
        [
          { timeS: 0.003, ringDeg: 10 },
          { timeS: 0.503, ringDeg: 20 },
        ],
        1,
      )!,
    );
    expect(track.hz).toBe(TRACK_HZ);
    expect(track.ringDeg).toHaveLength(TRACK_HZ + 1);
    expect(trackDegAt(track, 0)).toBeCloseTo(10, 2);
    expect(trackDegAt(track, 0.253)).toBeCloseTo(15, 1);
    expect(trackDegAt(track, 1)).toBeCloseTo(20, 2);
    expect(trackOf([], 1)).toBeNull();
    // a take of two hours is still one the server takes
    const long = trackOf(
      Array.from({ length: 72_000 }, (_, k) => ({ timeS: k / 10, ringDeg: (k * 37) % 280 })),
      7199,
    )!;
    expect(long.length).toBeLessThan(TAKE_LIMITS.track.max);
    expect(unpackTrack(long).hz).toBeLessThan(TRACK_HZ);
  });
});

describe('a roll', () => {
  test('run by the motor it hits; the take knows what it was shot with', () => {
    const one = engine();
    run(one, plan.durationS);
    const { take, rolledAt } = one.endAt(plan.durationS);
    expect(take).toMatchObject({
      ...newTake(plan, 3),
      // nobody has said anything of it; its track shows this
      focus: null,
      measured: take.measured,
      predictedKeepRate: 0.7,
      startTimecode: '10:00:00:00',
      timecodeFrom: 'simulated',
      ringFrom: 'simulated-motor',
      gear: { puller: 'Ines' },
      hits: [{ pullId: 'pull-1', said: null, measured: 'hit' }],
      track: take.track,
      usable: null,
    });
    expect(take.measured!.usable.length).toBeGreaterThan(0);
    expect(new Date(rolledAt).getTime()).toBe(new Date(2026, 2, 1, 10).getTime());
  });

  test('while it is counted in nothing is recorded, and it says so', () => {
    const one = engine();
    expect(one.tick(-2)).toMatchObject({ phase: 'counting', planS: 0, waitingPullId: null });
    expect(one.takeAt(-1).track).toBeNull();
    expect(one.tick(0.5)).toMatchObject({ phase: 'rolling', planS: 0.5, timecode: '10:00:00:12' });
  });

  test('cues come due once, a little ahead; those that were passed over are not told', () => {
    const one = engine();
    expect(one.dueCues(0.8).map(({ cue }) => cue.kind)).toEqual(['count']);
    expect(one.dueCues(0.8)).toEqual([]);
    const [start] = one.dueCues(1.9).filter(({ cue }) => cue.kind === 'start');
    expect(start!.inS).toBeCloseTo(0.1, 9);
    expect(one.dueCues(9)).toEqual([]);
  });

  test('a pull that waits is set off once, here or elsewhere; another one is not there to be set off', () => {
    const waits = changePull(plan, 'pull-1', { trigger: 'spoken-line' });
    const one = engine(waits);
    expect(one.nextPullToTrigger(1)).toBe('pull-1');
    run(one, 4);
    expect(one.tick(4)).toMatchObject({ waitingPullId: 'pull-1', planS: 2 });
    one.triggerPull('pull-1', 4);
    one.applyRemote({ ...view, cueEvents: [{ pullId: 'pull-1', timeS: 9 }] });
    expect(one.sharedState.cueEvents).toEqual([{ pullId: 'pull-1', timeS: 4 }]);
    expect(one.nextPullToTrigger(4.1)).toBeNull();
    expect(one.tick(4.5)).toMatchObject({ waitingPullId: null, planS: 2.5 });
    const byClock = engine(waits, { isClockTriggered: true });
    expect(byClock.nextPullToTrigger(1)).toBeNull();
    run(byClock, 5);
    expect(byClock.takeAt(5).cues).toEqual([{ pullId: 'pull-1', timeS: 2 }]);
  });

  test('a camera at the port gives the take its timecode; what is none is passed over', () => {
    const one = engine();
    one.receiveTimecode('camera A', '11:00:01:00', 1);
    one.receiveTimecode('camera A', 'soon', 1);
    expect(one.tick(2)).toMatchObject({ timecode: '11:00:02:00', camera: 'camera A' });
    expect(one.takeAt(2).startTimecode).toBe('11:00:00:00');
  });

  test('a span in which focus was checked is kept with the take', () => {
    const one = engine();
    one.setFocusCheck(true, 1);
    one.setFocusCheck(true, 1.2);
    one.setFocusCheck(false, 1.5);
    one.setFocusCheck(false, 2);
    expect(one.takeAt(3).focusChecks).toEqual([{ fromS: 1, toS: 1.5 }]);
  });

  test('the wheel turns the ring; without anything that turns it there is no track', () => {
    const ring = ringSource(plan, 'wheel', 50);
    ring.turn(10);
    expect(ring.ringDeg()).toBe(60);
    expect(ringSource(plan, 'nobody', 50).ringDeg()).toBeNull();
    const port = ringSource(plan, 'port', 50);
    expect(port.ringDeg()).toBeNull();
    port.reported(42);
    expect(port.ringDeg()).toBe(42);
    const one = engine(plan, {}, 'nobody');
    run(one, 2);
    expect(one.endAt(2).take).toMatchObject({ track: null, hits: [], focus: null, measured: null, ringFrom: 'unseen' });
  });
});

test('a page that is held up during a pull does not make the simulated motor late', () => {
  const hitsOf = (heldUpS: number) => {
    const one = engine(plan, {}, 'motor-line');
    run(one, 1.9);
    run(one, plan.durationS, 1.9 + heldUpS);
    return one.endAt(plan.durationS).take.hits[0]!;
  };
  // nothing for 1.2 s, in which the whole pull was made
  const [smooth, heldUp] = [hitsOf(0.01), hitsOf(1.2)];
  expect([smooth.measured, heldUp.measured]).toEqual(['hit', 'hit']);
  expect(heldUp.landsLateS).toBeCloseTo(smooth.landsLateS!, 1);
});

describe('a take that the server has not got', () => {
  const boxed: StoredTake = { id: 'i', shotId: 's', rolledAt: '', take: newTake(plan, 1), aliveAtMs: 1000 };

  test('is sent once it has ended, or once its page is gone: then it was cut short', () => {
    expect(asSendable({ ...boxed, aliveAtMs: null }, 1000, null)).toMatchObject({ take: { isCutShort: false } });
    // where the browser can't tell which pages live, the last sign of life decides
    expect(asSendable(boxed, 3000, null)).toBeNull();
    expect(asSendable(boxed, 60_000, null)).toMatchObject({ aliveAtMs: null, take: { isCutShort: true } });
    expect(asSendable(boxed, 60_000, new Set(['i']))).toBeNull();
    expect(asSendable(boxed, 1001, new Set(['another']))).toMatchObject({ take: { isCutShort: true } });
  });
});

describe('options', () => {
  test('are remembered; what can’t be is as if it had never been set', () => {
    let stored = '';
    const storage = { setItem: (_: string, value: string) => (stored = value), getItem: () => stored };
    const chosen = {
      ...DEFAULT_ROLL_OPTIONS,
      turnedBy: 'motor-line' as const,
      countInS: 5 as const,
      puller: 'Ines',
      hasSound: false,
    };
    writeOptions(storage, chosen);
    expect(readOptions(storage)).toEqual(chosen);
    for (const broken of ['{', 'null', '{"turnedBy":"wind","countInS":7,"hasSound":"yes","puller":4}'])
      expect(readOptions({ getItem: () => broken })).toEqual(DEFAULT_ROLL_OPTIONS);
  });
});

test('what is shown in words and figures', () => {
  const [next] = ready.figuresAt(0).upcoming;
  expect(figureAndUnit(2050, 'metric')).toEqual({ figure: '2.05', unit: 'm' });
  expect(figureAndUnit(2050, 'imperial').unit).toBe('');
  expect([0.32, 9.94, 48.4].map(degreesText)).toEqual(['0.3°', '9.9°', '48°']);
  expect(countdownText(-0.2)).toBe('0.0');
  expect(targetSubjectName(next!.target, plan)).toBe(plan.subjects[1]!.name);
  expect(targetSubjectName({ kind: 'distance', distanceMm: 3000 }, plan)).toBe('');
  expect(turnText(next!)).toMatch(/^\d+° (nearer|farther), in 1\.0 s$/);
  expect(cueText({ trigger: 'look', cue: 'she looks up' })).toBe('on the look: she looks up');
  expect(cueText({ trigger: 'clock', cue: '' })).toBe('');
});

test('the channel is as wide as the shot is long, and the track lies on the line where it followed it', () => {
  const layout = trackChartLayout(plan, ready, null, { height: 240, pxPerS: 100 });
  expect(layout.seconds).toHaveLength(Math.floor(plan.durationS) + 1);
  const lastX = Number(/([\d.]+),[\d.]+$/.exec(layout.line)![1]);
  expect(lastX).toBeCloseTo(plan.durationS * 100, 3);
  const one = engine();
  run(one, plan.durationS);
  const path = trackPath(unpackTrack(one.takeAt(plan.durationS).track!), layout.scale, 100);
  const startY = layout.scale.yOfRing(ringOf(plan.optics.lens).angleAt(ready.track.start.distanceMm));
  expect(Number(/^M0,([\d.]+)/.exec(path)![1])).toBeCloseTo(startY, 0);
});
