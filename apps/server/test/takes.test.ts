import { randomUUID } from 'node:crypto';
import type {
  LensUseView,
  LoggedTakeView,
  ShotView,
  StatisticsDetailsView,
  StatisticsView,
  TakePageView,
  TakeRowView,
  TakeView,
  WrapUpView,
} from '@still-heron/contract';
import { newTake, NOT_MEASURED, packTrack, type Take } from '@still-heron/core';
import { DATABASE } from '../src/database/tokens';
import type { Database } from '../src/database/database';
import { takes } from '../src/database/schema';
import { demoShots, makeProduction, makeShot, startServer, type TestServer } from './server';

let server: TestServer;
beforeAll(async () => (server = await startServer()));
afterAll(async () => {
  await server.stop();
  server.remove();
});

const demo = (slate: string) => demoShots().find((shot) => shot.slate === slate)!;

async function demoShot(slate = '4B'): Promise<{ shot: ShotView; productionId: string }> {
  const { id } = await makeProduction(server);
  return { shot: await makeShot(server, id, demo(slate)), productionId: id };
}

const takeOf = ({ plan, version }: ShotView, changes: Partial<Take> = {}): Take => ({ ...newTake(plan, version), ...changes });
const rolledAt = '2026-03-01T10:15:00.000Z';

async function log(shot: ShotView, changes: Partial<Take> = {}, at = rolledAt): Promise<TakeRowView> {
  const body = { rolledAt: at, take: takeOf(shot, changes) };
  return (await server.request.post(`/api/shots/${shot.id}/takes`).send(body).expect(201)).body as TakeRowView;
}

test('takes of a shot are numbered from one on; a list comes without tracks, a take with its own', async () => {
  const { shot } = await demoShot();
  const track = packTrack({ hz: 120, ringDeg: Float64Array.of(1, 2, 2.5) });
  const first = await log(shot, { track, isCircled: true });
  await log(shot, { focus: 'soft' });
  expect(first).toMatchObject({
    number: 1,
    version: 1,
    hasTrack: true,
    rolledAt,
    take: { isCircled: true, gear: { stop: 2.2 } },
  });
  const { body } = await server.request.get(`/api/shots/${shot.id}/takes`).expect(200);
  const rows = body as TakeRowView[];
  expect(rows.map(({ number, hasTrack }) => [number, hasTrack])).toEqual([
    [1, true],
    [2, false],
  ]);
  expect(JSON.stringify(rows)).not.toContain(track);
  expect(((await server.request.get(`/api/takes/${first.id}`).expect(200)).body as TakeView).take).toEqual(
    takeOf(shot, { track, isCircled: true }),
  );
});

test('how often each lens was used, in all productions and not by shots that were deleted', async () => {
  const { shot } = await demoShot('9A');
  const used = async () =>
    ((await server.request.get('/api/lens-use').expect(200)).body as LensUseView[]).find(
      ({ lens }) => lens === shot.plan.optics.lens.name,
    );
  expect(await used()).toBeUndefined();
  await log(shot, { focus: 'sharp' });
  await log(shot, { focus: 'soft' }, '2026-04-02T08:00:00.000Z');
  expect(await used()).toMatchObject({ takes: 2, usable: 1, lastUsedAt: '2026-04-02T08:00:00.000Z' });
  await server.request.delete(`/api/shots/${shot.id}?version=${shot.version}`).expect(204);
  expect(await used()).toBeUndefined();
});

test('two devices that log at once get two numbers', async () => {
  const { shot } = await demoShot();
  const rows = await Promise.all([1, 2, 3, 4, 5].map(() => log(shot)));
  expect(rows.map(({ number }) => number).sort()).toEqual([1, 2, 3, 4, 5]);
});

test('a take is graded afterwards; a save of what has changed since is refused, and so is its removal', async () => {
  const { shot } = await demoShot();
  const { id } = await log(shot);
  const graded = takeOf(shot, {
    focus: 'usable',
    performance: 'good',
    whyKept: 'her look',
    hits: [{ pullId: 'pull-1', said: 'late', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null }],
  });
  const saved = (await server.request.put(`/api/takes/${id}`).send({ version: 1, take: graded }).expect(200)).body as TakeRowView;
  expect(saved).toMatchObject({ version: 2, take: { focus: 'usable', whyKept: 'her look' } });
  await server.request.put(`/api/takes/${id}`).send({ version: 1, take: graded }).expect(409);
  await server.request.delete(`/api/takes/${id}?version=1`).expect(409);
  await server.request.delete(`/api/takes/${id}?version=2`).expect(204);
  await server.request.get(`/api/takes/${id}`).expect(404);
  // the number of a deleted take is not given again: it may come back
  expect((await log(shot)).number).toBe(2);
});

