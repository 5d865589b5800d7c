import { Module } from '@nestjs/common';
import { MeasuringController } from './measuring.controller.js';
import { MeasuringService } from './measuring.service.js';

@Module({ controllers: [MeasuringController], providers: [MeasuringService] })
export class MeasuringModule {}
