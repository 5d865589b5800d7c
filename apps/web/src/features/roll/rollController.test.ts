import { changePull, prepareRoll, type ShotPlan } from '@still-heron/core';
import type { RollView } from '@still-heron/contract';
import type { ConnectionEvents, ConnectionState, LiveConnection } from '../../shared/live/liveConnection';
import { DEFAULT_ROLL_OPTIONS } from '../../shared/rollOptions';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { RollController } from './rollController';
import type { RollEnvironment, RollInput } from './rollState';
import type { StoredTake } from './takeOutbox';

const plan: ShotPlan = changePull(TWO_PEOPLE, 'pull-1', { startS: 2, durationS: 1, trigger: 'look' });

const inputOf = (changes: Partial<RollInput> = {}): RollInput => ({
  shotId: 'shot-1',
  plan,
  ready: prepareRoll(plan)!,
  planVersion: 3,
  predictedKeepRate: 0.7,
  options: { ...DEFAULT_ROLL_OPTIONS, countInS: 3, turnedBy: 'motor-line', hasSound: false },
  practice: null,
  ...changes,
});

/** A page without a browser: a clock that is set, and a connection that keeps what is told. */
function pageOf(input = inputOf()) {
  let nowMs = 1000;
  let events!: ConnectionEvents;
  let connection: ConnectionState = { isConnected: true, others: [], clock: null };
  const listeners = new Set<() => void>();
  const told: [string, unknown][] = [];
  const kept: Omit<StoredTake, 'aliveAtMs'>[] = [];
  const written: Omit<StoredTake, 'aliveAtMs'>[] = [];
  const news: [string, unknown][] = [];
  const lost = new Set<string>();
  let ids = 0;
  const tell = (what: string) => (value: unknown) => {
    if (connection.isConnected) told.push([what, value]);
    return connection.isConnected;
  };
  const live: LiveConnection = {
    state: () => connection,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    tellRoll: tell('roll'),
    tellCue: tell('cue'),
    tellCheck: tell('check'),
    tellFault: tell('fault'),
    tellEnd: tell('end'),
    tellWheel: tell('wheel'),
    order: tell('order'),
    close: () => tell('close')(null),
  };
  const environment: RollEnvironment = {
    nowMs: () => nowMs,
    connect: (_, heard) => {
      events = heard;
      return live;
    },
    device: 'tablet',
    newId: () => `roll-${++ids}`,
    openSounds: () => ({ play: () => undefined, hush: () => undefined, close: () => undefined }) as never,
    signalCue: () => undefined,
    keepTake: (take) => kept.push(take),
    keepRolling: (take) => written.push(take),
    onSaved: (shotId, version) => news.push(['saved', [shotId, version]]),
    onTaken: (shotId) => news.push(['taken', shotId]),
    ownRolls: { begin: () => undefined, end: () => undefined, isLost: (rollId) => Promise.resolve(lost.has(rollId)) },
  };
  const controller = new RollController(input, environment);
  const close = controller.open();
  return {
    controller,
    close,
    kept,
    written,
    news,
    lost,
    hear: () => events,
    told: (what: string) => told.filter(([name]) => name === what).map(([, value]) => value),
    setConnection: (changes: Partial<ConnectionState>) => {
      connection = { ...connection, ...changes };
      listeners.forEach((listener) => listener());
    },
    /** Lets time pass, ticking every 10 ms as the page does. */
    pass: (seconds: number) => {
      for (let k = 0; k < Math.round(seconds * 100); k++) {
        nowMs += 10;
        controller.tick();
      }
    },
  };
}

const remote = (changes: Partial<RollView> = {}): RollView => ({
  rollId: 'other',
  shotId: 'shot-1',
  startedAtMs: 1000,
  rate: 1,
  isClockTriggered: false,
  isPractice: false,
  fromS: 0,
  planVersion: 3,
  device: 'the other tablet',
  cueEvents: [],
  ...changes,
});

