import { ApiProperty } from '@nestjs/swagger';
import type { ShotPlan } from '@still-heron/core';
import { ProblemView } from './problem.js';
import { Described, Optional, Plan, Text, Version } from './fields.js';

export const SCENE = { max: 40 } as const;
export const SLATE = { min: 1, max: 12 } as const;
export const TITLE = { max: 120 } as const;

/** The part of a shot that is edited, undone and saved as a whole. */
export class ShotDocument {
  @Text({ ...SCENE, description: 'Scene number or name' })
  scene!: string;

  @Text({ ...SLATE, description: 'Slate, such as 4B' })
  slate!: string;

  @Text({ ...TITLE, description: 'Title: what happens, in a few words' })
  title!: string;

  @Plan()
  plan!: ShotPlan;
}

export class CreateShot extends ShotDocument {
  @Optional()
  @Text({ min: 1, max: 60, description: 'Shot before it in shooting order; without it, the new shot is the last' })
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
  @Described('Plan')
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

/** Whether a stored shot can be shown, and what could be shown in its place. */
export class ShotCheckView {
  @ApiProperty({ type: String })
  slate!: string;
  @ApiProperty({ type: String })
  title!: string;
  @ApiProperty({ type: [ProblemView], description: 'What is wrong with the stored plan; empty for a sound one' })
  problems!: ProblemView[];
  @ApiProperty({ type: RevisionView, nullable: true, description: 'Newest version before it that is sound' })
  before!: RevisionView | null;
}
