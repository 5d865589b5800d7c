import { type DynamicModule, Module } from '@nestjs/common';
import { DatabaseModule } from './database/database.module.js';
import type { OpenDatabase } from './database/driver.js';
import { HealthController } from './health/health.controller.js';
import { KitModule } from './kit/kit.module.js';
import { MeasuringModule } from './measuring/measuring.module.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { ProductionsModule } from './productions/productions.module.js';
import { RollModule } from './roll/roll.module.js';
import { ShotsModule } from './shots/shots.module.js';
import { StopModule } from './stop/stop.module.js';
import { TakesModule } from './takes/takes.module.js';

@Module({})
export class AppModule {
  static with(open: OpenDatabase): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DatabaseModule.with(open),
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
