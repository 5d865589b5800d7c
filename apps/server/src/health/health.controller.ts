import { Controller, Get, Inject } from '@nestjs/common';
import { ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { HealthView, type ProblemView } from '@still-heron/contract';
import { sql } from 'drizzle-orm';
import { BackupsService } from '../backups/backups.service.js';
import { CONFIG, type Config } from '../config.js';
import type { Database } from '../database/database.js';
import { freeBytesOf } from '../database/freeSpace.js';
import { DATABASE } from '../database/tokens.js';
import { nearlyFull } from '../http/fullDisk.js';
import { requestView } from '../http/request-problem.js';

@ApiTags('health')
@Controller('health')
export class HealthController {
  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(DATABASE) private readonly db: Database,
    @Inject(BackupsService) private readonly backups: BackupsService,
  ) {}

  /** Answers only if the database does; otherwise with the reason, like every request. */
  @Get()
  @ApiOkResponse({ type: HealthView })
  async health(): Promise<HealthView> {
    await this.db.execute(sql`select 1`);
    const { dataFolder, minFreeBytes } = this.config;
    const freeBytes = await freeBytesOf(dataFolder);
    const warnings: ProblemView[] = [];
    // it warns before changes are refused
    const needBytes = 2 * minFreeBytes;
    if (freeBytes < needBytes) warnings.push(nearlyFull(freeBytes, needBytes).body);
    const { failure } = this.backups;
    if (failure !== null) warnings.push(requestView('', 'backup-failed', { reason: failure }));
    return { status: warnings.length > 0 ? 'warning' : 'ok', warnings, freeBytes };
  }
}
