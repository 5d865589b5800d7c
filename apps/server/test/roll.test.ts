import { randomUUID } from 'node:crypto';
import type { AddressInfo } from 'node:net';
import type { JoinedView, RollView, ShotView } from '@still-heron/contract';
import { newTake } from '@still-heron/core';
import { io, type Socket } from 'socket.io-client';
import { WebSocket } from 'ws';
import { DevicesService } from '../src/roll/devices.service';
import { RollGateway } from '../src/roll/roll.gateway';
import { makeProduction, makeShot, startServer, type TestServer } from './server';

let server: TestServer;
let shot: ShotView;
const open: { close(): unknown }[] = [];
beforeAll(async () => {
  server = await startServer();
  shot = await makeShot(server, (await makeProduction(server)).id);
});
afterEach(() => open.splice(0).forEach((line) => line.close()));
afterAll(async () => {
  await server.stop();
  server.remove();
});

const port = () => (server.app.getHttpServer().address() as AddressInfo).port;

function page(headers: Record<string, string> = {}): Socket {
  const socket = io(`http://127.0.0.1:${port()}`, {
    path: '/api/live',
    transports: ['websocket'],
    extraHeaders: headers,
    forceNew: true,
    reconnection: false,
  });
  open.push(socket);
  return socket;
}

const ask = (socket: Socket, event: string, body?: unknown): Promise<unknown> =>
  body === undefined ? socket.timeout(5000).emitWithAck(event) : socket.timeout(5000).emitWithAck(event, body);
const hears = <T>(socket: Socket, event: string): Promise<T> => new Promise((done) => socket.once(event, done));

const rollOf = (changes: Partial<RollView> = {}): RollView => ({
  rollId: randomUUID(),
  shotId: shot.id,
  startedAtMs: Date.now(),
  rate: 1,
  isClockTriggered: false,
  isPractice: false,
  fromS: 0,
  planVersion: 1,
  device: 'puller’s tablet',
  cueEvents: [],
  ...changes,
});

async function joined(device: string, shotId = shot.id): Promise<{ socket: Socket; found: JoinedView }> {
  const socket = page();
  return { socket, found: (await ask(socket, 'join', { shotId, device })) as JoinedView };
}

test('the clock of the server is told', async () => {
  expect(Math.abs(((await ask(page(), 'clock')) as number) - Date.now())).toBeLessThan(2000);
});

test('a roll is sent to every other page that shows the shot; a page that opens later finds it', async () => {
  const { socket: puller, found } = await joined('puller');
  expect(found).toEqual({ roll: null, version: 1, devices: [] });
  const told = hears<string[]>(puller, 'devices');
  const { socket: operator, found: foundByOperator } = await joined('operator');
  expect(foundByOperator.devices).toEqual(['puller']);
  expect(await told).toEqual(['operator']);
  const roll = rollOf();
  const heard = hears<RollView>(operator, 'roll');
  expect(await ask(puller, 'roll', roll)).toEqual(roll);
  expect(await heard).toEqual(roll);
  const heardCue = hears(puller, 'cue');
  await ask(operator, 'cue', { rollId: roll.rollId, pullId: 'pull-1', timeS: 4.2 });
  expect(await heardCue).toEqual({ rollId: roll.rollId, pullId: 'pull-1', timeS: 4.2 });
  const late = await joined('director');
  expect(late.found.roll).toEqual({ ...roll, cueEvents: [{ pullId: 'pull-1', timeS: 4.2 }] });
  const heardWheel = hears(operator, 'wheel');
  puller.emit('wheel', { ringDeg: 42 });
  expect(await heardWheel).toBe(42);
  const heardEnd = hears(operator, 'end');
  await ask(puller, 'end', { rollId: roll.rollId });
  expect(await heardEnd).toEqual({ rollId: roll.rollId });
  expect((await joined('late')).found.roll).toBeNull();
});

test('a roll has no more cues than a shot can have pulls, whatever is sent', async () => {
  const { id: shotId } = await makeShot(server, shot.productionId, { slate: '9C' });
  const { socket } = await joined('puller', shotId);
  const roll = rollOf({ shotId });
  await ask(socket, 'roll', roll);
  for (let cue = 0; cue < 100; cue++) await ask(socket, 'cue', { rollId: roll.rollId, pullId: `pull-${cue}`, timeS: cue });
  expect((await joined('operator', shotId)).found.roll!.cueEvents).toHaveLength(60);
});

test('a device that goes away is no longer told of', async () => {
  const { socket: puller } = await joined('puller');
  const { socket: operator } = await joined('operator');
  const told = hears<string[]>(puller, 'devices');
  operator.close();
  expect(await told).toEqual([]);
});

