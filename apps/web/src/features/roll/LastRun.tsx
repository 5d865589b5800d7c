import type { UnitSystem } from '@still-heron/core';
import { pullRunText, pullTargetText } from '@still-heron/wording';
import { turnRows } from '../takes/turnRows';
import { TurnTable } from '../takes/TurnTable';
import type { FinishedRoll } from './rollMoment';
import styles from './LastRun.module.css';

interface Props {
  readonly ended: FinishedRoll;
  readonly before: FinishedRoll | null;
  readonly units: UnitSystem;
}

/** How the pull that is practised went the last time, beside the time before. */
export function LastRun({ ended, before, units }: Props) {
  const { plan, take, loopPullId } = ended;
  const only = ({ hits }: FinishedRoll['take']) => ({ hits: hits.filter(({ pullId }) => pullId === loopPullId) });
  const [hit = null] = only(take).hits;
  const name = pullTargetText(loopPullId!, plan, units);
  return (
    <section className={styles.lastRun} aria-label="The last run">
      <p role="status">{pullRunText(name, hit)}</p>
      <TurnTable wheel={plan.wheel} rows={turnRows(only(take), plan, units, before && only(before.take))} />
    </section>
  );
}
