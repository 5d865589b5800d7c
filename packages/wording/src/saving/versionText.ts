import type { ShotChange } from '@still-heron/core';
import { changesText } from '../plan/differenceText.js';

/** Device that saved a version; both are empty if it did not say. */
interface SavedBy {
  readonly deviceId: string;
  readonly deviceName: string;
}

/** Where a version was saved, for the sentence “This shot was saved …”. @param ownId - id of this device */
export function savedByText({ deviceId, deviceName }: SavedBy, ownId: string): string {
  if (deviceId === ownId && deviceId !== '') return 'in another window of this device';
  return deviceName === '' ? 'elsewhere' : `on ${deviceName}`;
}

/**
 * What a saved version is, in a line of a list: `a tablet: the stop and the marks`.
 *
 * @param changes - null if that is not known
 */
export function versionText(savedBy: SavedBy, changes: readonly ShotChange[] | null, ownId: string): string {
  const isOwn = savedBy.deviceId === ownId && savedBy.deviceId !== '';
  const device = isOwn ? 'this device' : savedBy.deviceName;
  const what = changes === null || changes.length === 0 ? '' : changesText(changes);
  return [device, what].filter((part) => part !== '').join(': ');
}
