import { ApiProperty } from '@nestjs/swagger';
import type { MeasuredErrors } from '@still-heron/core';

/** Results of takes with a common property. */
export class KeptView {
  @ApiProperty({ type: String, description: 'What these takes have in common: a lens, a stop, a person, a day' })
  name!: string;
  @ApiProperty({ type: Number, description: 'Those of which somebody said, or a track shows, whether they were kept' })
  takes!: number;
  @ApiProperty({ type: Number, description: 'Kept ones among them' })
  kept!: number;
}

/** Takes with a similar predicted keep rate. */
export class CalibrationView {
  @ApiProperty({ type: Number, description: 'Mean predicted keep rate' })
  predicted!: number;
  @ApiProperty({ type: Number, description: 'As in KeptView' })
  takes!: number;
  @ApiProperty({ type: Number })
  kept!: number;
}

/** Statistics of a production's takes. */
export class StatisticsView {
  @ApiProperty({ type: Number, description: 'All takes, those of a simulator only if they were asked for' })
  takes!: number;
  @ApiProperty({ type: Number, description: 'Those of which somebody said, or a track shows, whether they were kept' })
  said!: number;
  @ApiProperty({ type: Number })
  kept!: number;
  @ApiProperty({ type: Number, description: 'Takes that can be used: circled, or kept with a performance that is not poor' })
  usable!: number;
  @ApiProperty({ type: Number, description: 'Takes by a simulator, counted or not' })
  simulated!: number;
  @ApiProperty({ type: Number, description: 'Takes that were repaired in the edit' })
  repaired!: number;
  @ApiProperty({ type: [KeptView] })
  byLens!: KeptView[];
  @ApiProperty({ type: [KeptView] })
  byStop!: KeptView[];
  @ApiProperty({ type: [KeptView] })
  byMethod!: KeptView[];
  @ApiProperty({ type: [KeptView] })
  byDifficulty!: KeptView[];
  @ApiProperty({ type: [KeptView] })
  byPuller!: KeptView[];
  @ApiProperty({ type: [KeptView], description: 'Oldest first' })
  byDay!: KeptView[];
  @ApiProperty({ type: [CalibrationView], description: 'By predicted keep rate, in steps of a tenth' })
  calibration!: CalibrationView[];
  @ApiProperty({
    type: Object,
    description:
      'What was measured: how late pulls were set off, how far off the ring landed, how far people were from their marks',
  })
  errors!: MeasuredErrors;
}

/** How often a lens was used, in all productions. */
export class LensUseView {
  @ApiProperty({ type: String, description: 'Name, as the takes have it' })
  lens!: string;
  @ApiProperty({ type: Number })
  takes!: number;
  @ApiProperty({ type: Number, description: 'Takes whose focus is usable' })
  usable!: number;
  @ApiProperty({ type: String, format: 'date-time', description: 'Start of the latest take' })
  lastUsedAt!: string;
}
