import { adoptDrawnDistance, marksHold, type ShotPlan, staleCause, staleMarks, staleNotes } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { Explain } from '../../ui/fields/Explain';
import { useEdit } from '../shot/useEdit';
import styles from './StaleMarks.module.css';

/**
 * Stale distances of a shot, and what to do about them: keep what was measured, or go by the drawing where that has moved. It stands beside
 * the steps, where it appears without moving anything that is being dragged.
 */
export function StaleMarks({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const stale = staleMarks(plan);
  if (stale.length === 0) return null;
  const moved = stale.filter((mark) => staleCause(plan, mark) === 'drawing');
  const letters = stale.map(({ letter }) => letter).join(', ');
  return (
    <aside data-testid="stale-marks" className={styles.staleMarks} role="status" aria-label="Stale distances">
      <Explain what="Why they are stale" label={`${letters} stale: why`} lines={staleNotes(plan).map(noteText)}>
        {letters} stale
      </Explain>
      <Button
        size="small"
        onClick={() => edit('confirm the distances', (now) => stale.reduce((result, { id }) => marksHold(result, id), now))}
      >
        Still right
      </Button>
      {moved.length > 0 && (
        <Button
          size="small"
          onClick={() =>
            edit('go by the drawing', (now) => moved.reduce((result, { id }) => adoptDrawnDistance(result, id), now))
          }
        >
          Go by the drawing
        </Button>
      )}
    </aside>
  );
}