test('a roll ends for all if its device does not come back; one that reconnects in time continues', async () => {
  server.app.get(RollGateway).reconnectMs = 2500;
  const shots = await Promise.all(['9A', '9B'].map((slate) => makeShot(server, shot.productionId, { slate })));
  const [lost, kept] = shots.map(({ id }) => rollOf({ shotId: id })) as [RollView, RollView];
  const found = async ({ shotId }: RollView) => (await joined('someone', shotId)).found.roll;
  const { socket: operator } = await joined('operator', lost.shotId);
  const ended = hears<{ rollId: string }>(operator, 'end');
  for (const roll of [lost, kept]) {
    const { socket } = await joined('puller', roll.shotId);
    await ask(socket, 'roll', roll);
    socket.close();
  }
  const { socket: again } = await joined('puller', kept.shotId);
  await ask(again, 'roll', kept);
  expect(await found(lost)).toMatchObject({ rollId: lost.rollId });
  expect(await ended).toEqual({ rollId: lost.rollId });
  expect(await found(lost)).toBeNull();
  await new Promise((done) => setTimeout(done, 500));
  expect(await found(kept)).toMatchObject({ rollId: kept.rollId });
}, 20_000);

test('focus checks and faults that are said elsewhere reach the device that rolls', async () => {
  const { id: shotId } = await makeShot(server, shot.productionId, { slate: '9D' });
  const { socket: puller } = await joined('puller', shotId);
  const { socket: operator } = await joined('operator', shotId);
  const roll = rollOf({ shotId });
  await ask(puller, 'roll', roll);
  const check = { rollId: roll.rollId, isChecking: true, timeS: 2.5 };
  const fault = { rollId: roll.rollId, found: 'camera-jumped', timeS: 3 };
  const heard = [hears(puller, 'check'), hears(puller, 'fault')];
  expect(await ask(operator, 'check', check)).toBe(true);
  expect(await ask(operator, 'fault', fault)).toBe(true);
  expect(await Promise.all(heard)).toEqual([check, fault]);
});

test('a roll that was ended while its device, or the server, was away ends as soon as it is sent again', async () => {
  const { id: shotId } = await makeShot(server, shot.productionId, { slate: '9E' });
  const roll = rollOf({ shotId });
  // the server has started again and knows no roll yet
  const { socket: operator } = await joined('operator', shotId);
  await ask(operator, 'end', { rollId: roll.rollId });
  const { socket: puller } = await joined('puller', shotId);
  const ended = hears(puller, 'end');
  await ask(puller, 'roll', roll);
  expect(await ended).toEqual({ rollId: roll.rollId });
  expect((await joined('late', shotId)).found.roll).toBeNull();
});

test('pages that show a shot hear of its new versions and of its takes', async () => {
  const own = await makeShot(server, shot.productionId, { slate: '9F' });
  const { socket, found } = await joined('operator', own.id);
  expect(found.version).toBe(1);
  const saved = hears(socket, 'saved');
  const { scene, slate, plan } = own;
  await server.request.put(`/api/shots/${own.id}`).send({ version: 1, scene, slate, title: 'nearer', plan }).expect(200);
  expect(await saved).toMatchObject({ version: 2 });
  const taken = hears(socket, 'taken');
  const body = { rolledAt: new Date().toISOString(), take: newTake(plan, 2) };
  await server.request.post(`/api/shots/${own.id}/takes`).send(body).expect(201);
  expect(await taken).toMatchObject({ shotId: own.id });
});

test.each([
  ['join', {}, 'not-an-id'],
  ['join', null, 'not-an-object'],
  ['roll', { ...rollOfNothing(), rate: 7 }, 'out-of-range'],
  ['roll', { ...rollOfNothing(), cueEvents: [{ pullId: 'x', timeS: 'soon' }] }, 'not-a-number'],
  ['cue', { rollId: 'x', pullId: 'a', timeS: 1 }, 'not-an-id'],
  ['end', { rollId: randomUUID(), more: 1 }, 'unknown-field'],
  ['check', { rollId: randomUUID(), isChecking: 1, timeS: 1 }, 'not-yes-or-no'],
  ['fault', { rollId: randomUUID(), found: 'broken', timeS: 1 }, 'not-a-choice'],
  ['join', { shotId: randomUUID(), device: 'x' }, 'not-found'],
  ['roll', rollOfNothing(), 'not-joined'],
])('%s with %j is refused, and says why', async (event, body, code) => {
  expect(await ask(page(), event, body)).toMatchObject({ code });
});

function rollOfNothing() {
  return {
    rollId: randomUUID(),
    shotId: randomUUID(),
    startedAtMs: 1,
    rate: 1,
    isClockTriggered: false,
    isPractice: false,
    fromS: 0,
    planVersion: 1,
    device: 'x',
    cueEvents: [],
  };
}

