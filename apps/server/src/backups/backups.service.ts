import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { Inject, Injectable, Logger, type OnApplicationBootstrap, type OnModuleDestroy } from '@nestjs/common';
import type { BackupReason, BackupsView, BackupView, RestoredView } from '@still-heron/contract';
import { CONFIG, type Config } from '../config.js';
import { Changes } from '../http/changes.js';
import { OPEN_DATABASE } from '../database/tokens.js';
import type { OpenDatabase } from '../database/openDatabase.js';
import { freeBytesOf } from '../database/freeSpace.js';
import { notFound, RequestProblem } from '../http/request-problem.js';
import { Pool } from '../work/pool.js';
import { BadBackup, readDigest } from './backupFile.js';
import { copyForBackup } from './copyForBackup.js';
import { MAKE_BACKUP, restoreBackup } from './makeBackup.js';
import { backupsFolder, readBackup, readBackups, thinOut } from './stored.js';

const HOUR_MS = 3_600_000;

/** Makes backups by itself, lists them, and restores them. One at a time. */
@Injectable()
export class BackupsService implements OnApplicationBootstrap, OnModuleDestroy {
  private readonly logger = new Logger('backups');
  private readonly folder: string;
  private hourly: NodeJS.Timeout | undefined;
  private readonly stopping = new AbortController();
  private last: Promise<unknown> = Promise.resolve();
  /** Why the last backup failed; null if it did not */
  failure: string | null = null;

  constructor(
    @Inject(CONFIG) private readonly config: Config,
    @Inject(OPEN_DATABASE) private readonly open: OpenDatabase,
    @Inject(Changes) private readonly changes: Changes,
    @Inject(Pool) private readonly pool: Pool,
  ) {
    this.folder = backupsFolder(config.dataFolder);
  }

  /** The first one is made in the background: a start does not wait for it. */
  onApplicationBootstrap(): void {
    mkdirSync(this.folder, { recursive: true });
    if (!this.config.backsUp) return;
    void this.makeByItself('start');
    this.hourly = setInterval(() => {
      if (this.changes.sinceBackup > 0) void this.makeByItself('hourly');
    }, HOUR_MS);
    this.hourly.unref();
  }

  /** Gives up a backup that is being made; a restoration ends first. */
  async onModuleDestroy(): Promise<void> {
    clearInterval(this.hourly);
    this.stopping.abort();
    await this.last.catch(() => undefined);
  }

  async list(): Promise<BackupsView> {
    const backups = await readBackups(this.folder);
    const freeBytes = await freeBytesOf(this.config.dataFolder);
    return { folder: this.folder, freeBytes, failure: this.failure, backups: backups.reverse() };
  }

  /** Path of a backup's file. @throws {RequestProblem} 404 */
  async path(name: string): Promise<string> {
    return join(this.folder, (await this.find(name)).name);
  }

  /** Makes one now, whether anything has changed or not. */
  async make(): Promise<BackupView> {
    const made = await this.inTurn(() => this.makeOne('by-hand', false));
    this.failure = null;
    return this.find(made!);
  }

  /**
   * Replaces everything by a backup, all or nothing. What is there now is backed up before.
   *
   * @throws {RequestProblem} 404; 409 for a file that is damaged, or of a newer version
   */
  async restore(name: string): Promise<RestoredView> {
    const restored = await this.find(name);
    const path = join(this.folder, name);
    const digest = await refusingBad(() => readDigest(path));
    const before = await this.inTurn(() =>
      this.changes.alone(async () => {
        const made = await this.makeOne('before-restore', false);
        await refusingBad(() => restoreBackup(path, digest, this.open.db));
        this.changes.replaced();
        return made;
      }),
    );
    return { restored, before: await this.find(before!) };
  }

  private async find(name: string): Promise<BackupView> {
    const found = await refusingBad(() => readBackup(this.folder, name));
    if (!found) throw notFound('backup');
    return found;
  }

  private async makeByItself(reason: BackupReason): Promise<void> {
    try {
      await this.inTurn(() => this.makeOne(reason, true));
      this.failure = null;
    } catch (error) {
      if (this.stopping.signal.aborted) return;
      this.failure = error instanceof Error ? error.message : String(error);
      this.logger.error(`The ${reason} backup failed: ${this.failure}`);
    }
  }

  private inTurn<T>(act: () => Promise<T>): Promise<T> {
    const turn = this.last.catch(() => undefined).then(act);
    this.last = turn;
    return turn;
  }

  private async makeOne(reason: BackupReason, onlyIfChanged: boolean): Promise<string | null> {
    const made = await copyForBackup(this.open, this.config.databaseUrl, this.folder, (source) => {
      this.changes.backedUp();
      const madeAt = new Date().toISOString();
      const order = { source, folder: this.folder, reason, madeAt, onlyIfChanged };
      return this.pool.run(MAKE_BACKUP, order, this.stopping.signal, null);
    });
    await thinOut(this.folder, Date.now());
    return made;
  }
}

/** @throws {RequestProblem} 409 where the act finds a bad backup */
async function refusingBad<T>(act: () => Promise<T>): Promise<T> {
  try {
    return await act();
  } catch (error) {
    if (error instanceof BadBackup) throw RequestProblem.of(409, 'name', 'bad-backup', { reason: error.message });
    throw error;
  }
}
