import type { ShotRowView } from '@still-heron/contract';
import clsx from 'clsx';
import { Link } from 'react-router';
import styles from './ShotRow.module.css';
import textStyles from '../../ui/text.module.css';

/** Row of a shot that can't be shown. Its page says why, and offers the version before. */
export function BrokenShotRow({ shot: { id, slate, title } }: { readonly shot: ShotRowView }) {
  return (
    <div className={styles.shotRow}>
      <div className={styles.shotLine}>
        <span />
        <Link
          to={`/shots/${id}/pull`}
          className={clsx(styles.shotOpen, styles.isBroken)}
          aria-label={`Open ${slate} ${title}`.trim()}
        >
          <span data-testid="shot-slate" className={styles.shotSlate}>
            {slate}
          </span>
          <span className={styles.shotWhat}>
            <span className={styles.shotTitle}>{title || 'Untitled'}</span>
          </span>
          <span className={textStyles.toneSoft}>
            This shot can’t be shown. Open it to see why, and to go back to the version before.
          </span>
        </Link>
      </div>
    </div>
  );
}
