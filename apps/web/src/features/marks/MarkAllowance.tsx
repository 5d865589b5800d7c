import { changeMark, formatGap, formatStop, formatStops, missAllowance, PLAN_LIMITS, setStop } from '@still-heron/core';
import { noStopText } from '@still-heron/wording';
import { GapField } from '../../ui/fields/GapField';
import type { MarkProps } from './markProps';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import styles from './MarkAllowance.module.css';
import textStyles from '../../ui/text.module.css';

/** Allowance of a mark, and the stop that gives it. */
export function MarkAllowance({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  return (
    <div className={styles.markAllowance}>
      <GapField
        label="allowed miss ±"
        mm={mark.allowanceMm}
        limit={PLAN_LIMITS.allowanceMm}
        units={units}
        onChange={(allowanceMm, gesture) =>
          edit(`change the allowed miss of ${mark.letter}`, (now) => changeMark(now, mark.id, { allowanceMm }), gesture)
        }
      />
      {mark.allowanceMm > 0 && <Answer mark={mark} plan={plan} units={units} />}
    </div>
  );
}

function Answer({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  const answer = missAllowance(plan, mark, mark.allowanceMm);
  const { lens, irisPulls } = plan.optics;
  switch (answer.status) {
    case 'allowed':
      return (
        <p className={textStyles.toneSharp} role="status">
          Inside the zone, with {formatGap(Math.min(answer.nearerMm, answer.fartherMm) - mark.allowanceMm, units)} of room.
        </p>
      );
    case 'needs-stop':
      return (
        <p className={textStyles.toneSoft} role="status">
          Outside the zone at this stop. {formatStop(answer.stop, lens.stopScale)} would be enough, {formatStops(answer.stops)}{' '}
          less light.{' '}
          {irisPulls.length === 0 && (
            <Button size="small" onClick={() => edit(`change the stop for ${mark.letter}`, (now) => setStop(now, answer.stop))}>
              Use {formatStop(answer.stop, lens.stopScale)}
            </Button>
          )}
        </p>
      );
    case 'not-on-this-lens':
      return (
        <p className={textStyles.toneSoft} role="status">
          {noStopText(answer.wouldNeedStop, lens)}
        </p>
      );
  }
}
