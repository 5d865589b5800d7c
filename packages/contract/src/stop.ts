import { ApiProperty } from '@nestjs/swagger';

/** Largest number of trials per request. */
export const MAX_TRIALS_PER_REQUEST = 20_000;

export class BeatRateView {
  @ApiProperty({ type: String })
  beatId!: string;
  @ApiProperty({ type: String })
  subjectId!: string;
  @ApiProperty({ type: Number })
  keepRate!: number;
}

/** Keep rate of a plan; infinite values are null. */
export class KeepRateView {
  @ApiProperty({ type: Number })
  takes!: number;
  @ApiProperty({ type: Number })
  seed!: number;
  @ApiProperty({ type: Number, description: 'Share of trials in which every beat is kept' })
  keepRate!: number;
  @ApiProperty({ type: Number, description: 'Lower end of the 95 % confidence interval' })
  low!: number;
  @ApiProperty({ type: Number })
  high!: number;
  @ApiProperty({ type: [BeatRateView] })
  beats!: BeatRateView[];
  @ApiProperty({
    type: [Number],
    description: 'By frame: share of trials in which every required subject is sharp; null where none is required',
  })
  frames!: (number | null)[];
  @ApiProperty({ type: Number, description: 'Mean sharp share of the required time' })
  sharpShare!: number;
  @ApiProperty({ type: Number, nullable: true, description: 'Mean number of takes until one is kept; null if none was kept' })
  expectedTakes!: number | null;
  @ApiProperty({
    type: Number,
    nullable: true,
    description: 'Takes to plan so that one is kept with 90 % probability; null if none was kept',
  })
  takesForNineOfTen!: number | null;
}

/** Keep rate at one of the stops of the lens. */
export class StopRateView extends KeepRateView {
  @ApiProperty({ type: Number, description: 'On the stop scale of the lens' })
  stop!: number;
}
