import { Module } from '@nestjs/common';
import { ShotsModule } from '../shots/shots.module.js';
import { DevicesService } from './devices.service.js';
import { RollGateway } from './roll.gateway.js';
import { RollService } from './roll.service.js';

@Module({ imports: [ShotsModule], providers: [RollGateway, RollService, DevicesService] })
export class RollModule {}
