import { type DynamicModule, Global, Module } from '@nestjs/common';
import { BackupsModule } from './backups/backups.module.js';
import { CONFIG, type Config } from './config.js';
import { DatabaseModule } from './database/database.module.js';
import type { OpenDatabase } from './database/openDatabase.js';
import { HealthController } from './health/health.controller.js';
import { KitModule } from './kit/kit.module.js';
import { MeasuringModule } from './measuring/measuring.module.js';
import { NetworkModule } from './network/network.module.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { ProductionsModule } from './productions/productions.module.js';
import { RollModule } from './roll/roll.module.js';
import { ShotsModule } from './shots/shots.module.js';
import { StopModule } from './stop/stop.module.js';
import { TakesModule } from './takes/takes.module.js';
import { WorkModule } from './work/work.module.js';

/** Provides the configuration to all modules. */
@Global()
@Module({})
class ConfigModule {
  static with(config: Config): DynamicModule {
    return { module: ConfigModule, providers: [{ provide: CONFIG, useValue: config }], exports: [CONFIG] };
  }
}

@Module({})
export class AppModule {
  static with(config: Config, open: OpenDatabase): DynamicModule {
    return {
      module: AppModule,
      imports: [
        ConfigModule.with(config),
        NetworkModule,
        WorkModule,
        DatabaseModule.with(open),
        BackupsModule,
        KitModule,
        MeasuringModule,
        PicturesModule,
        ProductionsModule,
        RollModule,
        ShotsModule,
        StopModule,
        TakesModule,
      ],
      controllers: [HealthController],
    };
  }
}
