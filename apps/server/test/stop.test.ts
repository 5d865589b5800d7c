import type { KeepRateView, StopRateView } from '@still-heron/contract';
import { addSubject, keepRate, newPlan, stopsToCompare } from '@still-heron/core';
import { demoShots, makeProduction, makeShot, startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => (server = await startServer()));
afterAll(async () => {
  await server.stop();
  server.remove();
});

async function storedShot(slate: string) {
  const { id } = await makeProduction(server);
  return makeShot(
    server,
    id,
    demoShots().find((shot) => shot.slate === slate)!,
  );
}

test('the server draws the very takes the core does, however it shares them out', async () => {
  const { id, plan } = await storedShot('14A');
  const { body } = await server.request.get(`/api/shots/${id}/keep-rate?takes=450&seed=7`).expect(200);
  const view = body as KeepRateView;
  const { frames, setupsKept: _, ...rate } = keepRate(plan, { takes: 450, seed: 7 });
  expect(view).toEqual({ ...rate, frames: Array.from(frames, (share) => (Number.isNaN(share) ? null : share)) });
  expect(view.frames).toContain(null);
});

test('at every stop of the lens, widest first; where none is kept what would be infinite is null', async () => {
  const { id, plan } = await storedShot('4B');
  const { body } = await server.request.get(`/api/shots/${id}/stops?takes=200`).expect(200);
  const views = body as StopRateView[];
  expect(views.map(({ stop }) => stop)).toEqual(stopsToCompare(plan));
  expect(views.every(({ takes, seed }) => takes === 200 && seed === 1)).toBe(true);
  expect(views[0]).toMatchObject({ keepRate: 0, expectedTakes: null, takesForNineOfTen: null });
  expect(views.at(-1)!.keepRate).toBeGreaterThan(0.3);
});

test('other requests are answered while takes are drawn', async () => {
  const { id } = await storedShot('14A');
  const order: string[] = [];
  const slow = server.request.get(`/api/shots/${id}/keep-rate?takes=20000`).then(() => order.push('takes'));
  await new Promise((done) => setTimeout(done, 5));
  await server.request.get('/api/health').then(() => order.push('health'));
  await slow;
  expect(order).toEqual(['health', 'takes']);
});

test.each([
  ['takes=0', 'takes', 'a whole number from 1 to 20000'],
  ['takes=20001', 'takes', 'a whole number from 1 to 20000'],
  ['takes=many', 'takes', 'a whole number from 1 to 20000'],
  ['seed=-1', 'seed', 'a whole number from 1 to 999999999'],
])('%s is refused with what would do', async (query, path, need) => {
  const { id } = await storedShot('9C');
  for (const what of ['keep-rate', 'stops']) {
    const { body } = await server.request.get(`/api/shots/${id}/${what}?${query}`).expect(400);
    expect(body).toMatchObject({ code: 'out-of-range', path, need });
  }
});

test('a shot without anything to keep says what is missing; one that is not there is not found', async () => {
  const { id } = await makeProduction(server);
  const empty = await makeShot(server, id);
  expect((await server.request.get(`/api/shots/${empty.id}/keep-rate`).expect(409)).body).toMatchObject({
    code: 'nothing-to-judge',
    path: 'subjects',
  });
  const unasked = await makeShot(server, id, {
    plan: { ...addSubject(newPlan(), { name: 'Ines', distanceMm: 2000 }), beats: [] },
  });
  expect((await server.request.get(`/api/shots/${unasked.id}/stops`).expect(409)).body).toMatchObject({
    message: 'nothing has to be sharp in this shot',
    path: 'beats',
  });
  await server.request.get('/api/shots/nonsense/keep-rate').expect(404);
});
