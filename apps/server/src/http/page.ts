import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import gzippedStatic from 'express-static-gzip';
import express, { type NextFunction, type Request, type Response } from 'express';

const YEAR_MS = 365 * 24 * 3600 * 1000;

/** Serves the built page: named assets for ever, and the one document for every address that is not the API's. */
export function servePage(app: NestExpressApplication, pageFolder: string): void {
  const document = join(pageFolder, 'index.html');
  if (!existsSync(document)) return;
  // compressed once, at the build: compressing at each request would hold up the first load
  app.use(
    '/assets',
    gzippedStatic(join(pageFolder, 'assets'), { index: false, serveStatic: { immutable: true, maxAge: YEAR_MS } }),
  );
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
