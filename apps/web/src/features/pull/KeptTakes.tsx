import type { ShotPlan } from '@still-heron/core';
import { Link } from 'react-router';
import { useKeepRate } from '../shot/useKeepRate';
import { ofTakes } from '../stop/stopWords';

/** How often a take of this line is kept; follows whatever is dragged. It leads to where that is decided. */
export function KeptTakes({ plan }: { readonly plan: ShotPlan }) {
  const known = useKeepRate();
  if (!known || plan.beats.length === 0) return null;
  const { keepRate } = known.rate;
  return (
    <Link to="../stop" className="kept-takes" data-testid="kept-takes">
      <strong className={keepRate >= plan.wanted.keepShare ? 'tone-sharp' : 'tone-edge'}>{ofTakes(keepRate)}</strong> takes kept{' '}
      <kbd className="key">4</kbd>
    </Link>
  );
}
