import { ApiProperty } from '@nestjs/swagger';

/** Why a backup was made. */
export const BACKUP_REASONS = ['start', 'hourly', 'by-hand', 'before-update', 'before-restore'] as const;
export type BackupReason = (typeof BACKUP_REASONS)[number];

/** A backup that was opened and found whole. */
export class BackupView {
  @ApiProperty({ type: String, description: 'Name of its file' })
  name!: string;
  @ApiProperty({ type: String, format: 'date-time' })
  madeAt!: string;
  @ApiProperty({ enum: BACKUP_REASONS })
  reason!: BackupReason;
  @ApiProperty({ type: Number })
  bytes!: number;
  @ApiProperty({ type: Number })
  productions!: number;
  @ApiProperty({ type: Number })
  shots!: number;
  @ApiProperty({ type: Number })
  takes!: number;
}

export class BackupsView {
  @ApiProperty({ type: String, description: 'Folder of the backups on the machine of the server' })
  folder!: string;
  @ApiProperty({ type: Number, description: 'Free space on the disk of the data' })
  freeBytes!: number;
  @ApiProperty({ type: String, nullable: true, description: 'Why the last backup failed; null if it did not' })
  failure!: string | null;
  @ApiProperty({ type: [BackupView], description: 'Newest first' })
  backups!: BackupView[];
}

/** Answer to a restoration. */
export class RestoredView {
  @ApiProperty({ type: BackupView, description: 'What is in the database now' })
  restored!: BackupView;
  @ApiProperty({ type: BackupView, description: 'What was in it before' })
  before!: BackupView;
}
