import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Serves the built page: hashed assets with a long cache time, and the document for every address outside the API. */
export function servePage(app: NestExpressApplication, pageFolder: string): void {
  const document = join(pageFolder, 'index.html');
  if (!existsSync(document)) return;
  const assets = join(pageFolder, 'assets');
  app.use('/assets', sendGzipped(assets), express.static(assets, { immutable: true, maxAge: YEAR_MS, index: false }));
  app.use(express.static(pageFolder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    const wantsDocument =
      (request.method === 'GET' || request.method === 'HEAD') &&
      !request.path.startsWith('/api') &&
      !request.path.startsWith('/assets') &&
      request.accepts('html');
    if (wantsDocument) response.sendFile(document, { headers: { 'Cache-Control': 'no-cache' } });
    else next();
  });
}

/**
 * Sends the copy that was gzipped at build time, if there is one: compressing on every request would delay the first load. It
 * checks on every request, because the page may be rebuilt while the server runs.
 */
function sendGzipped(assets: string) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const isPlainName = /^\/[\w.-]+\.(js|css|svg)$/.test(request.path);
    if (!isPlainName || !request.acceptsEncodings('gzip') || !existsSync(join(assets, `${request.path}.gz`))) return next();
    response.setHeader('Content-Encoding', 'gzip');
    response.setHeader('Vary', 'Accept-Encoding');
    response.type(extname(request.path));
    request.url = `${request.path}.gz`;
    next();
  };
}
