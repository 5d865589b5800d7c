import { ApiProperty } from '@nestjs/swagger';
import { PICTURE_TYPES, type PictureType } from '@still-heron/core';

export class PictureView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ enum: PICTURE_TYPES })
  type!: PictureType;
  @ApiProperty({ type: Number, description: 'In pixels, as it lies after the turn that a camera noted in it' })
  widthPx!: number;
  @ApiProperty({ type: Number })
  heightPx!: number;
}
