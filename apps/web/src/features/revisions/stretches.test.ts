import type { RevisionView } from '@still-heron/contract';
import { stretchesOf } from './stretches';

const saved = (version: number, at: string, changes: Partial<RevisionView> = {}): RevisionView => ({
  version,
  savedAt: `2026-03-01T${at}Z`,
  savedBy: { deviceId: 'a', deviceName: 'a computer' },
  changes: ['mark'],
  name: '',
  ...changes,
});

test('saves of one device in quick succession are one stretch, with what all of them changed', () => {
  const tablet = { deviceId: 'b', deviceName: 'a tablet' };
  const versions = [
    saved(9, '10:12:00', { savedBy: tablet }),
    saved(8, '10:11:00', { changes: ['stop'] }),
    saved(7, '10:10:30'),
    saved(6, '10:10:00', { name: 'before lunch' }),
    saved(5, '10:09:00'),
    saved(4, '10:02:00'),
    saved(3, '10:01:50', { changes: null }),
    saved(2, '10:01:00', { savedBy: { deviceId: '', deviceName: '' } }),
    saved(1, '10:00:50', { savedBy: { deviceId: '', deviceName: '' } }),
  ];
  const stretches = stretchesOf(versions);
  expect(stretches.map((stretch) => stretch.versions.map(({ version }) => version))).toEqual([
    [9],
    [8, 7],
    [6, 5],
    [4, 3],
    [2],
    [1],
  ]);
  expect(stretches[1]!.changes).toEqual(['mark', 'stop']);
  expect(stretches[3]!.changes).toBeNull();
  expect(stretchesOf([])).toEqual([]);
});
