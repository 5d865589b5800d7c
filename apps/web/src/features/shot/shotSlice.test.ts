import { configureStore } from '@reduxjs/toolkit';
import { newPlan, setStop } from '@still-heron/core';
import { ActionCreators } from 'redux-undo';
import {
  abandonGesture,
  editHeading,
  editPlan,
  openDocument,
  selectDocument,
  selectPlan,
  selectRedoName,
  selectUndoName,
  shotReducer,
} from './shotSlice';

const document = { scene: '4', slate: '4A', title: 'Bronze at the lip', plan: newPlan() };

function openStore() {
  const store = configureStore({ reducer: { shot: shotReducer } });
  store.dispatch(openDocument(document));
  const stop = () => selectPlan(store.getState())!.optics.stop;
  const turn = (to: number, gesture?: string) => store.dispatch(editPlan(`stop T${to}`, (plan) => setStop(plan, to), gesture));
  return { store, stop, turn };
}

test('steps are undone and done again, by name', () => {
  const { store, stop, turn } = openStore();
  turn(4);
  store.dispatch(editHeading('change the title', { title: 'Bronze' }));
  expect(selectUndoName(store.getState())).toBe('change the title');
  store.dispatch(ActionCreators.undo());
  expect([stop(), selectUndoName(store.getState()), selectRedoName(store.getState())]).toEqual([
    4,
    'stop T4',
    'change the title',
  ]);
  store.dispatch(ActionCreators.undo());
  expect([stop(), selectUndoName(store.getState())]).toEqual([3.2, null]);
  store.dispatch(ActionCreators.redo());
  expect(stop()).toBe(4);
});

test('the edits of one gesture are one step; giving it up takes back that step alone', () => {
  const { store, stop, turn } = openStore();
  turn(4, 'drag-1');
  turn(5, 'drag-1');
  turn(5.6, 'drag-2');
  turn(8, 'drag-2');
  store.dispatch(abandonGesture('drag-2'));
  expect(stop()).toBe(5);
  store.dispatch(abandonGesture('drag-2'));
  store.dispatch(abandonGesture('drag-3'));
  expect(stop()).toBe(5);
  store.dispatch(ActionCreators.undo());
  expect(stop()).toBe(3.2);
});

test('an edit that changes nothing is no step; a shot that is opened has none behind it', () => {
  const { store, turn } = openStore();
  store.dispatch(editPlan('nothing', (plan) => plan));
  expect(selectUndoName(store.getState())).toBeNull();
  turn(4);
  store.dispatch(openDocument({ ...document, slate: '9A' }));
  expect(selectUndoName(store.getState())).toBeNull();
  expect(selectDocument(store.getState())!.slate).toBe('9A');
  store.dispatch(openDocument(null));
  turn(8);
  expect(selectDocument(store.getState())).toBeNull();
});
