import { ConsoleLogger } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import compression from 'compression';
import express from 'express';
import helmet from 'helmet';
import { PICTURE_BYTES, PICTURE_TYPES } from '@still-heron/core';
import { AppModule } from './app.module.js';
import type { Config } from './config.js';
import { Changes } from './http/changes.js';
import type { OpenDatabase } from './database/openDatabase.js';
import { seedDemo } from './demo/seed.js';
import { describeApi } from './http/api-description.js';
import { refuseWhenFull } from './http/fullDisk.js';
import { jsonOnly, PICTURES_ADDRESS } from './http/json-only.js';
import { ownRequestsOnly } from './http/own-names.js';
import { servePage } from './http/page.js';
import { admittedOnly, AdmittingAdapter, encryptedOnly } from './network/admission.js';
import { NetworkService } from './network/network.service.js';
import { BODY_LIMIT, KIT_FILE_LIMIT, ProblemFilter } from './http/problem.filter.js';
import { answerRawErrors } from './http/raw-errors.js';
import { readableAddress, shallowBody } from './http/readable.js';
import { bodyValidation } from './http/validation.js';

/** Suppresses framework messages about errors that `main.ts` reports itself. */
class QuietLogger extends ConsoleLogger {
  override error(message: unknown, ...rest: unknown[]): void {
    if (rest[rest.length - 1] !== 'NestApplication') super.error(message, ...rest);
  }
}

/**
 * Plain http is normal on a set's own network. WebAssembly runs the trials and must be allowed by name; scripts from text stay
 * forbidden.
 */
const POLICY = { 'upgrade-insecure-requests': null, 'script-src': ["'self'", "'wasm-unsafe-eval'"] };

/** Builds the whole server over an open database, ready to listen. The database is closed if that fails. */
export async function createApp(config: Config, open: OpenDatabase): Promise<NestExpressApplication> {
  try {
    return await assemble(config, open);
  } catch (error) {
    await open.close();
    throw error;
  }
}

async function assemble(config: Config, open: OpenDatabase): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config, open), {
    bodyParser: false,
    logger: new QuietLogger({ logLevels: ['error', 'warn'] }),
    abortOnError: false,
  });
  app.disable('x-powered-by');
  app.use(helmet({ contentSecurityPolicy: { directives: POLICY }, strictTransportSecurity: false }));
  answerRawErrors(app.getHttpServer());
  const network = app.get(NetworkService);
  app.use(ownRequestsOnly);
  app.use(encryptedOnly);
  app.use(readableAddress);
  app.use(compression());
  // the page holds no data, and asks for the crew code; everything after it is for those who have given it
  if (config.pageFolder) servePage(app, config.pageFolder);
  app.use(admittedOnly(network));
  const changes = app.get(Changes);
  app.use(refuseWhenFull(config.dataFolder, config.minFreeBytes));
  app.use(changes.use.bind(changes));
  // before the JSON parsers: pictures are sent as they are
  app.use(PICTURES_ADDRESS, express.raw({ type: [...PICTURE_TYPES], limit: PICTURE_BYTES }));
  app.use(jsonOnly);
  // a file with a whole kit is larger than any other request
  app.use('/api/kit/import', express.json({ limit: KIT_FILE_LIMIT }));
  app.useBodyParser('json', { limit: BODY_LIMIT });
  app.use(shallowBody);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(bodyValidation());
  app.useGlobalFilters(new ProblemFilter());
  app.enableShutdownHooks();
  app.useWebSocketAdapter(new AdmittingAdapter(app, network));

  SwaggerModule.setup('api/docs', app, () => describeApi(app));
  if (config.seedsDemo) await seedDemo(open.db);
  return app;
}
