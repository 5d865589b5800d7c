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
  @ApiProperty({ type: Number, description: 'Share of the takes in which every beat is kept' })
  keepRate!: number;
  @ApiProperty({ type: Number, description: 'Where the true rate lies with 95 % certainty: from here' })
  low!: number;
  @ApiProperty({ type: Number })
  high!: number;
  @ApiProperty({ type: [BeatRateView] })
  beats!: BeatRateView[];
  @ApiProperty({ type: [Number], description: 'By frame; null where nobody must be sharp' })
  frames!: (number | null)[];
  @ApiProperty({ type: Number, description: 'Of what must be sharp, how much is on the average' })
  sharpShare!: number;
  @ApiProperty({ type: Number, nullable: true, description: 'Null where none was kept' })
  expectedTakes!: number | null;
  @ApiProperty({ type: Number, nullable: true, description: 'Takes after which one is kept nine times of ten' })
  takesForNineOfTen!: number | null;
}

/** Keep rate at one of the stops of the lens. */
export class StopRateView extends KeepRateView {
  @ApiProperty({ type: Number, description: 'On the lens’s scale' })
  stop!: number;
}
