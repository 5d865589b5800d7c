import type { ShotPlan } from '@still-heron/core';
import { of100 } from '@still-heron/wording';
import { Link } from 'react-router';
import { useKeepRate } from '../shot/useKeepRate';

/** Keep rate of the open shot, updated during a drag. Links to the Stop step. */
export function KeepRateLink({ plan }: { readonly plan: ShotPlan }) {
  const known = useKeepRate();
  if (!known || plan.beats.length === 0) return null;
  const { keepRate } = known.rate;
  return (
    <Link to="../stop" className="kept-takes" data-testid="kept-takes">
      <strong className={keepRate >= plan.goals.targetKeepRate ? 'tone-sharp' : 'tone-edge'}>{of100(keepRate)}</strong> takes
      sharp <kbd className="key">4</kbd>
    </Link>
  );
}
