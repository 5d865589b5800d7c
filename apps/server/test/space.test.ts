import type { HealthView } from '@still-heron/contract';
import { sql } from 'drizzle-orm';
import { Changes } from '../src/http/changes';
import type { Database } from '../src/database/database';
import { rowsOf } from '../src/database/migrations';
import { DATABASE } from '../src/database/tokens';
import { Upkeep } from '../src/backups/upkeep';
import { makeProduction, makeShot, testFolder, someShot, startServer, type TestServer } from './server';

let server: TestServer;
afterEach(async () => {
  await server.stop();
  server.remove();
});

test('on a disk that is almost full changes are refused before anything breaks; reading goes on', async () => {
  server = await startServer({ minFreeBytes: 2 ** 60 });
  const { body } = await server.request.post('/api/productions').send({ name: 'The Bell Foundry' }).expect(507);
  expect(body).toMatchObject({ code: 'disk-nearly-full', need: '1099511627776 MB of free space on that disk' });
  await server.request.get('/api/productions').expect(200, []);
  const health = (await server.request.get('/api/health').expect(200)).body as HealthView;
  expect(health.status).toBe('warning');
  expect(health.warnings.map(({ code }) => code)).toEqual(['disk-nearly-full']);
});

testFolder('the space of replaced rows is used again', async () => {
  server = await startServer();
  const { id } = await makeProduction(server);
  const shot = await makeShot(server, id);
  const db = server.app.get<Database>(DATABASE);
  const [changes, upkeep] = [server.app.get(Changes), server.app.get(Upkeep)];
  const saveOften = async () => {
    for (let save = 0; save < 400; save++) await db.execute(sql`update shots set version = version + 1, plan = plan`);
    changes.sinceVacuum += 500;
    await upkeep.look();
    const [size] = await rowsOf<{ kb: number }>(db, sql`select (pg_total_relation_size('shots') / 1024)::int as kb`);
    return size!.kb;
  };
  const once = await saveOften();
  for (let round = 0; round < 4; round++) expect(await saveOften()).toBeLessThan(1.5 * once);
  await server.request
    .put(`/api/shots/${shot.id}`)
    .send({ ...someShot(), version: 2001 })
    .expect(200);
});
