import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { ErrorBody } from '@still-heron/contract';
import { CoreError, PICTURE_BYTES, PlanError } from '@still-heron/core';
import type { Response } from 'express';
import { RequestProblem } from './request-problem.js';

/** Maps any thrown value to a status and an error body. Logs unknown errors and answers 500. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(error: unknown, host: ArgumentsHost): void {
    const { status, body } = this.translate(error);
    const response = host.switchToHttp().getResponse<Response>();
    if (response.headersSent) response.end();
    else response.status(status).json(body);
  }

  private translate(error: unknown): { status: number; body: ErrorBody } {
    if (error instanceof RequestProblem) return error;
    if (error instanceof CoreError) {
      const { code, message, path, need } = error;
      return {
        status: 400,
        body: { code, message, path, need, ...(error instanceof PlanError ? { problems: [...error.problems] } : {}) },
      };
    }
    const fromParser = bodyParserProblem(error);
    if (fromParser) return fromParser;
    if (error instanceof HttpException && error.getStatus() === 400) {
      // the framework's own 400s are requests it could not parse; ours are RequestProblems
      return {
        status: 400,
        body: {
          code: 'unreadable',
          message: `the request can’t be read: ${error.message}`,
          path: '',
          need: 'a JSON object in UTF-8, at a well-formed address',
        },
      };
    }
    if (error instanceof HttpException && error.getStatus() < 500) {
      const code = error.getStatus() === 404 ? 'not-found' : 'refused';
      return {
        status: error.getStatus(),
        body: { code, message: error.message, path: '', need: 'an address and method listed at /api/docs' },
      };
    }
    this.logger.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return {
      status: 500,
      body: {
        code: 'internal',
        message: 'something went wrong in the server; nothing was changed',
        path: '',
        need: 'another try; if it stays, the server’s log',
      },
    };
  }
}

/** Errors of Express's body parser, identified by their `type`. */
function bodyParserProblem(error: unknown): { status: number; body: ErrorBody } | null {
  const { type, status } = (error ?? {}) as { type?: unknown; status?: unknown };
  if (typeof type !== 'string' || typeof status !== 'number' || status >= 500) return null;
  if (type === 'entity.too.large') {
    return {
      status: 413,
      body: {
        code: 'too-large',
        message: 'the body is too large',
        path: '',
        need: `a body of at most ${BODY_LIMIT}; a file of kit of at most ${KIT_FILE_LIMIT}, a picture of at most ${PICTURE_BYTES / 1024 ** 2}mb`,
      },
    };
  }
  return {
    status,
    body: { code: 'not-json', message: 'the body can’t be read as JSON', path: '', need: 'a JSON object, in UTF-8' },
  };
}

/** Largest request body: a plan at all its limits is smaller. */
export const BODY_LIMIT = '1mb';

/** Largest kit file: five thousand lenses with their rings are smaller. */
export const KIT_FILE_LIMIT = '8mb';