test('a deleted take is restored as it was, with its number; what it was before each change is kept', async () => {
  const { shot, productionId } = await demoShot();
  const track = packTrack({ hz: 120, ringDeg: Float64Array.of(1, 2, 2.5) });
  const { id } = await log(shot, { track, note: 'first' });
  for (const [version, note] of ['second', 'third'].entries())
    await server.request
      .put(`/api/takes/${id}`)
      .send({ version: version + 1, take: takeOf(shot, { track, note }) })
      .expect(200);
  await server.request.delete(`/api/takes/${id}?version=3`).expect(204);
  const of = async (path: string) => (await server.request.get(`/api/${path}`).expect(200)).body as unknown;
  expect(await of(`shots/${shot.id}/takes`)).toEqual([]);
  expect(await of(`productions/${productionId}/takes`)).toMatchObject({ total: 0 });
  expect(await of(`productions/${productionId}/takes/whole`)).toEqual([]);
  expect(await of(`productions/${productionId}/takes/statistics`)).toMatchObject({ takes: 0 });
  expect(await of(`shots/${shot.id}/takes/deleted`)).toMatchObject([{ id, number: 1, take: { note: 'third' } }]);
  await server.request
    .put(`/api/takes/${id}`)
    .send({ version: 3, take: takeOf(shot) })
    .expect(404);
  await server.request.get(`/api/takes/${id}/revisions`).expect(404);
  const restored = (await server.request.post(`/api/takes/${id}/restore`).expect(200)).body as TakeRowView;
  expect(restored).toMatchObject({ number: 1, version: 3, hasTrack: true, take: { note: 'third' } });
  expect(((await of(`takes/${id}`)) as TakeView).take.track).toBe(track);
  await server.request.post(`/api/takes/${id}/restore`).expect(404);
  expect(await of(`takes/${id}/revisions`)).toMatchObject([
    { version: 2, take: { note: 'second' } },
    { version: 1, take: { note: 'first' } },
  ]);
  expect(JSON.stringify(await of(`takes/${id}/revisions`))).not.toContain(track);
});

test('a deleted take that comes again from a file is restored as the file has it', async () => {
  const { shot } = await demoShot();
  const id = randomUUID();
  const post = async (note: string) =>
    (
      await server.request
        .post(`/api/shots/${shot.id}/takes`)
        .send({ id, rolledAt, take: takeOf(shot, { note }) })
        .expect(201)
    ).body as TakeRowView;
  expect(await post('first')).toMatchObject({ number: 1, version: 1 });
  // sent twice, because an answer was lost: it is logged once, and unchanged
  expect(await post('second')).toMatchObject({ number: 1, version: 1, take: { note: 'first' } });
  await server.request.delete(`/api/takes/${id}?version=1`).expect(204);
  expect(await post('from the file')).toMatchObject({ id, number: 1, version: 2, take: { note: 'from the file' } });
  expect((await server.request.get(`/api/takes/${id}/revisions`).expect(200)).body).toMatchObject([
    { version: 1, take: { note: 'first' } },
  ]);
});

