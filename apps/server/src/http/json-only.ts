import type { NextFunction, Request, Response } from 'express';
import type { ErrorBody } from '@still-heron/contract';

/** Address for picture uploads, which are not JSON. Their type is checked there. */
export const PICTURES_ADDRESS = '/api/pictures';

/** Rejects a body that is not declared as JSON: the parser would silently drop it, and a form on another site could send it. */
export function jsonOnly(request: Request, response: Response, next: NextFunction): void {
  const hasBody = Number(request.headers['content-length'] ?? 0) > 0 || request.headers['transfer-encoding'] !== undefined;
  const isPicture = request.path === PICTURES_ADDRESS;
  if (!hasBody || isPicture || request.is('application/json')) return next();
  const body: ErrorBody = {
    code: 'not-json',
    message: 'the content type is not JSON',
    path: '',
    need: 'the content type application/json',
  };
  response.status(415).json(body);
}
