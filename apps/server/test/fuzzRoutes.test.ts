import type { ErrorBody, ShotView } from '@still-heron/contract';
import { KIT_SCHEMAS, newTake, PLAN_JSON_SCHEMA, TAKE_SCHEMA } from '@still-heron/core';
import { caseCount } from '../../../packages/core/test/caseCount';
import { mutated } from '../../../packages/core/test/mutated';
import { numbersFrom } from '../../../packages/core/test/randomPlans';
import { DEMO_KIT } from '../src/demo/kit';
import { demoShots, makeProduction, makeShot, startServer, type TestServer } from './server';

let server: TestServer;

interface Sent {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly body?: unknown;
}

/** Routes that are left out: they never end, or take seconds each and have tests of their own. */
const LEFT_OUT = /measuring\/events|\/backups|keep-rate|\/stops/;
const ODD = ['', '0', '-1', '1e9', 'x', '%00', '..', '%2e%2e%2f', 'null', '\u202e', '2147483648', 'constructor', '__proto__'];
const JSON_ODD: readonly unknown[] = [
  null,
  0,
  '',
  [],
  {},
  [[]],
  { version: 1 },
  { version: '1' },
  'x',
  { toString: 1 },
  { name: ' ' },
];

/** Requests to one server. The next ones go to a new one, so that its lists stay short. */
const AT_ONE = 1000;

test('no request in any route is answered with a server’s error, or without the form of an error, and none breaks another', async () => {
  const faults: string[] = [];
  for (let seed = 1; seed <= caseCount(200); seed += AT_ONE) {
    server = await startServer();
    faults.push(...(await faultsOf(seed, Math.min(seed + AT_ONE - 1, caseCount(200)))));
    await server.stop();
    server.remove();
  }
  expect(faults).toEqual([]);
});

/** Sends the requests of some seeds. @returns what was wrong with their answers */
async function faultsOf(from: number, to: number): Promise<string[]> {
  const { id: productionId } = await makeProduction(server);
  const shots: ShotView[] = [];
  for (const shot of demoShots()) shots.push(await makeShot(server, productionId, shot));
  const routes = await allRoutes();
  expect(routes.length).toBeGreaterThan(30);
  const known: Record<string, string[]> = { productionId: [productionId], shotId: shots.map(({ id }) => id) };
  const faults: string[] = [];
  for (let seed = from; seed <= to; seed++) {
    const sent = request(routes, known, shots, seed);
    const { status, body } = await server.request[sent.method](sent.path)
      .set('Content-Type', 'application/json')
      .send(sent.body === undefined ? undefined : JSON.stringify(sent.body));
    const { code, message, need } = body as Partial<ErrorBody>;
    const hasForm = [code, message, need].every((text) => typeof text === 'string' && text !== '');
    if (status >= 500 || (status >= 400 && !hasForm)) faults.push(`${seed}: ${status} for ${sent.method} ${sent.path}`);
    if (status < 300 && sent.method === 'post') remember(known, body as { id?: unknown });
    if (seed % 50 === 0) faults.push(...(await brokenLists(productionId, seed)));
  }
  return faults;
}

/** Ids of what was made, so that later requests reach it. */
function remember(known: Record<string, string[]>, { id }: { readonly id?: unknown }): void {
  if (typeof id !== 'string') return;
  for (const name of ['takeId', 'itemId', 'pictureId', 'shotId']) known[name] = [...(known[name] ?? []).slice(-20), id];
}

/** Lists that can no longer be read. */
async function brokenLists(productionId: string, seed: number): Promise<string[]> {
  const faults: string[] = [];
  const own = ['shots', 'takes', 'takes/statistics', 'takes/whole'].map((what) => `productions/${productionId}/${what}`);
  for (const path of ['productions', 'kit/lenses', 'kit/cameras', 'kit/rigs', 'kit/wheels', 'kit/export', 'health', ...own]) {
    const { status } = await server.request.get(`/api/${path}`);
    if (status !== 200) faults.push(`${seed}: ${status} for ${path} afterwards`);
  }
  return faults;
}

/** Methods and addresses of all requests, as they are described. */
async function allRoutes(): Promise<{ method: Sent['method']; path: string }[]> {
  const { body } = await server.request.get('/api/docs-json').expect(200);
  return Object.entries((body as { paths: Record<string, object> }).paths)
    .flatMap(([path, methods]) => Object.keys(methods).map((method) => ({ method: method as Sent['method'], path })))
    .filter(({ path }) => !LEFT_OUT.test(path));
}

/** A request to one of the routes, from a number that makes it again. */
function request(
  routes: Awaited<ReturnType<typeof allRoutes>>,
  known: Readonly<Record<string, readonly string[]>>,
  shots: readonly ShotView[],
  seed: number,
): Sent {
  const next = numbersFrom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const { method, path } = pick(routes);
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => {
    if (name === 'kind') return pick(['lenses', 'cameras', 'wheels', 'rigs', 'nothing']);
    const ids = known[name] ?? ['00000000-0000-4000-8000-000000000000'];
    return next() < 0.85 ? pick(ids) : encodeURIComponent(pick(ODD)) || 'x';
  });
  const query =
    next() < 0.4
      ? `?${pick(['version', 'page', 'size', 'order', 'shot', 'units', 'search'])}=${encodeURIComponent(pick(ODD))}`
      : '';
  const body = method === 'get' || method === 'delete' ? {} : { body: bodyFor(filled, shots, seed, { next, pick }) };
  return { method, path: filled + query, ...body };
}

function bodyFor(
  path: string,
  shots: readonly ShotView[],
  seed: number,
  { next, pick }: { readonly next: () => number; readonly pick: <T>(list: readonly T[]) => T },
): unknown {
  if (next() < 0.15) return pick(JSON_ODD);
  const { scene, slate, title, plan, version } = pick(shots);
  const wrapped = pick([version, version + 1, 1, 2147483647]);
  if (/takes/.test(path))
    return {
      ...(next() < 0.5
        ? { version: wrapped }
        : { rolledAt: pick(['2026-03-01T10:15:00.000Z', '2026-W10', '9999-12-31T23:59:59Z']) }),
      take: mutated(newTake(plan, 1), TAKE_SCHEMA, seed),
    };
  if (/kit\/import/.test(path)) return { format: 'still-heron-kit', schema: 1, ...DEMO_KIT, lenses: [lensNear(seed)] };
  if (/kit/.test(path)) return { ...(next() < 0.5 ? { version: wrapped } : {}), item: lensNear(seed) };
  if (/shots/.test(path))
    return { scene, slate, title, plan: mutated(plan, PLAN_JSON_SCHEMA, seed), ...(next() < 0.6 ? { version: wrapped } : {}) };
  return { name: pick(['The Bell Foundry', '', 'x'.repeat(200)]), version: wrapped, shutterAngleDeg: pick([180, 0, -1, 1e9]) };
}

function lensNear(seed: number): unknown {
  return mutated(DEMO_KIT.lenses[seed % DEMO_KIT.lenses.length], KIT_SCHEMAS.lenses, seed);
}
