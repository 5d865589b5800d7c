import { Module } from '@nestjs/common';
import { BackupsController } from './backups.controller.js';
import { Changes } from '../http/changes.js';
import { BackupsService } from './backups.service.js';
import { Upkeep } from './upkeep.js';

/** Everything that keeps the data safe: backups, and the space it takes. */
@Module({ controllers: [BackupsController], providers: [BackupsService, Changes, Upkeep], exports: [BackupsService] })
export class BackupsModule {}
