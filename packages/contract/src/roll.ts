import { PLAN_LIMITS, type CueEvent, TAKE_LIMITS } from '@still-heron/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { Flag, Id, Quantity, Text, Uuid } from './fields.js';

/** Speeds of a roll: below 1 for slow practice. */
export const ROLL_RATES = { min: 0.1, max: 1 } as const;

/** A cue given by key, in seconds since the roll started. */
export class CueEventView implements CueEvent {
  @Id('Of the pull')
  pullId!: string;

  @Quantity(TAKE_LIMITS.takeS, 'Since the roll began, in s')
  timeS!: number;
}

/** State of a roll, shared by all devices that show the shot. After a reconnect, the rolling device sends it again. */
export class RollView {
  @Uuid('Made by the device that rolls')
  rollId!: string;

  @Uuid('Of the shot')
  shotId!: string;

  @Quantity({ min: 0, max: 1e14 }, 'When the plan’s clock starts, in ms on the server’s clock')
  startedAtMs!: number;

  @Quantity(ROLL_RATES, '1 as planned; less for slow practice')
  rate!: number;

  @Flag('Whether pulls that wait for an event are set off by the clock')
  isClockTriggered!: boolean;

  @Text({ max: 60, description: 'The device that rolls, as a person would call it' })
  device!: string;

  @IsArray()
  @ArrayMaxSize(PLAN_LIMITS.moves.max)
  @ValidateNested({ each: true })
  @Type(() => CueEventView)
  cueEvents!: CueEventView[];
}

/** A cue, sent to the other devices. */
export class RollCueMessage extends CueEventView {
  @Uuid('Of the roll')
  rollId!: string;
}

export class RollEnd {
  @Uuid('Of the roll')
  rollId!: string;
}

export class JoinRoll {
  @Uuid('Of the shot')
  shotId!: string;

  @Text({ max: 60, description: 'This device, as a person would call it' })
  device!: string;
}

/** Ring angle on the device that turns it: passed on, not stored. */
export class RollWheel {
  @Quantity({ min: -10_000, max: 10_000 }, 'In ring degrees')
  ringDeg!: number;
}

/** State for a device that joins. */
export interface JoinedView {
  readonly roll: RollView | null;
  /** Names of the other devices that show the shot */
  readonly devices: readonly string[];
}
