import { Injectable, type NestMiddleware } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';

/** Requests that change nothing. */
const READING = ['GET', 'HEAD', 'OPTIONS'];

/** Whether a request may change the database. */
export function isChange({ method }: Pick<Request, 'method'>): boolean {
  return !READING.includes(method);
}

/** Counts the requests that have changed something. */
@Injectable()
export class Changes implements NestMiddleware {
  /** Changes that the newest backup does not have */
  sinceBackup = 0;
  /** Changes since dead rows were removed */
  sinceVacuum = 0;

  use(request: Request, response: Response, next: NextFunction): void {
    if (isChange(request)) response.once('finish', () => response.statusCode < 400 && this.note());
    next();
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
