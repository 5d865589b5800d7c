import { ApiProperty } from '@nestjs/swagger';
import { CONFIDENCES, type Confidence, type Finding, type MeasuredErrors } from '@still-heron/core';

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

/** Takes of one group with each fault. A take with a fault at two places counts once. */
export class FaultTimesView {
  @ApiProperty({ type: String, description: 'A fault at a pull or elsewhere, such as `late`' })
  fault!: Finding;
  @ApiProperty({ type: Number })
  takes!: number;
}

/** Faults of the takes that have something in common. */
export class FaultsView {
  @ApiProperty({ enum: ['method', 'lens', 'puller', 'day'] })
  by!: 'method' | 'lens' | 'puller' | 'day';
  @ApiProperty({ type: String, description: 'What these takes have in common' })
  name!: string;
  @ApiProperty({ type: Number, description: 'All takes of the group' })
  takes!: number;
  @ApiProperty({ type: [FaultTimesView], description: 'The most frequent first' })
  faults!: FaultTimesView[];
}

/** What the turns of one day were like, of takes with a track. */
export class TurnsView {
  @ApiProperty({ type: String, format: 'date' })
  day!: string;
  @ApiProperty({ type: Number })
  turns!: number;
  @ApiProperty({ type: Number, description: 'Mean smoothness, 0 to 1' })
  smoothness!: number;
  @ApiProperty({ type: Number, nullable: true, description: 'Mean time to stay in the zone, in s; null if none stayed' })
  settlingS!: number | null;
  @ApiProperty({ type: Number, description: 'Turns that ran past the zone' })
  pastZone!: number;
}

/** How often one way of looking at the focus was right, by what a later look found. */
export class LooksView {
  @ApiProperty({ type: String, description: 'Display; empty if nobody said' })
  on!: string;
  @ApiProperty({ type: Number, nullable: true })
  magnification!: number | null;
  @ApiProperty({ enum: CONFIDENCES, nullable: true })
  confidence!: Confidence | null;
  @ApiProperty({ type: Number, description: 'Looks that were followed by another one' })
  looks!: number;
  @ApiProperty({ type: Number, description: 'Those that the last look bore out: sharp or not' })
  right!: number;
}

/** Kept takes by depth of the zone. */
export class KeptByDepthView {
  @ApiProperty({ type: Number, nullable: true, description: 'Zone up to this depth, in mm; null above the last limit' })
  toMm!: number | null;
  @ApiProperty({ type: Number, description: 'As in KeptView' })
  takes!: number;
  @ApiProperty({ type: Number })
  kept!: number;
}

/** What takes more reading than the statistics: faults, turns, looks, and depths. */
export class StatisticsDetailsView {
  @ApiProperty({ type: [FaultsView] })
  faults!: FaultsView[];
  @ApiProperty({ type: [TurnsView], description: 'Oldest first' })
  turns!: TurnsView[];
  @ApiProperty({ type: [LooksView], description: 'The most frequent first' })
  looks!: LooksView[];
  @ApiProperty({ type: [KeptByDepthView], description: 'The smallest first; takes whose depth is unknown are left out' })
  byDepth!: KeptByDepthView[];
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
