// longer than other files: what is done here and what other devices say change the same few fields of one roll
import type { RollView } from '@still-heron/contract';
import type { Finding } from '@still-heron/core';
import type { LiveConnection } from '../../shared/live/liveConnection';
import type { CueSounds } from './cueSounds';
import { newRoll } from './newRoll';
import { ringSource, type RingSource } from './ringSource';
import { longerTrace } from './ringTrace';
import { RollEngine } from './rollEngine';
import { type FinishedRoll, SETTLED } from './rollMoment';
import type { Practice } from './practice';
import type { RollEnvironment, RollInput, RollState } from './rollState';
import { SaidElsewhere } from './saidElsewhere';
import { ShownState } from './shownState';

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
/** A roll that the server does not know of after it was away is given up after this time, unless its device is back with it. */
const GIVEN_UP_MS = 1000;
/** Least count-in of practice of one pull: the ring has to go back. */
const LOOP_COUNT_IN_S = 3;

const NOTHING = {
  moment: SETTLED,
  connection: { isConnected: false, others: [], clock: null },
  ...{ ended: null, before: null, rolled: null, trace: [] },
} as const;

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
  private readonly shown: ShownState<RollState>;
  private live: LiveConnection | null = null;
  private readonly said = new SaidElsewhere();
  /** When a roll of another device is given up; null if it is known */
  private givenUpAtMs: number | null = null;
  private lastRun: FinishedRoll | null = null;

  constructor(
    private input: RollInput,
    private readonly environment: RollEnvironment,
  ) {
    this.ring = ringFor(input);
    this.ringInput = input;
    this.shown = new ShownState<RollState>({ ...NOTHING, ringDeg: this.ring.ringDeg() });
  }

  readonly subscribe = (listener: () => void): (() => void) => this.shown.subscribe(listener);

  readonly current = (): RollState => this.shown.current();

  /** Connects to the other devices that show the shot. @returns closes the connection, and ends a roll of this device */
  open(): () => void {
    const { shotId } = this.input;
    const ofOurs = (rollId: string, apply: (engine: RollEngine) => void) => {
      if (this.engine?.isOurs && this.engine.id === rollId) apply(this.engine);
    };
    const live = this.environment.connect(shotId, {
      roll: (roll) => this.rollHeard(roll),
      cue: ({ rollId, pullId, timeS }) => {
        if (this.engine?.id === rollId) this.engine.triggerPull(pullId, timeS);
      },
      check: ({ rollId, isChecking, timeS }) => ofOurs(rollId, (engine) => engine.setFocusCheck(isChecking, timeS)),
      fault: ({ rollId, found, timeS }) => ofOurs(rollId, (engine) => engine.addFault(found, timeS)),
      end: (rollId) => this.endHeard(rollId),
      wheel: (ringDeg) => (this.remoteDeg = ringDeg),
      device: (message) => {
        if (message.kind !== 'camera') this.ring.reported(message.ringDeg);
        else if (message.isRolling && this.engine?.isOurs)
          this.engine.receiveTimecode(message.device, message.timecode, this.realS());
      },
      saved: (version) => this.environment.onSaved(shotId, version),
      taken: () => this.environment.onTaken(shotId),
      joined: (roll) => this.joined(live, roll),
    });
    this.live = live;
    const stop = live.subscribe(() => {
      const connection = live.state();
      // the clock offset stays fixed during our own roll; a change would make its time jump
      if (!this.engine?.isOurs) this.offsetMs = connection.clock?.offsetMs ?? this.offsetMs;
      this.shown.show({ connection });
    });
    return () => {
      stop();
      if (this.engine?.isOurs) this.tellEnd(this.engine);
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
    const { engine } = this;
    // a roll of another device is shown with the plan that it has there, as soon as that is here
    const isNewer = engine && !engine.isOurs && engine.setting.planVersion !== input.planVersion;
    if (isNewer && engine.roll.planVersion === input.planVersion) this.begin(engine.sharedState, false);
  }

  /** Advances to now: reads the ring, plays cues, tells the other devices, and stores a take that goes on. */
  tick(): void {
    const nowMs = this.environment.nowMs();
    const { engine } = this;
    if (!engine) {
      this.ring.run((nowMs % 1e8) / 1000, this.input.ready.track.start.ringDeg);
      this.shown.show({ ringDeg: this.ring.ringDeg() });
      return;
    }
    if (this.givenUpAtMs !== null && nowMs > this.givenUpAtMs) return this.finish();
    const atS = this.realS();
    const moment = engine.tick(atS);
    for (const { cue, inS } of engine.dueCues(atS)) this.environment.signalCue(cue, inS, this.input.options, this.sounds);
    const ringDeg = engine.isOurs ? engine.setting.ring.ringDeg() : this.remoteDeg;
    this.shown.show({ moment, ringDeg, trace: longerTrace(this.current().trace, moment.planS, ringDeg) });
    if (!engine.isOurs) return;
    if (nowMs > this.nextWheelMs) {
      this.nextWheelMs = nowMs + WHEEL_MS;
      if (ringDeg !== null) this.live?.tellWheel(ringDeg);
      this.live?.order({ kind: 'drive', ringDeg: engine.setting.ready.track.ringDegAt(moment.planS) });
    }
    if (engine.isOver(moment.planS)) return this.loopAgain();
    if (nowMs > this.nextWriteMs && !engine.roll.isPractice && atS > 0) this.writeRolling(engine, atS, nowMs);
  }

  /** Starts a roll of this device, or ends the one under way. */
  readonly toggle = (): void => {
    const { engine } = this;
    if (!engine) return this.start(this.input.options.countInS);
    this.tellEnd(engine);
    this.finish({ isBrokenOff: engine.setting.loop !== null });
  };

  /** Triggers the pull that waits for a cue, or the next one that will. */
  readonly triggerNow = (): void => {
    const timeS = this.realS();
    const pullId = this.engine?.nextPullToTrigger(timeS);
    if (!this.engine || !pullId || timeS < 0) return;
    const { id } = this.engine;
    this.engine.triggerPull(pullId, timeS);
    this.said.say(id, () => this.live?.tellCue({ rollId: id, pullId, timeS }) ?? false);
  };

  /** Starts or ends a focus check, here or on the device that rolls. */
  readonly setFocusCheck = (isChecking: boolean): void => {
    const { engine } = this;
    const timeS = this.realS();
    if (engine?.isOurs) engine.setFocusCheck(isChecking, timeS);
    else if (engine && timeS >= 0)
      this.said.say(engine.id, () => this.live?.tellCheck({ rollId: engine.id, isChecking, timeS }) ?? false);
  };

  /** Says that something goes wrong now. */
  readonly sayFault = (found: Finding): void => {
    const { engine } = this;
    const timeS = this.realS();
    if (!engine || timeS < 0) return;
    if (engine.isOurs) engine.addFault(found, timeS);
    else this.said.say(engine.id, () => this.live?.tellFault({ rollId: engine.id, found, timeS }) ?? false);
  };

  readonly turn = (wheelDeg: number): void => this.ring.turn(wheelDeg);

  /** Drops the last roll from the page. */
  readonly forget = (): void => this.shown.show({ ended: null });

  /** Takes a new ring if the plan or the way of turning has changed since the last one. */
  private renewRing(): void {
    const [now, { plan, ready, options }] = [this.input, this.ringInput];
    const isSame = now.plan === plan && now.ready === ready && now.options.turnedBy === options.turnedBy;
    if (isSame || this.engine) return;
    this.ringInput = now;
    this.ring = ringFor(now);
    this.shown.show({ ringDeg: this.ring.ringDeg() });
  }

  /** Real time since the start of the roll under way, in s; negative during the count-in. */
  private realS(): number {
    return this.engine ? (this.environment.nowMs() + this.offsetMs - this.engine.roll.startedAtMs) / 1000 : 0;
  }

  private joined(live: LiveConnection, roll: RollView | null): void {
    if (this.engine?.isOurs) {
      live.tellRoll(this.engine.sharedState);
      // the camera was not told if the roll began before the page had joined
      live.order({ kind: 'roll', isRolling: true });
    } else if (roll) this.rollHeard(roll);
    // its device may have ended it meanwhile, or may not be back yet
    else if (this.engine) this.givenUpAtMs = this.environment.nowMs() + GIVEN_UP_MS;
  }

  private rollHeard(roll: RollView): void {
    const { rollId } = roll;
    if (this.engine?.isOurs) return;
    // the server, or its device, was away when it was ended here
    if (this.said.hasEnded(rollId)) return void this.live?.tellEnd(rollId);
    this.said.heardOf(rollId);
    this.givenUpAtMs = null;
    if (this.engine?.id === rollId) return this.engine.applyRemote(roll);
    if (this.engine) this.finish();
    this.begin(roll, false);
    void this.environment.ownRolls.isLost(rollId).then((isLost) => {
      if (!isLost) return;
      // a page of this device began it and is gone
      this.environment.ownRolls.end(rollId);
      this.said.end(rollId);
      this.live?.tellEnd(rollId);
      this.endHeard(rollId);
    });
  }

  private endHeard(rollId: string): void {
    const { engine } = this;
    if (engine?.id !== rollId) return;
    if (engine.isOurs) this.live?.order({ kind: 'roll', isRolling: false });
    this.finish({ isBrokenOff: engine.setting.loop !== null });
  }

  private tellEnd({ id, isOurs }: RollEngine): void {
    this.said.end(id);
    this.live?.tellEnd(id);
    if (isOurs) this.live?.order({ kind: 'roll', isRolling: false });
  }

  private start(countInS: number): void {
    const roll = newRoll(this.input, this.environment, this.offsetMs, countInS);
    this.begin(roll, true, this.input.practice?.loop);
    this.live?.tellRoll(roll);
    this.live?.order({ kind: 'roll', isRolling: true });
  }

  /** One run of a pull is over: its figures stay on the screen, and the next one counts in. */
  private loopAgain(): void {
    this.tellEnd(this.engine!);
    this.finish();
    this.start(Math.max(this.input.options.countInS, LOOP_COUNT_IN_S));
  }

  private begin(roll: RollView, isOurs: boolean, loop: Practice['loop'] = null): void {
    const { plan, ready, planVersion, predictedKeepRate, options } = this.input;
    this.ring.reset(ready.track.ringDegAt(roll.fromS));
    // a device that only shows the roll plays sounds as well
    if (options.hasSound) this.sounds ??= this.environment.openSounds();
    const ring = isOurs ? this.ring : ringSource(plan, 'nobody', 0);
    const hasCamera = options.hasCamera && isOurs;
    const setting = { plan, ready, planVersion, predictedKeepRate, puller: options.puller, hasCamera, ring, loop };
    this.engine = new RollEngine(setting, roll, isOurs, new Date(roll.startedAtMs - this.offsetMs));
    if (isOurs) this.environment.ownRolls.begin(roll.rollId);
    this.remoteDeg = null;
    this.givenUpAtMs = null;
    this.nextWriteMs = 0;
    this.nextWheelMs = 0;
    const moment = this.engine.tick(this.realS());
    // what the run before was like stays in sight while one pull is practised
    this.shown.show({ moment, trace: [], rolled: { plan, ready }, ...(isOurs && !loop ? { ended: null } : {}) });
  }

  /** @param isBrokenOff - the run is not to be judged */
  private finish({ isBrokenOff = false } = {}): void {
    const { engine } = this;
    if (!engine) return;
    const endS = this.realS();
    this.engine = null;
    this.givenUpAtMs = null;
    this.sounds?.hush();
    this.shown.show({ moment: SETTLED, trace: [], rolled: null });
    this.renewRing();
    if (engine.isOurs) this.environment.ownRolls.end(engine.id);
    // cancelled during the count-in, or not our roll: no take
    if (!engine.isOurs || endS <= 0 || isBrokenOff) return;
    engine.setFocusCheck(false, endS);
    const done = engine.endAt(endS);
    this.shown.show({ ended: done, before: this.lastRun });
    this.lastRun = done;
    if (engine.roll.isPractice) return;
    this.environment.keepTake({ id: done.id, shotId: engine.roll.shotId, rolledAt: done.rolledAt, take: done.take });
  }

  private writeRolling(engine: RollEngine, atS: number, nowMs: number): void {
    const { id, rolledAt, take } = engine.endAt(atS);
    this.environment.keepRolling({ id, shotId: engine.roll.shotId, rolledAt, take });
    // longer takes need longer to write; the pause leaves time for cues
    this.nextWriteMs = nowMs + WRITE_MS + Math.min(WRITE_TIMES * (this.environment.nowMs() - nowMs), MAX_WRITE_MS);
  }
}

function ringFor({ plan, ready, options }: RollInput): RingSource {
  return ringSource(plan, options.turnedBy, ready.track.start.ringDeg);
}
