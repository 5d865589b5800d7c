import { brokenShotText, brokenShotTitle, capital, neededSentence } from '@still-heron/wording';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, problemOf } from '../../shared/api/api';
import { revisionsApi, useShotCheckQuery } from '../../shared/api/revisionsApi';
import { useAppDispatch } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { PageNote } from '../../ui/PageNote';
import textStyles from '../../ui/text.module.css';

/** Replaces a shot that can't be shown: says what is wrong with it, and offers the version before. */
export function ShotFailed({ error }: { readonly error: unknown }) {
  const { shotId = '' } = useParams();
  const { data: check } = useShotCheckQuery(shotId);
  const { restore, refusal } = useVersionBefore(shotId);
  const message = error instanceof Error ? error.message : String(error);
  return (
    <PageNote title={brokenShotTitle(check ?? null)}>
      {check && <p role="alert">{brokenShotText(check.problems.length, message)}</p>}
      {check && (
        <ul>
          {check.problems.slice(0, MOST).map((problem) => (
            <li key={`${problem.path} ${problem.code}`}>
              <strong className={textStyles.figure}>{problem.path || 'plan'}</strong> {neededSentence(problem)}
            </li>
          ))}
        </ul>
      )}
      {check?.before && (
        <Button look="main" onClick={() => void restore(check.before!.version)}>
          Go back to the version of {new Date(check.before.savedAt).toLocaleString('en-GB', WHEN)}
        </Button>
      )}
      <Button look={check?.before ? 'plain' : 'main'} onClick={() => window.location.reload()}>
        Load the page again
      </Button>
      {refusal !== null && <p role="status">{capital(refusal)}</p>}
      <a href="/productions">Back to the productions</a>
    </PageNote>
  );
}

/** Problems that are listed; the first one often makes the others. */
const MOST = 5;
const WHEN = { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' } as const;

/** Saves an earlier version as the newest, and opens it. The broken one stays among the saved versions. */
function useVersionBefore(shotId: string) {
  const dispatch = useAppDispatch();
  const [refusal, setRefusal] = useState<string | null>(null);
  const { shot, saveShot } = api.endpoints;
  const { revision } = revisionsApi.endpoints;
  async function restore(version: number): Promise<void> {
    const [now, then] = await Promise.all([
      dispatch(shot.initiate(shotId, { forceRefetch: true, subscribe: false })),
      dispatch(revision.initiate({ shotId, version }, { subscribe: false })),
    ]);
    const saved =
      now.data && then.data
        ? await dispatch(saveShot.initiate({ id: shotId, version: now.data.version, document: then.data }))
        : { error: now.error ?? then.error };
    if (saved.error) setRefusal(neededSentence(problemOf(saved.error).body));
    else window.location.reload();
  }
  return { restore, refusal };
}
