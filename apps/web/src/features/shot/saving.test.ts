import { configureStore } from '@reduxjs/toolkit';
import type { ErrorBody, ShotDocument, ShotView } from '@still-heron/contract';
import { newPlan, setStop } from '@still-heron/core';
import type { Unsent } from '../../shared/saving/outbox';
import { readKept } from './outbox';
import { shotSaver } from './saving';
import { savingActions, savingReducer, selectSaving } from './savingSlice';
import { editHeading, editPlan, openDocument, selectDocument, shotReducer } from './shotSlice';

/** The server as the page meets it: each save waits in `saves` until the test answers it. */
interface PendingSave {
  readonly id: string;
  readonly version: number;
  readonly document: ShotDocument;
  answer(result: { data: ShotView } | { error: unknown }): void;
}
const mockSaves: PendingSave[] = [];
const mockOutbox = new Map<string, Unsent<ShotDocument>>();
/** The device refuses every write: its disk is full, or its storage is gone. */
let mockIsFull = false;
const mockWrite = (write: () => void) => (mockIsFull ? Promise.reject(new Error('full')) : Promise.resolve(write()));

jest.mock('../../shared/api/api', () => {
  const { problemOf } = jest.requireActual<{ problemOf: (error: unknown) => unknown }>('../../shared/api/api');
  const initiate = (request: Omit<PendingSave, 'answer'>) => () =>
    new Promise((answer) => mockSaves.push({ ...request, answer }));
  return { api: { endpoints: { saveShot: { initiate } } }, problemOf };
});
jest.mock('../../shared/saving/outbox', () => ({
  createOutbox: () => ({
    get: (id: string) => Promise.resolve(mockOutbox.get(id)),
    put: (id: string, unsent: Unsent<ShotDocument>) => mockWrite(() => mockOutbox.set(id, unsent)),
    remove: (id: string) => mockWrite(() => mockOutbox.delete(id)),
    all: () => Promise.resolve([...mockOutbox.entries()]),
  }),
}));

const document: ShotDocument = { scene: '4', slate: '4A', title: 'Bronze at the lip', plan: newPlan() };
const stored = (save: PendingSave, changes: Partial<ShotView> = {}): ShotView => ({
  ...save.document,
  id: save.id,
  productionId: 'p',
  version: save.version + 1,
  updatedAt: '2026-11-25T12:04:00.000Z',
  savedBy: { deviceId: 'b', deviceName: 'a tablet' },
  ...changes,
});
const unreachable = { error: { status: 'FETCH_ERROR', error: 'refused' } };
const refusal = (body: Partial<ErrorBody>, status: number) => ({
  error: { status, data: { code: 'x', message: 'no', path: '', need: 'y', ...body } },
});

function open(hasUnsaved = false) {
  const store = configureStore({
    reducer: { shot: shotReducer, saving: savingReducer },
    middleware: (getDefault) => getDefault({ serializableCheck: false }).prepend(shotSaver.middleware),
  });
  store.dispatch(openDocument(document));
  store.dispatch(savingActions.opened({ id: 's', context: 'p', baseVersion: 3, savedAt: null, hasUnsaved }));
  const rename = (title: string) => store.dispatch(editHeading('change the title', { title }));
  return { store, rename, status: () => selectSaving(store.getState()).status };
}

/** Lets so much time pass, and everything that waits on it. */
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers();
  mockSaves.length = 0;
  mockOutbox.clear();
  mockIsFull = false;
});
afterEach(() => {
  jest.useRealTimers();
});

test('an edit is kept on the device at once, and sent after a pause, once for a run of edits', async () => {
  const { store, status } = open();
  for (const stop of [4, 5, 5.6]) {
    store.dispatch(editPlan('stop', (plan) => setStop(plan, stop), 'drag'));
    await pass(100);
  }
  expect(status()).toBe('waiting');
  expect(mockOutbox.get('s')).toMatchObject({ baseVersion: 3, document: { plan: { optics: { stop: 5.6 } } } });
  expect(mockSaves).toHaveLength(0);
  await pass(1000);
  expect(mockSaves).toHaveLength(1);
  expect(mockSaves[0]).toMatchObject({ id: 's', version: 3 });
  mockSaves[0]!.answer({ data: stored(mockSaves[0]!) });
  await pass(10);
  expect(status()).toBe('saved');
  expect(selectSaving(store.getState())).toMatchObject({ baseVersion: 4, savedAt: '2026-11-25T12:04:00.000Z' });
  expect(mockOutbox.size).toBe(0);
});

test('what is edited while a save is on its way goes with the next, from the version then stored', async () => {
  const { store, rename, status } = open();
  rename('one');
  await pass(1000);
  rename('two');
  await pass(1000);
  expect(mockSaves).toHaveLength(1);
  mockSaves[0]!.answer({ data: stored(mockSaves[0]!) });
  await pass(10);
  expect(mockSaves).toHaveLength(2);
  expect(mockSaves[1]).toMatchObject({ version: 4, document: { title: 'two' } });
  expect(mockOutbox.get('s')!.baseVersion).toBe(4);
  mockSaves[1]!.answer({ data: stored(mockSaves[1]!) });
  await pass(10);
  expect([status(), mockOutbox.size]).toEqual(['saved', 0]);
  expect(selectDocument(store.getState())!.title).toBe('two');
});

