import type { RollView } from '@still-heron/contract';
import {
  asJudged,
  exactFps,
  type Finding,
  frameOfTimecode,
  isDropFrame,
  type LoggedFinding,
  newTake,
  type TimedAngle,
  type RollClock,
  rollClock,
  type RollCue,
  rollCues,
  type RollMode,
  type CueEvent,
  clockCueEvents,
  type Take,
  TAKE_LIMITS,
  timecodeAt,
  timecodeOf,
  type TimecodeSource,
  type UsableSpan,
} from '@still-heron/core';
import { trackOf } from './recording';
import type { FinishedRoll, RollMoment, RollSetting } from './rollMoment';

/** How far ahead cues are scheduled: longer than any pause of the page. */
const AHEAD_S = 0.35;
/** Step and number of steps in which a simulated motor makes up for time in which the page was held up. */
const STEP_S = 0.01;
const MAX_STEPS = 3000;

/** One roll from its count-in to its end. It does not depend on the page; the caller passes the time. */
export class RollEngine {
  private readonly readings: TimedAngle[] = [];
  private readonly cues: readonly RollCue[];
  private readonly told = new Set<RollCue>();
  private startTimecode: string;
  /** Name of a camera at the device port; null if simulated */
  private camera: string | null = null;
  private clock: RollClock;
  private cueEvents: readonly CueEvent[];
  private readonly focusChecks: UsableSpan[] = [];
  private focusCheckFromS: number | null = null;
  private findings: readonly LoggedFinding[] = [];
  /** Time of the last reading; null before the first */
  private readS: number | null = null;

  constructor(
    readonly setting: RollSetting,
    readonly roll: RollView,
    readonly isOurs: boolean,
    private readonly rolledAt: Date,
  ) {
    this.cueEvents = roll.cueEvents;
    this.cues = rollCues(setting.plan);
    this.clock = this.newClock();
    this.startTimecode = setting.hasCamera ? timecodeAt(secondsOfDay(rolledAt), setting.plan.captureFps) : '';
  }

  get id(): string {
    return this.roll.rollId;
  }

  get rate(): number {
    return this.roll.rate;
  }

  get pace(): RollMode {
    const { rate, isClockTriggered, fromS } = this.roll;
    return { rate, isClockTriggered, fromS };
  }

  /** State to send to other devices, with all past events. */
  get sharedState(): RollView {
    return { ...this.roll, cueEvents: [...this.cueEvents] };
  }

  /** Applies another device's state of this roll. */
  applyRemote({ cueEvents }: RollView): void {
    for (const { pullId, timeS } of cueEvents) this.triggerPull(pullId, timeS);
  }

  triggerPull(pullId: string, timeS: number): void {
    if (this.cueEvents.some((known) => known.pullId === pullId)) return;
    this.cueEvents = [...this.cueEvents, { pullId, timeS }];
    this.clock = this.newClock();
  }

  /** Timecode from a camera at a time of the roll. The take's start timecode is earlier by that time. */
  receiveTimecode(camera: string, timecode: string, realS: number): void {
    const { captureFps } = this.setting.plan;
    const frame = frameOfTimecode(timecode, captureFps);
    if (frame === null) return;
    this.camera = camera;
    this.startTimecode = timecodeOf(
      Math.max(0, frame - Math.round(realS * exactFps(captureFps))),
      captureFps,
      isDropFrame(timecode),
    );
  }

  private timecodeAt(realS: number): string {
    const { captureFps } = this.setting.plan;
    const start = frameOfTimecode(this.startTimecode, captureFps);
    return start === null
      ? ''
      : timecodeOf(
          Math.max(0, start + Math.floor(realS * exactFps(captureFps) + 1e-6)),
          captureFps,
          isDropFrame(this.startTimecode),
        );
  }

  /** Starts or ends a focus check; its span is cut out later. */
  setFocusCheck(isChecking: boolean, realS: number): void {
    if (isChecking) this.focusCheckFromS ??= realS;
    else if (this.focusCheckFromS !== null) {
      if (realS > this.focusCheckFromS) this.focusChecks.push({ fromS: Math.max(0, this.focusCheckFromS), toS: realS });
      this.focusCheckFromS = null;
    }
  }

  /** A fault that somebody sees at a time of the roll. */
  addFault(found: Finding, realS: number): void {
    if (realS < 0 || this.findings.length >= TAKE_LIMITS.findings.max) return;
    this.findings = [...this.findings, { at: { kind: 'time', timeS: realS }, found }];
  }

