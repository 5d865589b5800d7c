import { ApiProperty } from '@nestjs/swagger';
import type { Take } from '@still-heron/core';
import { Moment, Optional, TakeDocument, Uuid, Version } from './fields.js';

export class CreateTake {
  @Optional()
  @Uuid('Made by the page, so that a take that is sent twice is logged once')
  id?: string;

  @Moment('When it began')
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
  @ApiProperty({ type: Number, description: 'By shot, from 1 on' })
  number!: number;
  @ApiProperty({ type: Number })
  version!: number;
  @ApiProperty({ type: String, format: 'date-time' })
  rolledAt!: string;
  @ApiProperty({ type: Boolean })
  hasTrack!: boolean;
  @ApiProperty({ type: Object, additionalProperties: true, description: 'Without its track' })
  take!: Omit<Take, 'track'>;
}

export class TakeView extends TakeRowView {
  @ApiProperty({ type: Object, additionalProperties: true })
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
  @ApiProperty({ type: Number, description: 'That match in all' })
  total!: number;
}
