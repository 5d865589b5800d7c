import { ApiProperty } from '@nestjs/swagger';
import type { ShotPlan } from '@still-heron/core';
import { Optional, Plan, Text, Version } from './fields.js';

export const SCENE = { max: 40 } as const;
export const SLATE = { min: 1, max: 12 } as const;
export const TITLE = { max: 120 } as const;

/** The part of a shot that is edited, undone and saved as a whole. */
export class ShotDocument {
  @Text({ ...SCENE, description: 'Scene number or name' })
  scene!: string;

  @Text({ ...SLATE, description: 'Slate, such as 4B' })
  slate!: string;

  @Text({ ...TITLE, description: 'What happens, in a few words' })
  title!: string;

  @Plan()
  plan!: ShotPlan;
}

export class CreateShot extends ShotDocument {
  @Optional()
  @Text({ min: 1, max: 60, description: 'The shot it comes after in shooting order; at the end without' })
  afterShotId?: string;
}

export class SaveShot extends ShotDocument {
  @Version()
  version!: number;
}

export class ShotView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ type: String })
  productionId!: string;
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String })
  scene!: string;
  @ApiProperty({ type: String })
  slate!: string;
  @ApiProperty({ type: String })
  title!: string;
  @ApiProperty({ type: Object, additionalProperties: true })
  plan!: ShotPlan;
  @ApiProperty({ type: String, format: 'date-time' })
  updatedAt!: string;
}

export class RevisionView {
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String, format: 'date-time' })
  savedAt!: string;
}
