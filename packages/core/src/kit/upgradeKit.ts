import { isRecord } from '../shape.js';
import type { KitKind } from './checkKit.js';

/**
 * Adds to a stored kit item what later versions ask for, as unknown. Anything else is returned as it is: `checkKitItem` then reports it.
 *
 * @param item - an item of any version so far
 */
export function upgradeKitItem(kind: KitKind, item: unknown): unknown {
  if (kind !== 'lenses' || !isRecord(item) || !isRecord(item['lens'])) return item;
  return { ...item, lens: upgradeLens(item['lens']) };
}

/** A lens as the kit or a shot stored it, with what later versions ask for. */
export function upgradeLens(lens: Record<string, unknown>): Record<string, unknown> {
  return { autofocus: 'untested', ...lens };
}
