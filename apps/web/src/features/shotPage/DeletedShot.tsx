import { useState } from 'react';
import { api, problemOf } from '../../shared/api/api';
import { useAppDispatch } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { PageNote } from '../../ui/PageNote';

interface Props {
  readonly shotId: string;
  /** The shot is there again, and can be opened with its edit */
  readonly onRestored: () => void;
}

/** Replaces a shot that was deleted elsewhere, with an edit on this device that was not saved. */
export function DeletedShot({ shotId, onRestored }: Props) {
  const dispatch = useAppDispatch();
  const [refusal, setRefusal] = useState<string | null>(null);
  const restore = async () => {
    const { data, error } = await dispatch(api.endpoints.restoreShot.initiate(shotId));
    if (data) onRestored();
    else setRefusal(problemOf(error).body.message);
  };
  return (
    <PageNote title="This shot was deleted elsewhere.">
      <p role="alert">An edit that was not saved is kept on this device.</p>
      <Button look="main" onClick={() => void restore()}>
        Restore the shot with this edit
      </Button>
      {refusal !== null && <p role="status">The shot was not restored: {refusal}.</p>}
      <a href="/productions">Back to the productions</a>
    </PageNote>
  );
}