test('a page of somewhere else is not let in', async () => {
  const socket = page({ origin: 'http://elsewhere.example' });
  await new Promise((done) => socket.once('connect_error', done));
  expect(socket.connected).toBe(false);
});

describe('the port for devices', () => {
  async function device(headers: Record<string, string> = {}): Promise<WebSocket> {
    const socket = new WebSocket(`ws://127.0.0.1:${port()}/api/devices`, { headers });
    open.push(socket);
    await new Promise((done, failed) => socket.once('open', done).once('error', failed));
    return socket;
  }
  const says = (socket: WebSocket): Promise<unknown> =>
    new Promise((done) => socket.once('message', (data: Buffer) => done(JSON.parse(String(data)))));

  test('what a wheel tells every page hears; what a page orders every device hears', async () => {
    const { socket } = await joined('puller');
    const wheel = await device();
    const heard = hears(socket, 'device');
    const message = { kind: 'wheel', device: 'wheel on the arm', ringDeg: 31.5 };
    wheel.send(JSON.stringify(message));
    expect(await heard).toEqual(message);
    // only who rolls moves a motor, and only as far as a ring goes
    const { socket: idle } = await joined('operator');
    await ask(socket, 'roll', rollOf());
    const told = says(wheel);
    idle.emit('order', { kind: 'drive', ringDeg: 280 });
    await ask(idle, 'clock');
    socket.emit('order', { kind: 'drive', ringDeg: 1e9 });
    socket.emit('order', { kind: 'drive', ringDeg: 12 });
    expect(await told).toEqual({ kind: 'drive', ringDeg: 12 });
    const rolls = says(wheel);
    socket.emit('order', { kind: 'roll', isRolling: true });
    expect(await rolls).toEqual({ kind: 'roll', isRolling: true });
  });

  test('a device that floods the port is closed', async () => {
    const flood = await device();
    const closed = new Promise((done) => flood.once('close', done));
    for (let message = 0; message < 2100; message++) flood.send('{"kind":"wheel","device":"x","ringDeg":1}');
    expect(await closed).toBe(1008);
  });

  test('a device that reads nothing is dropped before much waits for it; one that does not answer is dropped as well', async () => {
    const devices = server.app.get(DevicesService);
    const [stalled, silent, healthy] = [await device(), await device(), await device()];
    // a paused connection reads nothing, and answers nothing
    stalled.pause();
    let sent = 0;
    while (connectionsOf(devices) === 3 && sent < 5_000_000) {
      for (let order = 0; order < 500; order++) devices.tell({ kind: 'drive', ringDeg: sent++ });
      await new Promise((next) => setImmediate(next));
    }
    expect(connectionsOf(devices)).toBe(2);
    silent.pause();
    const asked = new Promise((done) => healthy.once('ping', done));
    devices.askWhoIsThere();
    await asked;
    // what is answered after the question is answered after the reply to it
    const answered = new Promise<void>((done) =>
      healthy.on('message', (data: Buffer) => String(data).includes('refused') && done()),
    );
    healthy.send('what');
    await answered;
    const gone = new Promise((done) => [...devices['port'].clients].forEach((client) => client.once('close', done)));
    devices.askWhoIsThere();
    await gone;
    expect(connectionsOf(devices)).toBe(1);
    expect(healthy.readyState).toBe(WebSocket.OPEN);
    for (const socket of [stalled, silent]) socket.terminate();
  });

  const connectionsOf = (devices: DevicesService) => devices['port'].clients.size;

  test.each([
    ['what', ''],
    ['{"kind":"wheel","device":"x"}', 'ringDeg'],
    ['{"kind":"drone"}', 'kind'],
  ])('%s is refused, with what is wrong', async (text, path) => {
    const wheel = await device();
    const answer = says(wheel);
    wheel.send(text);
    expect(await answer).toMatchObject({ kind: 'refused', path });
  });

  test('a page of somewhere else is not let in', async () => {
    await expect(device({ origin: 'http://elsewhere.example' })).rejects.toThrow();
  });
});

test('a take that is sent twice is logged once; one of an earlier form is completed', async () => {
  const id = randomUUID();
  const { predictedKeepRate: _, repairs: __, ...earlier } = newTake(shot.plan, 1);
  const body = { id, rolledAt: '2026-03-01T10:15:00.000Z', take: earlier };
  const first = await server.request.post(`/api/shots/${shot.id}/takes`).send(body).expect(201);
  const second = await server.request.post(`/api/shots/${shot.id}/takes`).send(body).expect(201);
  expect(second.body).toEqual(first.body);
  expect(first.body).toMatchObject({ id, number: 1, take: { predictedKeepRate: null, repairs: [] } });
  const { body: rows } = await server.request.get(`/api/shots/${shot.id}/takes`).expect(200);
  expect(rows).toHaveLength(1);
});