test('a roll counts in, waits for the look, goes on at the cue, and ends as one take', () => {
  const page = pageOf();
  page.controller.toggle();
  expect(page.told('roll')).toHaveLength(1);
  page.pass(2);
  expect(page.controller.current().moment.phase).toBe('counting');
  page.pass(4);
  expect(page.controller.current().moment).toMatchObject({ phase: 'rolling', waitingPullId: 'pull-1' });
  expect(page.controller.current().moment.planS).toBeCloseTo(2, 6);
  page.controller.triggerNow();
  expect(page.told('cue')).toEqual([{ rollId: 'roll-1', pullId: 'pull-1', timeS: expect.closeTo(3, 2) }]);
  page.pass(2);
  expect(page.controller.current().moment.planS).toBeCloseTo(4, 1);
  page.controller.toggle();
  expect(page.kept.map(({ id, shotId }) => [id, shotId])).toEqual([['roll-1', 'shot-1']]);
  expect(page.kept[0]!.take.cues).toEqual([{ pullId: 'pull-1', timeS: expect.closeTo(3, 2) }]);
  expect(page.controller.current()).toMatchObject({ moment: { phase: 'ready' }, ended: { id: 'roll-1' } });
  page.controller.forget();
  expect(page.controller.current().ended).toBeNull();
});

test('a roll that is cancelled during the count-in leaves no take', () => {
  const page = pageOf();
  page.controller.toggle();
  page.pass(1);
  page.controller.toggle();
  expect(page.kept).toEqual([]);
  expect(page.told('end')).toEqual(['roll-1']);
});

test('slow practice is shown, and not logged', () => {
  const page = pageOf(inputOf({ practice: { rate: 0.5, loop: null }, options: { ...inputOf().options, countInS: 0 } }));
  page.controller.toggle();
  page.pass(2);
  expect(page.controller.current().moment.planS).toBeCloseTo(1, 1);
  page.controller.toggle();
  expect(page.kept).toEqual([]);
  expect(page.written).toEqual([]);
  expect(page.controller.current().ended).not.toBeNull();
});

test('while it rolls, the take is stored twice a second and the ring is told twenty times', () => {
  const page = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
  page.controller.toggle();
  page.pass(2);
  expect(page.written.length).toBeGreaterThanOrEqual(3);
  expect(page.written.length).toBeLessThanOrEqual(5);
  expect(page.told('wheel').length).toBeGreaterThan(25);
  expect(page.told('wheel').length).toBeLessThan(45);
});

test('a page that closes ends its own roll and keeps the take', () => {
  const page = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
  page.controller.toggle();
  page.pass(1);
  page.close();
  expect(page.told('end')).toEqual(['roll-1']);
  expect(page.kept).toHaveLength(1);
  expect(page.told('close')).toHaveLength(1);
});

test('a roll of another device is followed, with its ring, and logged there', () => {
  const page = pageOf();
  page.hear().roll(remote());
  page.hear().wheel(57);
  page.pass(1);
  expect(page.controller.current()).toMatchObject({ moment: { phase: 'rolling' }, ringDeg: 57 });
  page.hear().cue({ rollId: 'other', pullId: 'pull-1', timeS: 1 });
  page.pass(1);
  expect(page.controller.current().moment.waitingPullId).toBeNull();
  page.hear().end('other');
  expect(page.controller.current().moment.phase).toBe('ready');
  expect(page.kept).toEqual([]);
  // its take comes into the list as soon as it is logged there
  page.hear().taken();
  page.hear().saved(4);
  expect(page.news).toEqual([
    ['taken', 'shot-1'],
    ['saved', ['shot-1', 4]],
  ]);
});

test('a roll of another device does not replace one under way here', () => {
  const page = pageOf();
  page.controller.toggle();
  page.hear().roll(remote());
  page.hear().end('other');
  page.pass(4);
  expect(page.controller.current().moment.phase).toBe('rolling');
  page.hear().joined(null);
  expect((page.told('roll') as RollView[]).map(({ rollId }) => rollId)).toEqual(['roll-1', 'roll-1']);
  const starts = page.told('order').filter((order) => (order as { kind: string }).kind === 'roll');
  expect(starts).toEqual([
    { kind: 'roll', isRolling: true },
    { kind: 'roll', isRolling: true },
  ]);
});

test('the clock offset is taken over, but not during a roll of this device', () => {
  const page = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
  page.setConnection({ clock: { offsetMs: 5000, withinMs: 2 } });
  page.controller.toggle();
  expect((page.told('roll')[0] as RollView).startedAtMs).toBe(6000);
  page.setConnection({ clock: { offsetMs: 9000, withinMs: 2 } });
  page.pass(1);
  expect(page.controller.current().moment.realS).toBeCloseTo(1, 2);
});

