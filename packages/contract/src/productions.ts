import { ApiProperty } from '@nestjs/swagger';
import { PLAN_LIMITS } from '@still-heron/core';
import { Ids, MaybeQuantity, Optional, Quantity, Text, Version } from './fields.js';

export const UNIT_SYSTEMS = ['metric', 'imperial'] as const;
export const PRODUCTION_NAME = { min: 1, max: 80 } as const;
export const MAX_SHOTS = 5000;

export class CreateProduction {
  @Text({ ...PRODUCTION_NAME, description: 'Working title' })
  name!: string;
}

export class ChangeProduction {
  @Version()
  version!: number;

  @Optional()
  @Text({ ...PRODUCTION_NAME, description: 'Working title' })
  name?: string;

  @Optional()
  @Quantity(PLAN_LIMITS.shutterAngleDeg, 'Shutter angle of the production, in degrees')
  shutterAngleDeg?: number;

  @MaybeQuantity(PLAN_LIMITS.frameAspect, 'Width over height of the delivered picture; null for all that is recorded')
  frameAspect?: number | null;

  @MaybeQuantity(PLAN_LIMITS.blurPercent, 'Blur of the background that new shots aim at, in percent of the width; null for any')
  lookBlurPercent?: number | null;

  @Optional()
  @Quantity(PLAN_LIMITS.enlargedPercent, 'How much the edit enlarges the pictures of new shots, in percent')
  enlargedPercent?: number;
}

export class OrderShots {
  @Version()
  version!: number;

  @Ids(MAX_SHOTS, 'Every shot of the production once, in shooting order')
  shotIds!: string[];
}

export class ProductionView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String })
  name!: string;
  @ApiProperty({ type: Number })
  shutterAngleDeg!: number;
  @ApiProperty({ type: Number, nullable: true })
  frameAspect!: number | null;
  @ApiProperty({ type: Number, nullable: true })
  lookBlurPercent!: number | null;
  @ApiProperty({ type: Number })
  enlargedPercent!: number;
  @ApiProperty({ type: Number })
  shotCount!: number;
  @ApiProperty({ type: String, format: 'date-time' })
  updatedAt!: string;
}
