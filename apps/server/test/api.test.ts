import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type { ProductionView, RevisionView, ShotRowView, ShotView } from '@still-heron/contract';
import { addSubject, newPlan, type ShotPlan, upgradePlan } from '@still-heron/core';
import { sql } from 'drizzle-orm';
import type { Database } from '../src/database/database';
import { DATABASE } from '../src/database/tokens';
import { makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

const slates = async (productionId: string) =>
  ((await server.request.get(`/api/productions/${productionId}/shots`).expect(200)).body as ShotView[]).map(({ slate }) => slate);

describe('productions', () => {
  test('are made, listed, renamed, and given their shutter angle', async () => {
    const made = await makeProduction(server, '  The Bell Foundry ');
    expect(made).toMatchObject({ name: 'The Bell Foundry', shutterAngleDeg: 180, version: 1, shotCount: 0 });
    const changed = (
      await server.request.patch(`/api/productions/${made.id}`).send({ version: 1, shutterAngleDeg: 90 }).expect(200)
    ).body as ProductionView;
    expect(changed).toMatchObject({ frameAspect: null, lookBlurPercent: null, enlargedPercent: 0 });
    const look = { frameAspect: 2.39, lookBlurPercent: 1.5, enlargedPercent: 10 };
    const path = `/api/productions/${made.id}`;
    const looked = (
      await server.request
        .patch(path)
        .send({ version: 2, ...look })
        .expect(200)
    ).body as ProductionView;
    expect(looked).toMatchObject({ ...look, shutterAngleDeg: 90, version: 3 });
    const cleared = await server.request.patch(path).send({ version: 3, frameAspect: null }).expect(200);
    expect(cleared.body).toMatchObject({ ...look, frameAspect: null, version: 4 });
    for (const broken of [{ frameAspect: 0 }, { lookBlurPercent: 'soft' }, { enlargedPercent: null }, { enlargedPercent: -1 }])
      await server.request
        .patch(path)
        .send({ version: 4, ...broken })
        .expect(400);
    expect(changed).toMatchObject({ name: 'The Bell Foundry', shutterAngleDeg: 90, version: 2 });
    const all = (await server.request.get('/api/productions').expect(200)).body as ProductionView[];
    expect(all.map(({ id }) => id)).toContain(made.id);
  });

  test('a change made from an older version is refused', async () => {
    const { id } = await makeProduction(server);
    await server.request.patch(`/api/productions/${id}`).send({ version: 1, name: 'One' }).expect(200);
    const answer = await server.request.patch(`/api/productions/${id}`).send({ version: 1, name: 'Two' }).expect(409);
    expect(answer.body).toMatchObject({ code: 'version-conflict', path: 'version', need: 'a change made from version 2' });
    expect((await server.request.get(`/api/productions/${id}`)).body).toMatchObject({ name: 'One' });
  });
});

describe('the list of shots', () => {
  test('has what a row shows, and plans in parts; a plan of an earlier form is brought to the newest', async () => {
    const { id } = await makeProduction(server);
    const newer = await makeShot(server, id, { slate: '1A' });
    const older = await makeShot(server, id, { slate: '1B' });
    const sample = readFileSync(resolve('packages/core/test/samples/plan-5.json'), 'utf8');
    const plan = upgradePlan(JSON.parse(sample)) as ShotPlan;
    await server.app.get<Database>(DATABASE).execute(sql`update shots set plan = ${sample}::jsonb where id = ${older.id}`);
    const rows = (await server.request.get(`/api/productions/${id}/shot-rows`).expect(200)).body as ShotRowView[];
    const setupOf = ({ optics, method, laterMethods }: ShotPlan) => ({
      nearerTurns: optics.lens.nearerTurns,
      ...{ focalLengthMm: optics.focalLengthMm, stop: optics.stop, stopScale: optics.lens.stopScale, method },
      laterMethods: laterMethods.map((part) => part.method),
    });
    const { scene, title } = newer;
    expect(rows).toEqual([
      { id: newer.id, version: 1, scene, slate: '1A', title, setup: setupOf(newer.plan) },
      { id: older.id, version: 1, scene, slate: '1B', title, setup: setupOf(plan) },
    ]);
    const gone = '00000000-0000-4000-8000-000000000000';
    const plans = (ids: string) => server.request.get(`/api/productions/${id}/plans?shots=${ids}`);
    const { body } = await plans(`${older.id},${gone},${older.id}`).expect(200);
    expect(body).toEqual([{ id: older.id, version: 1, plan }]);
    const other = await makeProduction(server);
    expect((await server.request.get(`/api/productions/${other.id}/plans?shots=${older.id}`)).body).toEqual([]);
    for (const wrong of [
      '',
      'x',
      `${older.id},`,
      Array(51)
        .fill(0)
        .map(() => randomUUID())
        .join(),
    ])
      expect((await plans(wrong).expect(400)).body).toMatchObject({ code: 'not-ids', path: 'shots' });
  });
});

describe('shots', () => {
  test('come back as they were saved, with infinity and all', async () => {
    const { id } = await makeProduction(server);
    const plan = addSubject(addSubject(newPlan(), { name: 'Bohdan', distanceMm: 2700 }), {
      name: 'River ferry',
      distanceMm: null,
    });
    const made = await makeShot(server, id, { plan });
    expect((await server.request.get(`/api/shots/${made.id}`).expect(200)).body).toEqual(made);
    expect(made).toMatchObject({ version: 1, plan });
  });

  test('stand in shooting order: at the end, after another, moved', async () => {
    const production = await makeProduction(server);
    const a = await makeShot(server, production.id, { slate: 'A' });
    const b = await makeShot(server, production.id, { slate: 'B' });
    const c = await makeShot(server, production.id, { slate: 'C', afterShotId: a.id });
    expect(await slates(production.id)).toEqual(['A', 'C', 'B']);
    const order = { version: production.version, shotIds: [b.id, a.id, c.id] };
    expect((await server.request.put(`/api/productions/${production.id}/order`).send(order).expect(200)).body).toMatchObject({
      version: 2,
      shotCount: 3,
    });
    expect(await slates(production.id)).toEqual(['B', 'A', 'C']);
    expect((await server.request.put(`/api/productions/${production.id}/order`).send(order).expect(409)).body).toMatchObject({
      code: 'version-conflict',
    });
    const missing = { version: 2, shotIds: [b.id, a.id] };
    expect((await server.request.put(`/api/productions/${production.id}/order`).send(missing).expect(409)).body).toMatchObject({
      code: 'other-shots',
      path: 'shotIds',
    });
    expect(await slates(production.id)).toEqual(['B', 'A', 'C']);
  });

  test('a shot of another production is no neighbour', async () => {
    const [one, other] = [await makeProduction(server), await makeProduction(server)];
    const { id: afterShotId } = await makeShot(server, one.id);
    await server.request
      .post(`/api/productions/${other.id}/shots`)
      .send({ ...someShot(), afterShotId })
      .expect(404);
    await server.request
      .post(`/api/productions/${other.id}/shots`)
      .send({ ...someShot(), afterShotId: 'first' })
      .expect(404);
    expect(await slates(other.id)).toEqual([]);
  });

  test('a duplicate comes right after, with a slate of its own', async () => {
    const { id } = await makeProduction(server);
    const original = await makeShot(server, id, { slate: '4B' });
    await makeShot(server, id, { slate: '5A' });
    const copy = (await server.request.post(`/api/shots/${original.id}/duplicate`).expect(201)).body as ShotView;
    await server.request.post(`/api/shots/${copy.id}/duplicate`).expect(201);
    expect(copy).toMatchObject({ slate: '4B-2', version: 1, plan: original.plan });
    expect(await slates(id)).toEqual(['4B', '4B-2', '4B-3', '5A']);
  });

  test('a deletion can be taken back, in its place', async () => {
    const { id } = await makeProduction(server);
    const first = await makeShot(server, id, { slate: 'A' });
    await makeShot(server, id, { slate: 'B' });
    await server.request.delete(`/api/shots/${first.id}?version=7`).expect(409);
    await server.request.delete(`/api/shots/${first.id}?version=1`).expect(204);
    await server.request.get(`/api/shots/${first.id}`).expect(404);
    await server.request.delete(`/api/shots/${first.id}?version=1`).expect(404);
    expect(await slates(id)).toEqual(['B']);
    await server.request.post(`/api/shots/${first.id}/restore`).expect(200);
    await server.request.post(`/api/shots/${first.id}/restore`).expect(404);
    expect(await slates(id)).toEqual(['A', 'B']);
  });
});

describe('saving', () => {
  test('raises the version and keeps every revision', async () => {
    const { id } = await makeProduction(server);
    const shot = await makeShot(server, id, { title: 'first' });
    for (const [version, title] of [
      [1, 'second'],
      [2, 'third'],
    ] as const) {
      expect(
        (
          await server.request
            .put(`/api/shots/${shot.id}`)
            .send({ ...someShot({ title }), version })
            .expect(200)
        ).body,
      ).toMatchObject({ version: version + 1, title });
    }
    const revisions = (await server.request.get(`/api/shots/${shot.id}/revisions`).expect(200)).body as RevisionView[];
    expect(revisions.map(({ version }) => version)).toEqual([3, 2, 1]);
    expect((await server.request.get(`/api/shots/${shot.id}/revisions/2`).expect(200)).body).toMatchObject({ title: 'second' });
    await server.request.get(`/api/shots/${shot.id}/revisions/9`).expect(404);
    await server.request.get(`/api/shots/${shot.id}/revisions/last`).expect(404);
  });

  test('from an older version answers 409 with what is stored, and changes nothing', async () => {
    const { id } = await makeProduction(server);
    const shot = await makeShot(server, id);
    const mine = (
      await server.request
        .put(`/api/shots/${shot.id}`)
        .send({ ...someShot({ title: 'mine' }), version: 1 })
        .expect(200)
    ).body as ShotView;
    const answer = await server.request
      .put(`/api/shots/${shot.id}`)
      .send({ ...someShot({ title: 'theirs' }), version: 1 })
      .expect(409);
    expect(answer.body).toMatchObject({ code: 'version-conflict', path: 'version', stored: mine });
    expect((await server.request.get(`/api/shots/${shot.id}`)).body).toEqual(mine);
  });

  test('of two at once from one version, one wins', async () => {
    const { id } = await makeProduction(server);
    const shot = await makeShot(server, id);
    const answers = await Promise.all(
      ['left', 'right'].map((title) => server.request.put(`/api/shots/${shot.id}`).send({ ...someShot({ title }), version: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409]);
  });
});

test('health, and a description of the API', async () => {
  expect((await server.request.get('/api/health').expect(200)).body).toMatchObject({ status: 'ok', warnings: [] });
  const description = (await server.request.get('/api/docs-json').expect(200)).body as {
    paths: Record<string, object>;
    components: { schemas: Record<string, { properties: object }> };
  };
  expect(Object.keys(description.paths)).toEqual(
    expect.arrayContaining(['/api/productions', '/api/shots/{shotId}', '/api/shots/{shotId}/revisions']),
  );
  expect(description.components.schemas['SaveShot']!.properties).toHaveProperty('version');
});

test('answers carry strict headers and no framework’s name', async () => {
  const { headers } = await server.request.get('/api/health');
  expect(headers).not.toHaveProperty('x-powered-by');
  expect(headers['content-security-policy']).toContain("default-src 'self'");
  expect(headers['content-security-policy']).not.toContain('upgrade-insecure-requests');
});