test('a changed plan moves the ring to its start, but not during a roll', () => {
  const page = pageOf();
  const startDeg = page.controller.current().ringDeg!;
  const farther: ShotPlan = { ...plan, marks: plan.marks.map((mark) => ({ ...mark, distanceMm: 2 * mark.distanceMm! })) };
  const changed = inputOf({ plan: farther, ready: prepareRoll(farther)! });
  page.controller.toggle();
  page.controller.update(changed);
  expect(page.controller.current().ringDeg).toBe(startDeg);
  page.controller.toggle();
  page.controller.update({ ...changed, plan: { ...farther } });
  expect(page.controller.current().ringDeg).not.toBe(startDeg);
});

test('a ring at rest announces nothing', () => {
  const page = pageOf();
  const heard = jest.fn();
  page.controller.subscribe(heard);
  page.pass(1);
  expect(heard).not.toHaveBeenCalled();
});

test('the path of the ring is drawn while it rolls, and is gone afterwards', () => {
  const page = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
  page.controller.toggle();
  page.pass(1);
  const { trace } = page.controller.current();
  expect(trace.length).toBeGreaterThan(40);
  expect(trace.at(-1)![0]).toBeCloseTo(1, 1);
  page.controller.toggle();
  expect(page.controller.current().trace).toEqual([]);
});

test('a plan that changed during a roll moves the ring when the roll has ended', () => {
  const page = pageOf();
  const startDeg = page.controller.current().ringDeg;
  const farther: ShotPlan = { ...plan, marks: plan.marks.map((mark) => ({ ...mark, distanceMm: 2 * mark.distanceMm! })) };
  page.controller.toggle();
  page.controller.update(inputOf({ plan: farther, ready: prepareRoll(farther)! }));
  expect(page.controller.current().ringDeg).toBe(startDeg);
  page.controller.toggle();
  expect(page.controller.current().ringDeg).not.toBe(startDeg);
});

describe('practice', () => {
  const atOnce = { ...inputOf().options, countInS: 0 as const };

  test('at full speed is judged like a take, and none', () => {
    const page = pageOf(inputOf({ practice: { rate: 1, loop: null }, options: { ...atOnce, isClockTriggered: true } }));
    page.controller.toggle();
    page.pass(4);
    page.controller.toggle();
    expect([page.kept, page.written]).toEqual([[], []]);
    expect(page.controller.current()).toMatchObject({ ended: { isPractice: true, take: { hits: [{ measured: 'hit' }] } } });
    expect((page.told('roll')[0] as RollView).isPractice).toBe(true);
  });

  test('of one pull counts in, runs, is judged, and comes again until it is ended; each run stands beside the one before', () => {
    const loop = { pullId: 'pull-1', fromS: 1, toS: 4 };
    const page = pageOf(inputOf({ practice: { rate: 1, loop }, options: atOnce }));
    page.controller.toggle();
    expect(page.controller.current().moment).toMatchObject({ phase: 'rolling', planS: 1, isPractice: true });
    page.pass(3.01);
    // the next run counts in, so that the ring can go back
    expect(page.controller.current()).toMatchObject({
      moment: { phase: 'counting' },
      ended: { id: 'roll-1', loopPullId: 'pull-1', take: { hits: [{ pullId: 'pull-1', measured: 'hit' }] } },
      before: null,
    });
    page.pass(3 + 3.05);
    expect(page.controller.current()).toMatchObject({ ended: { id: 'roll-2' }, before: { id: 'roll-1' } });
    page.pass(4);
    page.controller.toggle();
    // a run that was broken off says nothing
    expect(page.controller.current()).toMatchObject({ moment: { phase: 'ready' }, ended: { id: 'roll-2' } });
    expect(page.kept).toEqual([]);
    const rolls = page.told('roll') as RollView[];
    expect(rolls.map(({ fromS, isClockTriggered }) => [fromS, isClockTriggered])).toEqual(Array(3).fill([1, true]));
    expect(page.told('end')).toEqual(['roll-1', 'roll-2', 'roll-3']);
  });
});

