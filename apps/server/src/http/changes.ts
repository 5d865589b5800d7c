import { setTimeout as pause } from 'node:timers/promises';
import { Injectable, type NestMiddleware } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';
import { RequestProblem } from './request-problem.js';

const ACTIVE_PAUSE_MS = 10;
const MAX_WAIT_MS = 10_000;

/** Requests that change nothing. */
const READING = ['GET', 'HEAD', 'OPTIONS'];

/** Addresses that say who comes in. The database knows nothing of that. */
const NETWORK = '/api/network/';

/** Address at which a device gives the crew code: the only one of the API that needs none. */
export const ENTRANCE = `${NETWORK}enter`;

/** Whether a request may change the database. */
export function isChange({ method, path }: Pick<Request, 'method' | 'path'>): boolean {
  return !READING.includes(method) && !path.startsWith(NETWORK);
}

/** Counts the requests that have changed something, and holds them up while everything is replaced. */
@Injectable()
export class Changes implements NestMiddleware {
  /** Changes that the newest backup does not have */
  sinceBackup = 0;
  /** Changes since dead rows were removed */
  sinceVacuum = 0;

  /** Requests that may be changing something at this moment */
  private active = 0;
  private isHeldUp = false;

  use(request: Request, response: Response, next: NextFunction): void {
    // backups take turns among themselves
    if (!isChange(request) || request.path.startsWith('/api/backups')) return next();
    if (this.isHeldUp) return next(RequestProblem.of(503, '', 'being-restored', {}));
    this.active++;
    response.once('close', () => this.active--);
    response.once('finish', () => response.statusCode < 400 && this.note());
    next();
  }

  /**
   * Runs what replaces everything. Changes that have begun end first; new ones are refused meanwhile and tried again by their pages, so that
   * none falls between what is kept and what comes.
   *
   * @throws {RequestProblem} 503 if a change does not end
   */
  async alone<T>(act: () => Promise<T>): Promise<T> {
    this.isHeldUp = true;
    try {
      for (let waitedMs = 0; this.active > 0; waitedMs += ACTIVE_PAUSE_MS) {
        if (waitedMs > MAX_WAIT_MS) throw RequestProblem.of(503, '', 'busy', {});
        await pause(ACTIVE_PAUSE_MS);
      }
      return await act();
    } finally {
      this.isHeldUp = false;
    }
  }

  note(): void {
    this.sinceBackup++;
    this.sinceVacuum++;
  }

  /** Everything was replaced. */
  replaced(): void {
    this.sinceBackup++;
    this.sinceVacuum = Infinity;
  }

  backedUp(): void {
    this.sinceBackup = 0;
  }
}
