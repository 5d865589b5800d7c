import { Module } from '@nestjs/common';
import { ProductionsModule } from '../productions/productions.module.js';
import { ShotsModule } from '../shots/shots.module.js';
import { TakesController } from './takes.controller.js';
import { TakesRepository } from './takes.repository.js';
import { TakesService } from './takes.service.js';

@Module({
  imports: [ProductionsModule, ShotsModule],
  controllers: [TakesController],
  providers: [TakesService, TakesRepository],
})
export class TakesModule {}
