import type { NextFunction, Request, Response } from 'express';
import { isChange } from './changes.js';
import { freeBytesOf } from '../database/freeSpace.js';
import { RequestProblem } from './request-problem.js';

/** How long a measurement counts. */
const MEASURED_FOR_MS = 2000;

/** Refusal on a disk that is almost full. @param needBytes - free space that would do */
export function nearlyFull(freeBytes: number, needBytes: number): RequestProblem {
  const megabytes = (bytes: number) => Math.floor(bytes / 1024 ** 2);
  return RequestProblem.of(507, '', 'disk-nearly-full', { freeMb: megabytes(freeBytes), needMb: megabytes(needBytes) });
}

/**
 * Refuses changes while the disk is almost full, because a database that can't write ends its server. Reading goes on.
 *
 * @param minFreeBytes - space that is left free
 */
export function refuseWhenFull(folder: string, minFreeBytes: number) {
  let measured = { at: -Infinity, free: Infinity };
  return async (request: Request, _response: Response, next: NextFunction): Promise<void> => {
    if (!isChange(request)) return next();
    if (Date.now() - measured.at > MEASURED_FOR_MS) measured = { at: Date.now(), free: await freeBytesOf(folder) };
    if (measured.free < minFreeBytes) throw nearlyFull(measured.free, minFreeBytes);
    next();
  };
}
