import { type Mark, marksHold } from '@still-heron/core';
import { useEdit } from '../shot/useEdit';

/** A stale distance: measure again, or confirm that it is still valid. */
export function StaleMark({ mark }: { readonly mark: Mark }) {
  const edit = useEdit();
  if (mark.stale === null) return null;
  return (
    <p className="mark-stale">
      stale: {mark.stale === 'camera' ? 'camera moved' : 'lens changed'}
      <button
        type="button"
        className="quiet"
        onClick={() => edit(`confirm the distance of ${mark.letter}`, (now) => marksHold(now, mark.id))}
      >
        It is still right
      </button>
    </p>
  );
}
