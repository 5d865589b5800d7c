import type { TakeRowView } from '@still-heron/contract';
import { adviseNext, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { Link } from 'react-router';
import { Corrections } from '../takes/Corrections';
import { adviceWords } from '../takes/takeWords';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly takes: readonly TakeRowView[];
  /** Takes that are planned; null where nobody can tell */
  readonly planned: number | null;
}

/** After a take: go again or move on, and what to do otherwise. */
export function NextSide({ shotId, plan, units, takes, planned }: Props) {
  const next = adviseNext(
    plan,
    takes.map(({ take }) => take),
  );
  const { tone, text } = adviceWords(next, takes.length, planned);
  return (
    <aside className="side" aria-label="What to do otherwise">
      <section>
        <p className={`next-advice tone-${tone}`} role="status">
          {text}
        </p>
      </section>
      <Corrections corrections={next.corrections} plan={plan} units={units} />
      <section>
        <Link to={`/shots/${shotId}/takes`}>All takes of the shot</Link>
      </section>
    </aside>
  );
}
