import {
  comparePlans,
  type GearChange,
  gearChanges,
  type GearPart,
  type KitItems,
  type KitKind,
  type KitNow,
  detachFromKit,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { gearDifferenceLines, gearEffectText } from '@still-heron/wording';
import { useMemo } from 'react';
import { problemOf } from '../../shared/api/api';
import { useKitItemQuery } from '../../shared/api/kitApi';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import gearStyles from './gearChange.module.css';
import styles from './GearChanges.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

const PART_WORDS: Readonly<Record<GearPart, string>> = { camera: 'camera', lens: 'lens', wheel: 'wheel', rig: 'rig' };

/** Current kit item: undefined if deleted. `isKnown` is false while loading. */
function useItemNow<K extends KitKind>(kind: K, id: string | null): { item: KitItems[K] | undefined; isKnown: boolean } {
  const { currentData, error } = useKitItemQuery({ kind, id: id ?? '' }, { skip: id === null });
  const isGone = problemOf(error).body.code === 'not-found';
  return {
    item: isGone ? undefined : (currentData?.item as KitItems[K] | undefined),
    isKnown: id === null || isGone || currentData !== undefined,
  };
}

/** Current kit items of the shot's gear; null while loading or if the server is unreachable. */
function useKitNow({ kit }: ShotPlan): KitNow | null {
  const camera = useItemNow('cameras', kit.camera?.id ?? null);
  const lens = useItemNow('lenses', kit.lensId);
  const wheel = useItemNow('wheels', kit.wheelId);
  const rig = useItemNow('rigs', kit.rigId);
  const isKnown = camera.isKnown && lens.isKnown && wheel.isKnown && rig.isKnown;
  return useMemo(
    () =>
      isKnown
        ? {
            ...(camera.item && { camera: camera.item }),
            ...(lens.item && { lens: lens.item }),
            ...(wheel.item && { wheel: wheel.item }),
            ...(rig.item && { rig: rig.item }),
          }
        : null,
    [isKnown, camera.item, lens.item, wheel.item, rig.item],
  );
}

/** Gear of the shot that differs from the kit; null while loading. */
export function useGearChanges(plan: ShotPlan): readonly GearChange[] | null {
  const now = useKitNow(plan);
  return useMemo(() => now && gearChanges(plan, now), [plan, now]);
}

/** The kit has changed since the shot copied its gear: differences, their effect, and a choice to update or keep. */
export function GearChanges({ plan, units }: Props) {
  const changes = useGearChanges(plan) ?? [];
  return changes.map((change) => <OneChange key={change.part} change={change} plan={plan} units={units} />);
}

function OneChange({ change: { part, updatedPlan }, plan, units }: Props & { readonly change: GearChange }) {
  const edit = useEdit();
  const word = PART_WORDS[part];
  const keep = () => edit(`keep the shot’s own ${word}`, (now) => detachFromKit(now, part));
  if (updatedPlan === null) {
    return (
      <aside data-testid="gear-change" className={gearStyles.gearChange} role="status">
        <p>
          <strong>The {word} is no longer in Kit.</strong> The shot keeps its copy.
        </p>
        <Button onClick={keep}>Keep it as the shot’s own</Button>
      </aside>
    );
  }
  const differences = gearDifferenceLines(plan, updatedPlan, part, units);
  return (
    <aside
      data-testid="gear-change"
      className={gearStyles.gearChange}
      role="status"
      aria-label={`The ${word} has changed in Kit`}
    >
      <p>
        <strong>The {word} has changed in Kit since this shot copied it:</strong> {differences.join('; ') || 'its parts'}.{' '}
        <span className={styles.gearEffect}>{gearEffectText(comparePlans(plan, updatedPlan), plan, updatedPlan)}</span>
      </p>
      <Button look="main" onClick={() => edit(`use the new ${word}`, () => updatedPlan)}>
        Use the new one
      </Button>
      <Button onClick={keep}>Keep the shot’s</Button>
    </aside>
  );
}
