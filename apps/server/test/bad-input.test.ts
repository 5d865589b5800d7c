import type { ErrorBody, ShotView } from '@still-heron/contract';
import { newPlan, PLAN_SCHEMA, type ShotPlan } from '@still-heron/core';
import fc from 'fast-check';
import { demoShots, makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

let server: TestServer;
let shot: ShotView;
beforeAll(async () => {
  server = await startServer();
  const { id } = await makeProduction(server);
  shot = await makeShot(server, id, demoShots()[1]!);
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

/** Expects a 4xx with an error body, and the shot unchanged. */
async function expectRefused(status: number, body: ErrorBody): Promise<ErrorBody> {
  expect(status).toBeGreaterThanOrEqual(400);
  expect(status).toBeLessThan(500);
  for (const key of ['code', 'message', 'need'] as const) expect(body[key]).toMatch(/./);
  expect(typeof body.path).toBe('string');
  expect((await server.request.get(`/api/shots/${shot.id}`).expect(200)).body).toEqual(shot);
  return body;
}

async function save(body: unknown): Promise<ErrorBody> {
  const answer = await server.request.put(`/api/shots/${shot.id}`).send(body as object);
  return expectRefused(answer.status, answer.body as ErrorBody);
}

async function sendText(text: string, type = 'application/json'): Promise<{ status: number; body: ErrorBody }> {
  const answer = await server.request.put(`/api/shots/${shot.id}`).set('Content-Type', type).send(text);
  return { status: answer.status, body: await expectRefused(answer.status, answer.body as ErrorBody) };
}

const withPlan = (change: (plan: ShotPlan) => unknown) => ({ ...someShot(), version: 1, plan: change(shot.plan) });

test.each<[string, unknown, string, string]>([
  ['a missing version', someShot(), 'version', 'a whole number'],
  ['a version that is text', { ...someShot(), version: '1' }, 'version', 'a whole number'],
  ['a version beyond all versions', { ...someShot(), version: 1e12 }, 'version', 'whole number'],
  ['a title that is a number', { ...someShot(), version: 1, title: 7 }, 'title', 'text'],
  ['an empty slate', { ...someShot(), version: 1, slate: ' ' }, 'slate', 'text'],
  ['a slate of a hundred letters', { ...someShot(), version: 1, slate: 'x'.repeat(100) }, 'slate', '1 to 12'],
  ['a title with a zero character', { ...someShot(), version: 1, title: 'a\0b' }, 'title', 'plain text'],
  ['an unknown field', { ...someShot(), version: 1, colour: 'red' }, 'colour', 'only the fields'],
  ['no plan', { ...someShot(), version: 1, plan: undefined }, 'plan', 'an object'],
  ['a plan that is a list', { ...someShot(), version: 1, plan: [] }, 'plan', 'an object'],
])('%s', async (_, body, path, need) => {
  const refusal = await save(body);
  expect(refusal.path).toBe(path);
  expect(refusal.need).toContain(need);
});

test.each<[string, (plan: ShotPlan) => unknown, string]>([
  [
    'a negative distance',
    (plan) => ({ ...plan, marks: [{ ...plan.marks[0]!, distanceMm: -2900 }, ...plan.marks.slice(1)] }),
    'plan.marks[0].distanceMm',
  ],
  [
    'an absurd distance',
    (plan) => ({ ...plan, marks: [{ ...plan.marks[0]!, distanceMm: 1e30 }, ...plan.marks.slice(1)] }),
    'plan.marks[0].distanceMm',
  ],
  ['a stop of 0', (plan) => ({ ...plan, optics: { ...plan.optics, stop: 0 } }), 'plan.optics.stop'],
  [
    'overlapping moves',
    (plan) => ({
      ...plan,
      focusTrack: { ...plan.focusTrack, pulls: plan.focusTrack.pulls.map((pull) => ({ ...pull, startS: 5 })) },
    }),
    'plan.focusTrack.pulls[1].startS',
  ],
  ['a field that no plan has', (plan) => ({ ...plan, focusTrack: { ...plan.focusTrack, speed: 3 } }), 'plan.focusTrack.speed'],
  [
    'a name with half a character',
    (plan) => ({ ...plan, subjects: [{ ...plan.subjects[0]!, name: 'Old \ud83d' }, ...plan.subjects.slice(1)] }),
    'plan.subjects[0].name',
  ],
  ['a plan of the future', (plan) => ({ ...plan, schema: PLAN_SCHEMA + 1 }), 'plan.schema'],
])('a plan with %s', async (_, change, path) => {
  expect((await save(withPlan(change))).path).toBe(path);
});

test('all problems are listed, not only the first', async () => {
  const refusal = await save({
    ...someShot({ title: 'x'.repeat(200) }),
    version: 1,
    plan: { ...newPlan(), durationS: -1, captureFps: 'fast' },
  });
  expect(refusal.problems!.map(({ path }) => path).sort()).toEqual(['plan.captureFps', 'plan.durationS', 'title']);
});

test('NaN, broken JSON, no JSON, text, and five megabytes', async () => {
  expect(await sendText('{"version": NaN}')).toMatchObject({ status: 400, body: { code: 'unreadable' } });
  expect(await sendText('{"version": 1,')).toMatchObject({ status: 400 });
  expect(await sendText('"a string"')).toMatchObject({ status: 400 });
  expect(await sendText('[]')).toMatchObject({ status: 400, body: { code: 'not-an-object' } });
  expect(await sendText('version=1', 'application/x-www-form-urlencoded')).toMatchObject({
    status: 415,
    body: { code: 'not-json' },
  });
  expect(await sendText('hello', 'text/plain')).toMatchObject({ status: 415 });
  expect(await sendText(JSON.stringify({ notes: 'x'.repeat(5_000_000) }))).toMatchObject({
    status: 413,
    body: { code: 'too-large', need: expect.stringMatching(/^a body of at most 1mb/) },
  });
});

test.each([
  '/api/shots/7',
  '/api/shots/00000000-0000-0000-0000-000000000000',
  '/api/shots/%00',
  '/api/productions/nobody',
  '/api/productions/nobody/shots',
  '/api/nothing',
  '/api/%E0%A4%A',
])('GET %s finds nothing', async (address) => {
  const answer = await server.request.get(address);
  await expectRefused(answer.status, answer.body as ErrorBody);
});

test('null where something may be left out is not leaving it out', async () => {
  const production = await makeProduction(server);
  for (const body of [
    { version: 1, shutterAngleDeg: null },
    { version: 1, name: null },
    { version: 1, shutterAngleDeg: 'wide' },
  ]) {
    const answer = await server.request.patch(`/api/productions/${production.id}`).send(body);
    await expectRefused(answer.status, answer.body as ErrorBody);
  }
});

test('whatever is put anywhere in a plan: refused in the one shape, or stored and read back; never a 500', async () => {
  const nonsense = fc.oneof(
    fc.constantFrom<unknown>(null, -1, 0, 1e308, '', 'x', [], {}, true, '\0', [[]], { kind: 'mark' }),
    fc.double(),
    fc.string(),
    fc.jsonValue(),
  );
  const paths = pathsOf(shot.plan);
  const { productionId } = shot;
  const guinea = await makeShot(server, productionId, { slate: 'G', plan: shot.plan });
  let version = guinea.version;
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...paths), nonsense, async (path, value) => {
      const body = { ...someShot(), version, plan: put(shot.plan, path, value) };
      const answer = await server.request.put(`/api/shots/${guinea.id}`).send(body);
      if (answer.status === 200) version = (answer.body as ShotView).version;
      else expect([path, value, answer.status]).toEqual([path, value, 400]);
    }),
    { seed: 11, numRuns: 300 },
  );
});

function pathsOf(value: unknown, at: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [at];
  return [at, ...Object.entries(value).flatMap(([key, item]) => pathsOf(item, [...at, key]))].filter((path) => path.length > 0);
}

function put(plan: ShotPlan, path: string[], value: unknown): unknown {
  const copy = JSON.parse(JSON.stringify(plan)) as Record<string, unknown>;
  const holder = path.slice(0, -1).reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  holder[path[path.length - 1]!] = value;
  return copy;
}