describe('on a second device', () => {
  const settled = () => new Promise((done) => setTimeout(done, 0));

  test('focus checks and faults go to the device that rolls, and into its take', () => {
    const second = pageOf();
    second.hear().roll(remote({ startedAtMs: 1000 }));
    second.pass(1);
    second.controller.setFocusCheck(true);
    second.controller.sayFault('camera-jumped');
    expect(second.told('check')).toEqual([{ rollId: 'other', isChecking: true, timeS: expect.closeTo(1, 6) as number }]);
    expect(second.told('fault')).toEqual([{ rollId: 'other', found: 'camera-jumped', timeS: expect.closeTo(1, 6) as number }]);
    const first = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
    first.controller.toggle();
    first.hear().check({ rollId: 'roll-1', isChecking: true, timeS: 0.5 });
    first.hear().check({ rollId: 'roll-1', isChecking: false, timeS: 0.9 });
    first.hear().fault({ rollId: 'roll-1', found: 'camera-jumped', timeS: 1.2 });
    first.hear().fault({ rollId: 'another', found: 'searched', timeS: 1.3 });
    first.pass(2);
    first.controller.toggle();
    expect(first.kept[0]!.take).toMatchObject({
      focusChecks: [{ fromS: 0.5, toS: 0.9 }],
      findings: [{ at: { kind: 'time', timeS: 1.2 }, found: 'camera-jumped' }],
    });
  });

  test('what is said while the server is away is said when the roll is heard of again', () => {
    const page = pageOf();
    page.hear().roll(remote());
    page.pass(1);
    page.setConnection({ isConnected: false });
    page.controller.sayFault('searched');
    page.controller.triggerNow();
    expect([page.told('fault'), page.told('cue')]).toEqual([[], []]);
    page.setConnection({ isConnected: true });
    page.hear().roll(remote());
    expect(page.told('fault')).toMatchObject([{ found: 'searched' }]);
    expect(page.told('cue')).toMatchObject([{ pullId: 'pull-1' }]);
    page.hear().roll(remote());
    expect(page.told('fault')).toHaveLength(1);
  });

  test('a take that is ended while the server is away ends when its device is heard of again', () => {
    const page = pageOf();
    page.hear().roll(remote());
    page.setConnection({ isConnected: false });
    page.controller.toggle();
    expect(page.told('end')).toEqual([]);
    page.setConnection({ isConnected: true });
    page.hear().joined(null);
    page.hear().roll(remote());
    expect(page.told('end')).toEqual(['other']);
    expect(page.controller.current().moment.phase).toBe('ready');
  });

  test('a roll that the server has forgotten is given up within two seconds, unless its device comes back with it', () => {
    const page = pageOf();
    page.hear().roll(remote());
    page.hear().joined(null);
    page.pass(1);
    expect(page.controller.current().moment.phase).toBe('rolling');
    page.hear().roll(remote());
    page.pass(3);
    expect(page.controller.current().moment.phase).toBe('rolling');
    page.hear().joined(null);
    page.pass(2);
    expect(page.controller.current().moment.phase).toBe('ready');
    expect(page.told('end')).toEqual([]);
  });

  test('a roll of this device whose page died is ended for all', async () => {
    const page = pageOf();
    page.lost.add('other');
    page.hear().joined(remote());
    await settled();
    expect(page.told('end')).toEqual(['other']);
    expect(page.controller.current().moment.phase).toBe('ready');
    // the server may tell of it once more
    page.hear().roll(remote());
    expect(page.controller.current().moment.phase).toBe('ready');
  });

  test('a roll is shown with the plan that it has on its own device, as soon as that has come', () => {
    const page = pageOf();
    const later: ShotPlan = changePull(plan, 'pull-1', { startS: 3 });
    page.hear().roll(remote({ planVersion: 4, cueEvents: [{ pullId: 'pull-1', timeS: 3 }] }));
    page.pass(1);
    expect(page.controller.current().rolled!.plan).toBe(plan);
    page.controller.update(inputOf({ plan: later, ready: prepareRoll(later)!, planVersion: 4 }));
    expect(page.controller.current().rolled!.plan).toBe(later);
    page.pass(1);
    expect(page.controller.current().moment).toMatchObject({ phase: 'rolling', planS: expect.closeTo(2, 1) as number });
    // a newer one than the roll has is for the next roll
    page.controller.update(inputOf({ planVersion: 5 }));
    expect(page.controller.current().rolled!.plan).toBe(later);
  });

  test('a camera stops when the take is ended elsewhere', () => {
    const page = pageOf(inputOf({ options: { ...inputOf().options, countInS: 0 } }));
    page.controller.toggle();
    page.pass(1);
    page.hear().end('roll-1');
    expect(page.kept).toHaveLength(1);
    expect(page.told('order').at(-1)).toEqual({ kind: 'roll', isRolling: false });
  });
});
