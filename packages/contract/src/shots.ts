import { ApiProperty } from '@nestjs/swagger';
import { type Method, METHODS, type ShotChange, type ShotPlan, type StopScale } from '@still-heron/core';
import { ProblemView } from './problem.js';
import { Described, Optional, Plan, Text, Version } from './fields.js';

export const SCENE = { max: 40 } as const;
export const SLATE = { min: 1, max: 12 } as const;
export const TITLE = { max: 120 } as const;
export const REVISION_NAME = { max: 60 } as const;

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

  @Optional()
  @Text({ min: 1, max: 40, description: 'Id of the device that saves, the same at every time' })
  deviceId?: string;

  @Optional()
  @Text({ min: 1, max: 40, description: 'What the device is called for others, such as “a tablet”' })
  deviceName?: string;
}

/** Which device saved a version; both are empty if it did not say. */
export class SavedBy {
  @ApiProperty({ type: String })
  deviceId!: string;
  @ApiProperty({ type: String })
  deviceName!: string;
}

/** What a shot is called. */
export class ShotNamesView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String })
  scene!: string;
  @ApiProperty({ type: String })
  slate!: string;
  @ApiProperty({ type: String })
  title!: string;
}

export class ShotView extends ShotNamesView {
  @ApiProperty({ type: String })
  productionId!: string;
  @Described('Plan')
  plan!: ShotPlan;
  @ApiProperty({ type: String, format: 'date-time' })
  updatedAt!: string;
  @ApiProperty({ type: SavedBy })
  savedBy!: SavedBy;
}

/** Optics and method of a shot, as a list shows them. */
export class ShotSetupView {
  @ApiProperty({ type: Number, description: 'At the start' })
  focalLengthMm!: number;
  @ApiProperty({ type: Number, description: 'As engraved' })
  stop!: number;
  @ApiProperty({ enum: ['T', 'f'] })
  stopScale!: StopScale;
  @ApiProperty({ enum: METHODS })
  method!: Method;
  @ApiProperty({ enum: METHODS, isArray: true, description: 'Of later parts of the shot' })
  laterMethods!: Method[];
  @ApiProperty({ enum: ['clockwise', 'anticlockwise'], description: 'Which way the hand turns to focus nearer' })
  nearerTurns!: 'clockwise' | 'anticlockwise';
}

/** A shot as its row shows it, without its plan. */
export class ShotRowView extends ShotNamesView {
  @ApiProperty({ type: ShotSetupView, nullable: true, description: 'null if the plan can’t be read' })
  setup!: ShotSetupView | null;
}

/** A plan of a list. */
export class ShotPlanView {
  @ApiProperty({ type: String, description: 'Id of the shot' })
  id!: string;
  @ApiProperty({ type: Number })
  version!: number;
  @Described('Plan')
  plan!: ShotPlan;
}

/** Most plans in one answer. */
export const PLANS_AT_ONCE = 50;

export class RevisionView {
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String, format: 'date-time' })
  savedAt!: string;
  @ApiProperty({ type: SavedBy })
  savedBy!: SavedBy;
  @ApiProperty({ type: [String], nullable: true, description: 'Areas that it changed; null if that is not known' })
  changes!: ShotChange[] | null;
  @ApiProperty({ type: String, description: 'Name that a person gave it; empty for none. A named version is kept' })
  name!: string;
}

/** A name for a saved version, or none. */
export class NameRevision {
  @Text({ max: REVISION_NAME.max, description: 'Empty for none' })
  name!: string;
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
