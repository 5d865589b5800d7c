import { Module } from '@nestjs/common';
import { PicturesController } from './pictures.controller.js';
import { PicturesRepository } from './pictures.repository.js';

@Module({ controllers: [PicturesController], providers: [PicturesRepository], exports: [PicturesRepository] })
export class PicturesModule {}
