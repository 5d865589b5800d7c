import type { RollView } from '@still-heron/contract';
import type { ConnectionState, LiveConnection } from '../../shared/live/liveConnection';
import type { CueSounds } from './cueSounds';
import { ringSource, type RingSource } from './ringSource';
import { longerTrace } from './ringTrace';
import { RollEngine, SETTLED } from './rollEngine';
import type { RollEnvironment, RollInput, RollState } from './rollState';

/** Interval between writes of a rolling take. */
const WRITE_MS = 500;
/**
 * Minimum pause as a multiple of the last write's duration, with an upper limit below the time at which the page counts as
 * gone.
 */
const WRITE_TIMES = 20;
const MAX_WRITE_MS = 3000;
/** Interval at which other devices receive the ring angle. */
const WHEEL_MS = 50;

const UNCONNECTED: ConnectionState = { isConnected: false, others: [], clock: null };

/**
 * Runs rolls of one shot, started here or on another device. It knows neither React nor the browser: the environment brings the
 * clock and the connection, and the caller calls `tick` often.
 */
export class RollController {
  private engine: RollEngine | null = null;
  private ring: RingSource;
  /** What the ring was made for */
  private ringInput: RollInput;
  private sounds: CueSounds | null = null;
  private remoteDeg: number | null = null;
  /** Server's clock minus the page's clock */
  private offsetMs = 0;
  private nextWriteMs = 0;
  private nextWheelMs = 0;
  private state: RollState;
  private readonly listeners = new Set<() => void>();
  private live: LiveConnection | null = null;

  constructor(
    private input: RollInput,
    private readonly environment: RollEnvironment,
  ) {
    this.ring = ringFor(input);
    this.ringInput = input;
    this.state = { moment: SETTLED, connection: UNCONNECTED, ringDeg: this.ring.ringDeg(), ended: null, trace: [] };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): RollState => this.state;

  /** Connects to the other devices that show the shot. @returns closes the connection, and ends a roll of this device */
  open(): () => void {
    const live = this.environment.connect(this.input.shotId, {
      roll: (roll) => this.rollHeard(roll),
      cue: ({ rollId, pullId, timeS }) => {
        if (this.engine?.id === rollId) this.engine.triggerPull(pullId, timeS);
      },
      end: (rollId) => this.endHeard(rollId),
      wheel: (ringDeg) => (this.remoteDeg = ringDeg),
      device: (message) => {
        if (message.kind !== 'camera') this.ring.reported(message.ringDeg);
        else if (message.isRolling && this.engine?.isOurs)
          this.engine.receiveTimecode(message.device, message.timecode, this.realS());
      },
      joined: () => {
        if (!this.engine?.isOurs) return;
        live.tellRoll(this.engine.sharedState);
        // the camera was not told if the roll began before the page had joined
        live.order({ kind: 'roll', isRolling: true });
      },
    });
    this.live = live;
    const stop = live.subscribe(() => {
      const connection = live.state();
      // the clock offset stays fixed during our own roll; a change would make its time jump
      if (!this.engine?.isOurs) this.offsetMs = connection.clock?.offsetMs ?? this.offsetMs;
      this.show({ connection });
    });
    return () => {
      stop();
      if (this.engine?.isOurs) live.tellEnd(this.engine.id);
      this.finish();
      live.close();
      this.live = null;
      this.sounds?.close();
      this.sounds = null;
    };
  }

  /** Takes over a changed plan or option. The ring of a roll under way stays as it is until the roll ends. */
  update(input: RollInput): void {
    this.input = input;
    this.renewRing();
  }

  /** Advances to now: reads the ring, plays cues, tells the other devices, and stores a take that goes on. */
  tick(): void {
    const nowMs = this.environment.nowMs();
    const { engine } = this;
    if (!engine) {
      this.ring.run((nowMs % 1e8) / 1000, this.input.ready.track.start.ringDeg);
      this.show({ ringDeg: this.ring.ringDeg() });
      return;
    }
    const atS = this.realS();
    const moment = engine.tick(atS);
    for (const { cue, inS } of engine.dueCues(atS)) this.environment.signalCue(cue, inS, this.input.options, this.sounds);
    const ringDeg = engine.isOurs ? engine.setting.ring.ringDeg() : this.remoteDeg;
    this.show({ moment, ringDeg, trace: longerTrace(this.state.trace, moment.planS, ringDeg) });
    if (!engine.isOurs) return;
    if (nowMs > this.nextWheelMs) {
      this.nextWheelMs = nowMs + WHEEL_MS;
      if (ringDeg !== null) this.live?.tellWheel(ringDeg);
      this.live?.order({ kind: 'drive', ringDeg: engine.setting.ready.track.ringDegAt(moment.planS) });
    }
    if (nowMs > this.nextWriteMs && engine.rate === 1 && atS > 0) this.writeRolling(engine, atS, nowMs);
  }