test('details: faults by group, kept by depth of the zone, turns by day, and which looks were right', async () => {
  const { shot, productionId } = await demoShot();
  const turn = {
    travelDeg: 84,
    plannedDeg: 80,
    overshootDeg: 4,
    isPastZone: true,
    reversals: 1,
    smoothness: 0.8,
    settlingS: 0.4,
  };
  const hit = (changes: Partial<Take['hits'][number]>) => ({
    pullId: 'pull-1',
    said: null,
    measured: null,
    ...NOT_MEASURED,
    ...changes,
  });
  const small = { on: 'the small display', magnification: 4, confidence: 'sure' as const };
  await log(shot, {
    focus: 'soft',
    zoneDepthMm: 42,
    hits: [
      hit({ measured: 'late', turn }),
      hit({ pullId: 'pull-2', said: 'late', turn: { ...turn, smoothness: 0.6, settlingS: null, isPastZone: false } }),
    ],
    earlierLooks: [{ ...small, focus: 'sharp' }],
  });
  await log(shot, {
    focus: 'sharp',
    zoneDepthMm: 50,
    earlierLooks: [
      { ...small, focus: 'sharp' },
      { ...small, on: '', focus: 'usable' },
    ],
  });
  await log(shot, { zoneDepthMm: 30 });
  await log(shot, { focus: 'sharp', zoneDepthMm: 4000 }, '2026-03-02T10:15:00.000Z');
  await log(shot, { measured: { focus: 'soft', usable: [] }, ringFrom: 'on-screen', hits: [hit({ measured: 'early', turn })] });
  const of = async (query = '') =>
    (await server.request.get(`/api/productions/${productionId}/takes/statistics/details${query}`).expect(200))
      .body as StatisticsDetailsView;
  const details = await of();
  // late at two pulls is late once
  expect(details.faults.map(({ by, takes: count, faults }) => [by, count, faults])).toEqual([
    ['method', 4, [{ fault: 'late', takes: 1 }]],
    ['lens', 4, [{ fault: 'late', takes: 1 }]],
    ['puller', 4, [{ fault: 'late', takes: 1 }]],
    ['day', 3, [{ fault: 'late', takes: 1 }]],
  ]);
  // of the take with 30 mm nobody said anything
  expect(details.byDepth).toEqual([
    { toMm: 50, takes: 2, kept: 1 },
    { toMm: null, takes: 1, kept: 1 },
  ]);
  expect(details.turns).toEqual([
    {
      day: '2026-03-01',
      turns: 2,
      smoothness: expect.closeTo(0.7, 9) as number,
      settlingS: expect.closeTo(0.4, 9) as number,
      pastZone: 1,
    },
  ]);
  expect(details.looks).toEqual([
    { ...small, looks: 2, right: 1 },
    { ...small, on: '', looks: 1, right: 0 },
  ]);
  const all = await of('?simulated=true');
  expect(all.turns[0]).toMatchObject({ turns: 3 });
  expect(all.faults[0]!.faults).toHaveLength(2);
  await server.request.get(`/api/productions/${productionId}/takes/statistics/details?simulated=perhaps`).expect(400);
  await server.request.get(`/api/productions/${randomUUID()}/takes/statistics/details`).expect(404);
});

test('a take of which nobody said counts neither as kept nor as lost; one of a simulator counts when it is asked for', async () => {
  const { shot, productionId } = await demoShot();
  await log(shot, { predictedKeepRate: 0.5 });
  await log(shot, {
    predictedKeepRate: 0.5,
    focus: 'sharp',
    findings: [{ at: { kind: 'time', timeS: 2 }, found: 'camera-jumped' }],
  });
  await log(shot, { ringFrom: 'on-screen', measured: { focus: 'soft', usable: [] } });
  await log(shot, { focus: 'sharp', isNoGood: true });
  const of = async (path: string) =>
    (await server.request.get(`/api/productions/${productionId}/takes${path}`).expect(200)).body as unknown;
  const numbers = async (query: string) => ((await of(query)) as TakePageView).takes.map(({ number }) => number);
  expect(await of('/statistics')).toMatchObject({
    takes: 3,
    said: 2,
    kept: 1,
    usable: 1,
    simulated: 1,
    calibration: [{ takes: 1, kept: 1 }],
  });
  expect(await of('/statistics?simulated=true')).toMatchObject({ takes: 4, said: 3, kept: 1, simulated: 1 });
  await server.request.get(`/api/productions/${productionId}/takes/statistics?simulated=perhaps`).expect(400);
  expect(await numbers('?focus=not-said')).toEqual([1]);
  expect(await numbers('?focus=soft')).toEqual([3]);
  expect(await numbers('?simulated=false')).toEqual([4, 2, 1]);
  expect(await numbers('?fault=camera-jumped')).toEqual([2]);
});

