import { Inject, Injectable, Logger, type OnModuleDestroy, type OnModuleInit } from '@nestjs/common';
import { sql } from 'drizzle-orm';
import { CONFIG, type Config } from '../config.js';
import { Changes } from '../http/changes.js';
import { OPEN_DATABASE } from '../database/tokens.js';
import type { OpenDatabase } from '../database/openDatabase.js';

const LOOK_EVERY_MS = 60_000;
/** Changes after which dead rows are removed. */
const CHANGES = 500;

/** Frees the space of rows that were replaced. A PostgreSQL server does that by itself. */
@Injectable()
export class Upkeep implements OnModuleInit, OnModuleDestroy {
  private readonly logger = new Logger('upkeep');
  private looking: NodeJS.Timeout | undefined;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(OPEN_DATABASE) private readonly open: OpenDatabase,
    @Inject(Changes) private readonly changes: Changes,
  ) {}

  /** Without knowing the tables, PostgreSQL reads all of them where an index would do. */
  async onModuleInit(): Promise<void> {
    if (this.config.databaseUrl !== null) return;
    await this.open.db.execute(sql`analyze takes, shots, shot_revisions`);
    this.looking = setInterval(() => void this.look(), LOOK_EVERY_MS);
    this.looking.unref();
  }

  onModuleDestroy(): void {
    clearInterval(this.looking);
  }

  /** Removes dead rows if there may be many. */
  async look(): Promise<void> {
    if (this.changes.sinceVacuum < CHANGES) return;
    this.changes.sinceVacuum = 0;
    try {
      await this.open.db.execute(sql`vacuum analyze`);
    } catch (error) {
      this.logger.error(`Dead rows could not be removed: ${String(error)}`);
    }
  }
}
