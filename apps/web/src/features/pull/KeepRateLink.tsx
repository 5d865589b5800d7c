import type { ShotPlan } from '@still-heron/core';
import { of100 } from '@still-heron/wording';
import { Link } from 'react-router';
import { useKeepRate } from '../shot/useKeepRate';
import { Key } from '../../ui/Key';
import styles from './KeepRateLink.module.css';
import textStyles from '../../ui/text.module.css';

/** Keep rate of the open shot, updated during a drag. Links to the Stop step. */
export function KeepRateLink({ plan }: { readonly plan: ShotPlan }) {
  const known = useKeepRate();
  if (!known || plan.beats.length === 0) return null;
  const { keepRate } = known.rate;
  return (
    <Link to="../stop" className={styles.keptTakes} data-testid="kept-takes">
      <strong className={keepRate >= plan.goals.targetKeepRate ? textStyles.toneSharp : textStyles.toneEdge}>
        {of100(keepRate)}
      </strong>{' '}
      takes sharp <Key>4</Key>
    </Link>
  );
}
