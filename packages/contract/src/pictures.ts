import { ApiProperty } from '@nestjs/swagger';
import { PICTURE_TYPES, type PictureType } from '@still-heron/core';

export class PictureView {
  @ApiProperty({ type: String })
  id!: string;
  @ApiProperty({ enum: PICTURE_TYPES })
  type!: PictureType;
  @ApiProperty({ type: Number, description: 'Width in pixels, after the rotation noted by the camera' })
  widthPx!: number;
  @ApiProperty({ type: Number })
  heightPx!: number;
}
