import { existsSync } from 'node:fs';
import { extname, join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Serves the built page: named assets for ever, and the one document for every address that is not the API's. */
export function servePage(app: NestExpressApplication, pageFolder: string): void {
  const document = join(pageFolder, 'index.html');
  if (!existsSync(document)) return;
  const assets = join(pageFolder, 'assets');
  app.use('/assets', sendGzipped(assets), express.static(assets, { immutable: true, maxAge: YEAR_MS, index: false }));
  app.use(express.static(pageFolder, { index: false }));
  app.use((request: Request, response: Response, next: NextFunction) => {
    const wantsDocument =
      request.method === 'GET' &&
      !request.path.startsWith('/api') &&
      !request.path.startsWith('/assets') &&
      request.accepts('html');
    if (wantsDocument) response.sendFile(document, { headers: { 'Cache-Control': 'no-cache' } });
    else next();
  });
}

/**
 * Sends the copy that was gzipped at the build, where there is one: compressing at each request would hold up the first load.
 * It looks at each request, because the page may be built anew under a running server.
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
