import { ApiProperty } from '@nestjs/swagger';
import { DEVICE_METHODS, type DeviceMethod, PLAN_LIMITS } from '@still-heron/core';
import { Choice, Optional, Quantity, Text } from './fields.js';

const TRUE_DISTANCE = { min: 1, max: 1_000_000 } as const;
const RECIPIENT = { min: 1, max: 60 } as const;

/** A reading sent by a measuring device. */
export class SendReading {
  @Text({ min: 1, max: 60, description: 'What measured, as a person would call it' })
  device!: string;

  @Choice(DEVICE_METHODS, 'How it measures')
  method!: DeviceMethod;

  @Quantity({ min: 1, max: PLAN_LIMITS.distanceMm.max }, 'Tape distance in mm, from the image plane')
  distanceMm!: number;

  @Optional()
  @Quantity(PLAN_LIMITS.uncertaintyMm, 'One standard deviation in mm; as is usual for the method without it')
  uncertaintyMm?: number;

  @Optional()
  @Text({ ...RECIPIENT, description: 'The page it is for; without it, whichever page has a mark selected' })
  recipient?: string;
}

/** Requests a simulated reading: it contains the true distance from the drawing. */
export class SimulateReading {
  @Choice(DEVICE_METHODS, 'Which device it stands in for')
  method!: DeviceMethod;

  @Quantity(TRUE_DISTANCE, 'The distance as drawn, in mm')
  drawnMm!: number;

  @Text({ ...RECIPIENT, description: 'The page it is for' })
  recipient!: string;
}

/** A reading as pages receive it. */
export class ReadingView {
  @ApiProperty({ type: Number, description: 'Counts up from 1 while the server runs' })
  number!: number;
  @ApiProperty({ type: String })
  device!: string;
  @ApiProperty({ enum: DEVICE_METHODS })
  method!: DeviceMethod;
  @ApiProperty({ type: Number })
  distanceMm!: number;
  @ApiProperty({ type: Number })
  uncertaintyMm!: number;
  @ApiProperty({ type: Boolean, description: 'Simulated' })
  isSimulated!: boolean;
  @ApiProperty({ type: String, nullable: true })
  recipient!: string | null;
}
