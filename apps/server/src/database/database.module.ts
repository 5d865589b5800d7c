import { type DynamicModule, Global, Inject, Module, type OnApplicationShutdown } from '@nestjs/common';
import type { OpenDatabase } from './openDatabase.js';
import { DATABASE, OPEN_DATABASE } from './tokens.js';

/** Provides the open database to all modules and closes it when the server stops. */
@Global()
@Module({})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(OPEN_DATABASE) private readonly open: OpenDatabase) {}

  static with(open: OpenDatabase): DynamicModule {
    return {
      module: DatabaseModule,
      providers: [
        { provide: OPEN_DATABASE, useValue: open },
        { provide: DATABASE, useValue: open.db },
      ],
      exports: [OPEN_DATABASE, DATABASE],
    };
  }

  async onApplicationShutdown(): Promise<void> {
    await this.open.close();
  }
}
