import type { PreparedRoll, RollCue, ShotPlan } from '@still-heron/core';
import type { ConnectionEvents, ConnectionState, LiveConnection } from '../../shared/live/liveConnection';
import type { RollOptions } from '../../shared/rollOptions';
import type { CueSounds } from './cueSounds';
import type { RingTrace } from './ringTrace';
import type { FinishedRoll, RollMoment } from './rollEngine';
import type { StoredTake } from './takeOutbox';

/** What a roll is made of. The newest input counts when a roll begins. */
export interface RollInput {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly planVersion: number;
  readonly predictedKeepRate: number | null;
  readonly options: RollOptions;
  readonly rate: number;
}

/** What the page shows of a roll. */
export interface RollState {
  readonly moment: RollMoment;
  readonly connection: ConnectionState;
  /** Ring angle here, or on the device that turns it; null if unknown */
  readonly ringDeg: number | null;
  /** Last roll of this device; null before the first */
  readonly ended: FinishedRoll | null;
  readonly trace: RingTrace;
}

/** Everything of the page that a roll needs. */
export interface RollEnvironment {
  /** Milliseconds of the page's own clock, which never jumps */
  readonly nowMs: () => number;
  readonly connect: (shotId: string, events: ConnectionEvents) => LiveConnection;
  readonly device: string;
  readonly newId: () => string;
  readonly openSounds: () => CueSounds;
  readonly signalCue: (cue: RollCue, inS: number, options: RollOptions, sounds: CueSounds | null) => void;
  /** Stores a finished take and sends it */
  readonly keepTake: (take: Omit<StoredTake, 'aliveAtMs'>) => void;
  /** Stores the take of a roll that goes on, in case the page dies */
  readonly keepRolling: (take: Omit<StoredTake, 'aliveAtMs'>) => void;
  /** Another device has ended a roll of this shot and logs its take */
  readonly onTakeElsewhere: (shotId: string) => void;
}
