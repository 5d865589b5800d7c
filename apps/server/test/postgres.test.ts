import type { ErrorBody, ProductionView, ShotView } from '@still-heron/contract';
import { newTake } from '@still-heron/core';
import { execFileSync } from 'node:child_process';
import pg from 'pg';
import { databaseOf, demoShots, makeProduction, makeShot, SERVER_URL, someShot, startServer, type TestServer } from './server';

/** Only with a PostgreSQL server: `npm run test:postgres`. */
const describeServer = SERVER_URL === undefined ? describe.skip : describe;

/** Ends all connections to the database of a server, as a restart of PostgreSQL does. */
async function cutConnections({ folder }: TestServer): Promise<void> {
  const client = new pg.Client({ connectionString: SERVER_URL });
  await client.connect();
  const database = new URL(await databaseOf(SERVER_URL!, folder)).pathname.slice(1);
  await client.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [database]);
  await client.end();
}

/** Sends a save until it is answered with something that does not pass, as the page does. */
async function savedInTheEnd(server: TestServer, shot: ShotView, title: string): Promise<number[]> {
  const seen: number[] = [];
  for (;;) {
    const { status, body } = await server.request
      .put(`/api/shots/${shot.id}`)
      .send({ ...someShot({ title }), version: shot.version });
    seen.push(status);
    if (status !== 503) return seen;
    expect((body as ErrorBody).code).toMatch(/database-away|busy/);
  }
}

/** Reads a shot, again while the database is away: a connection may be cut after the save has ended. */
async function readInTheEnd(server: TestServer, id: string): Promise<ShotView> {
  for (;;) {
    const { status, body } = await server.request.get(`/api/shots/${id}`);
    if (status === 200) return body as ShotView;
    expect([status, (body as ErrorBody).code]).toEqual([503, 'database-away']);
  }
}

describeServer('a PostgreSQL server', () => {
  const servers: TestServer[] = [];
  const started = async (options: Parameters<typeof startServer>[0] = {}) => {
    const server = await startServer(options);
    servers.push(server);
    return server;
  };
  afterEach(async () => {
    for (const server of servers.splice(0)) {
      await server.stop();
      server.remove();
    }
  });

  test('may end every connection in the middle of saves: the server stays, and no acknowledged save is lost', async () => {
    const server = await started();
    const { id } = await makeProduction(server);
    let shot = await makeShot(server, id);
    for (let round = 1; round <= 15; round++) {
      const [seen] = await Promise.all([savedInTheEnd(server, shot, `round ${round}`), cutConnections(server)]);
      const stored = await readInTheEnd(server, shot.id);
      // a save whose answer was cut off may be there: then the second try is a conflict with itself
      expect([200, 409]).toContain(seen.at(-1));
      expect(stored.title).toBe(`round ${round}`);
      shot = stored;
    }
  });

  test('may be killed and started again: requests wait or are answered with 503, and the server finds back by itself', async () => {
    const server = await started();
    const { id } = await makeProduction(server);
    let shot = await makeShot(server, id);
    const [command, ...args] = JSON.parse(process.env['STILL_HERON_TEST_RESTART']!) as [string, ...string[]];
    for (let round = 1; round <= 3; round++) {
      const saved = savedInTheEnd(server, shot, `killed ${round}`);
      execFileSync(command, args, { cwd: '/tmp' });
      expect([200, 409]).toContain((await saved).at(-1));
      shot = (await server.request.get(`/api/shots/${shot.id}`).expect(200)).body as ShotView;
      expect(shot.title).toBe(`killed ${round}`);
    }
  });

  test('forty shots made at once are forty shots, in an order', async () => {
    const server = await started();
    const { id } = await makeProduction(server);
    const first = await makeShot(server, id);
    const made = await Promise.all(
      Array.from({ length: 40 }, (_, index) =>
        server.request
          .post(`/api/productions/${id}/shots`)
          .send({ ...someShot({ slate: `${index}` }), ...(index % 2 === 0 ? { afterShotId: first.id } : {}) })
          .then(({ status }) => status),
      ),
    );
    expect(made).toEqual(Array<number>(40).fill(201));
    expect((await server.request.get(`/api/productions/${id}/shots`).expect(200)).body).toHaveLength(41);
  });

  test('two servers on one database start at the same moment, and save together', async () => {
    const folder = `/tmp/still-heron-two-${process.pid}`;
    const [one, other] = await Promise.all([started({ dataFolder: folder }), started({ dataFolder: folder })]);
    const { id } = await makeProduction(one!);
    expect(((await other!.request.get('/api/productions').expect(200)).body as ProductionView[])[0]!.id).toBe(id);
    const shot = await makeShot(other!, id);
    const save = (server: TestServer, title: string) =>
      server.request.put(`/api/shots/${shot.id}`).send({ ...someShot({ title }), version: 1 });
    const answers = await Promise.all([save(one!, 'here'), save(other!, 'there')]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test('one take id sent at once for two shots is one take', async () => {
    const server = await started();
    const { id } = await makeProduction(server);
    const shot = demoShots()[0]!;
    const shots = [await makeShot(server, id, shot), await makeShot(server, id, shot)];
    for (let round = 0; round < 10; round++) {
      const body = {
        id: `00000000-0000-4000-8000-0000000000${10 + round}`,
        rolledAt: '2026-11-28T10:00:00Z',
        take: newTake(shots[0]!.plan, 1),
      };
      const answers = await Promise.all(shots.map((shot) => server.request.post(`/api/shots/${shot.id}/takes`).send(body)));
      expect(answers.map(({ status }) => status).sort()).toEqual([201, 409]);
    }
  });

  test('a backup of it is restored as one of a folder is', async () => {
    const server = await started();
    const { id } = await makeProduction(server);
    const shot = await makeShot(server, id);
    const { body: made } = await server.request.post('/api/backups').expect(201);
    await server.request
      .put(`/api/shots/${shot.id}`)
      .send({ ...someShot({ title: 'changed' }), version: 1 })
      .expect(200);
    await server.request.post(`/api/backups/${(made as { name: string }).name}/restore`).expect(200);
    expect((await server.request.get(`/api/shots/${shot.id}`)).body).toMatchObject({ title: shot.title });
  });
});

test('a server that does not answer is told at the start, with what to do', async () => {
  const { openDatabase } = await import('../src/database/driver');
  await expect(openDatabase({ databaseUrl: 'postgres://nobody@127.0.0.1:9/none', dataFolder: '/tmp' })).rejects.toThrow(
    /^The PostgreSQL server of DATABASE_URL can’t be used: .*ECONNREFUSED.*Start it, or correct DATABASE_URL/,
  );
});
