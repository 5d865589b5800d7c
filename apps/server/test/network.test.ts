import { createHmac, X509Certificate } from 'node:crypto';
import { copyFileSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { request as encryptedRequest } from 'node:https';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NetworkView } from '@still-heron/contract';
import { generate } from 'selfsigned';
import { io } from 'socket.io-client';
import { WebSocket } from 'ws';
import { ownAddresses } from '../src/network/addresses';
import { NetworkService } from '../src/network/network.service';
import { makeProduction, startServer, type TestServer } from './server';

/** Address of this machine in a network; a connection to it comes from there. */
const [ADDRESS = ''] = ownAddresses();
const PAGE = '<div id="root">';
const DAY_MS = 24 * 3_600_000;

interface Answer {
  readonly status: number;
  readonly headers: Record<string, string | string[] | undefined>;
  readonly body: string;
}

/** A server that is open to the network, as another device sees it. */
class Open {
  static async start(): Promise<Open> {
    const pageFolder = mkdtempSync(join(tmpdir(), 'still-heron-page-'));
    writeFileSync(join(pageFolder, 'index.html'), PAGE);
    const server = await startServer({ pageFolder });
    await makeProduction(server);
    await server.app.get(NetworkService).open();
    return new Open(server, pageFolder);
  }

  constructor(
    readonly server: TestServer,
    private readonly pageFolder = '',
  ) {}

  get network(): NetworkService {
    return this.server.app.get(NetworkService);
  }

  get code(): string {
    return (JSON.parse(readFileSync(join(this.server.folder, 'crew.json'), 'utf8')) as { code: string }).code;
  }

  get key(): string {
    return (JSON.parse(readFileSync(join(this.server.folder, 'crew.json'), 'utf8')) as { key: string }).key;
  }

  /** Sends a request over the network. `path` goes out as it is written. */
  ask(path: string, { method = 'GET', headers = {}, body, isPlain = false }: Asked = {}): Promise<Answer> {
    return new Promise((done, fail) => {
      const send = isPlain ? plainRequest : encryptedRequest;
      const type = body === undefined ? {} : { 'content-type': 'application/json' };
      const options = { host: ADDRESS, port: this.network.port, path, method, headers: { ...type, ...headers } };
      const asked = send({ ...options, rejectUnauthorized: false, agent: false }, (answer) => {
        let text = '';
        answer.on('data', (part: Buffer) => (text += part.toString()));
        answer.on('error', fail);
        answer.on('end', () => done({ status: answer.statusCode!, headers: answer.headers, body: text }));
        // a stream of events has no end
        if (answer.headers['content-type']?.startsWith('text/event-stream')) {
          done({ status: answer.statusCode!, headers: answer.headers, body: '' });
          asked.destroy();
        }
      });
      asked.on('error', fail);
      asked.end(body === undefined ? undefined : JSON.stringify(body));
    });
  }

  give(code: string): Promise<Answer> {
    return this.ask('/api/network/enter', { method: 'POST', body: { code } });
  }

  /** The cookie of a device that has given the code. */
  async enter(): Promise<string> {
    const { status, headers } = await this.give(this.code);
    expect(status).toBe(204);
    return headers['set-cookie']![0]!.split(';')[0]!;
  }

  /** A cookie that is signed with any key. */
  signed(enteredMs: number, key: string): string {
    const signature = createHmac('sha256', key).update(String(enteredMs)).digest('base64').replace(/=+$/, '');
    return `${this.network.cookieName}=${encodeURIComponent(`${enteredMs}.${signature}`)}`;
  }

  async stop(): Promise<void> {
    await this.server.stop();
    this.server.remove();
    rmSync(this.pageFolder, { recursive: true, force: true });
  }
}

interface Asked {
  readonly method?: string;
  readonly headers?: Record<string, string>;
  readonly body?: unknown;
  readonly isPlain?: boolean;
}

