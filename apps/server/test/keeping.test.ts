import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ProductionView, RevisionView, ShotCheckView, ShotRowView, ShotView } from '@still-heron/contract';
import { checkPlan, evaluatePull, setStop, type ShotChange, solveTrack, SOLVER_WAYS } from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import { sql } from 'drizzle-orm';
import { readConfig } from '../src/config';
import { DATABASE } from '../src/database/tokens';
import type { Database } from '../src/database/database';
import { lockDataFolder } from '../src/database/lock';
import { shotRevisions } from '../src/database/schema';
import { ShotsRepository } from '../src/shots/shots.repository';
import { demoShots, makeProduction, makeShot, startServer, testFolder } from './server';

const lockFiles = (folder: string) => readdirSync(folder).filter((name) => name.includes('in-use-by'));

testFolder('what was saved is there after a stop and a start; meanwhile the folder is locked', async () => {
  const first = await startServer();
  const { id } = await makeProduction(first, 'The Bell Foundry');
  const shot = await makeShot(first, id, { title: 'Lantern to the mould' });
  await expect(startServer({ dataFolder: first.folder })).rejects.toThrow(
    /Another Still Heron \(process \d+\) is using the data folder .* Stop that one first, or set STILL_HERON_DATA/,
  );
  await first.stop();
  expect(lockFiles(first.folder)).toEqual([]);
  const second = await startServer({ dataFolder: first.folder });
  expect((await second.request.get(`/api/shots/${shot.id}`).expect(200)).body).toEqual(shot);
  await second.stop();
  second.remove();
});

describe('the lock', () => {
  const folder = () => mkdtempSync(join(tmpdir(), 'still-heron-lock-'));

  test('of a process that is gone is taken over', () => {
    const place = folder();
    writeFileSync(join(place, 'in-use-by'), '999999999');
    const unlock = lockDataFolder(place);
    unlock();
    unlock();
    writeFileSync(join(place, 'in-use-by'), 'not a number');
    lockDataFolder(place)();
    expect(lockFiles(place)).toEqual([]);
  });

  test('of a living process is respected, also as earlier versions wrote it', () => {
    const place = folder();
    writeFileSync(join(place, 'in-use-by'), String(process.ppid));
    expect(() => lockDataFolder(place)).toThrow(`process ${process.ppid}`);
    const other = folder();
    const unlock = lockDataFolder(other);
    expect(() => lockDataFolder(other)).toThrow(`process ${process.pid}`);
    unlock();
    lockDataFolder(other)();
  });

  test.each([
    ['whose number another process has now', { startedAt: '1' }],
    ['from before a restart of the machine', { boot: 'another boot' }],
    ['that came with a copy of the folder', { folder: '1:1' }],
  ])('of a process %s is void', (_, other) => {
    const place = folder();
    const unlock = lockDataFolder(place);
    const [name] = lockFiles(place);
    const holder = JSON.parse(readFileSync(join(place, name!), 'utf8')) as object;
    unlock();
    writeFileSync(join(place, name!), JSON.stringify({ ...holder, ...other }));
    lockDataFolder(place)();
    writeFileSync(join(place, name!), JSON.stringify(holder));
    expect(() => lockDataFolder(place)).toThrow('is using the data folder');
  });
});

