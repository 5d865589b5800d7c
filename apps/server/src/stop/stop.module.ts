import { Module } from '@nestjs/common';
import { ShotsModule } from '../shots/shots.module.js';
import { StopController } from './stop.controller.js';
import { StopService } from './stop.service.js';

@Module({ imports: [ShotsModule], controllers: [StopController], providers: [StopService] })
export class StopModule {}