const codeOf = ({ body }: Answer): unknown => (body === '' ? undefined : (JSON.parse(body) as { code?: unknown }).code);

/** On a machine without a network nobody can come from there. */
const describeNetwork = ADDRESS === '' ? describe.skip : describe;

describeNetwork('open to the network', () => {
  let open: Open;
  beforeAll(async () => void (open = await Open.start()));
  afterAll(() => open.stop());

  test('this machine is asked for nothing, and shows the code and the addresses', async () => {
    await open.server.request.get('/api/productions').expect(200);
    const { body } = await open.server.request.get('/api/network').expect(200);
    const port = open.network.port;
    expect(body).toMatchObject({ isOpen: true, isHere: true, code: open.code, isOwnCertificate: true });
    expect((body as NetworkView).addresses).toContain(`https://${ADDRESS}:${port}`);
    const told = open.network.told()!;
    for (const part of [open.code, `https://${ADDRESS}:${port}`, (body as NetworkView).fingerprint!, '█▀▀▀▀▀▀▀'])
      expect(told).toContain(part);
  });

  test('every described route needs the code, by every method, and answers in the form of an error', async () => {
    const { body } = await open.server.request.get('/api/docs-json').expect(200);
    const paths = Object.keys((body as { paths: object }).paths).filter((path) => path !== '/api/network/enter');
    expect(paths.length).toBeGreaterThan(30);
    for (const path of paths)
      for (const method of ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']) {
        const answer = await open.ask(path.replace(/\{\w+\}/g, 'any'), { method });
        expect([path, method, answer.status, codeOf(answer)]).toEqual([path, method, 401, 'needs-crew-code']);
      }
  });

  test.each([
    '/API/productions',
    '/api/Productions',
    '/%61pi/productions',
    '/api//productions',
    '//api/productions',
    '/./api/productions',
    '/assets/../api/productions',
    '/assets/..%2fapi/productions',
    '/api/productions/',
    '/api/productions?path=/api/network/enter',
    '/api/network/enter/../../productions',
    '/api/network/enter',
    '/api/network/ENTER',
    '/api/docs',
    '/api/docs-json',
    '/api/measuring/events',
    '/api/live/?EIO=4&transport=polling',
    '/',
  ])('there is no way round by %s', async (path) => {
    for (const headers of [{}, { accept: 'text/html' }, { accept: 'text/event-stream' }] as Record<string, string>[]) {
      const { status, body } = await open.ask(path, { headers });
      // the page itself holds nothing
      if (body !== PAGE) expect([401, 403]).toContain(status);
    }
  });

  test('nothing that a request says of itself makes it one of this machine', async () => {
    const own = `localhost:${open.network.port}`;
    for (const headers of [
      { 'x-forwarded-for': '127.0.0.1' },
      { forwarded: 'for=127.0.0.1;host=localhost' },
      { 'x-real-ip': '127.0.0.1' },
      { host: own },
      { host: own, origin: `https://${own}` },
      { cookie: `${open.network.cookieName}=1` },
    ] as Record<string, string>[])
      expect((await open.ask('/api/productions', { headers })).status).toBe(401);
    expect(codeOf(await open.ask('/api/productions', { headers: { host: 'elsewhere.example' } }))).toBe('foreign-host');
  });

  test('with the code a device is in, and its cookie is one that no page and no other site can use', async () => {
    const { status, headers } = await open.give(open.code.toLowerCase().replace('-', ' '));
    expect(status).toBe(204);
    const cookie = headers['set-cookie']![0]!;
    expect(cookie).toMatch(/^__Host-still-heron-\d+=/);
    for (const attribute of ['HttpOnly', 'Secure', 'SameSite=Strict', 'Path=/']) expect(cookie).toContain(attribute);
    const kept = { cookie: cookie.split(';')[0]! };
    expect((await open.ask('/api/productions', { headers: kept })).body).toContain('Bell');
    expect(JSON.parse((await open.ask('/api/network', { headers: kept })).body)).toMatchObject({
      isHere: false,
      code: open.code,
    });
    const foreign = { ...kept, origin: 'https://elsewhere.example' };
    expect(codeOf(await open.ask('/api/productions', { headers: foreign }))).toBe('foreign-origin');
  });

  test('a cookie that is forged, changed, or too old lets nobody in', async () => {
    const [now, longAgo] = [Date.now(), Date.now() - 181 * DAY_MS];
    const right = open.signed(now, open.key);
    const status = async (cookie: string) => (await open.ask('/api/productions', { headers: { cookie } })).status;
    expect(await status(right)).toBe(200);
    for (const wrong of [
      open.signed(now, '0'.repeat(64)),
      open.signed(now, ''),
      open.signed(longAgo, open.key),
      open.signed(NaN, open.key),
      right.replace(String(now), String(now + 1)),
      right.slice(0, -2),
      `${open.network.cookieName}=`,
      `${open.network.cookieName}=%E0%A4%A`,
      right.replace('__Host-', ''),
    ])
      expect([wrong, await status(wrong)]).toEqual([wrong, 401]);
  });

  test('sockets, the port for devices and streams of events need it, too', async () => {
    const address = `${ADDRESS}:${open.network.port}`;
    const cookie = await open.enter();
    const live = (transport: 'websocket' | 'polling', extraHeaders: Record<string, string>) =>
      new Promise<boolean>((done) => {
        const socket = io(`https://${address}`, {
          path: '/api/live',
          transports: [transport],
          extraHeaders,
          rejectUnauthorized: false,
          forceNew: true,
          reconnection: false,
        });
        const end = (isIn: boolean) => (done(isIn), socket.close());
        socket.on('connect', () => end(true)).on('connect_error', () => end(false));
      });
    const device = (headers: Record<string, string>) =>
      new Promise<boolean>((done) => {
        const socket = new WebSocket(`wss://${address}/api/devices`, { headers, rejectUnauthorized: false });
        socket.on('open', () => (done(true), socket.close())).on('error', () => done(false));
      });
    expect(await Promise.all([live('websocket', {}), live('polling', {}), device({})])).toEqual([false, false, false]);
    expect(await Promise.all([live('websocket', { cookie }), live('polling', { cookie }), device({ cookie })])).toEqual([
      true,
      true,
      true,
    ]);
    const events = { accept: 'text/event-stream' };
    expect((await open.ask('/api/measuring/events', { headers: { ...events, cookie } })).status).toBe(200);
  });

  test('what is not encrypted is sent to where it is; nothing but that is answered', async () => {
    const { status, headers } = await open.ask('/shots/a/pull?b=1', { isPlain: true });
    expect([status, headers['location']]).toEqual([308, `https://${ADDRESS}:${open.network.port}/shots/a/pull?b=1`]);
    const cookie = await open.enter();
    for (const sent of [
      { path: '/api/productions', method: 'POST', body: { name: 'The Bell Foundry' } },
      { path: '/api/network/enter', method: 'POST', body: { code: open.code } },
    ])
      expect(codeOf(await open.ask(sent.path, { ...sent, isPlain: true, headers: { cookie } }))).toBe('needs-https');
  });

  test('only this machine opens, closes and changes the code', async () => {
    const cookie = await open.enter();
    for (const act of ['open', 'close', 'code'])
      expect(codeOf(await open.ask(`/api/network/${act}`, { method: 'POST', headers: { cookie } }))).toBe('only-here');
  });

  test('connections that say nothing or nonsense hold nobody up', async () => {
    const lines = ['', '\x16', '\x16\x03\x01nonsense', 'GET'].map((text) => {
      const line = connect(open.network.port, ADDRESS);
      line.on('error', () => undefined);
      line.write(text);
      return line;
    });
    expect((await open.ask('/api/health')).status).toBe(401);
    await open.server.request.get('/api/health').expect(200);
    for (const line of lines) line.destroy();
  });

  test('a new code turns everyone out at once; the old one and its cookies are void', async () => {
    const [before, cookie] = [open.code, await open.enter()];
    const socket = new WebSocket(`wss://${ADDRESS}:${open.network.port}/api/devices`, {
      headers: { cookie },
      rejectUnauthorized: false,
    });
    await new Promise((done) => socket.on('open', done));
    const closed = new Promise((done) => socket.on('close', done));
    const { body } = await open.server.request.post('/api/network/code').expect(200);
    await closed;
    expect((body as NetworkView).code).toBe(open.code);
    expect(open.code).not.toBe(before);
    expect((await open.ask('/api/productions', { headers: { cookie } })).status).toBe(401);
    expect(codeOf(await open.give(before))).toBe('wrong-crew-code');
    await open.enter();
  });

  test('the certificate names this machine, is for servers, and can be taken to a device', async () => {
    const { fingerprint } = (await open.server.request.get('/api/network').expect(200)).body as NetworkView;
    const sent = await open.server.request.get('/api/network/certificate').responseType('blob').expect(200);
    const certificate = new X509Certificate(sent.body as Buffer);
    expect(certificate.fingerprint256).toBe(fingerprint);
    expect(certificate.checkIP(ADDRESS)).toBe(ADDRESS);
    expect(certificate.checkHost('localhost')).toBe('localhost');
    expect(Date.parse(certificate.validTo) - Date.now()).toBeGreaterThan(700 * DAY_MS);
    for (const file of ['crew.json', 'certificate-key.pem'])
      expect(statSync(join(open.server.folder, file)).mode & 0o077).toBe(0);
  });
});

