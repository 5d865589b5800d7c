import { Module } from '@nestjs/common';
import { ProductionsController } from './productions.controller.js';
import { ProductionsRepository } from './productions.repository.js';
import { ProductionsService } from './productions.service.js';

@Module({
  controllers: [ProductionsController],
  providers: [ProductionsService, ProductionsRepository],
  exports: [ProductionsService],
})
export class ProductionsModule {}
