import type { BackupView } from '@still-heron/contract';
import { ageText, BACKUP_REASON_WORDS, capital, holdsText, restoreQuestion, sizeText, whenText } from '@still-heron/wording';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import styles from './BackupsPage.module.css';

interface Props {
  readonly backup: BackupView;
  readonly nowMs: number;
  readonly isBusy: boolean;
  readonly onRestore: () => void;
}

/** A backup with its age, contents and size. Restoring asks first. */
export function BackupRow({ backup, nowMs, isBusy, onRestore }: Props) {
  const [isAsking, setIsAsking] = useState(false);
  const { name, madeAt, reason, bytes } = backup;
  const when = whenText(madeAt, nowMs);
  return (
    <li onKeyDown={(event) => event.key === 'Escape' && setIsAsking(false)}>
      <span className={styles.when}>
        <strong>{capital(when)}</strong>
        <span className={textStyles.muted}>
          {ageText(nowMs - Date.parse(madeAt))} ago, {BACKUP_REASON_WORDS[reason]}
        </span>
      </span>
      <span>{holdsText(backup)}</span>
      <span className={textStyles.figure}>{sizeText(bytes)}</span>
      <a href={`/api/backups/${name}`} download aria-label={`Download the backup made ${when}`}>
        Download
      </a>
      {!isAsking && (
        <Button size="small" disabled={isBusy} aria-label={`Restore the backup made ${when}`} onClick={() => setIsAsking(true)}>
          Restore
        </Button>
      )}
      {isAsking && (
        <div className={styles.question} role="group" aria-label="Restore this backup?">
          <p>{restoreQuestion(when)}</p>
          <Button
            look="main"
            size="small"
            disabled={isBusy}
            autoFocus
            onClick={() => {
              setIsAsking(false);
              onRestore();
            }}
          >
            Restore it
          </Button>
          <Button size="small" onClick={() => setIsAsking(false)}>
            Keep what is there
          </Button>
        </div>
      )}
    </li>
  );
}