test.each<[string, object, string, string]>([
  ['a length', { durationS: -1 }, 'out-of-range', 'take.durationS'],
  ['a grade', { focus: 'crisp' }, 'not-a-choice', 'take.focus'],
  [
    'a hit',
    { hits: [{ pullId: 'pull-1', said: 'missed', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null }] },
    'not-a-choice',
    'take.hits[0].said',
  ],
  ['a track', { track: 'ring1 120 A?' }, 'broken-track', 'take.track'],
  ['a focus check', { focusChecks: [{ fromS: 3, toS: 2 }] }, 'ends-before-start', 'take.focusChecks[0].toS'],
  ['a field', { colour: 'red' }, 'unknown-field', 'take.colour'],
])('%s that is none is refused, with where and what would do', async (_, changes, code, path) => {
  const { shot } = await demoShot();
  const body = { rolledAt, take: { ...takeOf(shot), ...changes } };
  const answer = await server.request.post(`/api/shots/${shot.id}/takes`).send(body).expect(400);
  expect(answer.body).toMatchObject({ code, path });
  expect((answer.body as { need: string }).need.length).toBeGreaterThan(3);
});

test('when it began must be a time, and the shot must be there', async () => {
  const { shot } = await demoShot();
  const refused = await server.request
    .post(`/api/shots/${shot.id}/takes`)
    .send({ rolledAt: 'noon', take: takeOf(shot) })
    .expect(400);
  expect(refused.body).toMatchObject({ code: 'not-a-time', path: 'rolledAt' });
  await server.request
    .post(`/api/shots/${randomUUID()}/takes`)
    .send({ rolledAt, take: takeOf(shot) })
    .expect(404);
  await server.request.get('/api/shots/nonsense/takes').expect(404);
});

test('the log of a production: newest first, by pages, searched and filtered', async () => {
  const { shot, productionId } = await demoShot();
  const other = await makeShot(server, productionId, demo('9C'));
  await log(shot, { note: 'lantern too bright', isCircled: true, focus: 'sharp' }, '2026-03-01T10:00:00Z');
  await log(
    other,
    { hits: [{ pullId: 'pull-1', said: 'late', measured: null, lateS: null, landsLateS: null, offDeg: null, turn: null }] },
    '2026-03-01T11:00:00Z',
  );
  await log(shot, { focus: 'soft' }, '2026-03-01T12:00:00Z');
  const page = async (query: string) =>
    (await server.request.get(`/api/productions/${productionId}/takes?${query}`).expect(200)).body as TakePageView;
  const told = ({ takes: found, total }: TakePageView) => [total, ...found.map(({ slate, number }) => `${slate}-${number}`)];
  expect(told(await page(''))).toEqual([3, '4B-2', '9C-1', '4B-1']);
  expect(told(await page('size=2&page=2'))).toEqual([3, '4B-1']);
  expect(told(await page('size=1&page=3'))).toEqual([3, '4B-1']);
  expect(told(await page('size=2&page=3'))).toEqual([3]);
  expect(told(await page('circled=true'))).toEqual([1, '4B-1']);
  expect(told(await page('focus=soft'))).toEqual([1, '4B-2']);
  expect(told(await page('fault=late'))).toEqual([1, '9C-1']);
  expect(told(await page('search=LANTERN%20too'))).toEqual([1, '4B-1']);
  expect(told(await page('search=9c'))).toEqual([1, '9C-1']);
  // pattern characters are searched literally
  expect(told(await page('search=%25'))).toEqual([0]);
  for (const query of ['size=0', 'page=x', 'circled=yes', 'focus=crisp', 'fault=missed'])
    await server.request.get(`/api/productions/${productionId}/takes?${query}`).expect(400);
  // deleting a shot removes its takes from the log; restoring it brings them back
  await server.request.delete(`/api/shots/${other.id}?version=1`).expect(204);
  expect((await page('')).total).toBe(2);
  await server.request.post(`/api/shots/${other.id}/restore`).expect(200);
  expect((await page('')).total).toBe(3);
});

test('two thousand takes: each page of them is right', async () => {
  const { shot, productionId } = await demoShot();
  const db = server.app.get<Database>(DATABASE);
  const { track, ...take } = takeOf(shot);
  for (let from = 0; from < 2000; from += 500)
    await db.insert(takes).values(
      Array.from({ length: 500 }, (_, k) => ({
        shotId: shot.id,
        productionId,
        number: from + k + 1,
        rolledAt: new Date(1.77e12 + (from + k) * 60_000),
        isCircled: k % 50 === 0,
        focus: null,
        take,
        track,
      })),
    );
  const { body } = await server.request.get(`/api/productions/${productionId}/takes?circled=true&size=10&page=2`).expect(200);
  const { takes: found, total } = body as TakePageView;
  expect(total).toBe(40);
  const last = await server.request.get(`/api/productions/${productionId}/takes?size=10&page=200`).expect(200);
  expect((last.body as TakePageView).takes.map(({ number }) => number)).toEqual([10, 9, 8, 7, 6, 5, 4, 3, 2, 1]);
  expect(found.map(({ number }) => number)).toEqual(Array.from({ length: 10 }, (_, k) => 1951 - 50 * (k + 10)));
});

