import type { RollView } from '@still-heron/contract';
import {
  asJudged,
  frameOfTimecode,
  newTake,
  type RingReading,
  type RollClock,
  rollClock,
  type RollCue,
  rollCues,
  type RollPace,
  type RollPlan,
  type SetOff,
  setOffByClock,
  type ShotPlan,
  type Take,
  TAKE_LIMITS,
  timecodeAt,
  timecodeOf,
  type UsableSpan,
} from '@still-heron/core';
import { trackOf } from './recording';
import type { RingSource } from './ringSource';

/** A roll as it stands at one moment. */
export interface RollMoment {
  readonly phase: 'ready' | 'counting' | 'rolling';
  /** Whether this device rolls, and records; else it shows what another one does */
  readonly isOurs: boolean;
  readonly device: string;
  readonly rate: number;
  /** Since the plan's clock started; below 0 while it is counted in */
  readonly realS: number;
  readonly planS: number;
  /** The pull that waits for its event */
  readonly waitsFor: string | null;
  /** Of the camera; empty without one */
  readonly timecode: string;
  /** What the camera is called; null for the stand-in */
  readonly camera: string | null;
}

export const AT_REST: RollMoment = {
  phase: 'ready',
  isOurs: true,
  device: '',
  rate: 1,
  realS: 0,
  planS: 0,
  waitsFor: null,
  timecode: '',
  camera: null,
};

/** A roll that has ended. */
export interface EndedRoll {
  readonly id: string;
  readonly rolledAt: string;
  /** As it was then: what is changed for the next take says nothing of this one */
  readonly plan: ShotPlan;
  readonly take: Take;
  readonly pace: RollPace;
}

export interface RollSetting {
  readonly plan: ShotPlan;
  readonly ready: RollPlan;
  readonly planVersion: number;
  readonly predictedRate: number | null;
  readonly puller: string;
  readonly hasCamera: boolean;
  readonly ring: RingSource;
}

/** How far ahead a cue is told: longer than a page ever pauses. */
const AHEAD_S = 0.35;

/** One roll, from its count-in to its end. It knows nothing of the page: what time it is, it is told. */
export class RollEngine {
  private readonly readings: RingReading[] = [];
  private readonly cues: readonly RollCue[];
  private readonly told = new Set<RollCue>();
  private startTimecode: string;
  /** A camera at the port for devices, as it is called; null for the stand-in */
  private camera: string | null = null;
  private clock: RollClock;
  private setOffs: readonly SetOff[];
  private readonly wobbles: UsableSpan[] = [];
  private rockedFromS: number | null = null;

