import { type GearPart, gearChanges, type KitItems, type KitKind, type KitNow, type ShotPlan } from '@still-heron/core';
import { useMemo } from 'react';
import { useKitItemsQuery } from '../../shared/api/kitApi';

/** Items of the kit by id; null while they are loading. */
type ItemsById<K extends KitKind> = ReadonlyMap<string, KitItems[K]> | null;

export interface WholeKit {
  readonly cameras: ItemsById<'cameras'>;
  readonly lenses: ItemsById<'lenses'>;
  readonly wheels: ItemsById<'wheels'>;
  readonly rigs: ItemsById<'rigs'>;
}

/** The whole kit as it is now. @param isWanted - nothing is loaded before */
export function useWholeKit(isWanted: boolean): WholeKit {
  const cameras = useItems('cameras', isWanted);
  const lenses = useItems('lenses', isWanted);
  const wheels = useItems('wheels', isWanted);
  const rigs = useItems('rigs', isWanted);
  return useMemo(() => ({ cameras, lenses, wheels, rigs }), [cameras, lenses, wheels, rigs]);
}

function useItems<K extends KitKind>(kind: K, isWanted: boolean): ItemsById<K> {
  const { data } = useKitItemsQuery(kind, { skip: !isWanted });
  return useMemo(() => (data ? new Map(data.map(({ id, item }) => [id, item as KitItems[K]])) : null), [data]);
}

/** Parts of a shot's gear that differ from the kit; empty while that is not known. */
export function changedParts(plan: ShotPlan, kit: WholeKit): GearPart[] {
  const { cameras, lenses, wheels, rigs } = kit;
  if (!cameras || !lenses || !wheels || !rigs) return [];
  const now: Record<GearPart, unknown> = {
    camera: cameras.get(plan.kit.camera?.id ?? ''),
    lens: lenses.get(plan.kit.lensId ?? ''),
    wheel: wheels.get(plan.kit.wheelId ?? ''),
    rig: rigs.get(plan.kit.rigId ?? ''),
  };
  return gearChanges(plan, now as KitNow).map(({ part }) => part);
}