describe('what takes tell', () => {
  test('how often takes are kept by what they have in common, how predictions fared, and what was measured', async () => {
    const { shot, productionId } = await demoShot();
    const hits = (lateS: number): Take['hits'] => [
      { pullId: 'pull-1', said: null, measured: 'hit', lateS, landsLateS: null, offDeg: lateS * 10, turn: null },
    ];
    for (const lateS of [0.1, 0.2, 0.3, 0.2, 0.1, 0.3])
      await log(shot, { focus: 'sharp', performance: 'good', predictedKeepRate: 0.83, hits: hits(lateS) });
    await log(shot, { focus: 'soft', predictedKeepRate: 0.88, repairs: ['retimed'] }, '2026-03-02T08:00:00.000Z');
    await log(shot, { focus: 'soft', isCircled: true, gear: { ...takeOf(shot).gear, puller: 'Ines', stop: 4.5 } });
    const { body } = await server.request.get(`/api/productions/${productionId}/takes/statistics`).expect(200);
    const statistics = body as StatisticsView;
    expect(statistics).toMatchObject({ takes: 8, said: 8, kept: 6, usable: 7, repaired: 1 });
    expect(statistics.byStop).toEqual([
      { name: '2.2', takes: 7, kept: 6 },
      { name: '4.5', takes: 1, kept: 0 },
    ]);
    expect(statistics.byPuller).toEqual([
      { name: '', takes: 7, kept: 6 },
      { name: 'Ines', takes: 1, kept: 0 },
    ]);
    expect(statistics.byDay.map(({ name, takes: count }) => [name, count])).toEqual([
      ['2026-03-01', 7],
      ['2026-03-02', 1],
    ]);
    expect(statistics.byDifficulty).toEqual([{ name: 'fair', takes: 7, kept: 6 }]);
    expect(statistics.calibration).toEqual([
      { predicted: expect.closeTo((6 * 0.83 + 0.88) / 7, 9) as number, takes: 7, kept: 6 },
    ]);
    expect(statistics.errors.late).toMatchObject({ count: 6, mean: expect.closeTo(0.2, 9) as number });
    expect(statistics.errors.markMisses).toBeNull();
    const { id } = await makeProduction(server, 'Nothing yet');
    expect((await server.request.get(`/api/productions/${id}/takes/statistics`).expect(200)).body).toMatchObject({
      takes: 0,
      byLens: [],
      errors: { late: null },
    });
  });

  test('a log is narrowed by lens, method and person, and read in other orders', async () => {
    const { shot, productionId } = await demoShot();
    await log(shot, { predictedKeepRate: 0.2, gear: { ...takeOf(shot).gear, puller: 'Ines' } }, '2026-03-01T09:00:00.000Z');
    await log(shot, { predictedKeepRate: 0.9 }, '2026-03-01T10:00:00.000Z');
    await log(shot, {}, '2026-03-01T11:00:00.000Z');
    const numbers = async (query: string) =>
      ((await server.request.get(`/api/productions/${productionId}/takes?${query}`).expect(200)).body as TakePageView).takes.map(
        ({ number }) => number,
      );
    expect(await numbers('')).toEqual([3, 2, 1]);
    expect(await numbers('order=oldest')).toEqual([1, 2, 3]);
    expect(await numbers('order=likeliest')).toEqual([2, 1, 3]);
    expect(await numbers('order=unlikeliest')).toEqual([1, 2, 3]);
    expect(await numbers('puller=Ines')).toEqual([1]);
    expect(await numbers('lens=nothing')).toEqual([]);
    await server.request.get(`/api/productions/${productionId}/takes?order=backwards`).expect(400);
  });

  test('takes of a shot whose method changes are counted apart, and found by their methods', async () => {
    const { shot, productionId } = await demoShot();
    const { gear } = takeOf(shot);
    await log(shot, { gear: { ...gear, laterMethods: ['fixed'] }, focus: 'sharp' });
    await log(shot, { focus: 'soft' });
    const path = `/api/productions/${productionId}/takes`;
    const { byMethod } = (await server.request.get(`${path}/statistics`).expect(200)).body as StatisticsView;
    expect(Object.fromEntries(byMethod.map(({ name, takes, kept }) => [name, [takes, kept]]))).toEqual({
      [gear.method]: [1, 0],
      [`${gear.method} fixed`]: [1, 1],
    });
    const { takes } = (await server.request.get(path).query({ method: `${gear.method} fixed` })).body as TakePageView;
    expect(takes.map(({ number }) => number)).toEqual([1]);
  });
});