  constructor(
    readonly setting: RollSetting,
    readonly roll: RollView,
    readonly isOurs: boolean,
    private readonly rolledAt: Date,
  ) {
    this.setOffs = roll.setOffs;
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

  get pace(): RollPace {
    return { rate: this.roll.rate, isByClock: this.roll.isByClock };
  }

  /** As it is told to the others, with everything it has been through. */
  get asTold(): RollView {
    return { ...this.roll, setOffs: [...this.setOffs] };
  }

  /** Takes up what another device tells of this roll. */
  takeUp({ setOffs }: RollView): void {
    for (const { moveId, timeS } of setOffs) this.setOff(moveId, timeS);
  }

  setOff(moveId: string, timeS: number): void {
    if (this.setOffs.some((known) => known.moveId === moveId)) return;
    this.setOffs = [...this.setOffs, { moveId, timeS }];
    this.clock = this.newClock();
  }

  /** A camera tells its timecode, at a time of the roll: the take's begins so much earlier. */
  cameraSays(camera: string, timecode: string, realS: number): void {
    const { captureFps } = this.setting.plan;
    const frame = frameOfTimecode(timecode, captureFps);
    if (frame === null) return;
    this.camera = camera;
    this.startTimecode = timecodeOf(Math.max(0, frame - Math.round(realS * captureFps)), captureFps);
  }

  private timecodeAt(realS: number): string {
    const { captureFps } = this.setting.plan;
    const start = frameOfTimecode(this.startTimecode, captureFps);
    return start === null ? '' : timecodeOf(Math.max(0, start + Math.floor(realS * captureFps + 1e-6)), captureFps);
  }

  /** The ring is rocked to check from now on, or no longer: that span is cut out later. */
  rock(isRocked: boolean, realS: number): void {
    if (isRocked) this.rockedFromS ??= realS;
    else if (this.rockedFromS !== null) {
      if (realS > this.rockedFromS) this.wobbles.push({ fromS: Math.max(0, this.rockedFromS), toS: realS });
      this.rockedFromS = null;
    }
  }

  /** The pull a key sets off now: the one that is waited for, or else the next one that waits for an event. */
  nextToSetOff(realS: number): string | null {
    const { plan, ready } = this.setting;
    const isWaiting = ({ moveId, cueKind }: { moveId: string; cueKind: string }) =>
      cueKind !== 'clock' && !this.setOffs.some((known) => known.moveId === moveId);
    if (this.roll.isByClock) return null;
    return ready.figuresAt(Math.min(this.planSAt(realS), plan.durationS)).coming.find(isWaiting)?.moveId ?? null;
  }

  planSAt(realS: number): number {
    return Math.max(0, this.clock.planSAt(realS));
  }

  /** Runs on to a time: reads the ring, and says where everything is. */
  tick(realS: number): RollMoment {
    const { ready, ring } = this.setting;
    const planS = this.planSAt(realS);
    ring.run(realS, ready.line.ringDegAt(planS));
    const ringDeg = ring.ringDeg();
    if (ringDeg !== null && realS >= 0) this.readings.push({ timeS: realS, ringDeg });
    return {
      phase: realS < 0 ? 'counting' : 'rolling',
      isOurs: this.isOurs,
      device: this.roll.device,
      rate: this.rate,
      realS,
      planS,
      waitsFor: realS < 0 ? null : this.clock.waitsForAt(realS),
      timecode: this.timecodeAt(realS),
      camera: this.camera,
    };
  }

  /** Cues that come due soon and were not told yet, with how long it is until then. */
  dueCues(realS: number): { cue: RollCue; inS: number }[] {
    return this.cues.flatMap((cue) => {
      const atS = this.told.has(cue) ? null : this.clock.realSAt(cue.timeS);
      if (atS === null || atS > realS + AHEAD_S) return [];
      this.told.add(cue);
      // what lies far back was passed over: it would only mislead
      return atS < realS - AHEAD_S ? [] : [{ cue, inS: atS - realS }];
    });
  }

  /** The take so far. */
  takeAt(realS: number): Take {
    const { plan, planVersion, predictedRate, puller } = this.setting;
    const durationS = Math.max(0, realS);
    const empty = newTake(plan, planVersion);
    return {
      ...empty,
      durationS,
      predictedRate,
      startTimecode: this.startTimecode,
      cues: this.roll.isByClock ? setOffByClock(plan, durationS, this.rate) : this.setOffs,
      wobbles: this.wobbles.slice(0, TAKE_LIMITS.wobbles.max),
      track: trackOf(this.readings, durationS),
      settings: { ...empty.settings, puller },
    };
  }

  /** The take as its track judges it. */
  endAt(realS: number): EndedRoll {
    const take = asJudged(this.setting.plan, this.takeAt(realS), this.pace);
    return { id: this.id, rolledAt: this.rolledAt.toISOString(), plan: this.setting.plan, take, pace: this.pace };
  }

  private newClock(): RollClock {
    return rollClock(this.setting.plan, this.setOffs, this.pace);
  }
}

function secondsOfDay(at: Date): number {
  return at.getHours() * 3600 + at.getMinutes() * 60 + at.getSeconds() + at.getMilliseconds() / 1000;
}
