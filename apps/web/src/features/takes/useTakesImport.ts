import type { LoggedTakeView, ShotRowView } from '@still-heron/contract';
import { type ComparedTake, compareTakes, problem } from '@still-heron/core';
import { importedText, problemView, refusalText } from '@still-heron/wording';
import { useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useLazyWholeTakesQuery, useLogTakeMutation, useSaveTakeMutation } from '../../shared/api/takesApi';
import { askForFile } from '../../shared/files/csv';
import type { ProblemList } from '../../ui/ProblemList';
import { useNotices } from '../../ui/notices/notices';
import { readTakesFile } from './exchangeTakes';

/** A take of the file with the one here that has its id. */
type Compared = ComparedTake<
  Omit<LoggedTakeView, 'take'> & { readonly take: LoggedTakeView['take'] & { readonly track: string | null } }
>;

interface TakesImport {
  readonly read: () => Promise<void>;
  readonly problems: Parameters<typeof ProblemList>[0]['problems'] | null;
  readonly forget: () => void;
  /** Takes of the file that differ from those here; null if nothing is asked */
  readonly asked: readonly Compared[] | null;
  /** @param takesFile - the file wins */
  readonly answer: (takesFile: boolean) => Promise<void>;
}

/**
 * Import of a file of takes. All its slates must be known. New takes are logged, equal ones are left, and of those that differ it is asked which
 * wins; what became of each is told.
 *
 * @param shot - all takes go to this shot; null if their slates tell
 */
export function useTakesImport(
  productionId: string,
  shot: { readonly id: string } | null,
  shots: readonly ShotRowView[] | undefined,
): TakesImport {
  const notices = useNotices();
  const [log] = useLogTakeMutation();
  const [save] = useSaveTakeMutation();
  const [whole] = useLazyWholeTakesQuery();
  const [problems, setProblems] = useState<TakesImport['problems']>(null);
  const [waiting, setWaiting] = useState<readonly Compared[] | null>(null);
  const shotOf = (slate: string) => shot?.id ?? shots?.find((known) => known.slate === slate)?.id;

  async function read(): Promise<void> {
    const file = await askForFile('.csv,.json,text/csv,application/json');
    if (!file) return;
    const reading = readTakesFile(file.text);
    if (reading.status === 'unread') return setProblems(reading.problems.map(problemView));
    const homeless = reading.items.filter(({ slate }) => !shotOf(slate));
    if (homeless.length > 0)
      return setProblems(homeless.map(({ slate, number }) => problemView(problem('no-such-slate', `take ${number}`, { slate }))));
    const { data, error } = await whole({ productionId, shotId: null });
    if (!data) return notices.fail(refusalText('The takes that are here were not loaded', problemOf(error).body));
    const known = data.map((view) => ({ ...view, take: { track: null, ...view.take } }));
    const compared = compareTakes(reading.items, known, productionId);
    if (compared.some(differs)) setWaiting(compared);
    else await bringIn(compared, false);
  }

  async function bringIn(compared: readonly Compared[], takesFile: boolean): Promise<void> {
    const count = { fresh: 0, same: 0, replaced: 0, left: 0 };
    for (const [index, one] of compared.entries()) {
      const fate = fateOf(one, takesFile);
      const error = fate === 'fresh' || fate === 'replaced' ? await send(one) : undefined;
      if (error) return notices.fail(refusalText(`Take ${index + 1} of the file was not imported`, problemOf(error).body));
      count[fate]++;
    }
    notices.tell(importedText(count));
  }

  async function send({ item, id, known }: Compared): Promise<unknown> {
    if (known) return (await save({ shotId: known.shotId, id: known.id, version: known.version, take: item.take })).error;
    const rolledAt = new Date(item.rolledAt).toISOString();
    return (await log({ ...(id ? { id } : {}), shotId: shotOf(item.slate)!, rolledAt, take: item.take })).error;
  }

  return {
    read,
    problems,
    forget: () => setProblems(null),
    asked: waiting && waiting.filter(differs),
    async answer(takesFile) {
      setWaiting(null);
      if (waiting) await bringIn(waiting, takesFile);
    },
  };
}

function differs({ known, isSame }: Compared): boolean {
  return known !== null && !isSame;
}

function fateOf({ known, isSame }: Compared, takesFile: boolean): 'fresh' | 'same' | 'replaced' | 'left' {
  if (!known) return 'fresh';
  if (isSame) return 'same';
  return takesFile ? 'replaced' : 'left';
}
