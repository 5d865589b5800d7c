import type { ReadingView } from '@still-heron/contract';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import { startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(async () => {
  await server.stop();
  server.remove();
});

/** Listens at the measuring port until `count` readings have arrived. */
async function listen(count: number, whenListening: () => Promise<unknown>): Promise<ReadingView[]> {
  const { port } = (server.app.getHttpServer() as { address(): AddressInfo }).address();
  return new Promise((resolve, reject) => {
    const readings: ReadingView[] = [];
    const request = get({ port, path: '/api/measuring/events', headers: { 'Accept-Encoding': 'gzip' } }, (response) => {
      let rest = '';
      response.setEncoding('utf8');
      response.on('data', (part: string) => {
        const events = (rest + part).split('\n\n');
        rest = events.pop()!;
        for (const event of events) {
          const lines = Object.fromEntries(
            event.split('\n').map((line) => [line.slice(0, line.indexOf(':')), line.slice(line.indexOf(':') + 1).trim()]),
          );
          if (lines['event'] === 'listening') whenListening().catch(reject);
          if (lines['event'] === 'reading') readings.push(JSON.parse(lines['data']!) as ReadingView);
        }
        if (readings.length >= count) {
          request.destroy();
          resolve(readings);
        }
      });
    });
    request.on('error', (error) => readings.length < count && reject(error));
  });
}

test('what a device sends is passed on as it comes, with the uncertainty of its method', async () => {
  const send = (body: object) => server.request.post('/api/measuring/readings').send(body).expect(201);
  const readings = await listen(2, async () => {
    await send({ device: 'laser on the matte box', method: 'laser', distanceMm: 2405 });
    await send({ device: 'tape', method: 'tape', distanceMm: 3100, uncertaintyMm: 4, recipient: 'page-7' });
  });
  expect(readings).toMatchObject([
    { device: 'laser on the matte box', distanceMm: 2405, uncertaintyMm: 5, isSimulated: false, recipient: null },
    { device: 'tape', distanceMm: 3100, uncertaintyMm: 4, isSimulated: false, recipient: 'page-7' },
  ]);
  expect(readings[1]!.number).toBe(readings[0]!.number + 1);
});

test('a simulated reading is the drawn distance with the noise of the method, labelled as simulated', async () => {
  const ask = async (method: string) =>
    (await server.request.post('/api/measuring/simulated').send({ method, drawnMm: 4000, recipient: 'p' }).expect(200))
      .body as ReadingView;
  const tapes = await Promise.all(Array.from({ length: 40 }, () => ask('tape')));
  const mean = tapes.reduce((sum, { distanceMm }) => sum + distanceMm, 0) / tapes.length;
  expect(Math.abs(mean - 4000)).toBeLessThan(12);
  expect(new Set(tapes.map(({ distanceMm }) => distanceMm)).size).toBeGreaterThan(3);
  expect(
    tapes.every(
      ({ isSimulated, device, uncertaintyMm, distanceMm }) =>
        isSimulated && device.startsWith('simulated') && uncertaintyMm === 12 && distanceMm % 5 === 0,
    ),
  ).toBe(true);
  const [reading] = await listen(1, () => ask('laser'));
  expect(reading).toMatchObject({ isSimulated: true, method: 'laser', recipient: 'p' });
});

test.each([
  [{ device: '', method: 'tape', distanceMm: 1 }, 'device'],
  [{ device: 'x', method: 'sonar', distanceMm: 1 }, 'method'],
  [{ device: 'x', method: 'tape', distanceMm: 0 }, 'distanceMm'],
  [{ device: 'x', method: 'tape', distanceMm: 'far' }, 'distanceMm'],
  [{ device: 'x', method: 'tape', distanceMm: 1, uncertaintyMm: -1 }, 'uncertaintyMm'],
])('a reading that can’t be is refused by its field: %j', async (body, path) => {
  const answer = await server.request.post('/api/measuring/readings').send(body).expect(400);
  expect(answer.body).toMatchObject({ path });
});
