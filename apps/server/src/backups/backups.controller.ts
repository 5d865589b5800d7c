import { Controller, Get, HttpCode, Inject, Param, Post, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiNotFoundResponse, ApiOkResponse, ApiProduces, ApiTags } from '@nestjs/swagger';
import { BackupsView, BackupView, ErrorBody, RestoredView } from '@still-heron/contract';
import { createReadStream } from 'node:fs';
import { BackupsService } from './backups.service.js';

@ApiTags('backups')
@Controller('backups')
export class BackupsController {
  constructor(@Inject(BackupsService) private readonly backups: BackupsService) {}

  @Get()
  @ApiOkResponse({ type: BackupsView })
  list(): Promise<BackupsView> {
    return this.backups.list();
  }

  @Post()
  @ApiCreatedResponse({ type: BackupView, description: 'Made now, and kept until a person removes it' })
  make(): Promise<BackupView> {
    return this.backups.make();
  }

  @Get(':name')
  @ApiProduces('application/gzip')
  @ApiOkResponse({ description: 'The file' })
  @ApiNotFoundResponse({ type: ErrorBody })
  async file(@Param('name') name: string): Promise<StreamableFile> {
    const path = await this.backups.path(name);
    return new StreamableFile(createReadStream(path), {
      type: 'application/gzip',
      disposition: `attachment; filename="${name}"`,
    });
  }

  @Post(':name/restore')
  @HttpCode(200)
  @ApiOkResponse({ type: RestoredView, description: 'Everything is as it was in the backup' })
  @ApiNotFoundResponse({ type: ErrorBody })
  restore(@Param('name') name: string): Promise<RestoredView> {
    return this.backups.restore(name);
  }
}
