import { adoptDrawnDistance, marksHold, type ShotPlan, type StaleCause, staleCause, staleMarks } from '@still-heron/core';
import { noteText } from '@still-heron/wording';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './StaleMarks.module.css';

const CAUSES: readonly StaleCause[] = ['camera', 'drawing', 'lens'];

/** Stale distances of a shot, and what to do about them. */
export function StaleMarks({ plan }: { readonly plan: ShotPlan }) {
  const stale = staleMarks(plan);
  if (stale.length === 0) return null;
  return (
    <aside data-testid="stale-marks" className={styles.staleMarks} role="status" aria-label="Stale distances">
      {CAUSES.map((since) => (
        <StaleSince key={since} since={since} marks={stale.filter((mark) => staleCause(plan, mark) === since)} />
      ))}
    </aside>
  );
}

interface StaleSinceProps {
  readonly since: StaleCause;
  readonly marks: ShotPlan['marks'];
}

function StaleSince({ since, marks }: StaleSinceProps) {
  const edit = useEdit();
  if (marks.length === 0) return null;
  const letters = marks.map(({ letter }) => letter);
  return (
    <div>
      <p>{noteText({ code: 'stale-marks', kind: 'warning', letters, since })}</p>
      <Button
        size="small"
        onClick={() => edit('confirm the distances', (now) => marks.reduce((plan, { id }) => marksHold(plan, id), now))}
      >
        {marks.length === 1 ? 'It is still right' : 'All are still right'}
      </Button>
      {since === 'drawing' && (
        <Button
          size="small"
          onClick={() => edit('go by the drawing', (now) => marks.reduce((plan, { id }) => adoptDrawnDistance(plan, id), now))}
        >
          Go by the drawing
        </Button>
      )}
    </div>
  );
}
