import type { KitItemView } from '@still-heron/contract';
import type { KitItems, KitKind } from '@still-heron/core';
import { useKitItemsQuery } from '../../shared/api/api';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { editKit, selectOpenKit } from './kitSlice';

/** All items of a kind, by name; empty while loading. */
export function useKit<K extends KitKind>(
  kind: K,
): { items: readonly KitItemView<K>[]; isLoaded: boolean; error: unknown; refetch: () => void } {
  const { data, error, refetch } = useKitItemsQuery(kind);
  return { items: (data ?? []) as unknown as readonly KitItemView<K>[], isLoaded: data !== undefined, error, refetch };
}

/** The open item if it is of this kind, and its edit function. */
export function useOpenItem<K extends KitKind>(kind: K) {
  const dispatch = useAppDispatch();
  const open = useAppSelector(selectOpenKit);
  return {
    id: open?.id ?? '',
    item: open?.kind === kind ? (open.item as KitItems[K]) : null,
    edit: (name: string, change: (item: KitItems[K]) => KitItems[K], gesture?: string) =>
      dispatch(editKit(kind, name, change, gesture)),
  };
}
