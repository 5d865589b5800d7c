import type { TakeView } from '@still-heron/contract';
import type { ShotPlan, Take, UnitSystem } from '@still-heron/core';
import { KEPT_INPUT, refusalText } from '@still-heron/wording';
import { useMemo, useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useSaveTakeMutation, useTakeQuery } from '../../shared/api/takesApi';
import { useKeys } from '../../shared/keys/useKeys';
import { Button } from '../../ui/Button';
import { useNotices } from '../../ui/notices/notices';
import { Unreachable } from '../../ui/Unreachable';
import { type Draft, draftOf, takeOfDraft } from './draft';
import { TakeForm } from './TakeForm';

interface Props {
  readonly id: string;
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  /** What was changed and not saved when another take was opened; undefined without any */
  readonly kept: Draft | undefined;
  readonly onKeep: (draft: Draft | undefined) => void;
  readonly onDone: () => void;
}

/** A take that is logged already, opened to be put right. */
export function LoggedTake({ id, ...rest }: Props) {
  const { currentData: found, error, isFetching, refetch } = useTakeQuery(id, { refetchOnMountOrArgChange: true });
  if (error && !found) return <Unreachable error={error} retry={() => void refetch()} />;
  if (!found || isFetching) return null;
  return <Opened found={found} {...rest} />;
}

function Opened({ found, shotId, plan, units, kept, onKeep, onDone }: Omit<Props, 'id'> & { readonly found: TakeView }) {
  const { id, number, version, take } = found;
  const notices = useNotices();
  const [save, { isLoading }] = useSaveTakeMutation();
  const [draft, setDraft] = useState<Draft>(() => kept ?? draftOf(take));
  const change = (next: Draft) => {
    setDraft(next);
    onKeep(next);
  };
  const leave = () => {
    onKeep(undefined);
    onDone();
  };
  // pulls of the plan as it is now, and those that the take knows
  const pullIds = useMemo(() => {
    const ids = plan.focusTrack.pulls.map((pull) => pull.id);
    return [...ids, ...take.hits.map(({ pullId }) => pullId).filter((pullId) => !ids.includes(pullId))];
  }, [plan, take]);

  async function put(given: Take, at: number): Promise<number | null> {
    const { data, error } = await save({ shotId, id, version: at, take: given });
    if (error) notices.fail(refusalText(`Take ${number} was not changed`, problemOf(error).body, KEPT_INPUT));
    return data?.version ?? null;
  }
  async function putRight(): Promise<void> {
    if (isLoading) return;
    const saved = await put(takeOfDraft(draft, take), version);
    if (saved === null) return;
    const key = `take ${id}`;
    const undo = async () => {
      notices.close(key);
      await put(take, saved);
    };
    notices.show({
      key,
      title: `Take ${number} was changed.`,
      durationS: 12,
      actions: <Button onClick={() => void undo()}>Undo the change</Button>,
    });
    leave();
  }
  useKeys('t', () => void putRight());
  useKeys('esc', leave);
  return (
    <TakeForm
      draft={draft}
      plan={plan}
      units={units}
      number={number}
      pullIds={pullIds}
      take={take}
      isLogging={isLoading}
      onChange={change}
      onLog={() => void putRight()}
      onCancel={leave}
    />
  );
}