test('before anyone leaves: which shots have what they need, and what the others lack', async () => {
  const { shot, productionId } = await demoShot();
  const second = await makeShot(server, productionId, demo('9C'));
  const third = await makeShot(server, productionId, { ...demo('9A'), slate: '9B' });
  await log(shot, { focus: 'sharp' });
  await log(second, { focus: 'soft' });
  await log(second, { focus: 'sharp', ringFrom: 'simulated-motor' });
  const wrap = async () =>
    ((await server.request.get(`/api/productions/${productionId}/takes/wrap-up`).expect(200)).body as WrapUpView[]).map(
      ({ slate, state, takes: count }) => [slate, state, count],
    );
  expect(await wrap()).toEqual([
    ['4B', 'done', 1],
    ['9C', 'none', 1],
    ['9B', 'not-shot', 0],
  ]);
  await log(third);
  expect((await wrap())[2]).toEqual(['9B', 'not-said', 1]);
  // what to change, and which other method would have held the last lost take
  const [pull] = second.plan.focusTrack.pulls;
  const late = { ...NOT_MEASURED, pullId: pull!.id, said: null, measured: 'late' as const, lateS: 0.5 };
  await log(second, { measured: { focus: 'soft', usable: [] }, hits: [late] }, '2026-03-02T10:15:00.000Z');
  const path = `/api/productions/${productionId}/takes/wrap-up`;
  const again = ((await server.request.get(`${path}?units=imperial`).expect(200)).body as WrapUpView[])[1]!;
  expect(again).toMatchObject({ state: 'none', takes: 2, days: ['2026-03-01', '2026-03-02'] });
  expect(again.changes[0]).toContain('late at');
  expect(again.changes.at(-1)).toMatch(/^With the same errors, /);
  await server.request.get(`${path}?units=yards`).expect(400);
  await server.request.get(`/api/productions/${randomUUID()}/takes/wrap-up`).expect(404);
});

describe('what leaves the house', () => {
  test('takes of a shot, or of all of them, with their tracks', async () => {
    const { shot, productionId } = await demoShot();
    const track = packTrack({ hz: 100, ringDeg: Float64Array.of(1, 2) });
    await log(shot, { track });
    const other = await makeShot(server, productionId, demo('4A'));
    await log(other);
    const whole = async (query: string) =>
      (await server.request.get(`/api/productions/${productionId}/takes/whole${query}`).expect(200)).body as LoggedTakeView[];
    expect((await whole('')).map(({ slate, take }) => [slate, take])).toMatchObject([
      ['4B', { track }],
      ['4A', { track: null }],
    ]);
    expect(await whole(`?shot=${other.id}`)).toHaveLength(1);
    await server.request.get(`/api/productions/${productionId}/takes/whole?shot=nobody`).expect(404);
  });

  test('a report for the editor is a PDF that names the spans, also of a production without takes and of far letters', async () => {
    const { shot, productionId } = await demoShot();
    const span = { fromS: 1, toS: 5 };
    await log(shot, {
      isCircled: true,
      focus: 'soft',
      whyKept: 'Łucja’s look, čekání',
      usable: [span],
      focusChecks: [{ fromS: 6, toS: 7 }],
      startTimecode: '10:00:00:00',
      repairs: ['reversed'],
    });
    const pdf = async (id: string) => {
      const { body, headers } = await server.request.get(`/api/productions/${id}/takes/report.pdf`).buffer().expect(200);
      expect(headers['content-type']).toBe('application/pdf');
      return body as Buffer;
    };
    const file = await pdf(productionId);
    expect(file.subarray(0, 5).toString()).toBe('%PDF-');
    expect(file.subarray(-6).toString()).toContain('%%EOF');
    // contains both typefaces
    expect(file.toString('latin1').match(/\/FontFile/g)?.length).toBeGreaterThanOrEqual(2);
    const { id } = await makeProduction(server, 'Nothing yet');
    expect((await pdf(id)).length).toBeGreaterThan(500);
  });
});
