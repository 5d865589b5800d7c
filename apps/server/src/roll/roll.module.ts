import { Module } from '@nestjs/common';
import { DevicesService } from './devices.service.js';
import { RollGateway } from './roll.gateway.js';
import { RollService } from './roll.service.js';

@Module({ providers: [RollGateway, RollService, DevicesService] })
export class RollModule {}