describeNetwork('wrong codes', () => {
  test('are slowed: five in a minute, however many come at once; who is in notices nothing', async () => {
    const open = await Open.start();
    const cookie = await open.enter();
    const answers = await Promise.all(Array.from({ length: 40 }, (_, index) => open.give(`WRNG-${1000 + index}`)));
    expect(answers.filter(({ status }) => status === 403)).toHaveLength(5);
    expect(answers.filter(({ status }) => status === 429)).toHaveLength(35);
    // the right one waits, too: else guessing would go on
    const right = await open.give(open.code);
    expect(right.status).toBe(429);
    expect(JSON.parse(right.body)).toMatchObject({
      code: 'too-many-codes',
      need: expect.stringMatching(/^another try in \d+ s$/),
    });
    expect((await open.ask('/api/productions', { headers: { cookie } })).status).toBe(200);
    await open.server.request
      .post('/api/network/enter')
      .send({ code: 'x'.repeat(41) })
      .expect(400);
    await open.stop();
  });
});

describeNetwork('opening and closing', () => {
  const reaches = (port: number) =>
    new Promise<boolean>((done) => {
      const line = connect(port, ADDRESS);
      line.on('connect', () => (done(true), line.destroy())).on('error', () => done(false));
    });

  test('by one press, without a restart, and back; what this machine does goes on', async () => {
    const server = await startServer();
    const network = server.app.get(NetworkService);
    const { port } = network;
    expect(await reaches(port)).toBe(false);
    expect((await server.request.get('/api/network')).body).toMatchObject({ isOpen: false, code: null, addresses: [] });
    const socket = io(`http://127.0.0.1:${port}`, { path: '/api/live', transports: ['websocket'], forceNew: true });
    await new Promise((done) => socket.on('connect', () => done(null)));
    const { body } = await server.request.post('/api/network/open').expect(200);
    expect(body).toMatchObject({ isOpen: true, addresses: [`https://${ADDRESS}:${port}`] });
    expect([await reaches(port), network.port]).toEqual([true, port]);
    await server.request.post('/api/network/close').expect(200);
    expect([await reaches(port), network.port]).toEqual([false, port]);
    expect(await socket.timeout(5000).emitWithAck('clock')).toBeGreaterThan(0);
    socket.close();
    // pressed on two pages at once
    const acts = ['open', 'open', 'close', 'open', 'close', 'open'];
    await Promise.all(acts.map((act) => server.request.post(`/api/network/${act}`).expect(200)));
    expect([await reaches(port), network.port]).toEqual([true, port]);
    await server.stop();
    server.remove();
  });

  /** Starts on a folder as the program does, and returns what the terminal says. */
  async function listening(options: Parameters<typeof startServer>[0]) {
    const server = await startServer({ ...options, listens: false });
    try {
      await server.app.listen(options?.port ?? 0, '127.0.0.1');
      await server.app.get(NetworkService).openAtStart();
    } catch (error) {
      await server.stop();
      throw error;
    }
    return server;
  }

  test('what a person has opened is open again after a restart, with the same code and certificate', async () => {
    const first = await Open.start();
    const { code, network } = first;
    const cookie = await first.enter();
    const { fingerprint } = (await first.server.request.get('/api/network')).body as NetworkView;
    const port = network.port;
    await first.server.stop();
    const again = new Open(await listening({ dataFolder: first.server.folder, port }));
    expect(JSON.parse((await again.ask('/api/network', { headers: { cookie } })).body)).toMatchObject({ code, fingerprint });
    await again.server.stop();
    // HOST of this machine alone overrules it
    const closed = await listening({ dataFolder: first.server.folder, host: 'localhost' });
    expect(closed.app.get(NetworkService).told()).toBeNull();
    await closed.stop();
    // a file that can't be read lets nobody in who was in
    writeFileSync(join(first.server.folder, 'crew.json'), '{"code":"');
    const fresh = new Open(await listening({ dataFolder: first.server.folder, host: '0.0.0.0' }));
    expect(fresh.code).not.toBe(code);
    expect((await fresh.ask('/api/network', { headers: { cookie } })).status).toBe(401);
    await fresh.stop();
  });

  test('HOST names one address of this machine: only that one is served, and this machine itself', async () => {
    const one = new Open(await listening({ host: ADDRESS }));
    expect((await one.ask('/api/productions')).status).toBe(401);
    expect(one.network.told()).toContain(`at\n  https://${ADDRESS}:${one.network.port}\n█`);
    await one.server.request.get('/api/productions').expect(200);
    await one.stop();
    await expect(listening({ host: '203.0.113.9' })).rejects.toThrow(
      'HOST: 203.0.113.9 is no address of this machine; need one of its own, or 0.0.0.0 for all of them',
    );
    await expect(listening({ host: 'no such host' })).rejects.toThrow('HOST: no such host is no address of this machine');
  });

  test('a certificate of one’s own is used; one that does not fit is told at the start', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'still-heron-certificate-'));
    const [certFile, keyFile] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
    const made = await generate([{ name: 'commonName', value: 'heron.example' }], { keyType: 'ec', algorithm: 'sha256' });
    writeFileSync(certFile, made.cert);
    writeFileSync(keyFile, made.private);
    const server = await listening({ host: '0.0.0.0', certificate: { certFile, keyFile } });
    const { body } = await server.request.get('/api/network').expect(200);
    const { fingerprint256 } = new X509Certificate(readFileSync(certFile));
    expect(body).toMatchObject({ fingerprint: fingerprint256, isOwnCertificate: false });
    expect(server.app.get(NetworkService).told()).not.toContain(fingerprint256);
    await server.request.get('/api/network/certificate').expect(404);
    copyFileSync(certFile, keyFile);
    await server.stop();
    const refused = listening({ host: '0.0.0.0', certificate: { certFile, keyFile } });
    await expect(refused).rejects.toThrow(`The certificate ${certFile} can’t be used with the key ${keyFile}`);
    rmSync(folder, { recursive: true });
  });
});
