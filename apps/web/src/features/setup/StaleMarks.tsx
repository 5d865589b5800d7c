import { cameraMoved, marksHold, type ShotPlan } from '@still-heron/core';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import gearStyles from './gearChange.module.css';

/** Stale distances, and what to do about them. */
export function StaleMarks({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const stale = plan.marks.filter((mark) => mark.stale !== null);
  if (stale.length === 0) return null;
  const letters = stale.map(({ letter }) => letter).join(', ');
  const isMoved = stale.some((mark) => mark.stale === 'camera');
  return (
    <aside data-testid="gear-change" className={gearStyles.gearChange} role="status" aria-label="Stale distances">
      <p>
        <strong>
          {letters} {stale.length === 1 ? 'is' : 'are'} stale:
        </strong>{' '}
        measured before {isMoved ? 'the camera was moved' : 'the lens was changed'}. Measure again, or confirm them. Until then
        the verdict uses the old distances.
      </p>
      <Button onClick={() => edit('confirm the distances', (now) => marksHold(now))}>
        {stale.length === 1 ? 'It is still right' : 'All are still right'}
      </Button>
    </aside>
  );
}

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
