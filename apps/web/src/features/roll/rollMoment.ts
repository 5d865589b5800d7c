import type { PreparedRoll, RollMode, ShotPlan, Take } from '@still-heron/core';
import type { Practice } from './practice';
import type { RingSource } from './ringSource';

/** State of a roll at one moment. */
export interface RollMoment {
  readonly phase: 'ready' | 'counting' | 'rolling';
  /** Whether this device rolls and records; otherwise it shows another device's roll */
  readonly isOurs: boolean;
  readonly device: string;
  readonly rate: number;
  readonly isPractice: boolean;
  /** Seconds since plan time started; negative during the count-in */
  readonly realS: number;
  readonly planS: number;
  /** Pull that waits for its cue */
  readonly waitingPullId: string | null;
  /** Timecode of the camera; empty without a camera */
  readonly timecode: string;
  /** Name of the camera; null if simulated */
  readonly camera: string | null;
}

export const SETTLED: RollMoment = {
  phase: 'ready',
  isOurs: true,
  device: '',
  rate: 1,
  isPractice: false,
  realS: 0,
  planS: 0,
  waitingPullId: null,
  timecode: '',
  camera: null,
};

/** A finished roll. */
export interface FinishedRoll {
  readonly id: string;
  readonly rolledAt: string;
  /** The plan at the time of the roll, unaffected by later edits */
  readonly plan: ShotPlan;
  readonly take: Take;
  readonly pace: RollMode;
  readonly isPractice: boolean;
  /** The pull that was practised; null for the whole shot */
  readonly loopPullId: string | null;
}

/** What a roll is made with; it stays until the roll ends. */
export interface RollSetting {
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly planVersion: number;
  readonly predictedKeepRate: number | null;
  readonly puller: string;
  readonly hasCamera: boolean;
  readonly ring: RingSource;
  readonly loop: Practice['loop'];
}
