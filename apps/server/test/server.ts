import 'reflect-metadata';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import pg from 'pg';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { ProductionView, ShotDocument, ShotView } from '@still-heron/contract';
import { kitName, type KitItems, type KitKind, newPlan } from '@still-heron/core';
import supertest from 'supertest';
import type { Config } from '../src/config';
import { createApp } from '../src/create-app';
import { openForServer } from '../src/openForServer';
import { BELL_FOUNDRY_SHOTS, type DemoKit } from '../src/demo/bell-foundry';
import { DEMO_KIT } from '../src/demo/kit';

/** A real server on a real PGlite in its own folder. */
export interface TestServer {
  readonly app: NestExpressApplication;
  readonly folder: string;
  readonly request: ReturnType<typeof supertest>;
  stop(): Promise<void>;
  remove(): void;
}

/** @param options - `listens: false` leaves that to the test */
export async function startServer({
  listens = true,
  ...options
}: Partial<Config> & { listens?: boolean } = {}): Promise<TestServer> {
  const folder = options.dataFolder ?? emptyData();
  const databaseUrl = SERVER_URL === undefined ? null : await databaseOf(SERVER_URL, folder);
  const config: Config = {
    port: 0,
    host: null,
    certificate: null,
    databaseUrl,
    seedsDemo: false,
    pageFolder: null,
    backsUp: false,
    threads: 0,
    minFreeBytes: 0,
    ...options,
    dataFolder: folder,
  };
  const app = await createApp(config, await openForServer(config));
  if (listens) await app.listen(0, '127.0.0.1');
  return {
    app,
    folder,
    request: supertest(app.getHttpServer()),
    stop: () => app.close(),
    remove: () => rmSync(folder, { recursive: true, force: true }),
  };
}

/** PostgreSQL server that `npm run test:postgres` has started; without it each test server has a PGlite. */
export const SERVER_URL = process.env['STILL_HERON_TEST_SERVER'];

/** For tests of what only a folder has. */
export const [describeFolder, testFolder] = SERVER_URL === undefined ? [describe, test] : [describe.skip, test.skip];

/** A database of the server for a data folder. It is made when it is asked for first. */
export async function databaseOf(serverUrl: string, folder: string): Promise<string> {
  const name = basename(folder).toLowerCase().replace(/\W/g, '_');
  const client = new pg.Client({ connectionString: serverUrl });
  await client.connect();
  await client.query(`create database "${name}"`).catch((error: unknown) => {
    // another one makes it at this moment, or has made it
    if (!['42P04', '23505'].includes((error as { code: string }).code)) throw error;
  });
  await client.end();
  return Object.assign(new URL(serverUrl), { pathname: `/${name}` }).href;
}

/** A new data folder with an empty, migrated database. */
function emptyData(): string {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-'));
  cpSync(process.env['STILL_HERON_TEMPLATE']!, folder, { recursive: true });
  return folder;
}

export const someShot = (changes: Partial<ShotDocument> = {}): ShotDocument => ({
  scene: '4',
  slate: '4A',
  title: 'Bronze at the lip',
  plan: newPlan(),
  ...changes,
});

export async function makeProduction({ request }: TestServer, name = 'The Bell Foundry'): Promise<ProductionView> {
  return (await request.post('/api/productions').send({ name }).expect(201)).body as ProductionView;
}

export async function makeShot(
  { request }: TestServer,
  productionId: string,
  changes: Partial<ShotDocument> & { afterShotId?: string } = {},
): Promise<ShotView> {
  return (
    await request
      .post(`/api/productions/${productionId}/shots`)
      .send({ ...someShot(), ...changes })
      .expect(201)
  ).body as ShotView;
}

/** The demo's kit with readable ids. */
const looseKit: DemoKit = (() => {
  const byName =
    <K extends KitKind>(kind: K, items: readonly KitItems[K][]) =>
    (name: string) => ({ id: name, item: items.find((item) => kitName(kind, item) === name)! });
  return {
    camera: { id: 'body A', item: DEMO_KIT.cameras[0] },
    smallBody: { id: 'body B', item: DEMO_KIT.cameras[1] },
    lens: byName('lenses', DEMO_KIT.lenses),
    wheel: byName('wheels', DEMO_KIT.wheels),
    rig: byName('rigs', DEMO_KIT.rigs),
  };
})();

/** The shots of the demo production, without a database. */
export const demoShots = (): ShotDocument[] => BELL_FOUNDRY_SHOTS.map((makeShot) => makeShot(looseKit));
