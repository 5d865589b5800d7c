import type { Take } from '@still-heron/core';
import { recoveryLines } from '@still-heron/wording';
import styles from './TurnTable.module.css';

/** Where somebody was lost in a take and came back, and how. Nothing without any. */
export function RecoveryLines({ take }: { readonly take: Pick<Take, 'recoveries' | 'startTimecode' | 'gear'> }) {
  const lines = recoveryLines(take);
  return lines.length === 0 ? null : (
    <p className={styles.recoveries} data-testid="recoveries">
      Lost and back: {lines.join('; ')}.
    </p>
  );
}
