import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { expect, test } from '@playwright/test';

/** Runs the server as a user would, until it exits. @returns its output and exit code */
function runServer(env: NodeJS.ProcessEnv): {
  ended: Promise<{ code: number | null; said: string }>;
  ready: Promise<string>;
  stop: () => void;
} {
  const child = spawn(process.execPath, [resolve('apps/server/bundle/main.js')], { env: { ...process.env, PORT: '0', ...env } });
  let said = '';
  let isReady: (address: string) => void;
  const ready = new Promise<string>((found) => (isReady = found));
  for (const stream of [child.stdout, child.stderr]) {
    stream.setEncoding('utf8').on('data', (text: string) => {
      said += text;
      const match = /http:\/\/127\.0\.0\.1:\d+/.exec(said);
      if (match) isReady(match[0]);
    });
  }
  const ended = new Promise<{ code: number | null; said: string }>((done) => child.once('exit', (code) => done({ code, said })));
  return { ended, ready, stop: () => child.kill('SIGTERM') };
}

test.describe('the server as a process', () => {
  const folder = mkdtempSync(join(tmpdir(), 'still-heron-process-'));
  test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

  test('says where it is, keeps a second one off its data, and leaves cleanly', async ({ request }) => {
    const first = runServer({ STILL_HERON_DATA: folder });
    const address = await first.ready;
    expect((await request.get(`${address}/api/health`)).status()).toBe(200);

    const second = await runServer({ STILL_HERON_DATA: folder }).ended;
    expect(second.code).toBe(1);
    expect(second.said).toMatch(
      /^Another Still Heron \(process \d+\) is using the data folder .*\. Stop that one first, or set STILL_HERON_DATA to another folder\./,
    );
    expect(second.said).not.toContain('    at ');
    expect((await request.get(`${address}/api/health`)).status()).toBe(200);

    // the document for any address, cached gzipped assets, and 404 for a missing asset
    const page = await request.get(`${address}/shots/anything/pull`, { headers: { accept: 'text/html' } });
    expect(await page.text()).toContain('<div id="root">');
    expect(page.headers()['cache-control']).toBe('no-cache');
    const asset = readdirSync(resolve('apps/web/dist/assets')).find((name) => name.endsWith('.js'))!;
    const script = await request.get(`${address}/assets/${asset}`);
    expect(script.headers()).toMatchObject({ 'content-encoding': 'gzip', 'content-type': 'text/javascript; charset=utf-8' });
    expect(script.headers()['cache-control']).toContain('immutable');
    const plain = await request.get(`${address}/assets/${asset}`, { headers: { 'accept-encoding': 'identity' } });
    expect(plain.headers()['content-encoding']).toBeUndefined();
    expect(await plain.text()).toBe(await script.text());
    expect(await (await request.get(`${address}/assets/none.js`)).json()).toMatchObject({ code: 'not-found' });

    first.stop();
    const { code } = await first.ended;
    expect(code === 0 || code === null).toBe(true);
    expect(readdirSync(folder).filter((name) => name.includes('in-use-by'))).toEqual([]);
  });

  test('a port in use, or an invalid one, is reported', async () => {
    const other = createServer();
    const port = await new Promise<number>((listening) =>
      other.listen(0, '127.0.0.1', () => listening((other.address() as { port: number }).port)),
    );
    const taken = await runServer({ STILL_HERON_DATA: folder, PORT: String(port) }).ended;
    other.close();
    expect(taken.code).toBe(1);
    expect(taken.said.trim()).toBe(`Port ${port} is in use. Stop the program that uses it, or set PORT to another one.`);
    expect(readdirSync(folder).filter((name) => name.includes('in-use-by'))).toEqual([]);
    const none = await runServer({ STILL_HERON_DATA: folder, PORT: 'front' }).ended;
    expect(none.said.trim()).toBe('PORT: got front, need a whole number from 0 to 65535');
  });

  test('computes in threads, and gives up what nobody waits for', async ({ request }) => {
    const server = runServer({ STILL_HERON_DATA: folder, STILL_HERON_SEED: 'demo', STILL_HERON_BACKUPS: 'off' });
    const address = `${await server.ready}/api`;
    const read = async <T>(path: string) => (await (await request.get(`${address}/${path}`)).json()) as T;
    const [production] = await read<{ id: string }[]>('productions');
    const [shot] = await read<{ id: string }[]>(`productions/${production!.id}/shots`);
    const rate = await read<{ takes: number; keepRate: number }>(`shots/${shot!.id}/keep-rate?takes=100`);
    expect(rate.takes).toBe(100);
    const report = await request.get(`${address}/productions/${production!.id}/takes/report.pdf`);
    expect((await report.body()).subarray(0, 5).toString()).toBe('%PDF-');
    const unsafe = await request.post(`${address}/pictures`, {
      headers: { 'content-type': 'image/svg+xml' },
      data: '<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"><script/></svg>',
    });
    expect(unsafe.status()).toBe(400);
    expect(await unsafe.json()).toMatchObject({ code: 'svg-not-plain' });
    // more than all threads can do in the time of this test, if it went on
    const gone = Array.from({ length: 12 }, () => new AbortController());
    const asked = gone.map(({ signal }) =>
      fetch(`${address}/shots/${shot!.id}/stops?takes=20000`, { signal }).catch((error: Error) => error.name),
    );
    for (const one of gone) one.abort();
    expect(await Promise.all(asked)).toEqual(Array<string>(12).fill('AbortError'));
    expect((await read<{ takes: number }>(`shots/${shot!.id}/keep-rate?takes=200`)).takes).toBe(200);
    server.stop();
    await server.ended;
  });

  test('a database that can’t be opened is told in a few sentences, and left as it is', async () => {
    rmSync(join(folder, 'pglite/global/pg_control'));
    const broken = await runServer({ STILL_HERON_DATA: folder }).ended;
    expect(broken.code).toBe(1);
    expect(broken.said).toContain(`The database in ${join(folder, 'pglite')} can’t be opened: could not open file`);
    expect(broken.said).toContain('npm run restore -- --empty');
    expect(broken.said).not.toContain('    at ');
    expect(readdirSync(folder)).toContain('pglite');
  });
});
