import { Global, Module } from '@nestjs/common';
import { Pool } from './pool.js';

/** Provides the pool of threads to all modules. */
@Global()
@Module({ providers: [Pool], exports: [Pool] })
export class WorkModule {}
