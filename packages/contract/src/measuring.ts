import { ApiProperty } from '@nestjs/swagger';
import { DEVICE_METHODS, type DeviceMethod, PLAN_LIMITS } from '@still-heron/core';
import { Choice, Optional, Quantity, Text } from './fields.js';

const TRUE_DISTANCE = { min: 1, max: 1_000_000 } as const;
const RECIPIENT = { min: 1, max: 60 } as const;

/** A reading sent by a measuring device. */
export class SendReading {
  @Text({ min: 1, max: 60, description: 'Name of the device' })
  device!: string;

  @Choice(DEVICE_METHODS, 'Method of the device')
  method!: DeviceMethod;

  @Quantity({ min: 1, max: PLAN_LIMITS.distanceMm.max }, 'Tape distance in mm, from the image plane')
  distanceMm!: number;

  @Optional()
  @Quantity(PLAN_LIMITS.uncertaintyMm, 'One standard deviation in mm; default: that of the method')
  uncertaintyMm?: number;

  @Optional()
  @Text({ ...RECIPIENT, description: 'Page that gets the reading; default: every page with a selected mark' })
  recipient?: string;
}

/** Requests a simulated reading: it contains the true distance from the drawing. */
export class SimulateReading {
  @Choice(DEVICE_METHODS, 'Method of the simulated device')
  method!: DeviceMethod;

  @Quantity(TRUE_DISTANCE, 'Drawn distance in mm')
  drawnMm!: number;

  @Text({ ...RECIPIENT, description: 'Page that gets the reading' })
  recipient!: string;
}

/** A reading as pages receive it. */
export class ReadingView {
  @ApiProperty({ type: Number, description: 'Counter of readings, from 1 when the server starts' })
  number!: number;
  @ApiProperty({ type: String })
  device!: string;
  @ApiProperty({ enum: DEVICE_METHODS })
  method!: DeviceMethod;
  @ApiProperty({ type: Number })
  distanceMm!: number;
  @ApiProperty({ type: Number })
  uncertaintyMm!: number;
  @ApiProperty({ type: Boolean, description: 'Whether the reading is simulated' })
  isSimulated!: boolean;
  @ApiProperty({ type: String, nullable: true })
  recipient!: string | null;
}
