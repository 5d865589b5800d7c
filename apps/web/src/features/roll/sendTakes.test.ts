import { configureStore } from '@reduxjs/toolkit';
import { newTake, type Take } from '@still-heron/core';
import { api } from '../../shared/api/api';
import type { Store } from '../../shared/store/hooks';
import { TWO_PEOPLE } from '../../twoPeople.fixture';
import { storeAndSend, sending } from './sendTakes';

// where the page has no storage at all, as in a private window of some browsers
jest.mock('idb-keyval', () => ({
  createStore: () => undefined,
  set: () => Promise.reject(new Error('no storage')),
  del: () => Promise.reject(new Error('no storage')),
  entries: () => Promise.reject(new Error('no storage')),
}));

const take: Take = { ...newTake(TWO_PEOPLE, 1), durationS: 9 };
const asked: { method: string; url: string; body: unknown }[] = [];

/** A server that answers as it is told. */
function serve(answers: ((method: string) => { status: number; body: unknown })[]): void {
  globalThis.Request = class extends Request {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(new URL(String(input), 'http://still.heron'), init);
    }
  };
  globalThis.fetch = jest.fn(async (request: Request) => {
    asked.push({ method: request.method, url: request.url, body: await request.json() });
    const { status, body } = answers.shift()!(request.method);
    return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  }) as unknown as typeof fetch;
}

const store = () =>
  configureStore({ reducer: { [api.reducerPath]: api.reducer }, middleware: (usual) => usual().concat(api.middleware) })
    .dispatch as unknown as Store['dispatch'];
const row = (id: string, kept: Take, version = 1) => ({
  id,
  shotId: 's',
  number: 4,
  version,
  rolledAt: '',
  hasTrack: false,
  take: kept,
});

beforeEach(() => asked.splice(0));

test('a take is sent even where nothing can be kept', async () => {
  serve([() => ({ status: 201, body: row('a', take) })]);
  await storeAndSend({ id: 'a', shotId: 's', rolledAt: '2026-03-01T10:00:00.000Z', take }, store());
  expect(asked).toMatchObject([{ method: 'POST', body: { id: 'a', take: { durationS: 9 } } }]);
  expect(sending.loggedAs('a')).toMatchObject({ number: 4 });
  expect(sending.state()).toEqual({ unsent: 0, refusal: null });
});

test('one that another window logged as cut short is made whole', async () => {
  serve([
    () => ({ status: 201, body: row('b', { ...take, durationS: 3, isCutShort: true }, 2) }),
    () => ({ status: 200, body: row('b', take, 3) }),
  ]);
  await storeAndSend({ id: 'b', shotId: 's', rolledAt: '2026-03-01T10:00:00.000Z', take }, store());
  expect(asked.map(({ method }) => method)).toEqual(['POST', 'PUT']);
  expect(asked[1]).toMatchObject({ body: { version: 2, take: { durationS: 9, isCutShort: false } } });
  expect(sending.loggedAs('b')).toMatchObject({ version: 3 });
});

test('one that is refused stays, is said, and is not sent again and again', async () => {
  const refusal = { code: 'not-found', message: 'there is no such shot', path: '', need: 'a shot' };
  serve([() => ({ status: 404, body: refusal })]);
  await storeAndSend({ id: 'c', shotId: 's', rolledAt: '2026-03-01T10:00:00.000Z', take }, store());
  expect(sending.state()).toEqual({ unsent: 0, refusal: 'there is no such shot' });
  serve([]);
  await storeAndSend({ id: 'c', shotId: 's', rolledAt: '2026-03-01T10:00:00.000Z', take }, store());
  expect(asked).toHaveLength(1);
});
