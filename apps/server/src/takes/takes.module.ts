import { Module } from '@nestjs/common';
import { ProductionsModule } from '../productions/productions.module.js';
import { ShotsModule } from '../shots/shots.module.js';
import { StatisticsRepository } from './statistics.repository.js';
import { StatisticsService } from './statistics.service.js';
import { TakesController } from './takes.controller.js';
import { TakesRepository } from './takes.repository.js';
import { TakesService } from './takes.service.js';

@Module({
  imports: [ProductionsModule, ShotsModule],
  controllers: [TakesController],
  providers: [TakesService, TakesRepository, StatisticsService, StatisticsRepository],
})
export class TakesModule {}
