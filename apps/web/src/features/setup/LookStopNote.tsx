import { formatStop, lookStop, type ShotPlan, withLookStop } from '@still-heron/core';
import { lookStopText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { useEdit } from '../shot/useEdit';
import textStyles from '../../ui/text.module.css';
import styles from './LookStopNote.module.css';

/** Whether the stop gives the look that is asked for, and the one that does. */
export function LookStopNote({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const look = lookStop(plan, 0);
  if (look === null) return null;
  const isReached = look.nowPercent >= plan.goals.blurPercent!;
  const print = formatStop(look.stop, plan.optics.lens.stopScale);
  return (
    <p className={styles.look} data-testid="look-stop" role="status">
      <span className={isReached ? textStyles.muted : textStyles.toneEdge}>{lookStopText(look, plan)}</span>
      {!isReached && look.stop !== plan.optics.stop && (
        <Button size="small" onClick={() => edit(`shoot at ${print}`, withLookStop)}>
          Shoot at {print}
        </Button>
      )}
    </p>
  );
}
