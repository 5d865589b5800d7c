import { ApiProperty } from '@nestjs/swagger';

/** Kinds of picture that may lie under a drawing, by their media type. */
export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/svg+xml'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** Largest picture, in bytes: a plan of a set scanned at 300 dpi stays under it. */
export const PICTURE_BYTES = 12 * 1024 * 1024;

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