test('a server that is away is tried again until it answers; the edit stays on the device', async () => {
  const { rename, status } = open();
  rename('kept');
  await pass(1000);
  // each pause is twice as long as the one before it
  for (const [round, pauseMs] of [1500, 3000, 6000].entries()) {
    mockSaves[round]!.answer(unreachable);
    await pass(10);
    expect(status()).toBe('delayed');
    expect(mockOutbox.get('s')!.document.title).toBe('kept');
    await pass(pauseMs - 100);
    expect(mockSaves).toHaveLength(round + 1);
    await pass(200);
    expect(mockSaves).toHaveLength(round + 2);
  }
  mockSaves[3]!.answer({ data: stored(mockSaves[3]!) });
  await pass(10);
  expect(status()).toBe('saved');
  await pass(10_000);
  expect(mockSaves).toHaveLength(4);
});

test.each([
  [500, 'internal', 'the server failed'],
  [503, 'database-away', 'the database does not answer'],
  [507, 'disk-full', 'the disk of the server is full'],
  [429, 'too-many', 'there are too many requests'],
])('a server that answers %d is tried again by itself, and the page says why', async (status, code, message) => {
  const shot = open();
  shot.rename('kept');
  await pass(1000);
  mockSaves[0]!.answer(refusal({ code, message }, status));
  await pass(10);
  expect(selectSaving(shot.store.getState())).toMatchObject({ status: 'delayed', problem: { code, message } });
  expect(mockOutbox.get('s')!.document.title).toBe('kept');
  await pass(1600);
  mockSaves[1]!.answer({ data: stored(mockSaves[1]!) });
  await pass(10);
  expect([shot.status(), mockOutbox.size]).toEqual(['saved', 0]);
  // after a success the next failure is a first one
  shot.rename('and again');
  await pass(1000);
  mockSaves[2]!.answer(refusal({ code, message }, status));
  await pass(1600);
  expect(mockSaves).toHaveLength(4);
});

test('an edit made while the server is away goes out after its own pause, and does not wait for the long one', async () => {
  const { rename } = open();
  rename('one');
  await pass(1000);
  for (let round = 0; round < 5; round++) {
    mockSaves[round]!.answer(unreachable);
    await pass(1500 * 2 ** round + 100);
  }
  mockSaves[5]!.answer(unreachable);
  await pass(10);
  rename('two');
  await pass(700);
  expect(mockSaves[6]).toMatchObject({ document: { title: 'two' } });
});

test('saved elsewhere meanwhile: nothing more is sent until the person has chosen, then from the stored version', async () => {
  const { store, rename, status } = open();
  rename('mine');
  await pass(1000);
  const theirs = stored(mockSaves[0]!, { title: 'theirs', version: 9 });
  mockSaves[0]!.answer(refusal({ code: 'version-conflict', stored: theirs }, 409));
  await pass(10);
  expect(status()).toBe('conflict');
  rename('mine, and more');
  await pass(5000);
  expect(mockSaves).toHaveLength(1);
  expect(mockOutbox.get('s')!.document.title).toBe('mine, and more');
  store.dispatch(savingActions.conflictResolved());
  await pass(1000);
  expect(mockSaves[1]).toMatchObject({ version: 9, document: { title: 'mine, and more' } });
});

test('the version of the other side is taken over and not sent back: that would be the next conflict there', async () => {
  const { store, rename, status } = open();
  rename('mine');
  await pass(1000);
  const theirs = stored(mockSaves[0]!, { title: 'theirs', version: 9 });
  mockSaves[0]!.answer(refusal({ code: 'version-conflict', stored: theirs }, 409));
  await pass(10);
  store.dispatch(editHeading('use the version saved elsewhere', { title: 'theirs' }));
  await store.dispatch(shotSaver.acceptStored(theirs));
  await pass(5000);
  expect([status(), mockSaves.length, mockOutbox.size]).toEqual(['saved', 1, 0]);
  rename('mine again');
  await pass(1000);
  expect(mockSaves[1]).toMatchObject({ version: 9, document: { title: 'mine again' } });
});

test('an answer that was lost is no conflict with oneself: what is stored is what was sent', async () => {
  const { store, rename, status } = open();
  rename('arrived all the same');
  await pass(1000);
  mockSaves[0]!.answer(unreachable);
  await pass(2000);
  mockSaves[1]!.answer(refusal({ code: 'version-conflict', stored: stored(mockSaves[0]!) }, 409));
  await pass(10);
  expect([status(), mockOutbox.size]).toEqual(['saved', 0]);
  expect(selectSaving(store.getState()).baseVersion).toBe(4);
});