  /** Whether practice of one pull has come to its end. */
  isOver(planS: number): boolean {
    const { loop } = this.setting;
    return loop !== null && planS >= loop.toS - 1e-6;
  }

  /** Pull that a cue triggers now: the waiting one, or the next one that waits for an event. */
  nextPullToTrigger(realS: number): string | null {
    const { plan, ready } = this.setting;
    const isWaiting = ({ pullId, trigger }: { pullId: string; trigger: string }) =>
      trigger !== 'clock' && !this.cueEvents.some((known) => known.pullId === pullId);
    if (this.roll.isClockTriggered) return null;
    return ready.figuresAt(Math.min(this.planSAt(realS), plan.durationS)).upcoming.find(isWaiting)?.pullId ?? null;
  }

  planSAt(realS: number): number {
    return Math.max(0, this.clock.planSAt(realS));
  }

  /** Advances to a time: reads the ring and computes the state. */
  tick(realS: number): RollMoment {
    this.catchUp(realS);
    const planS = this.read(realS);
    return {
      phase: realS < 0 ? 'counting' : 'rolling',
      isOurs: this.isOurs,
      device: this.roll.device,
      rate: this.rate,
      isPractice: this.roll.isPractice,
      realS,
      planS,
      waitingPullId: realS < 0 ? null : this.clock.waitingPullAt(realS),
      timecode: this.timecodeAt(realS),
      camera: this.camera,
    };
  }

  /** Reads the ring. @returns plan time */
  private read(realS: number): number {
    const { ready, ring } = this.setting;
    const planS = this.planSAt(realS);
    ring.run(realS, ready.track.ringDegAt(planS));
    const ringDeg = ring.ringDeg();
    if (ringDeg !== null && realS >= 0) this.readings.push({ timeS: realS, ringDeg });
    this.readS = realS;
    return planS;
  }

  /** A page that was held up is no reason for a simulated motor to be late: it has run meanwhile. */
  private catchUp(realS: number): void {
    if (this.readS === null || this.setting.ring.from !== 'simulated-motor') return;
    const steps = Math.min(Math.floor((realS - this.readS) / STEP_S), MAX_STEPS);
    for (let left = steps - 1; left > 0; left--) this.read(realS - left * STEP_S);
  }

  /** Cues that are due soon and not scheduled yet, with the time until then. */
  dueCues(realS: number): { cue: RollCue; inS: number }[] {
    return this.cues.flatMap((cue) => {
      const atS = this.told.has(cue) ? null : this.clock.realSAt(cue.timeS);
      if (atS === null || atS > realS + AHEAD_S) return [];
      this.told.add(cue);
      // cues far in the past were skipped and would mislead
      return atS < realS - AHEAD_S ? [] : [{ cue, inS: atS - realS }];
    });
  }

  /** The take so far. */
  takeAt(realS: number): Take {
    const { plan, planVersion, predictedKeepRate, puller } = this.setting;
    const durationS = Math.max(0, realS);
    const empty = newTake(plan, planVersion);
    return {
      ...empty,
      durationS,
      predictedKeepRate,
      ringFrom: this.setting.ring.from,
      startTimecode: this.startTimecode,
      timecodeFrom: this.timecodeSource(),
      cues: this.roll.isClockTriggered ? clockCueEvents(plan, durationS, this.rate) : this.cueEvents,
      focusChecks: this.focusChecks.slice(0, TAKE_LIMITS.focusChecks.max),
      findings: this.findings,
      track: trackOf(this.readings, durationS),
      gear: { ...empty.gear, puller },
    };
  }

  /** The finished take, judged by its track. */
  endAt(realS: number): FinishedRoll {
    const { plan, loop } = this.setting;
    const { id, pace } = this;
    const take = asJudged(plan, this.takeAt(realS), pace);
    const { isPractice } = this.roll;
    return { id, rolledAt: this.rolledAt.toISOString(), plan, take, pace, isPractice, loopPullId: loop?.pullId ?? null };
  }

  private timecodeSource(): TimecodeSource {
    if (this.startTimecode === '') return 'unknown';
    return this.camera === null ? 'simulated' : 'camera';
  }

  private newClock(): RollClock {
    return rollClock(this.setting.plan, this.cueEvents, this.pace);
  }
}

function secondsOfDay(at: Date): number {
  return at.getHours() * 3600 + at.getMinutes() * 60 + at.getSeconds() + at.getMilliseconds() / 1000;
}
