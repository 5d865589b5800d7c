import type { PreparedRoll, RollCue, ShotPlan } from '@still-heron/core';
import type { ConnectionEvents, ConnectionState, LiveConnection } from '../../shared/live/liveConnection';
import type { RollOptions } from '../../shared/rollOptions';
import type { CueSounds } from './cueSounds';
import type { RingTrace } from './ringTrace';
import type { FinishedRoll, RollMoment } from './rollMoment';
import type { OwnRolls } from './ownRolls';
import type { Practice } from './practice';
import type { StoredTake } from './takeOutbox';

/** What a roll is made of. The newest input counts when a roll begins. */
export interface RollInput {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly ready: PreparedRoll;
  readonly planVersion: number;
  readonly predictedKeepRate: number | null;
  readonly options: RollOptions;
  /** null for a take */
  readonly practice: Practice | null;
}

/** What the page shows of a roll. */
export interface RollState {
  readonly moment: RollMoment;
  readonly connection: ConnectionState;
  /** Ring angle here, or on the device that turns it; null if unknown */
  readonly ringDeg: number | null;
  /** The plan of the roll under way, unaffected by later edits; null without one */
  readonly rolled: Pick<RollInput, 'plan' | 'ready'> | null;
  /** Last roll of this device; null before the first */
  readonly ended: FinishedRoll | null;
  /** The one before it; null if there is none */
  readonly before: FinishedRoll | null;
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
  /** The shot was saved, perhaps elsewhere; its stored version */
  readonly onSaved: (shotId: string, version: number) => void;
  /** A take of the shot was logged or changed, perhaps elsewhere */
  readonly onTaken: (shotId: string) => void;
  /** Signs of life of this device's own rolls, for when a page dies */
  readonly ownRolls: OwnRolls;
}
