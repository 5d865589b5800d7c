import { request as httpRequest } from 'node:http';
import type { AddressInfo } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { WebSocket } from 'ws';
import { foreignProblem } from '../src/http/own-names';
import { startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => void (server = await startServer()));
afterAll(async () => {
  await server.stop();
  server.remove();
});
const port = () => (server.app.getHttpServer().address() as AddressInfo).port;

/** Status and error code of a request with any headers, as a browser that was tricked would send it. */
function sent(headers: Record<string, string>, method = 'GET'): Promise<{ status: number; code: string | undefined }> {
  return new Promise((done, fail) => {
    const asked = httpRequest({ host: '127.0.0.1', port: port(), path: '/api/productions', method, headers }, (answer) => {
      let body = '';
      answer.on('data', (part: Buffer) => (body += part.toString()));
      answer.on('end', () => done({ status: answer.statusCode!, code: (JSON.parse(body) as { code?: string }).code }));
    });
    asked.on('error', fail);
    asked.end();
  });
}

test.each<[string, (own: number) => Record<string, string>, number, string | undefined]>([
  ['a program that names this machine', (own) => ({ host: `127.0.0.1:${own}` }), 200, undefined],
  ['the same by another of its names', (own) => ({ host: `LOCALHOST:${own}` }), 200, undefined],
  ['a page of this server', (own) => ({ host: `localhost:${own}`, origin: `http://localhost:${own}` }), 200, undefined],
  ['a foreign name that leads here', (own) => ({ host: `elsewhere.example:${own}` }), 421, 'foreign-host'],
  ['another port of this machine', () => ({ host: 'localhost:1' }), 421, 'foreign-host'],
  ['no port', () => ({ host: 'localhost' }), 421, 'foreign-host'],
  ['a name that is none', () => ({ host: '][' }), 421, 'foreign-host'],
  ['a page of another site', (own) => ({ host: `localhost:${own}`, origin: 'http://elsewhere.example' }), 403, 'foreign-origin'],
  ['a page of another port', (own) => ({ host: `localhost:${own}`, origin: 'http://localhost:1' }), 403, 'foreign-origin'],
  ['a page in a sandbox', (own) => ({ host: `localhost:${own}`, origin: 'null' }), 403, 'foreign-origin'],
])('%s', async (_, headers, status, code) => {
  expect(await sent(headers(port()))).toEqual({ status, code });
});

test('a page of another site can’t change anything, and nothing reads what it sends', async () => {
  const headers = { host: `localhost:${port()}`, origin: 'http://elsewhere.example', 'content-type': 'application/json' };
  expect(await sent(headers, 'POST')).toEqual({ status: 403, code: 'foreign-origin' });
  expect((await server.request.get('/api/productions')).body).toEqual([]);
});

test('devices are let in by the names of this machine only', async () => {
  const opened = (headers: Record<string, string>) =>
    new Promise<boolean>((done) => {
      const socket = new WebSocket(`ws://127.0.0.1:${port()}/api/devices`, { headers });
      socket.on('open', () => (done(true), socket.close()));
      socket.on('error', () => done(false));
    });
  expect(await opened({})).toBe(true);
  expect(await opened({ host: `elsewhere.example:${port()}` })).toBe(false);
});

test('open to the network, it answers to the names and addresses that this machine has there', () => {
  const [address] = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
  const problemOf = (host: string, origin?: string) => {
    const headers = { host, ...(origin === undefined ? {} : { origin }) };
    return foreignProblem({ headers, socket: { localPort: 4870, localAddress: '192.0.2.7' } as never })?.body.code ?? null;
  };
  expect(problemOf(`${hostname()}:4870`)).toBeNull();
  expect(problemOf(`${address!.family === 'IPv6' ? `[${address!.address}]` : address!.address}:4870`)).toBeNull();
  expect(problemOf('elsewhere.example:4870')).toBe('foreign-host');
  expect(problemOf(`${hostname()}:4870`, 'http://elsewhere.example:4870')).toBe('foreign-origin');
});
