import type { ShotPlan } from '@still-heron/core';
import { differingTakesText, refusalText, takeChangesText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { problemOf, useProductionQuery, useShotRowsQuery } from '../../shared/api/api';
import { loadPlans } from '../../shared/api/loadPlans';
import { useLazyWholeTakesQuery } from '../../shared/api/takesApi';
import { saveFile } from '../../shared/files/csv';
import { useAppDispatch } from '../../shared/store/hooks';
import { useUnits } from '../../shared/useUnits';
import { ProblemList } from '../../ui/ProblemList';
import { type RetimeWish, takesFile, type TakesFile } from './exchangeTakes';
import { useTakesImport } from './useTakesImport';
import { Button } from '../../ui/Button';
import styles from './TakesExchange.module.css';

interface Props {
  readonly productionId: string;
  /** Only this shot; null for the whole production */
  readonly shot: { readonly id: string; readonly slate: string; readonly plan: ShotPlan } | null;
  readonly wish?: RetimeWish;
}

const FILES: readonly { readonly kind: TakesFile; readonly word: string; readonly type: string; readonly inFull: string }[] = [
  { kind: 'csv', word: 'CSV', type: 'text/csv', inFull: 'A sheet for reading: one line a take' },
  { kind: 'pulls', word: 'CSV by pull', type: 'text/csv', inFull: 'A sheet for reading: one line for each pull of each take' },
  { kind: 'json', word: 'JSON', type: 'application/json', inFull: 'Takes whole, with tracks: can be imported again' },
  { kind: 'otio', word: 'OTIO', type: 'application/json', inFull: 'A timeline with spans, markers and time warps' },
  { kind: 'vtt', word: 'WebVTT', type: 'text/vtt', inFull: 'Takes in sequence: what can be used, pulls and faults' },
];

/** Export and import of takes, and files for the editor. */
export function TakesExchange({ productionId, shot, wish }: Props) {
  const notices = useNotices();
  const dispatch = useAppDispatch();
  const { data: production } = useProductionQuery(productionId, { skip: !productionId });
  const { data: shots } = useShotRowsQuery(productionId, { skip: !productionId });
  const units = useUnits();
  const [whole] = useLazyWholeTakesQuery();
  const { read, problems, forget, asked, answer } = useTakesImport(productionId, shot, shots);
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
    saveFile(kind === 'pulls' ? `${name} pulls.csv` : `${name} takes.${kind}`, text, type);
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
      {asked && (
        <div role="group" aria-label="Takes that differ" className={styles.takesAsked}>
          <p>
            {differingTakesText(asked.length)}{' '}
            {asked
              .map(({ item, known }) => `${item.slate} take ${known!.number}: ${takeChangesText(known!.take, item.take)}`)
              .join('; ')}
          </p>
          <Button onClick={() => void answer(false)}>Leave them as they are here</Button>
          <Button onClick={() => void answer(true)}>Take what the file has</Button>
        </div>
      )}
    </section>
  );
}
