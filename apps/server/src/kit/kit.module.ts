import { Module } from '@nestjs/common';
import { KitController } from './kit.controller.js';
import { KitRepository } from './kit.repository.js';
import { KitService } from './kit.service.js';

@Module({ controllers: [KitController], providers: [KitService, KitRepository], exports: [KitService] })
export class KitModule {}
