import type { KitItemView } from '@still-heron/contract';
import type { KitKind } from '@still-heron/core';
import { useKitItemsQuery } from './kitApi';

/** All items of a kind, by name; empty while loading. */
export function useKit<K extends KitKind>(
  kind: K,
): { items: readonly KitItemView<K>[]; isLoaded: boolean; error: unknown; refetch: () => void } {
  const { data, error, refetch } = useKitItemsQuery(kind);
  return {
    items: (data ?? []) as unknown as readonly KitItemView<K>[],
    isLoaded: data !== undefined,
    error,
    refetch: () => void refetch(),
  };
}
