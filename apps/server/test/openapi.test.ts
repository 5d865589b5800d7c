import { Ajv2020, type ValidateFunction } from 'ajv/dist/2020';
import { newTake, type Take } from '@still-heron/core';
import { demoShots, makeProduction, makeShot, startServer, type TestServer } from './server';
import { DEMO_KIT } from '../src/demo/kit';

let server: TestServer;
let validatorOf: (schema: string) => ValidateFunction;

beforeAll(async () => {
  server = await startServer();
  const { body } = await server.request.get('/api/docs-json').expect(200);
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  ajv.addSchema(body as object, 'api');
  validatorOf = (schema) => ajv.getSchema(`api#/components/schemas/${schema}`)!;
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

function problemsOf(schema: string, value: unknown): unknown[] {
  const validate = validatorOf(schema);
  validate(value);
  return validate.errors ?? [];
}

test('every shot of the demo, as the server answers it, fits its description', async () => {
  const { id } = await makeProduction(server);
  for (const shot of demoShots()) {
    const view = await makeShot(server, id, shot);
    expect(problemsOf('ShotView', view)).toEqual([]);
    expect(problemsOf('Plan', view.plan)).toEqual([]);
  }
});

test('a logged take fits its description, in a list and with its track', async () => {
  const { id } = await makeProduction(server);
  const shot = await makeShot(server, id, demoShots()[1]);
  const take: Take = { ...newTake(shot.plan, 1), durationS: 3, note: 'good' };
  await server.request.post(`/api/shots/${shot.id}/takes`).send({ rolledAt: '2026-03-01T10:00:00.000Z', take }).expect(201);
  const { body: rows } = await server.request.get(`/api/shots/${shot.id}/takes`).expect(200);
  expect((rows as object[]).map((row) => problemsOf('TakeRowView', row))).toEqual([[]]);
  const { body: whole } = await server.request.get(`/api/takes/${(rows as { id: string }[])[0]!.id}`).expect(200);
  expect(problemsOf('TakeView', whole)).toEqual([]);
});

test('kit of every kind fits its description', () => {
  for (const item of Object.values(DEMO_KIT).flat()) expect(problemsOf('KitItem', item)).toEqual([]);
});

test.each([
  ['a plan without a duration', 'Plan', (plan: object) => ({ ...plan, durationS: undefined })],
  ['a plan with an unknown field', 'Plan', (plan: object) => ({ ...plan, extra: 1 })],
  [
    'a stop that is text',
    'Plan',
    (plan: object) => ({ ...plan, optics: { ...(plan as { optics: object }).optics, stop: '2.8' } }),
  ],
  ['a rate out of range', 'Plan', (plan: object) => ({ ...plan, captureFps: 0 })],
])('%s does not fit', (_, schema, broken) => {
  const value = JSON.parse(JSON.stringify(broken(demoShots()[0]!.plan))) as unknown;
  expect(problemsOf(schema, value)).not.toEqual([]);
});

test('every schema that a request names is there', async () => {
  const { body } = await server.request.get('/api/docs-json').expect(200);
  const { components } = body as { components: { schemas: Record<string, unknown> } };
  const named = [...JSON.stringify(body).matchAll(/"#\/components\/schemas\/([^"]+)"/g)].map(([, name]) => name!);
  expect(named.filter((name) => !(name in components.schemas))).toEqual([]);
  expect(named).toEqual(expect.arrayContaining(['Plan', 'Take', 'TakeWithoutTrack', 'KitItem']));
});
