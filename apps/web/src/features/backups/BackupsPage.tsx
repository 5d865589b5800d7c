import type { BackupsView, BackupView, RestoredView } from '@still-heron/contract';
import { backupPlaceText, BACKUPS_KEPT, backupSentence, neededSentence, restoredSentence } from '@still-heron/wording';
import { useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useBackupsQuery, useMakeBackupMutation, useRestoreBackupMutation } from '../../shared/api/backupsApi';
import { Button } from '../../ui/Button';
import { Frame } from '../../ui/frame/Frame';
import { TopBelowProductions } from '../../ui/frame/TopBelowProductions';
import { Sentence } from '../../ui/Sentence';
import textStyles from '../../ui/text.module.css';
import { Unreachable } from '../../ui/Unreachable';
import { BackupRow } from './BackupRow';
import styles from './BackupsPage.module.css';

/** Ages on the page stay true without a reload. */
const LOOK_AGAIN_MS = 60_000;

/** Backups on the server: how old the newest is, and the way back to any of them. */
export function BackupsPage() {
  const { data, error, refetch } = useBackupsQuery(undefined, { pollingInterval: LOOK_AGAIN_MS });
  return (
    <Frame screen="backups" top={<TopBelowProductions title="Backups" />}>
      {error && !data && <Unreachable error={error} retry={() => void refetch()} />}
      {data && <Backups list={data} />}
    </Frame>
  );
}

function Backups({ list: { backups, failure, folder, freeBytes } }: { readonly list: BackupsView }) {
  const [make, making] = useMakeBackupMutation();
  const [restore, restoring] = useRestoreBackupMutation();
  const [restored, setRestored] = useState<RestoredView | null>(null);
  const [newest] = backups;
  const nowMs = Date.now();
  const isBusy = making.isLoading || restoring.isLoading;
  const problem = making.error ?? restoring.error;
  async function goBackTo({ name }: BackupView): Promise<void> {
    const { data } = await restore(name);
    if (data) setRestored(data);
  }
  return (
    <section className={styles.backups}>
      <Sentence parts={backupSentence(newest ?? null, failure, nowMs)} testId="backup-sentence" role="status" />
      <div className={styles.actions}>
        <Button look="main" disabled={isBusy} onClick={() => void make()}>
          {making.isLoading ? 'Making a backup…' : 'Back up now'}
        </Button>
        {restoring.isLoading && <span role="status">Restoring…</span>}
      </div>
      {problem && (
        <p className={textStyles.toneSoft} role="alert">
          {neededSentence(problemOf(problem).body)}
        </p>
      )}
      {restored && (
        <p className={styles.restored} role="status">
          {restoredSentence(restored.restored, nowMs)}{' '}
          <Button size="small" disabled={isBusy} onClick={() => void goBackTo(restored.before)}>
            Go back to what was there before
          </Button>
        </p>
      )}
      <ul className={styles.list} aria-label="Backups">
        {backups.map((backup) => (
          <BackupRow key={backup.name} backup={backup} nowMs={nowMs} isBusy={isBusy} onRestore={() => void goBackTo(backup)} />
        ))}
      </ul>
      <p className={styles.note}>{BACKUPS_KEPT}</p>
      <p className={styles.note}>{backupPlaceText(folder, freeBytes)}</p>
    </section>
  );
}
