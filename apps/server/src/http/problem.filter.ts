import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { ErrorBody } from '@still-heron/contract';
import { CoreError, PICTURE_BYTES, PlanError } from '@still-heron/core';
import { problemView } from '@still-heron/wording';
import type { Response } from 'express';
import { RequestProblem, requestView } from './request-problem.js';

/** Headers of a file that was to be sent, and which its error does not have. */
const OF_THE_FILE = [
  'Content-Type',
  'Content-Disposition',
  'Content-Length',
  'Content-Encoding',
  'Cache-Control',
  'ETag',
  'Last-Modified',
  'Accept-Ranges',
];

/** Maps any thrown value to a status and an error body. Logs unknown errors and answers 500. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const { status, body } = this.translate(error);
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) return void response.end();
    for (const name of OF_THE_FILE) response.removeHeader(name);
    response.status(status).json(body);
  }

  private translate(error: unknown): { status: number; body: ErrorBody } {
    if (error instanceof RequestProblem) return error;
    if (error instanceof CoreError) {
      const problems = error instanceof PlanError ? error.problems.map(problemView) : [];
      return { status: 400, body: { ...problemView(error.problem), ...(problems.length > 0 ? { problems } : {}) } };
    }
    const fromParser = bodyParserProblem(error);
    if (fromParser) return fromParser;
    // the framework's own 400s are requests it could not parse; ours are RequestProblems
    if (error instanceof HttpException && error.getStatus() === 400)
      return RequestProblem.of(400, '', 'unreadable', { reason: error.message });
    if (error instanceof HttpException && error.getStatus() < 500) {
      const body = requestView('', 'no-such-address', { reason: error.message });
      return { status: error.getStatus(), body: { ...body, code: error.getStatus() === 404 ? 'not-found' : 'refused' } };
    }
    const fromDatabase = databaseProblem(error);
    if (fromDatabase) return fromDatabase;
    this.logger.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return RequestProblem.of(500, '', 'internal', {});
  }
}

/** Errors of Express and its parsers, which have the status of their answer. */
function bodyParserProblem(error: unknown): { status: number; body: ErrorBody } | null {
  const { type, status, message } = (error ?? {}) as { type?: unknown; status?: unknown; message?: unknown };
  if (typeof status !== 'number' || status >= 500 || error instanceof HttpException) return null;
  if (status === 416) return RequestProblem.of(416, 'range', 'not-a-range', {});
  // of the decompression, for one
  if (typeof type !== 'string') return RequestProblem.of(status, '', 'unreadable', { reason: String(message) });
  if (type === 'entity.too.large') {
    const limits = { body: BODY_LIMIT, kitFile: KIT_FILE_LIMIT, pictureMb: PICTURE_BYTES / 1024 ** 2 };
    return RequestProblem.of(413, '', 'too-large', limits);
  }
  return RequestProblem.of(status, '', 'not-json', {});
}

/** Codes of PostgreSQL and of the system for trouble that passes, by what is to be said of it. The first letters are enough. */
const PASSING = [
  { codes: ['53100', 'ENOSPC', 'EDQUOT'], status: 507, problem: 'disk-full' },
  { codes: ['08', '57P', '53300', 'ECONN', 'EPIPE', 'ETIMEDOUT'], status: 503, problem: 'database-away' },
  { codes: ['40001', '40P01', '55P03'], status: 503, problem: 'busy' },
] as const;

/** Errors of the driver that have no code. */
const BROKEN_CONNECTION =
  /^(Connection terminated|timeout exceeded when trying to connect|Client has encountered a connection error|Cannot use a pool after)/;

/** Trouble of the database that passes, at any depth of an error's causes. */
function databaseProblem(error: unknown): RequestProblem | null {
  // errors of the system are no `Error` of a test's own realm
  for (let at = error; typeof at === 'object' && at !== null; at = (at as Error).cause) {
    const { code, message } = at as NodeJS.ErrnoException;
    if (BROKEN_CONNECTION.test(message)) return RequestProblem.of(503, '', 'database-away', {});
    const found = typeof code === 'string' && PASSING.find(({ codes }) => codes.some((known) => code.startsWith(known)));
    if (found) return RequestProblem.of(found.status, '', found.problem, {});
  }
  return null;
}

/** Largest request body: a plan at all its limits is smaller. */
export const BODY_LIMIT = '1mb';

/** Largest kit file: five thousand lenses with their rings are smaller. */
export const KIT_FILE_LIMIT = '8mb';
