import { existsSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupsView, BackupView, RestoredView, ShotView } from '@still-heron/contract';
import { sql } from 'drizzle-orm';
import { describeBroken } from '../src/backups/brokenFolder';
import { backupCommand, EMPTY, restoreCommand } from '../src/backups/commands';
import { BrokenStore } from '../src/database/brokenStore';
import { DATABASE } from '../src/database/tokens';
import type { Database } from '../src/database/database';
import { openCopy } from '../src/database/driver';
import { newestVersion, raiseVersions } from '../src/backups/tables';
import { migrate } from '../src/database/migrations';
import { describeFolder, makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

// each of these opens several databases, which takes long on a busy machine
jest.setTimeout(300_000);

describeFolder('a data folder', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await startServer();
  });
  afterEach(async () => {
    await server.stop().catch(() => undefined);
    server.remove();
  });

  const backupsIn = (folder: string) => readdirSync(join(folder, 'backups')).filter((name) => name.endsWith('.backup.gz'));
  const place = () => ({ databaseUrl: null, dataFolder: server.folder });
  const titleOf = async (id: string) => ((await server.request.get(`/api/shots/${id}`)).body as ShotView).title;

  /** Words that a backup could change on its way: quotes, line separators, and what looks like another line of the file. */
  const TITLE = 'Bell “A”\u2028\tC:\\x {"end":1}';

  async function aShot(): Promise<ShotView> {
    const { id } = await makeProduction(server);
    return makeShot(server, id, { title: TITLE });
  }

  const save = (id: string, title: string, version: number) =>
    server.request.put(`/api/shots/${id}`).send({ ...someShot({ title }), version });

  /** Restores a backup while a page saves. @returns the shot of the last save that was acknowledged */
  async function restoreWhileSaving(name: string, shot: ShotView): Promise<{ restored: RestoredView; changed: ShotView }> {
    let changed = (await save(shot.id, 'changed', 1).expect(200)).body as ShotView;
    let isDone = false;
    const restoring = server.request.post(`/api/backups/${name}/restore`).then((answer) => {
      isDone = true;
      return answer;
    });
    while (!isDone) {
      const { status, body } = await save(shot.id, `changed from version ${changed.version}`, changed.version);
      if (status === 200) changed = body as ShotView;
      else if (status === 503) expect(body).toMatchObject({ code: 'being-restored' });
      else expect(status).toBe(409);
    }
    const { status, body } = await restoring;
    expect(status).toBe(200);
    return { restored: body as RestoredView, changed };
  }

  test('a backup holds everything, and is listed with size, age and contents', async () => {
    const shot = await aShot();
    await server.request.post('/api/kit/cameras').send({ item: { name: 'nothing' } });
    const made = (await server.request.post('/api/backups').expect(201)).body as BackupView;
    expect(made).toMatchObject({ reason: 'by-hand', productions: 1, shots: 1, takes: 0 });
    const { backups, freeBytes, failure } = (await server.request.get('/api/backups').expect(200)).body as BackupsView;
    expect(backups).toEqual([made]);
    expect(made.bytes).toBeGreaterThan(500);
    expect(Date.now() - Date.parse(made.madeAt)).toBeLessThan(3_600_000);
    expect(freeBytes).toBeGreaterThan(0);
    expect(failure).toBeNull();
    const { body } = await server.request.get(`/api/backups/${made.name}`).buffer(true).expect(200);
    expect((body as Buffer).length).toBe(made.bytes);
    expect(readdirSync(join(server.folder, 'backups'))).toEqual([made.name]);

    const { restored, changed } = await restoreWhileSaving(made.name, shot);
    expect(restored.before).toMatchObject({ reason: 'before-restore', shots: 1 });
    const back = (await server.request.get(`/api/shots/${shot.id}`)).body as ShotView;
    expect(back).toEqual({ ...shot, version: back.version });

    // an edit made from what was there before is a conflict, not a change of something else
    await save(shot.id, 'made elsewhere', changed.version).expect(409);
    // and the restoration can be undone, with every save that was acknowledged before it
    await server.request.post(`/api/backups/${restored.before.name}/restore`).expect(200);
    expect(await titleOf(shot.id)).toBe(changed.title);
    const revisions = (await server.request.get(`/api/shots/${shot.id}/revisions`)).body as { version: number }[];
    expect(revisions).toHaveLength(changed.version);

    // versions rise by what is needed: going back and forth never comes near the largest whole number
    const db = server.app.get<Database>(DATABASE);
    for (let round = 0; round < 40; round++) await raiseVersions(db, await newestVersion(db));
    expect(await newestVersion(db)).toBeLessThan(50 * (changed.version + 2));
    const raised = (await server.request.get(`/api/shots/${shot.id}/revisions`)).body as { version: number }[];
    expect(raised.map(({ version }) => raised[0]!.version - version)).toEqual(revisions.map((_, index) => index));

    // what is no backup, or a damaged one, is refused and changes nothing
    for (const name of ['nothing.backup.gz', '..%2F..%2Fetc%2Fpasswd', '%2e%2e', 'a%00.backup.gz'])
      await server.request.post(`/api/backups/${name}/restore`).expect((answer) => expect([400, 404]).toContain(answer.status));
    const file = join(server.folder, 'backups', made.name);
    const whole = readFileSync(file);
    truncateSync(file, whole.length - 20);
    const { body: refused } = await server.request.post(`/api/backups/${made.name}/restore`).expect(409);
    expect(refused).toMatchObject({ code: 'bad-backup' });
    const flipped = Buffer.from(whole);
    flipped[Math.floor(whole.length / 2)]! ^= 255;
    writeFileSync(file, flipped);
    await server.request.post(`/api/backups/${made.name}/restore`).expect(409);
    expect(await titleOf(shot.id)).toBe(changed.title);
    const left = (await server.request.get('/api/backups').expect(200)).body as BackupsView;
    expect(left.backups.map(({ name }) => name)).not.toContain(made.name);
  });

  test('a start makes one only if something has changed', async () => {
    const start = async () => {
      server = await startServer({ dataFolder: server.folder, backsUp: true });
      // a stop waits for the backup that is being made
      await server.stop();
      return backupsIn(server.folder);
    };
    await aShot();
    await server.stop();
    const [first, ...none] = await start();
    expect(first).toMatch(/Z-start\.backup\.gz$/);
    expect(none).toEqual([]);
    expect(await start()).toEqual([first]);
    server = await startServer({ dataFolder: server.folder });
    await makeProduction(server, 'Another');
    await server.stop();
    // of two in one hour the newer one is kept
    const second = await start();
    expect(second).toHaveLength(1);
    expect(second).not.toEqual([first]);
  });

  test('the commands do it without a server, and through the one that runs', async () => {
    const shot = await aShot();
    writeFileSync(join(server.folder, 'address'), await server.app.getUrl());
    expect(await backupCommand(place())).toContain('1 production, 1 shot, no takes');
    const [name] = backupsIn(server.folder);
    expect(await restoreCommand(place(), undefined)).toContain(name);
    await expect(restoreCommand(place(), 'another')).rejects.toThrow('There is no backup another');
    await expect(restoreCommand(place(), EMPTY)).rejects.toThrow('Another Still Heron');
    await server.request
      .put(`/api/shots/${shot.id}`)
      .send({ ...someShot({ title: 'changed' }), version: 1 })
      .expect(200);
    expect(await restoreCommand(place(), name)).toContain('Everything is as it was on');
    expect(await titleOf(shot.id)).toBe(TITLE);
    await server.stop();
    expect(await backupCommand(place())).toContain('was opened to make sure');
    expect(backupsIn(server.folder)).toHaveLength(3);
  });

  describe('a folder that can’t be opened', () => {
    const control = () => join(server.folder, 'pglite/global/pg_control');

    test('is told with the newest backup, and stays until a person says which way to go', async () => {
      const shot = await aShot();
      await server.request.post('/api/backups').expect(201);
      await server.stop();
      rmSync(control());
      const broken = await startServer({ dataFolder: server.folder }).catch((error: unknown) => error);
      expect(broken).toBeInstanceOf(BrokenStore);
      const [name] = backupsIn(server.folder);
      const text = await describeBroken(broken as BrokenStore, server.folder);
      expect(text).toContain(`${join(server.folder, 'pglite')} can’t be opened: could not open file "global/pg_control"`);
      expect(text).toContain('It holds 1 production, 1 shot, no takes.');
      expect(text).toContain(`npm run restore -- ${name}`);
      await expect(backupCommand(place())).rejects.toThrow(BrokenStore);

      const said = await restoreCommand(place(), name);
      const aside = readdirSync(server.folder).find((entry) => entry.startsWith('pglite-put-aside-'))!;
      expect(said).toContain(aside);
      expect(existsSync(join(server.folder, aside, 'base'))).toBe(true);
      server = await startServer({ dataFolder: server.folder });
      expect(await titleOf(shot.id)).toBe(TITLE);
    });

    test('also when it is no database at all, and there is no backup', async () => {
      await server.stop();
      rmSync(join(server.folder, 'pglite/PG_VERSION'));
      const broken = (await startServer({ dataFolder: server.folder }).catch((error: unknown) => error)) as BrokenStore;
      expect(await describeBroken(broken, server.folder)).toContain('There is no backup of it.');
      expect(await restoreCommand(place(), EMPTY)).toContain('The next start makes an empty one.');
      expect(readdirSync(server.folder).filter((name) => name.startsWith('pglite'))).toEqual([
        expect.stringContaining('pglite-put-aside-'),
      ]);
    });
  });

  test('a database with migrations that are not known yet is refused with the version that ran them', async () => {
    const db = server.app.get<Database>(DATABASE);
    await db.execute(sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('later', 9999999999999)`);
    await db.execute(sql`comment on table drizzle.__drizzle_migrations is '7.1.0'`);
    await server.stop();
    await expect(startServer({ dataFolder: server.folder })).rejects.toThrow('Still Heron 7.1.0 wrote the database in');
  });

  test('a database of an earlier version is backed up before it is updated, and such a backup can be restored', async () => {
    await server.stop();
    const store = join(server.folder, 'pglite');
    rmSync(store, { recursive: true });
    const old = await openCopy(store);
    await migrate(old.db, 4);
    await old.db.execute(sql`insert into productions (name) values ('From before')`);
    await old.close();
    server = await startServer({ dataFolder: server.folder });
    const [name] = backupsIn(server.folder);
    expect(name).toMatch(/before-update/);
    expect((await server.request.get('/api/productions')).body).toMatchObject([{ name: 'From before', shutterAngleDeg: 180 }]);
    await makeProduction(server, 'Since then');
    await server.request.post(`/api/backups/${name}/restore`).expect(200);
    expect((await server.request.get('/api/productions')).body).toMatchObject([{ name: 'From before' }]);
  });
});
