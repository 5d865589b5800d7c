import {
  adoptDrawnDistance,
  type Mark,
  marksHold,
  type ShotPlan,
  type StaleCause,
  staleCause,
  staleMarks,
} from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { Explain } from '../../ui/fields/Explain';
import { useEdit } from '../shot/useEdit';
import styles from './StaleMarks.module.css';

const CAUSES: readonly StaleCause[] = ['camera', 'drawing', 'lens'];

/**
 * Stale distances of a shot, and what to do about them: keep what was measured, or go by the drawing where that has moved. It stands beside
 * the steps, where it appears without moving anything that is being dragged.
 */
export function StaleMarks({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const stale = staleMarks(plan);
  if (stale.length === 0) return null;
  const sinceOf = (cause: StaleCause) => stale.filter((mark) => staleCause(plan, mark) === cause);
  const moved = sinceOf('drawing');
  const notes = CAUSES.filter((cause) => sinceOf(cause).length > 0).map((since) =>
    noteText({ code: 'stale-marks', kind: 'warning', letters: lettersOf(sinceOf(since)), since }),
  );
  return (
    <aside data-testid="stale-marks" className={styles.staleMarks} role="status" aria-label="Stale distances">
      <Explain what="Why they are stale" label={`${lettersOf(stale).join(', ')} stale: why`} lines={notes}>
        {lettersOf(stale).join(', ')} stale
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

const lettersOf = (marks: readonly Mark[]) => marks.map(({ letter }) => letter);
