import type { KitItemView } from '@still-heron/contract';
import { defaultLens, type KitCamera } from '@still-heron/core';
import { dragAnnouncements } from './dragAnnouncements';
import { firstPlan } from './firstPlan';

const view = <T>(id: string, item: T) => ({ id, version: 1, item, updatedAt: '' }) as unknown;
const camera = (id: string) =>
  view(id, {
    name: `Body ${id}`,
    modes: [{ id: 'mode-1', name: 'Wide', sensorWidthMm: 27.5, sensorHeightMm: 15.5, photositesWide: null, fastestFps: 60 }],
    steadying: [],
    frameRates: [],
    baseIsos: [],
    tests: [],
  } as unknown as KitCamera) as KitItemView<'cameras'>;
const lens = (id: string) => view(id, { lens: defaultLens({ name: '40 mm', focalLengthMm: 40 }) }) as KitItemView<'lenses'>;

test('the first shot takes the only camera and the only lens of Kit', () => {
  const plan = firstPlan([camera('a')], [lens('l')]);
  expect(plan.kit).toMatchObject({ camera: { id: 'a', modeId: 'mode-1' }, lensId: 'l' });
  expect(plan.optics.camera.sensorWidthMm).toBe(27.5);
  expect(plan.optics.lens.name).toBe('40 mm');
});

test('of several, none is taken', () => {
  const plan = firstPlan([camera('a'), camera('b')], [lens('l'), lens('m')]);
  expect(plan.kit).toMatchObject({ camera: null, lensId: null });
  expect(firstPlan([], []).kit).toMatchObject({ camera: null, lensId: null });
});

test('a screen reader hears names and places while a shot is moved', () => {
  const said = dragAnnouncements(
    new Map([
      ['x-1', '1A Bell'],
      ['x-2', '1B Rope'],
      ['x-3', '1C Door'],
    ]),
  );
  const at = (active: string, over: string | null) => ({ active: { id: active }, over: over && { id: over } }) as never;
  expect(said.onDragStart(at('x-1', null))).toBe('Picked up 1A Bell, at place 1 of 3.');
  expect(said.onDragOver(at('x-1', 'x-3'))).toBe('1A Bell is over place 3 of 3.');
  expect(said.onDragEnd(at('x-1', 'x-3'))).toBe('1A Bell was moved to place 3 of 3.');
  expect(said.onDragEnd(at('x-1', null))).toBe('1A Bell was put back.');
  expect(said.onDragCancel(at('x-2', null))).toBe('Cancelled: 1B Rope is back at place 2 of 3.');
});
