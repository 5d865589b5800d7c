import { problem, type ShotPlan } from '@still-heron/core';
import type { ShotRowView } from '@still-heron/contract';
import { problemView, refusalText, importedText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useState } from 'react';
import { problemOf, useProductionQuery, useShotRowsQuery } from '../../shared/api/api';
import { loadPlans } from '../../shared/api/loadPlans';
import { useLazyWholeTakesQuery, useLogTakeMutation } from '../../shared/api/takesApi';
import { askForFile, saveFile } from '../../shared/files/csv';
import { useAppDispatch } from '../../shared/store/hooks';
import { useUnits } from '../../shared/useUnits';
import { ProblemList } from '../../ui/ProblemList';
import { readTakesFile, type RetimeWish, takesFile, type TakesFile } from './exchangeTakes';
import { Button } from '../../ui/Button';
import styles from './TakesExchange.module.css';

interface Props {
  readonly productionId: string;
  /** Only this shot; null for the whole production */
  readonly shot: { readonly id: string; readonly slate: string; readonly plan: ShotPlan } | null;
  readonly wish?: RetimeWish;
}

const FILES: readonly { readonly kind: TakesFile; readonly word: string; readonly type: string; readonly inFull: string }[] = [
  { kind: 'csv', word: 'CSV', type: 'text/csv', inFull: 'Takes as CSV, can be imported again' },
  { kind: 'json', word: 'JSON', type: 'application/json', inFull: 'Takes as JSON, can be imported again' },
  { kind: 'otio', word: 'OTIO', type: 'application/json', inFull: 'A timeline with spans, markers and time warps' },
  { kind: 'vtt', word: 'WebVTT', type: 'text/vtt', inFull: 'Cues as WebVTT' },
];

/** Export and import of takes, and files for the editor. */
export function TakesExchange({ productionId, shot, wish }: Props) {
  const notices = useNotices();
  const dispatch = useAppDispatch();
  const { data: production } = useProductionQuery(productionId, { skip: !productionId });
  const { data: shots } = useShotRowsQuery(productionId, { skip: !productionId });
  const units = useUnits();
  const [whole] = useLazyWholeTakesQuery();
  const { read, problems, forget } = useTakesImport(shot, shots);
  const name = [production?.name, shot?.slate].filter(Boolean).join(' ');

  async function save({ kind, type }: (typeof FILES)[number]): Promise<void> {
    const { data, error } = await whole({ productionId, shotId: shot?.id ?? null });
    if (!data) return notices.fail(refusalText('The takes were not loaded', problemOf(error).body));
    const plans = new Map(shot ? [[shot.id, shot.plan]] : []);
    const others = [...new Set(data.map(({ shotId }) => shotId))].filter((id) => !plans.has(id));
    try {
      for await (const some of loadPlans(dispatch, productionId, others)) for (const { id, plan } of some) plans.set(id, plan);
    } catch (failure) {
      return notices.fail(refusalText('The plans were not loaded', problemOf(failure).body));
    }
    const planOf = (id: string) => plans.get(id);
    const text = takesFile(kind, name, data, { plan: shot?.plan ?? null, planOf, units, wish: wish ?? null });
    saveFile(`${name} takes.${kind}`, text, type);
  }

  return (
    <section>
      <h2>For the editor</h2>
      <div className={styles.takesFiles}>
        <a
          className={styles.takesReport}
          href={`/api/productions/${productionId}/takes/report.pdf?units=${units}${shot ? `&shot=${shot.id}` : ''}`}
          download={`${name} takes.pdf`}
        >
          Report, PDF
        </a>
        {FILES.map((file) => (
          <Button key={file.kind} look="quiet" title={file.inFull} onClick={() => void save(file)}>
            {file.word}
          </Button>
        ))}
        <Button look="quiet" onClick={() => void read()}>
          Import takes …
        </Button>
      </div>
      {problems && <ProblemList title="The file was not read" problems={problems} onClose={forget} />}
    </section>
  );
}

/** Import of a file of takes: all its slates must be known, and takes that were already logged stay as they are. */
function useTakesImport(shot: Props['shot'], shots: readonly ShotRowView[] | undefined) {
  const notices = useNotices();
  const [log] = useLogTakeMutation();
  const [problems, setProblems] = useState<Parameters<typeof ProblemList>[0]['problems'] | null>(null);
  async function read(): Promise<void> {
    const file = await askForFile('.csv,.json,text/csv,application/json');
    if (!file) return;
    const reading = readTakesFile(file.text);
    if (reading.status === 'unread') return setProblems(reading.problems.map(problemView));
    const shotOf = (slate: string) => shot?.id ?? shots?.find((known) => known.slate === slate)?.id;
    const homeless = reading.items.filter(({ slate }) => !shotOf(slate));
    if (homeless.length > 0)
      return setProblems(homeless.map(({ slate, number }) => problemView(problem('no-such-slate', `take ${number}`, { slate }))));
    let logged = 0;
    for (const { id, slate, rolledAt, take } of reading.items) {
      const { error } = await log({
        ...(id ? { id } : {}),
        shotId: shotOf(slate)!,
        rolledAt: new Date(rolledAt).toISOString(),
        take,
      });
      if (error) return notices.fail(refusalText(`Take ${logged + 1} of the file was not logged`, problemOf(error).body));
      logged++;
    }
    notices.tell(importedText(logged));
  }
  return { read, problems, forget: () => setProblems(null) };
}