test('leaving for another shot while a save is on its way does not touch how the other one stands', async () => {
  const { store, rename, status } = open();
  rename('left behind');
  await pass(200);
  void store.dispatch(shotSaver.saveNow() as never);
  store.dispatch(openDocument(null));
  store.dispatch(openDocument({ ...document, slate: '9A' }));
  store.dispatch(savingActions.opened({ id: 'other', context: 'p', baseVersion: 1, savedAt: null, hasUnsaved: false }));
  await pass(10);
  expect(mockSaves[0]).toMatchObject({ id: 's', document: { title: 'left behind' } });
  mockSaves[0]!.answer({ data: stored(mockSaves[0]!) });
  await pass(2000);
  expect([status(), selectSaving(store.getState()).id, mockOutbox.size]).toEqual(['saved', 'other', 0]);
  rename('and this one is saved as ever');
  await pass(1000);
  expect(mockSaves[1]).toMatchObject({ id: 'other', version: 1, document: { slate: '9A' } });
});

test('a refusal is said and not repeated; the next edit is sent again', async () => {
  const { store, rename, status } = open();
  rename('too much');
  await pass(1000);
  mockSaves[0]!.answer(refusal({ code: 'too-long', message: 'the title is too long' }, 400));
  await pass(10_000);
  expect([status(), mockSaves.length]).toEqual(['refused', 1]);
  expect(selectSaving(store.getState()).problem!.message).toBe('the title is too long');
  rename('less');
  await pass(1000);
  expect(mockSaves[1]).toMatchObject({ document: { title: 'less' } });
});

test('a shot opened with something unsent sends it at once; asking again while it is on its way sends nothing twice', async () => {
  const { store, status } = open(true);
  await pass(10);
  expect([status(), mockSaves.length]).toEqual(['saving', 1]);
  await store.dispatch(shotSaver.saveNow() as never);
  expect(mockSaves).toHaveLength(1);
});

test('leftovers of other shots are sent; one that conflicts, or whose shot was deleted, waits for its shot to be opened', async () => {
  const { store } = open();
  for (const id of ['s', 'taken', 'conflicting', 'gone']) mockOutbox.set(id, { context: 'p', baseVersion: 1, document });
  void store.dispatch(shotSaver.sendLeftovers() as never);
  await pass(10);
  mockSaves[0]!.answer({ data: stored(mockSaves[0]!) });
  await pass(10);
  mockSaves[1]!.answer(refusal({ code: 'version-conflict' }, 409));
  await pass(10);
  mockSaves[2]!.answer(refusal({ code: 'not-found' }, 404));
  await pass(10);
  expect(mockSaves.map(({ id }) => id)).toEqual(['taken', 'conflicting', 'gone']);
  expect([...mockOutbox.keys()]).toEqual(['s', 'conflicting', 'gone']);
});

test('a leftover is sent again by itself while the server has trouble', async () => {
  const { store } = open();
  mockOutbox.set('left', { context: 'p', baseVersion: 1, document });
  void store.dispatch(shotSaver.sendLeftovers() as never);
  for (const [round, pauseMs] of [1500, 3000].entries()) {
    await pass(10);
    mockSaves[round]!.answer(round === 0 ? unreachable : refusal({ code: 'disk-full' }, 507));
    await pass(pauseMs - 100);
    expect(mockSaves).toHaveLength(round + 1);
    await pass(200);
  }
  mockSaves[2]!.answer({ data: stored(mockSaves[2]!) });
  await pass(60_000);
  expect([mockSaves.length, mockOutbox.size]).toEqual([3, 0]);
});

test('a shot that is closed while the server is away is saved all the same', async () => {
  const { store, rename } = open();
  rename('closed too soon');
  await pass(200);
  void store.dispatch(shotSaver.saveNow() as never);
  store.dispatch(savingActions.closed());
  store.dispatch(openDocument(null));
  await pass(10);
  mockSaves[0]!.answer(unreachable);
  await pass(10);
  // at once, and then after a pause
  mockSaves[1]!.answer(unreachable);
  await pass(1600);
  expect(mockSaves[2]).toMatchObject({ id: 's', document: { title: 'closed too soon' } });
});

test('a device that can’t keep an edit does not stop the saving', async () => {
  const { rename, status } = open();
  mockIsFull = true;
  rename('one');
  await pass(1000);
  mockSaves[0]!.answer({ data: stored(mockSaves[0]!) });
  await pass(10);
  expect(status()).toBe('saved');
  // the write fails between the answer and the clean-up, too
  mockIsFull = false;
  rename('two');
  await pass(1000);
  mockIsFull = true;
  mockSaves[1]!.answer({ data: stored(mockSaves[1]!) });
  await pass(10);
  expect(status()).toBe('saved');
  rename('three');
  await pass(1000);
  expect(mockSaves[2]).toMatchObject({ version: 5, document: { title: 'three' } });
});

test('an unsent edit of an older page is read: its production, and its plan in the newest form', () => {
  const { schema: _, ...plan } = newPlan();
  expect(readKept({ productionId: 'p', baseVersion: 2, document: { ...document, plan: { ...plan, schema: 8 } } })).toEqual({
    context: 'p',
    baseVersion: 2,
    document: { ...document, plan: newPlan() },
  });
});
