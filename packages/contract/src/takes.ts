import { ApiProperty } from '@nestjs/swagger';
import { type Take, WRAP_STATES, type WrapState, type WrapUp } from '@still-heron/core';
import { Described, Moment, Optional, TakeDocument, Uuid, Version } from './fields.js';

export class CreateTake {
  @Optional()
  @Uuid('Id that the page made, so that a take sent twice is logged once')
  id?: string;

  @Moment('Start of the take')
  rolledAt!: string;

  @TakeDocument()
  take!: Take;
}

export class SaveTake {
  @Version()
  version!: number;

  @TakeDocument()
  take!: Take;
}

/** A take in a list, without its track. */
export class TakeRowView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ type: String })
  shotId!: string;
  @ApiProperty({ type: Number, description: 'Number in its shot, from 1' })
  number!: number;
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String, format: 'date-time' })
  rolledAt!: string;
  @ApiProperty({ type: Boolean })
  hasTrack!: boolean;
  @Described('TakeWithoutTrack')
  take!: Omit<Take, 'track'>;
}

export class TakeView extends TakeRowView {
  @Described('Take')
  declare take: Take;
}

/** A take in an export of a whole production. */
export class LoggedTakeView extends TakeRowView {
  @ApiProperty({ type: String })
  slate!: string;
  @ApiProperty({ type: String })
  title!: string;
}

export class TakePageView {
  @ApiProperty({ type: [LoggedTakeView], description: 'Newest first' })
  takes!: LoggedTakeView[];
  @ApiProperty({ type: Number, description: 'Number of all matches' })
  total!: number;
}

/** A version of a take that was replaced. */
export class TakeRevisionView {
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String, format: 'date-time', description: 'When the next version replaced it' })
  replacedAt!: string;
  @Described('TakeWithoutTrack')
  take!: Omit<Take, 'track'>;
}

/** What a shot still lacks before its set is left. */
export class WrapUpView implements WrapUp {
  @ApiProperty({ type: String })
  shotId!: string;
  @ApiProperty({ type: String })
  slate!: string;
  @ApiProperty({ type: String })
  title!: string;
  @ApiProperty({ enum: WRAP_STATES })
  state!: WrapState;
  @ApiProperty({ type: Number, description: 'Takes of the alternate that is shown, without those of a simulator' })
  takes!: number;
  @ApiProperty({ type: Number, description: 'Longest usable span on the screen, in s' })
  longestScreenS!: number;
  @ApiProperty({ type: Number, nullable: true, description: 'The span that is wanted, in s' })
  wantedScreenS!: number | null;
  @ApiProperty({ type: [String], description: 'Days of its takes, in UTC, such as `2026-03-01`' })
  days!: string[];
  @ApiProperty({ type: [String], description: 'What to change when it is shot again, in words' })
  changes!: string[];
}
