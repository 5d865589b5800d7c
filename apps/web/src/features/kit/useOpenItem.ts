import type { KitItems, KitKind } from '@still-heron/core';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { editKit, selectOpenKit } from './kitSlice';

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
