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
  rate: 1,
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
  const elsewhere: string[] = [];
  const tell = (what: string) => (value: unknown) => void told.push([what, value]);
  const live: LiveConnection = {
    state: () => connection,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    tellRoll: tell('roll'),
    tellCue: tell('cue'),
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
    newId: () => 'roll-1',
    openSounds: () => ({ play: () => undefined, hush: () => undefined, close: () => undefined }) as never,
    signalCue: () => undefined,
    keepTake: (take) => kept.push(take),
    keepRolling: (take) => written.push(take),
    onTakeElsewhere: (shotId) => elsewhere.push(shotId),
  };
  const controller = new RollController(input, environment);
  const close = controller.open();
  return {
    controller,
    close,
    kept,
    written,
    elsewhere,
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
  const page = pageOf(inputOf({ rate: 0.5, options: { ...inputOf().options, countInS: 0 } }));
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
  expect([page.kept, page.elsewhere]).toEqual([[], ['shot-1']]);
});

test('a roll of another device does not replace one under way here', () => {
  const page = pageOf();
  page.controller.toggle();
  page.hear().roll(remote());
  page.hear().end('other');
  page.pass(4);
  expect(page.controller.current().moment.phase).toBe('rolling');
  page.hear().joined();
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
