import { configureStore } from '@reduxjs/toolkit';
import { defaultLens } from '@still-heron/core';
import { ActionCreators } from 'redux-undo';
import type { Unsent } from '../../shared/saving/outbox';
import { kitSaver } from './kitSaving';
import { kitSavingActions, kitSavingReducer, selectKitSaving } from './kitSavingSlice';
import { editKit, kitReducer, openKit, selectKitRedoName, selectKitUndoName, selectOpenKit } from './kitSlice';
import { copyName, newItem, renamed } from './newItems';

const item = {
  lens: defaultLens({ name: '65', focalLengthMm: 65 }),
  isHired: false,
  holdTestedOn: '',
  holdTestedBy: '',
  notes: '',
};

/** The server as the page meets it: each save waits in `mockSaves` until the test answers it. */
interface PendingSave {
  readonly version: number;
  readonly item: typeof item;
  answer(result: { data: object } | { error: unknown }): void;
}
const mockSaves: PendingSave[] = [];

jest.mock('../../shared/api/kitApi', () => {
  const initiate = (request: Omit<PendingSave, 'answer'>) => () =>
    new Promise((answer) => mockSaves.push({ ...request, answer }));
  return { kitApi: { endpoints: { saveKitItem: { initiate } } } };
});

const mockOutbox = new Map<string, Unsent<typeof item>>();

jest.mock('../../shared/saving/outbox', () => ({
  createOutbox: () => ({
    get: (id: string) => Promise.resolve(mockOutbox.get(id)),
    put: (id: string, unsent: Unsent<typeof item>) => Promise.resolve(void mockOutbox.set(id, unsent)),
    remove: (id: string) => Promise.resolve(void mockOutbox.delete(id)),
    all: () => Promise.resolve([...mockOutbox.entries()]),
  }),
}));

const unreachable = { error: { status: 'FETCH_ERROR', error: 'refused' } };
const refusal = (status: number, body: object) => ({
  error: { status, data: { code: 'x', message: 'no', path: 'item', need: 'y', ...body } },
});
const taken = (version: number) => ({ data: { id: 'lens-1', version, item, updatedAt: '' } });

function openStore() {
  const store = configureStore({
    reducer: { kit: kitReducer, kitSaving: kitSavingReducer },
    middleware: (getDefault) => getDefault().prepend(kitSaver.middleware),
  });
  store.dispatch(openKit({ kind: 'lenses', id: 'lens-1', item }));
  store.dispatch(kitSavingActions.opened({ id: 'lens-1', context: 'lenses', baseVersion: 3, savedAt: null, hasUnsaved: false }));
  const note = (notes: string) => store.dispatch(editKit('lenses', `note ${notes}`, (now) => ({ ...now, notes })));
  return { store, note, status: () => selectKitSaving(store.getState()).status };
}

/** Lets so much time pass, and everything that waits on it. */
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);
const sent = () => mockSaves.map(({ version, item: { notes } }) => [version, notes]);

beforeEach(() => {
  jest.useFakeTimers();
  mockSaves.length = 0;
  mockOutbox.clear();
});
afterEach(() => {
  jest.useRealTimers();
});

test('an edit is sent after a pause with the version it was made from; what is edited meanwhile goes next', async () => {
  const { note, status } = openStore();
  note('a');
  note('b');
  expect(status()).toBe('waiting');
  await pass(600);
  expect(sent()).toEqual([[3, 'b']]);
  note('c');
  await pass(600);
  expect(sent()).toHaveLength(1);
  mockSaves[0]!.answer(taken(4));
  await pass(0);
  expect(sent()[1]).toEqual([4, 'c']);
  mockSaves[1]!.answer(taken(5));
  await pass(0);
  expect(status()).toBe('saved');
});

test('a lost server is tried again; a refusal is said; a conflict waits for the person', async () => {
  const { store, note, status } = openStore();
  note('a');
  await pass(600);
  mockSaves[0]!.answer(unreachable);
  await pass(0);
  expect(status()).toBe('delayed');
  await pass(1600);
  mockSaves[1]!.answer(refusal(400, {}));
  await pass(0);
  expect(status()).toBe('refused');
  void store.dispatch(kitSaver.saveNow());
  await pass(0);
  mockSaves[2]!.answer(refusal(409, { stored: { id: 'lens-1', version: 9, item, updatedAt: '' } }));
  await pass(5000);
  expect([status(), sent().length]).toEqual(['conflict', 3]);
  store.dispatch(kitSavingActions.conflictResolved());
  await pass(600);
  expect(sent()[3]).toEqual([9, 'a']);
});

test('going on to another item sends what is left, after the save that is on its way', async () => {
  const { store, note } = openStore();
  note('a');
  await pass(600);
  note('b');
  void store.dispatch(kitSaver.saveNow());
  store.dispatch(kitSavingActions.closed());
  store.dispatch(openKit(null));
  expect(selectOpenKit(store.getState())).toBeNull();
  mockSaves[0]!.answer(taken(4));
  await pass(0);
  expect(sent()).toEqual([
    [3, 'a'],
    [4, 'b'],
  ]);
});

test('steps are undone by name, and an edit of another kind does nothing', () => {
  const { store, note } = openStore();
  note('a');
  store.dispatch(editKit('wheels', 'nothing', (wheel) => ({ ...wheel, notes: 'x' })));
  expect(selectKitUndoName(store.getState())).toBe('note a');
  store.dispatch(ActionCreators.undo());
  expect([selectKitUndoName(store.getState()), selectKitRedoName(store.getState())]).toEqual([null, 'note a']);
});

test('a copy’s name is free, and every new item can be stored under any name', () => {
  expect(copyName('65 mm', new Set(['65 mm']))).toBe('65 mm (2)');
  expect(copyName('65 mm (2)', new Set(['65 mm (2)']))).toBe('65 mm (3)');
  expect(renamed('lenses', newItem('lenses'), 'A').lens.name).toBe('A');
  expect(renamed('wheels', newItem('wheels'), 'B').name).toBe('B');
});

test('a deletion right after an edit names the version that the edit leads to', async () => {
  const { store, note } = openStore();
  expect(await store.dispatch(kitSaver.settledVersion('lens-1', 99))).toBe(3);
  expect(await store.dispatch(kitSaver.settledVersion('lens-2', 99))).toBe(99);
  note('a');
  const settled = jest.fn();
  void store.dispatch(kitSaver.settledVersion('lens-1', 3)).then(settled);
  await pass(0);
  note('b');
  mockSaves[mockSaves.length - 1]!.answer(taken(4));
  await pass(0);
  expect(settled).not.toHaveBeenCalled();
  mockSaves[mockSaves.length - 1]!.answer(taken(5));
  await pass(0);
  expect(settled).toHaveBeenCalledWith(5);
});