  /** Starts a roll of this device, or ends the one under way. */
  readonly toggle = (): void => {
    if (this.engine) {
      this.live?.tellEnd(this.engine.id);
      this.live?.order({ kind: 'roll', isRolling: false });
      this.finish();
      return;
    }
    const { shotId, options, rate } = this.input;
    const roll: RollView = {
      rollId: this.environment.newId(),
      shotId,
      startedAtMs: this.environment.nowMs() + this.offsetMs + options.countInS * 1000,
      rate,
      isClockTriggered: options.isClockTriggered,
      device: this.environment.device,
      cueEvents: [],
    };
    this.begin(roll, true);
    this.live?.tellRoll(roll);
    this.live?.order({ kind: 'roll', isRolling: true });
  };

  /** Triggers the pull that waits for a cue, or the next one that will. */
  readonly triggerNow = (): void => {
    const timeS = this.realS();
    const pullId = this.engine?.nextPullToTrigger(timeS);
    if (!this.engine || !pullId || timeS < 0) return;
    this.engine.triggerPull(pullId, timeS);
    this.live?.tellCue({ rollId: this.engine.id, pullId, timeS });
  };

  /** Starts or ends a focus check. */
  readonly setFocusCheck = (isChecking: boolean): void => this.engine?.setFocusCheck(isChecking, this.realS());

  readonly turn = (wheelDeg: number): void => this.ring.turn(wheelDeg);

  /** Drops the last roll from the page. */
  readonly forget = (): void => this.show({ ended: null });

  /** Takes a new ring if the plan or the way of turning has changed since the last one. */
  private renewRing(): void {
    const [now, { plan, ready, options }] = [this.input, this.ringInput];
    const isSame = now.plan === plan && now.ready === ready && now.options.turnedBy === options.turnedBy;
    if (isSame || this.engine) return;
    this.ringInput = now;
    this.ring = ringFor(now);
    this.show({ ringDeg: this.ring.ringDeg() });
  }

  /** Real time since the start of the roll under way, in s; negative during the count-in. */
  private realS(): number {
    return this.engine ? (this.environment.nowMs() + this.offsetMs - this.engine.roll.startedAtMs) / 1000 : 0;
  }

  private rollHeard(roll: RollView): void {
    if (this.engine?.id === roll.rollId) this.engine.applyRemote(roll);
    else if (!this.engine) this.begin(roll, false);
  }

  private endHeard(rollId: string): void {
    if (this.engine?.id !== rollId) return;
    const { isOurs } = this.engine;
    this.finish();
    if (!isOurs) this.environment.onTakeElsewhere(this.input.shotId);
  }

  private begin(roll: RollView, isOurs: boolean): void {
    const { plan, ready, planVersion, predictedKeepRate, options } = this.input;
    this.ring.reset(ready.track.start.ringDeg);
    // a device that only shows the roll plays sounds as well
    if (options.hasSound) this.sounds ??= this.environment.openSounds();
    const ring = isOurs ? this.ring : ringSource(plan, 'nobody', 0);
    const hasCamera = options.hasCamera && isOurs;
    const setting = { plan, ready, planVersion, predictedKeepRate, puller: options.puller, hasCamera, ring };
    this.engine = new RollEngine(setting, roll, isOurs, new Date(roll.startedAtMs - this.offsetMs));
    this.remoteDeg = null;
    this.nextWriteMs = 0;
    this.nextWheelMs = 0;
    const moment = this.engine.tick(this.realS());
    this.show({ moment, trace: [], ...(isOurs ? { ended: null } : {}) });
  }

  private finish(): void {
    const { engine } = this;
    if (!engine) return;
    const endS = this.realS();
    this.engine = null;
    this.sounds?.hush();
    this.show({ moment: SETTLED, trace: [] });
    this.renewRing();
    // cancelled during the count-in, or not our roll: no take
    if (!engine.isOurs || endS <= 0) return;
    engine.setFocusCheck(false, endS);
    const done = engine.endAt(endS);
    this.show({ ended: done });
    // slow practice is not logged
    if (engine.rate !== 1) return;
    this.environment.keepTake({ id: done.id, shotId: engine.roll.shotId, rolledAt: done.rolledAt, take: done.take });
  }

  private writeRolling(engine: RollEngine, atS: number, nowMs: number): void {
    const { id, rolledAt, take } = engine.endAt(atS);
    this.environment.keepRolling({ id, shotId: engine.roll.shotId, rolledAt, take });
    // longer takes need longer to write; the pause leaves time for cues
    this.nextWriteMs = nowMs + WRITE_MS + Math.min(WRITE_TIMES * (this.environment.nowMs() - nowMs), MAX_WRITE_MS);
  }

  /** Tells the listeners, unless nothing has changed: a ring at rest is read a hundred times a second. */
  private show(changes: Partial<RollState>): void {
    const names = Object.keys(changes) as (keyof RollState)[];
    if (names.every((name) => Object.is(changes[name], this.state[name]))) return;
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}

function ringFor({ plan, ready, options }: RollInput): RingSource {
  return ringSource(plan, options.turnedBy, ready.track.start.ringDeg);
}
