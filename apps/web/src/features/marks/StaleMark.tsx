import { adoptDrawnDistance, formatDistance, marksHold, staleCause } from '@still-heron/core';
import { staleText } from '@still-heron/wording';
import type { MarkProps } from './markProps';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './StaleMark.module.css';

/** A stale distance: measure again, keep what was measured, or go by the drawing if it was moved there. */
export function StaleMark({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  const text = staleText(plan, mark, units);
  if (text === null) return null;
  return (
    <p className={styles.markStale}>
      {text}
      <span>
        <Button size="small" onClick={() => edit(`keep the distance of ${mark.letter}`, (now) => marksHold(now, mark.id))}>
          Keep {formatDistance(mark.distanceMm ?? Infinity, units)}
        </Button>
        {staleCause(plan, mark) === 'drawing' && (
          <Button
            size="small"
            onClick={() => edit(`use the drawn distance of ${mark.letter}`, (now) => adoptDrawnDistance(now, mark.id))}
          >
            Go by the drawing
          </Button>
        )}
      </span>
    </p>
  );
}
