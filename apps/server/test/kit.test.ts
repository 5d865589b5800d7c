import type { ErrorBody, KitFile, KitImportView, KitItemView, ProductionView, ShotView } from '@still-heron/contract';
import { checkKitItem, gearChanges, KIT_KINDS, type KitKind, PLAN_SCHEMA, type ShotPlan } from '@still-heron/core';
import { eq } from 'drizzle-orm';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { DATABASE } from '../src/database/tokens';
import type { Database } from '../src/database/database';
import { lenses, shots as shotTable } from '../src/database/schema';
import { DEMO_KIT } from '../src/demo/kit';
import { makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

const [lens28, lens32] = DEMO_KIT.lenses;
const list = async (kind: KitKind) => (await server.request.get(`/api/kit/${kind}`).expect(200)).body as KitItemView[];
const add = async (kind: KitKind, item: unknown) =>
  (
    await server.request
      .post(`/api/kit/${kind}`)
      .send({ item: item as object })
      .expect(201)
  ).body as KitItemView;

test.each(KIT_KINDS.map((kind) => [kind]))('%s: put in, listed by name, changed, deleted and brought back', async (kind) => {
  const items = DEMO_KIT[kind];
  for (const item of [...items].reverse()) await add(kind, item);
  const all = await list(kind);
  const names = all.map(({ item }) => ('lens' in item ? item.lens.name : item.name));
  expect(names).toHaveLength(items.length);
  expect(names).toEqual([...names].sort((a, b) => (a < b ? -1 : 1)));
  const [first] = all;
  expect((await server.request.get(`/api/kit/${kind}/${first!.id}`).expect(200)).body).toEqual(first);
  const changed = { ...first!.item, notes: 'in the blue case' };
  const saved = (await server.request.put(`/api/kit/${kind}/${first!.id}`).send({ version: 1, item: changed }).expect(200))
    .body as KitItemView;
  expect(saved).toMatchObject({ version: 2, item: { notes: 'in the blue case' } });
  const late = (await server.request.put(`/api/kit/${kind}/${first!.id}`).send({ version: 1, item: first!.item }).expect(409))
    .body as ErrorBody;
  expect(late).toMatchObject({ code: 'version-conflict', path: 'version', stored: saved });
  await server.request.delete(`/api/kit/${kind}/${first!.id}?version=1`).expect(409);
  await server.request.delete(`/api/kit/${kind}/${first!.id}?version=2`).expect(204);
  expect(await list(kind)).toHaveLength(items.length - 1);
  await server.request.get(`/api/kit/${kind}/${first!.id}`).expect(404);
  expect((await server.request.post(`/api/kit/${kind}/${first!.id}/restore`).expect(200)).body).toMatchObject({ version: 2 });
  await server.request.post(`/api/kit/${kind}/${first!.id}/restore`).expect(404);
});

test.each<[string, string, unknown, number, string, string]>([
  ['no item', 'lenses', {}, 400, 'item', 'an item of kit'],
  ['an item that is a word', 'lenses', { item: 'a lens' }, 400, 'item', 'an item of kit'],
  ['an item of another kind', 'wheels', { item: lens28 }, 400, 'item.lens', 'only name'],
  [
    'a stop of 0',
    'lenses',
    { item: { ...lens28!, lens: { ...lens28!.lens, widestStop: 0 } } },
    400,
    'item.lens.widestStop',
    '0.5 to 64',
  ],
  [
    'a scale that turns back',
    'lenses',
    {
      item: {
        ...lens28!,
        lens: {
          ...lens28!.lens,
          ring: {
            kind: 'table',
            points: [
              [null, 0],
              [3000, 80],
              [2000, 20],
              [900, 200],
            ].map(([distanceMm, ringDeg]) => ({ distanceMm, ringDeg })),
          },
        },
      },
    },
    400,
    'item.lens.ring.points[2]',
    'between 80° and 200°',
  ],
  ['another field', 'rigs', { item: DEMO_KIT.rigs[0], colour: 'red' }, 400, 'colour', 'only the fields'],
  ['a kind that is none', 'tripods', { item: {} }, 404, '', 'kind of kit'],
])('%s is refused with what would do', async (_, kind, body, status, path, need) => {
  const before = await list('lenses');
  const refusal = (
    await server.request
      .post(`/api/kit/${kind}`)
      .send(body as object)
      .expect(status)
  ).body as ErrorBody;
  expect(refusal.path).toBe(path);
  expect(refusal.need).toContain(need);
  expect(await list('lenses')).toEqual(before);
});

test('ids and versions that can’t be are not found or refused', async () => {
  await server.request.get('/api/kit/lenses/nothing').expect(404);
  const [lens] = await list('lenses');
  await server.request.delete(`/api/kit/lenses/${lens!.id}?version=soon`).expect(400);
  await server.request.put(`/api/kit/lenses/${lens!.id}`).send({ item: lens!.item }).expect(400);
});

describe('a whole kit as a file', () => {
  const file = (changes: Partial<KitFile> = {}) => ({ format: 'still-heron-kit', schema: 1, lenses: [], ...changes });
  const send = (body: object) => server.request.post('/api/kit/import').send(body);

  test('goes out and comes in elsewhere without loss, and twice adds nothing', async () => {
    const out = (await server.request.get('/api/kit/export').expect(200)).body as KitFile;
    const elsewhere = await startServer();
    const bring = async () => (await elsewhere.request.post('/api/kit/import').send(out).expect(200)).body as KitImportView;
    const count = KIT_KINDS.reduce((sum, kind) => sum + out[kind].length, 0);
    expect(await bring()).toEqual({ added: count, alreadyThere: 0 });
    expect((await elsewhere.request.get('/api/kit/export')).body).toEqual(out);
    expect(await bring()).toEqual({ added: 0, alreadyThere: count });
    await elsewhere.stop();
    elsewhere.remove();
  });

  test('one wrong item keeps the whole file out, and every wrong one is named', async () => {
    const before = await list('lenses');
    const wrong = { ...lens32!, lens: { ...lens32!.lens, narrowestStop: 1 } };
    const refusal = (await send(file({ lenses: [lens28!, wrong, { ...lens28!, notes: 7 } as never] })).expect(400))
      .body as ErrorBody;
    expect(refusal.problems!.map(({ path }) => path)).toEqual([
      'lenses[1].lens.widestStop',
      'lenses[1].lens.widestStopLong',
      'lenses[2].notes',
    ]);
    expect(await list('lenses')).toEqual(before);
  });

  test.each<[string, object, string]>([
    ['of another program', { ...file(), format: 'something' }, 'format'],
    ['of a later form', { ...file(), schema: 2 }, 'schema'],
    ['with a list that is none', { ...file(), lenses: 'all' }, 'lenses'],
    ['with more than it says', { ...file(), films: [] }, 'films'],
  ])('a file %s is refused', async (_, body, path) => {
    expect(((await send(body).expect(400)).body as ErrorBody).path).toBe(path);
  });

  test('a thousand lenses fit; a file too large is refused with how much would do', async () => {
    const many = Array.from({ length: 1000 }, (_, k) => ({ ...lens28!, lens: { ...lens28!.lens, name: `28 mm no. ${k}` } }));
    expect((await send(file({ lenses: many })).expect(200)).body).toEqual({ added: 1000, alreadyThere: 0 });
    expect(await list('lenses')).toHaveLength(1000 + DEMO_KIT.lenses.length);
    const huge = file({ lenses: many.map((item) => ({ ...item, notes: 'x'.repeat(9000) })) });
    expect(((await send(huge).expect(413)).body as ErrorBody).need).toContain('8mb');
  });
});

test('a production keeps the angle it is shot at', async () => {
  const { id, version, shutterAngleDeg } = await makeProduction(server);
  expect(shutterAngleDeg).toBe(180);
  await server.request.patch(`/api/productions/${id}`).send({ version, shutterAngleDeg: 172.8 }).expect(200);
  expect((await server.request.get(`/api/productions/${id}`)).body).toMatchObject({ shutterAngleDeg: 172.8 });
  const refusal = (
    await server.request
      .patch(`/api/productions/${id}`)
      .send({ version: version + 1, shutterAngleDeg: 720 })
      .expect(400)
  ).body as ErrorBody;
  expect(refusal).toMatchObject({ path: 'shutterAngleDeg', need: 'a number from 1 to 360' });
});

test('a plan of an earlier form is read, and taken, as one of the newest', async () => {
  const earlier = JSON.parse(
    readFileSync(join(__dirname, '../../../packages/core/test/samples/plan-1.json'), 'utf8'),
  ) as ShotPlan;
  const { id } = await makeProduction(server);
  const shot = await makeShot(server, id, { plan: earlier });
  expect(shot.plan).toMatchObject({ schema: PLAN_SCHEMA, wheel: null, optics: { focalLengthMm: 65 } });
  await server.app.get<Database>(DATABASE).update(shotTable).set({ plan: earlier });
  const read = (await server.request.get(`/api/shots/${shot.id}`).expect(200)).body as ShotView;
  expect(read.plan).toEqual(shot.plan);
  const copy = (await server.request.post(`/api/shots/${shot.id}/duplicate`).expect(201)).body as ShotView;
  expect(copy.plan).toEqual(shot.plan);
  await server.request
    .put(`/api/shots/${shot.id}`)
    .send({ ...someShot(), version: 1, plan: earlier })
    .expect(200);
});

test('a lens of an earlier form is read, taken and imported as one whose autofocus nobody has tested', async () => {
  const { lens, ...rest } = lens28!;
  const { autofocus: _, ...figures } = { ...lens, name: 'An earlier lens' };
  const earlier = { ...rest, lens: figures };
  const stored = await add('lenses', earlier);
  expect(stored.item).toMatchObject({ lens: { autofocus: 'untested' } });
  await server.app
    .get<Database>(DATABASE)
    .update(lenses)
    .set({ item: earlier as never })
    .where(eq(lenses.id, stored.id));
  const read = (await server.request.get(`/api/kit/lenses/${stored.id}`).expect(200)).body as KitItemView;
  expect(read.item).toEqual(stored.item);
  expect((await list('lenses')).find(({ id }) => id === stored.id)!.item).toEqual(stored.item);
  const file: KitFile = { format: 'still-heron-kit', schema: 1, cameras: [], lenses: [earlier as never], wheels: [], rigs: [] };
  expect((await server.request.post('/api/kit/import').send(file).expect(200)).body).toEqual({ added: 0, alreadyThere: 1 });
});

test('whatever is put anywhere in an item of kit: refused in the one shape, or stored and read back; never a 500', async () => {
  const paths = (value: unknown, at: string): string[] =>
    typeof value === 'object' && value !== null
      ? Object.entries(value).flatMap(([key, inner]) => [`${at}${key}`, ...paths(inner, `${at}${key}.`)])
      : [];
  const put = (item: unknown, path: string, value: unknown): object => {
    const copy = JSON.parse(JSON.stringify(item)) as Record<string, unknown>;
    const keys = path.split('.');
    const last = keys.pop()!;
    keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy)[last] = value;
    return copy;
  };
  const anything = fc.oneof(
    fc.constantFrom<unknown>(null, -1, 0, 1e300, '', 'text', '\ud800', 'a\0b', [], {}, true, [null], [[]], 'T'),
    fc.double({ noNaN: true, noDefaultInfinity: true }),
    fc.string(),
    fc.object({ maxDepth: 1 }),
  );
  for (const kind of KIT_KINDS) {
    const item = DEMO_KIT[kind][0]!;
    const all = paths(item, '');
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...all), anything, async (path, value) => {
        const given = put(item, path, value);
        const answer = await server.request.post(`/api/kit/${kind}`).send({ item: given });
        if (answer.status === 201) {
          const { id } = answer.body as KitItemView;
          expect(((await server.request.get(`/api/kit/${kind}/${id}`).expect(200)).body as KitItemView).item).toEqual(
            JSON.parse(JSON.stringify(given)),
          );
        } else {
          expect(answer.status).toBe(400);
          const { code, message, need, path: where } = answer.body as ErrorBody;
          for (const part of [code, message, need]) expect(part).toMatch(/./);
          expect(where.startsWith('item')).toBe(true);
        }
      }),
      { seed: 71, numRuns: 60 },
    );
  }
});

