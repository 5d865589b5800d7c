import { cameraMoved, type ShotPlan } from '@still-heron/core';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';

/** Records that the camera has moved since the distances were measured. */
export function CameraMoved({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const canBeStale = plan.marks.some((mark) => mark.distanceMm !== null && mark.stale === null);
  return (
    <Button disabled={!canBeStale} onClick={() => edit('the camera was moved', cameraMoved)}>
      The camera was moved
    </Button>
  );
}
