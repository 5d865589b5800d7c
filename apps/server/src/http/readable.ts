import type { NextFunction, Request, Response } from 'express';
import { UNSTORABLE } from '@still-heron/core';
import { RequestProblem } from './request-problem.js';

/** Largest depth of lists and objects inside one another: a plan has nine. */
const MAX_DEPTH = 40;

/** Refuses an address with characters that no text may contain, whether in its path or in its query. */
export function readableAddress(request: Request, _: Response, next: NextFunction): void {
  next(UNSTORABLE.test(decoded(request.url)) ? RequestProblem.of(400, '', 'bad-address', {}) : undefined);
}

/** An address as it is meant; as it is, if it can't be decoded. The router answers that. */
function decoded(url: string): string {
  try {
    return decodeURIComponent(url);
  } catch {
    return url;
  }
}

/** Refuses a body in which lists and objects lie so deep inside one another that checks would run out of stack. */
export function shallowBody(request: Request, _: Response, next: NextFunction): void {
  const isTooDeep = isDeeperThan(MAX_DEPTH, request.body);
  next(isTooDeep ? RequestProblem.of(400, '', 'too-deep', { max: MAX_DEPTH }) : undefined);
}

/** Whether lists and objects lie deeper inside one another than a limit. Level by level, without recursion. */
function isDeeperThan(limit: number, value: unknown): boolean {
  let level = [value];
  for (let depth = 0; level.length > 0; depth++) {
    level = level.flatMap((one) => (typeof one === 'object' && one !== null && !Buffer.isBuffer(one) ? Object.values(one) : []));
    if (depth > limit && level.length > 0) return true;
  }
  return false;
}
