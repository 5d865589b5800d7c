import { connect } from 'node:net';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { ErrorBody, ProductionView, ShotView, TakeRowView } from '@still-heron/contract';
import { newTake } from '@still-heron/core';
import WebSocket from 'ws';
import { demoShots, makeProduction, makeShot, someShot, startServer, type TestServer } from './server';

let server: TestServer;
let production: ProductionView;
let shot: ShotView;
let other: ShotView;
const pageFolder = mkdtempSync(join(tmpdir(), 'still-heron-page-'));

beforeAll(async () => {
  mkdirSync(join(pageFolder, 'assets'));
  writeFileSync(join(pageFolder, 'index.html'), '<!doctype html><title>Still Heron</title>');
  writeFileSync(join(pageFolder, 'assets', 'page.js'), 'export {};');
  writeFileSync(join(pageFolder, 'assets', 'page.js.gz'), gzipSync('export {};'));
  server = await startServer({ pageFolder });
  production = await makeProduction(server);
  shot = await makeShot(server, production.id, demoShots()[1]!);
  other = await makeShot(server, production.id, { slate: '4B' });
});
afterAll(async () => {
  await server.stop();
  server.remove();
  rmSync(pageFolder, { recursive: true, force: true });
});

const port = () => (server.app.getHttpServer().address() as { port: number }).port;

function expectErrorForm(body: ErrorBody): void {
  for (const key of ['code', 'message', 'need'] as const) expect(body[key]).toMatch(/./);
  expect(typeof body.path).toBe('string');
}

/** Bytes as they are on a connection, and the answer until the server ends it. */
function sendRaw(text: string): Promise<{ status: number; body: ErrorBody }> {
  return new Promise((answered, failed) => {
    let answer = '';
    const socket = connect(port(), '127.0.0.1', () => socket.write(text));
    socket.on('data', (part) => (answer += String(part)));
    socket.on('error', failed);
    socket.on('close', () => {
      const [head, body] = answer.split('\r\n\r\n');
      answered({ status: Number(head!.split(' ')[1]), body: JSON.parse(body!) as ErrorBody });
    });
  });
}

const get = (headers: string) => `GET /api/health HTTP/1.1\r\nHost: localhost:${port()}\r\n${headers}\r\n\r\n`;

test.each<[string, () => string, number, string]>([
  ['a header of 20 kB', () => get(`X-Long: ${'a'.repeat(20_000)}`), 431, 'headers-too-large'],
  ['an expectation', () => get('Expect: a-reply\r\nConnection: close'), 417, 'unknown-expectation'],
  ['another protocol', () => get('Connection: Upgrade, HTTP2-Settings\r\nUpgrade: h2c'), 400, 'unknown-upgrade'],
  ['an unknown upgrade', () => get('Connection: Upgrade\r\nUpgrade: foo'), 400, 'unknown-upgrade'],
  ['a WebSocket where there is none', () => get('Connection: Upgrade\r\nUpgrade: websocket'), 400, 'unknown-upgrade'],
  ['no Host', () => 'GET /api/health HTTP/1.1\r\nConnection: close\r\n\r\n', 421, 'foreign-host'],
  ['no request at all', () => '\u0001\u0002 nonsense\r\n\r\n', 400, 'unreadable'],
  ['a method that there is not', () => 'TAKE /api/health HTTP/1.1\r\n\r\n', 400, 'unreadable'],
  [
    'a WebSocket at the device port without a key',
    () =>
      `GET /api/devices HTTP/1.1\r\nHost: localhost:${port()}\r\nConnection: Upgrade\r\nUpgrade: websocket\r\nSec-WebSocket-Version: 13\r\n\r\n`,
    400,
    'unreadable',
  ],
  [
    'a WebSocket of another site at the device port',
    () =>
      `GET /api/devices HTTP/1.1\r\nHost: localhost:${port()}\r\nOrigin: http://elsewhere.example\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n\r\n`,
    403,
    'foreign-origin',
  ],
])('%s is answered in the form of every error', async (_, text, status, code) => {
  const answer = await sendRaw(text());
  expect(answer.status).toBe(status);
  expect(answer.body.code).toBe(code);
  expectErrorForm(answer.body);
});

test.each<[string, string]>([
  ['a null character in a search', '?search=a%00b'],
  ['a null character in the name of a lens', '?lens=%00'],
  ['a control character', '?puller=a%07'],
])('%s is refused, not searched for', async (_, query) => {
  const { body } = await server.request.get(`/api/productions/${production.id}/takes${query}`).expect(400);
  expect(body.code).toBe('bad-address');
  expectErrorForm(body as ErrorBody);
});

test('a null character in a path; a percent sign that stands for nothing', async () => {
  expect((await server.request.get('/api/shots/%00').expect(400)).body.code).toBe('bad-address');
  expect((await server.request.get('/api/shots/%E0%A4%A').expect(400)).body.code).toBe('unreadable');
});

test.each(['\u200b\u200b', '\u3164', '\u2060 \u2800', 'a\u0007b', '\u0085', '\t'])(
  'a production named %j has a name that nobody can read',
  async (name) => {
    const { body } = await server.request.post('/api/productions').send({ name }).expect(400);
    expect(body).toMatchObject({ code: 'bad-characters', path: 'name' });
  },
);

test('names of other scripts, with joined signs, are names', async () => {
  for (const name of ['鐘', 'שלום', 'काँच', '👩‍🎤', 'é'])
    expect((await server.request.post('/api/productions').send({ name }).expect(201)).body.name).toBe(name);
});

const take = (changes: object = {}) => ({ rolledAt: '2026-11-28T10:00:00.000Z', take: newTake(shot.plan, 1), ...changes });

