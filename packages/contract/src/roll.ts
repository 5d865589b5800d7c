import { type CueEvent, type Finding, FINDINGS_AT, PLAN_LIMITS, SENT_RING_DEG, TAKE_LIMITS } from '@still-heron/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { Choice, Flag, Id, Quantity, Text, Uuid } from './fields.js';

/** Speeds of a roll: below 1 for slow practice. */
export const ROLL_RATES = { min: 0.1, max: 1 } as const;

/** A cue given by key, in seconds since the roll started. */
export class CueEventView implements CueEvent {
  @Id('Id of the pull')
  pullId!: string;

  @Quantity(TAKE_LIMITS.takeS, 'Seconds since the roll started')
  timeS!: number;
}

/** State of a roll, shared by all devices that show the shot. After a reconnect, the rolling device sends it again. */
export class RollView {
  @Uuid('Id that the rolling device made')
  rollId!: string;

  @Uuid('Id of the shot')
  shotId!: string;

  @Quantity({ min: 0, max: 1e14 }, 'Start of plan time, in ms on the server’s clock')
  startedAtMs!: number;

  @Quantity(ROLL_RATES, '1 as planned; below 1 for slow practice')
  rate!: number;

  @Flag('Whether the clock triggers pulls that wait for a cue')
  isClockTriggered!: boolean;

  @Flag('Whether it is practice: nothing of it is logged')
  isPractice!: boolean;

  @Quantity(TAKE_LIMITS.takeS, 'Plan time at which it begins, in s; above 0 for practice of one pull')
  fromS!: number;

  @Quantity(TAKE_LIMITS.planVersion, 'Version of the shot that is rolled')
  planVersion!: number;

  @Text({ max: 60, description: 'Name of the rolling device' })
  device!: string;

  @IsArray()
  @ArrayMaxSize(PLAN_LIMITS.moves.max)
  @ValidateNested({ each: true })
  @Type(() => CueEventView)
  cueEvents!: CueEventView[];
}

/** A cue, sent to the other devices. */
export class RollCueMessage extends CueEventView {
  @Uuid('Id of the roll')
  rollId!: string;
}

/** A focus check that begins or ends, said on another device than the rolling one. */
export class RollCheckMessage {
  @Uuid('Id of the roll')
  rollId!: string;

  @Flag('Whether it begins')
  isChecking!: boolean;

  @Quantity(TAKE_LIMITS.takeS, 'Seconds since the roll started')
  timeS!: number;
}

/** A fault seen at a time of a roll, said on another device than the rolling one. */
export class RollFaultMessage {
  @Uuid('Id of the roll')
  rollId!: string;

  @Choice(FINDINGS_AT.time, 'What went wrong')
  found!: Finding;

  @Quantity(TAKE_LIMITS.takeS, 'Seconds since the roll started')
  timeS!: number;
}

export class RollEnd {
  @Uuid('Id of the roll')
  rollId!: string;
}

export class JoinRoll {
  @Uuid('Id of the shot')
  shotId!: string;

  @Text({ max: 60, description: 'Name of this device' })
  device!: string;
}

/** Ring angle on the device that turns it: passed on, not stored. */
export class RollWheel {
  @Quantity(SENT_RING_DEG, 'Ring angle in degrees')
  ringDeg!: number;
}

/** State for a device that joins. */
export interface JoinedView {
  readonly roll: RollView | null;
  /** Stored version of the shot */
  readonly version: number;
  /** Names of the other devices that show the shot */
  readonly devices: readonly string[];
}