test('an import that fails in the middle leaves nothing behind', async () => {
  const before = await list('wheels');
  const wheels = Array.from({ length: 600 }, (_, k) => ({ ...DEMO_KIT.wheels[0]!, name: `Wheel ${k}` }));
  const broken = { ...DEMO_KIT.rigs[0]!, support: 'kite' };
  const refusal = (
    await server.request
      .post('/api/kit/import')
      .send({ format: 'still-heron-kit', schema: 1, wheels, rigs: [broken] })
      .expect(400)
  ).body as ErrorBody;
  expect(refusal).toMatchObject({ path: 'rigs[0].support', code: 'not-a-choice' });
  expect(await list('wheels')).toEqual(before);
  const taken = (await server.request.post('/api/kit/import').send({ format: 'still-heron-kit', schema: 1, wheels }).expect(200))
    .body;
  expect(taken).toEqual({ added: 600, alreadyThere: 0 });
  expect(await list('wheels')).toHaveLength(before.length + 600);
});

test('the demo’s kit is whole, has no maker’s name, and each shot of it took its gear from there', async () => {
  const demo = await startServer({ seedsDemo: true });
  const kit = (await demo.request.get('/api/kit/export').expect(200)).body as KitFile;
  expect(KIT_KINDS.map((kind) => kit[kind].length)).toEqual(KIT_KINDS.map((kind) => DEMO_KIT[kind].length));
  for (const kind of KIT_KINDS) for (const item of kit[kind]) expect(checkKitItem(kind, item)).toEqual([]);
  const [production] = (await demo.request.get('/api/productions')).body as ProductionView[];
  const shots = (await demo.request.get(`/api/productions/${production!.id}/shots`)).body as ShotView[];
  const lenses = (await demo.request.get('/api/kit/lenses')).body as KitItemView<'lenses'>[];
  const changed: string[] = [];
  // a photo lens that nobody has described in Kit
  expect(shots.filter(({ plan }) => plan.kit.lensId === null).map(({ slate }) => slate)).toEqual(['12B']);
  for (const { slate, plan } of shots.filter((one) => one.plan.kit.lensId !== null)) {
    const lens = lenses.find(({ id }) => id === plan.kit.lensId);
    expect(lens).toBeDefined();
    if (gearChanges({ ...plan, kit: { ...plan.kit, camera: null, wheelId: null, rigId: null } }, { lens: lens!.item }).length > 0)
      changed.push(slate);
  }
  expect(changed).toEqual(['9A']);
  await demo.stop();
  demo.remove();
});