test.each([
  '2026-W10',
  '2026-332T10:00:00Z',
  '2026-11-28',
  '2026-11-28T10:00:00',
  '20261128T100000Z',
  '2026-02-31T00:00:00Z',
  '2026-11-28T24:00:01Z',
  '2026-11-28T10:00:00+99:00',
  '9999-12-31T23:59:59Z',
  '0000-01-01T00:00:00Z',
  '+275760-09-13T00:00:00Z',
  1e20,
  null,
])('a take rolled at %p', async (rolledAt) => {
  const { body } = await server.request.post(`/api/shots/${shot.id}/takes`).send(take({ rolledAt })).expect(400);
  expect(body).toMatchObject({ code: 'not-a-time', path: 'rolledAt' });
});

test('a time with a zone, and with more digits than a clock has, is a time', async () => {
  for (const rolledAt of ['2026-11-28T10:00:00.123456789Z', '2026-11-28T12:00:00+02:00', '1970-01-01T00:00:01Z']) {
    const { body } = await server.request.post(`/api/shots/${other.id}/takes`).send(take({ rolledAt })).expect(201);
    expect(new Date(body.rolledAt as string).getTime()).toBe(new Date(rolledAt).getTime());
  }
});

test.each([2_147_483_647, 2_000_000_001])('version %d', async (version) => {
  const { body } = await server.request
    .put(`/api/shots/${shot.id}`)
    .send({ ...someShot(), version })
    .expect(400);
  expect(body).toMatchObject({ code: 'out-of-range', path: 'version' });
  await server.request
    .put(`/api/shots/${shot.id}`)
    .send({ ...someShot(), version: 2_000_000_000 })
    .expect(409);
});

test.each([
  ['lists', '['.repeat(2000) + ']'.repeat(2000)],
  ['objects', '{"a":'.repeat(2000) + '1' + '}'.repeat(2000)],
])('%s two thousand deep, in a plan, a take, kit and a name', async (_, deep) => {
  const send = async (method: 'post' | 'put', address: string, text: string) => {
    const { body } = await server.request[method](address).set('Content-Type', 'application/json').send(text).expect(400);
    expect(body.code).toBe('too-deep');
  };
  await send('put', `/api/shots/${shot.id}`, `{"version":1,"scene":"","slate":"1","title":"","plan":${deep}}`);
  await send('post', `/api/shots/${shot.id}/takes`, `{"rolledAt":"2026-11-28T10:00:00Z","take":${deep}}`);
  await send('post', '/api/kit/import', `{"lenses":[${deep}]}`);
  await send('post', '/api/productions', `{"name":${deep}}`);
});

test('a body that is not gzip, though it says so; one that ends too soon; one in an unknown coding', async () => {
  const sent = (body: Buffer<ArrayBuffer>, coding: string, address = 'productions', type = 'application/json') =>
    fetch(`http://127.0.0.1:${port()}/api/${address}`, {
      method: 'POST',
      headers: { 'content-type': type, 'content-encoding': coding },
      body,
    });
  const whole = gzipSync('{"name":"The Bell Foundry"}');
  for (const [answer, status] of [
    [await sent(Buffer.from('not gzip'), 'gzip'), 400],
    [await sent(whole.subarray(0, 20), 'gzip'), 400],
    [await sent(Buffer.from('not gzip'), 'gzip', 'pictures', 'image/png'), 400],
    [await sent(Buffer.from('{}'), 'zip'), 415],
  ] as const) {
    expect(answer.status).toBe(status);
    expectErrorForm((await answer.json()) as ErrorBody);
  }
  expect((await sent(whole, 'gzip')).status).toBe(201);
});

test.each(['/', '/assets/page.js'])('a range after the end of %s', async (address) => {
  const answer = await fetch(`http://127.0.0.1:${port()}${address}`, { headers: { range: 'bytes=99999999-' } });
  expect(answer.status).toBe(416);
  // neither the file's coding nor its time in the cache
  expect(answer.headers.get('content-encoding')).toBeNull();
  expect(answer.headers.get('cache-control')).toBeNull();
  expect(((await answer.json()) as ErrorBody).code).toBe('not-a-range');
});

test('HEAD answers as GET does, without a body', async () => {
  for (const address of ['/api/health', '/api/productions', `/shots/${shot.id}/pull`])
    expect((await server.request.head(address).set('Accept', 'text/html, */*').expect(200)).text).toBeUndefined();
});

test('one id for takes of two shots: the second is refused, and is not taken for the first', async () => {
  const id = '11111111-1111-4111-8111-111111111111';
  const first = (await server.request.post(`/api/shots/${shot.id}/takes`).send(take({ id })).expect(201)).body as TakeRowView;
  // sent again, because the answer was lost
  expect((await server.request.post(`/api/shots/${shot.id}/takes`).send(take({ id })).expect(201)).body).toEqual(first);
  const { body } = await server.request.post(`/api/shots/${other.id}/takes`).send(take({ id })).expect(409);
  expect(body).toMatchObject({ code: 'id-taken', path: 'id' });
});

test('a camera that says it is 99:99:99:99', async () => {
  const device = new WebSocket(`ws://127.0.0.1:${port()}/api/devices`);
  await new Promise((open) => device.once('open', open));
  const answer = new Promise((heard) => device.once('message', (data) => heard(JSON.parse(String(data as Buffer)))));
  device.send(JSON.stringify({ kind: 'camera', device: 'A', isRolling: true, timecode: '99:99:99:99' }));
  expect(await answer).toMatchObject({ kind: 'refused', path: 'timecode', message: '“99:99:99:99” is no timecode' });
  device.terminate();
});
