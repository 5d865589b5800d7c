import { isDeepEqual, newTake, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { KEPT_INPUT, refusalText } from '@still-heron/wording';
import { useMemo, useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useLogTakeMutation } from '../../shared/api/takesApi';
import { useKeys } from '../../shared/keys/useKeys';
import { readOptions } from '../../shared/rollOptions';
import { useAppStore } from '../../shared/store/hooks';
import { useNotices } from '../../ui/notices/notices';
import { selectSaving } from '../shot/savingSlice';
import { useKeepRate } from '../shot/useKeepRate';
import { type Draft, freshDraft, takeOfDraft } from './draft';
import { TakeForm } from './TakeForm';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly number: number;
  /** Kept by the page: a look at another take, or a take of another device, must not lose it */
  readonly draft: Draft;
  readonly onDraft: (draft: Draft) => void;
}

/** A take that was not rolled here: what is said of it, and then the log. */
export function NewTake({ shotId, plan, units, number, draft, onDraft }: Props) {
  const store = useAppStore();
  const notices = useNotices();
  const [logTake, { isLoading }] = useLogTakeMutation();
  // each take begins at its first mark
  const [logged, setLogged] = useState(0);
  const [asks, setAsks] = useState(false);
  const rate = useKeepRate()?.rate ?? null;
  const pullIds = useMemo(() => plan.focusTrack.pulls.map(({ id }) => id), [plan]);
  const empty = useMemo(() => newTake(plan, 1), [plan]);
  const change = (next: Draft) => {
    setAsks(false);
    onDraft(next);
  };

  async function log(): Promise<void> {
    if (isLoading) return;
    // a key that was pressed by mistake must not make a take
    if (!asks && isDeepEqual(draft, freshDraft())) return setAsks(true);
    const gear = { ...empty.gear, puller: readOptions(window.localStorage).puller };
    const planVersion = selectSaving(store.getState()).baseVersion;
    const take = takeOfDraft(draft, { ...empty, planVersion, gear, predictedKeepRate: rate?.keepRate ?? null });
    const { error } = await logTake({ shotId, rolledAt: new Date().toISOString(), take });
    if (error) return notices.fail(refusalText(`Take ${number} was not logged`, problemOf(error).body, KEPT_INPUT));
    change(freshDraft());
    setLogged(logged + 1);
  }
  useKeys('t', () => void log());

  return (
    <TakeForm
      key={logged}
      draft={draft}
      plan={plan}
      units={units}
      number={number}
      pullIds={pullIds}
      take={empty}
      isLogging={isLoading}
      question={asks ? 'It was not rolled here, and nothing is said of it. Press T again to log it.' : null}
      onChange={change}
      onLog={() => void log()}
    />
  );
}
