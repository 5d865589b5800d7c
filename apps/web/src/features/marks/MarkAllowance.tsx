import {
  changeMark,
  formatGap,
  formatStop,
  formatStops,
  type Mark,
  missAllowance,
  PLAN_LIMITS,
  setStop,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { Button } from 'antd';
import { GapField } from '../../ui/fields/GapField';
import { useEdit } from '../shot/useEdit';

interface Props {
  readonly mark: Mark;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Allowance of a mark, and the stop that gives it. */
export function MarkAllowance({ mark, plan, units }: Props) {
  const edit = useEdit();
  return (
    <div className="mark-allowance">
      <GapField
        label="shall be able to miss it by"
        mm={mark.allowanceMm}
        limit={PLAN_LIMITS.allowanceMm}
        units={units}
        onChange={(allowanceMm, gesture) =>
          edit(`allow ${mark.letter} to be missed`, (now) => changeMark(now, mark.id, { allowanceMm }), gesture)
        }
      />
      {mark.allowanceMm > 0 && <Answer mark={mark} plan={plan} units={units} />}
    </div>
  );
}

function Answer({ mark, plan, units }: Props) {
  const edit = useEdit();
  const answer = missAllowance(plan, mark, mark.allowanceMm);
  const { lens, irisPulls } = plan.optics;
  switch (answer.status) {
    case 'allowed':
      return (
        <p className="tone-sharp" role="status">
          Allowed, with {formatGap(Math.min(answer.nearerMm, answer.fartherMm) - mark.allowanceMm, units)} to spare.
        </p>
      );
    case 'needs-stop':
      return (
        <p className="tone-soft" role="status">
          Not at this stop. {formatStop(answer.stop, lens.stopScale)} would allow it, {formatStops(answer.stops)} darker.{' '}
          {irisPulls.length === 0 && (
            <Button size="small" onClick={() => edit(`stop for ${mark.letter}`, (now) => setStop(now, answer.stop))}>
              Set {formatStop(answer.stop, lens.stopScale)}
            </Button>
          )}
        </p>
      );
    case 'not-on-this-lens':
      return (
        <p className="tone-soft" role="status">
          {answer.wouldNeedStop === Infinity
            ? 'No stop allows it: they would come through the lens.'
            : `It would take ${formatStop(answer.wouldNeedStop, lens.stopScale)}, and this lens stops at ${formatStop(lens.narrowestStop, lens.stopScale)}.`}
        </p>
      );
  }
}
