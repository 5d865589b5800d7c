import { Module } from '@nestjs/common';
import { ProductionsModule } from '../productions/productions.module.js';
import { ShotNews } from './shot-news.js';
import { ShotsController } from './shots.controller.js';
import { ShotsRepository } from './shots.repository.js';
import { ShotsService } from './shots.service.js';

@Module({
  imports: [ProductionsModule],
  controllers: [ShotsController],
  providers: [ShotsService, ShotsRepository, ShotNews],
  exports: [ShotsService, ShotNews],
})
export class ShotsModule {}