describe('the demo production', () => {
  test('is seeded once, and only into an empty database', async () => {
    const server = await startServer({ seedsDemo: true });
    const [production, ...others] = (await server.request.get('/api/productions')).body as ProductionView[];
    expect(production).toMatchObject({ name: 'The Bell Foundry', shotCount: 10 });
    expect(others).toEqual([]);
    const shots = (await server.request.get(`/api/productions/${production!.id}/shots`)).body as ShotView[];
    expect(shots.map(({ slate }) => slate)).toEqual(['4A', '4B', '9A', '9C', '9D', '12A', '12B', '12C', '12D', '14A']);
    await server.stop();
    const again = await startServer({ seedsDemo: true, dataFolder: server.folder });
    expect((await again.request.get('/api/productions')).body).toHaveLength(1);
    await again.stop();
    again.remove();
  });

  test('its pulls can be worked out in every way, within the limits of ring and hand', () => {
    for (const { slate, plan } of demoShots())
      for (const way of SOLVER_WAYS) {
        const laid = solveTrack(plan, way);
        const verdict = laid && evaluatePull(laid.plan);
        if (verdict?.status !== 'judged') {
          expect([slate, way, plan.focusTrack.pulls.length]).toEqual([slate, 'retime', 0]);
          continue;
        }
        expect(checkPlan(laid!.plan)).toEqual([]);
        expect(verdict.pulls.filter(({ grade }) => grade === 'too-hard')).toEqual([]);
        expect(verdict.fastest.maxHandDegPerS).toBeLessThanOrEqual(verdict.fastest.limitDegPerS * (1 + 1e-6));
        if (way === 'follow' && laid!.impossible === null) expect(verdict.sharpFrames).toBe(verdict.requiredFrames);
      }
  });

  test('shows every outcome: sharp as planned, soft for a named reason, tight', () => {
    const told = Object.fromEntries(
      demoShots().map(({ slate, plan }) => {
        expect(checkPlan(plan)).toEqual([]);
        const verdict = evaluatePull(plan);
        if (verdict.status !== 'judged') throw new Error(slate);
        return [slate, { verdict, text: narrate(verdict, plan, 'metric').text }];
      }),
    );
    expect(told['9C']!.verdict.outcome).toBe('sharp');
    expect(told['4B']!.verdict.outcome).toBe('soft');
    expect(told['4B']!.text).toMatch(
      /Soft from 5\.4 s: Ines is up to \d+ cm in front of the zone while the pull to D is under way\./,
    );
    expect(told['9A']!.verdict.outcome).toBe('tight');
    expect(told['9A']!.text).toMatch(/Tight: the pull to B has 1\.50 s, and a hand needs 1\.4\d s\.$/);
    expect(told['9A']!.verdict.pulls[0]!.grade).toBe('tight');
    expect(told['12C']!.text).toContain('Left to autofocus: at risk for');
    expect(told['12C']!.verdict.hiddenSpans.map(({ by }) => by.kind)).toEqual(['subject']);
    expect(new Set(demoShots().map(({ plan }) => plan.method)).size).toBeGreaterThanOrEqual(5);
    const drawn = demoShots().filter(({ plan }) => plan.floor !== null);
    expect(drawn.map(({ slate }) => slate)).toEqual(['4A', '9D', '12A', '12C']);
    const read = demoShots().find(({ slate }) => slate === '12B')!.plan;
    expect(read.marks.every(({ reading }) => reading !== null)).toBe(true);
    expect(read.optics.lens.ring.kind).toBe('fitted');
    // nobody taped B: its distance follows from the scale of the others
    expect(Math.abs(read.marks[1]!.distanceMm! - 3600)).toBeLessThan(150);
  });
});

test('saved versions tell their device and what they changed, are thinned by age, and stay if they have a name', async () => {
  const server = await startServer();
  const { id: productionId } = await makeProduction(server);
  const shot = await makeShot(server, productionId);
  const { scene, slate, title, plan } = shot;
  const save = (version: number, changes: object, device: object = { deviceId: 'a', deviceName: 'a tablet' }) =>
    server.request.put(`/api/shots/${shot.id}`).send({ scene, slate, title, plan, version, ...device, ...changes });
  await save(1, { plan: setStop(plan, 4) }).expect(200);
  await save(2, { plan: setStop(plan, 4), title: 'Later' }, {}).expect(200);
  await save(2, {}).expect(409);
  await save(3, { deviceId: 'x'.repeat(41) }).expect(400);
  const list = async () => (await server.request.get(`/api/shots/${shot.id}/revisions`).expect(200)).body as RevisionView[];
  const tablet = { deviceId: 'a', deviceName: 'a tablet' };
  const unknown = { deviceId: '', deviceName: '' };
  expect(await list()).toMatchObject([
    { version: 3, savedBy: unknown, changes: ['title'], name: '' },
    { version: 2, savedBy: tablet, changes: ['stop'], name: '' },
    { version: 1, savedBy: unknown, changes: [], name: '' },
  ]);
  expect((await server.request.get(`/api/shots/${shot.id}`)).body).toMatchObject({ version: 3, savedBy: unknown });

  const db = server.app.get<Database>(DATABASE);
  const now = new Date('2026-11-25T12:30:00Z');
  const at = (iso: string, version: number, changes: ShotChange[] | null) => ({
    shotId: shot.id,
    version,
    scene,
    slate,
    title,
    plan,
    savedAt: new Date(iso),
    changes,
  });
  await db.delete(shotRevisions);
  await db
    .insert(shotRevisions)
    .values([
      at('2026-06-01T08:00:00Z', 1, null),
      at('2026-06-01T20:00:00Z', 2, ['stop']),
      at('2026-11-25T09:05:00Z', 3, ['mark']),
      at('2026-11-25T09:10:00Z', 4, ['title']),
      at('2026-11-25T09:50:00Z', 5, ['pull', 'mark']),
      at('2026-11-25T09:55:00Z', 6, ['stop']),
      at('2026-11-25T10:01:00Z', 7, ['lens']),
      at('2026-11-25T12:00:00Z', 8, ['notes']),
      at('2026-11-25T12:01:00Z', 9, ['notes']),
    ]);
  const named = await server.request.put(`/api/shots/${shot.id}/revisions/4/name`).send({ name: ' before lunch ' }).expect(200);
  expect(named.body).toMatchObject({ version: 4, name: 'before lunch' });
  await server.request.put(`/api/shots/${shot.id}/revisions/44/name`).send({ name: 'x' }).expect(404);
  await server.request
    .put(`/api/shots/${shot.id}/revisions/4/name`)
    .send({ name: 'x'.repeat(61) })
    .expect(400);
  await server.app.get(ShotsRepository).prune(now);
  // what stays also stands for what was removed just before it
  expect((await list()).map(({ version, changes, name }) => [version, changes, name])).toEqual([
    [9, ['notes'], ''],
    [8, ['notes'], ''],
    [7, ['lens'], ''],
    [6, ['pull', 'mark', 'stop'], ''],
    [4, ['mark', 'title'], 'before lunch'],
    [2, null, ''],
  ]);
  await server.stop();
  server.remove();
});

