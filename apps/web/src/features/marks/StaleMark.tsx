import { type Mark, marksHold } from '@still-heron/core';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './StaleMark.module.css';

/** A stale distance: measure again, or confirm that it is still valid. */
export function StaleMark({ mark }: { readonly mark: Mark }) {
  const edit = useEdit();
  if (mark.stale === null) return null;
  return (
    <p className={styles.markStale}>
      stale: {mark.stale === 'camera' ? 'camera moved' : 'lens changed'}
      <Button look="quiet" onClick={() => edit(`confirm the distance of ${mark.letter}`, (now) => marksHold(now, mark.id))}>
        It is still right
      </Button>
    </p>
  );
}
