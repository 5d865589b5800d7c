import { adoptScaleOfMarks, type FittedRing, type KitLens, type ShotPlan } from '@still-heron/core';
import { scaleInKitText } from '@still-heron/wording';
import { useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useKitItemQuery, useSaveKitItemMutation } from '../../shared/api/kitApi';
import { useEdit } from '../shot/useEdit';

interface ScaleInKit {
  /** The lens in Kit that the shot uses; null for none */
  readonly name: string | null;
  /** Gives that lens the scale, and the shot as well */
  readonly save: (ring: FittedRing) => void;
  readonly message: string | null;
  readonly isRefused: boolean;
}

/** Puts the scale that the marks make into the kit's lens. */
export function useScaleInKit({ kit: { lensId } }: ShotPlan): ScaleInKit {
  const edit = useEdit();
  const [said, setSaid] = useState<{ readonly message: string; readonly isRefused: boolean } | null>(null);
  const { currentData } = useKitItemQuery({ kind: 'lenses', id: lensId ?? '' }, { skip: lensId === null });
  const [saveItem] = useSaveKitItemMutation();
  const kitLens = currentData?.item as KitLens | undefined;
  const name = kitLens?.lens.name ?? null;
  return {
    name,
    message: said?.message ?? null,
    isRefused: said?.isRefused ?? false,
    save: (ring) => {
      if (!currentData || !kitLens || name === null) return;
      const item: KitLens = { ...kitLens, lens: { ...kitLens.lens, ring } };
      void saveItem({ kind: 'lenses', id: currentData.id, version: currentData.version, item }).then(({ error }) => {
        if (!error) edit('use the scale of the readings', adoptScaleOfMarks);
        const refused = error ? problemOf(error).body.message : null;
        setSaid({ message: scaleInKitText(name, refused), isRefused: refused !== null });
      });
    },
  };
}