test('the environment is read, and a port that is none is refused', () => {
  expect(readConfig({ STILL_HERON_DATA: '/tmp/x', PORT: '5000' })).toMatchObject({
    port: 5000,
    dataFolder: '/tmp/x',
    host: null,
    databaseUrl: null,
    seedsDemo: false,
  });
  expect(() => readConfig({ PORT: 'front' })).toThrow('PORT: got front, need a whole number');
  // empty, it would listen on every address
  expect(() => readConfig({ HOST: '' })).toThrow(
    'HOST: it is empty; need an address of this machine such as 0.0.0.0, or leave it out',
  );
  expect(readConfig({ STILL_HERON_CERTIFICATE: '/c.pem', STILL_HERON_CERTIFICATE_KEY: '/k.pem' }).certificate).toEqual({
    certFile: '/c.pem',
    keyFile: '/k.pem',
  });
  expect(() => readConfig({ STILL_HERON_CERTIFICATE: '/c.pem' })).toThrow('only one is set; need both, or neither');
  expect(() => readConfig({ DATABASE_URL: ' ' })).toThrow('DATABASE_URL: it is empty; need the address of a PostgreSQL server');
});

test('a stored plan that is broken hides no other shot, and its newest sound version is offered', async () => {
  const server = await startServer();
  const { id: productionId } = await makeProduction(server);
  const shot = await makeShot(server, productionId, { slate: '4A' });
  await makeShot(server, productionId, { slate: '4B' });
  const { scene, slate, title, plan } = shot;
  await server.request.put(`/api/shots/${shot.id}`).send({ scene, slate, title, plan, version: 1 }).expect(200);
  const db = server.app.get<Database>(DATABASE);
  const check = async () => (await server.request.get(`/api/shots/${shot.id}/check`).expect(200)).body as ShotCheckView;
  expect(await check()).toMatchObject({ slate: '4A', problems: [], before: { version: 1 } });
  for (const broken of ['{}', '[]', '{"schema":3}', '{"schema":99}', '"plan"']) {
    await db.execute(sql`update shots set plan = ${broken}::jsonb where id = ${shot.id}`);
    const list = (await server.request.get(`/api/productions/${productionId}/shots`).expect(200)).body as ShotView[];
    expect(list.map((one) => one.slate)).toEqual(['4A', '4B']);
    const rows = (await server.request.get(`/api/productions/${productionId}/shot-rows`).expect(200)).body as ShotRowView[];
    expect(rows.map(({ setup }) => setup?.method ?? null)).toEqual([null, 'rack']);
    const { problems, before } = await check();
    expect(problems.length).toBeGreaterThan(0);
    expect(before?.version).toBe(2);
  }
  await db.execute(sql`update shot_revisions set plan = '{}'::jsonb where version = 2`);
  expect((await check()).before?.version).toBe(1);
  await db.execute(sql`update shot_revisions set plan = '{}'::jsonb`);
  expect((await check()).before).toBeNull();
  await server.stop();
  server.remove();
});
