import { PLAN_LIMITS, type SetOff, TAKE_LIMITS } from '@still-heron/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, ValidateNested } from 'class-validator';
import { Flag, Id, Quantity, Text, Uuid } from './fields.js';

/** The rates a roll is run at: slowly for practice. */
export const ROLL_RATES = { min: 0.1, max: 1 } as const;

/** A pull that was set off, in seconds since the roll began. */
export class SetOffView implements SetOff {
  @Id('Of the pull')
  moveId!: string;

  @Quantity(TAKE_LIMITS.takeS, 'Since the roll began, in s')
  timeS!: number;
}

/** A roll as it runs on every device that shows the shot. Whoever started it tells it again after the line was cut. */
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
  isByClock!: boolean;

  @Text({ max: 60, description: 'The device that rolls, as a person would call it' })
  device!: string;

  @IsArray()
  @ArrayMaxSize(PLAN_LIMITS.moves.max)
  @ValidateNested({ each: true })
  @Type(() => SetOffView)
  setOffs!: SetOffView[];
}

/** Something of a roll that is told to everyone else. */
export class RollSetOff extends SetOffView {
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

/** Where the ring is on the device that turns it: passed on as it comes, and forgotten. */
export class RollWheel {
  @Quantity({ min: -10_000, max: 10_000 }, 'In ring degrees')
  ringDeg!: number;
}

/** What a device that joins finds. */
export interface JoinedView {
  readonly roll: RollView | null;
  /** The other devices that show the shot */
  readonly devices: readonly string[];
}
