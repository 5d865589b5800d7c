import { REPAIRS, type ShotPlan, TAKE_LIMITS, type UnitSystem } from '@still-heron/core';
import { REPAIR_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { GapField } from '../../ui/fields/GapField';
import { NumberField } from '../../ui/fields/NumberField';
import { TextField } from '../../ui/fields/TextField';
import type { Draft } from './draft';
import styles from './TakeMore.module.css';

interface Props {
  readonly draft: Draft;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly onChange: (draft: Draft) => void;
}

/** Less common details of a take: where people stood, how it was checked, and repairs. */
export function TakeMore({ draft, plan, units, onChange }: Props) {
  const { missedMm, checkedOn, checkMagnification, repairs } = draft;
  return (
    <details className={styles.takeMore}>
      <summary>Missed marks, focus check on a display, repairs</summary>
      <div className={styles.takeMoreFields}>
        {plan.marks.map(({ id, letter }) => (
          <GapField
            key={id}
            label={`missed ${letter} by, below 0 is nearer`}
            mm={missedMm[id] ?? 0}
            units={units}
            limit={TAKE_LIMITS.missMm}
            onChange={(byMm) => onChange({ ...draft, missedMm: { ...missedMm, [id]: byMm } })}
          />
        ))}
        <TextField
          label="checked on"
          max={TAKE_LIMITS.checkedOn.max}
          value={checkedOn}
          onChange={(value) => onChange({ ...draft, checkedOn: value })}
        />
        <NumberField
          label="magnified, times"
          min={1}
          max={TAKE_LIMITS.checkMagnification.max}
          step={1}
          value={checkMagnification ?? 1}
          onChange={(value) => onChange({ ...draft, checkMagnification: value })}
        />
      </div>
      <div className={styles.takeRepairs}>
        {REPAIRS.map((repair) => (
          <Checkbox
            key={repair}
            checked={repairs.includes(repair)}
            onChange={({ target }) =>
              onChange({
                ...draft,
                repairs: target.checked ? [...repairs, repair] : repairs.filter((other) => other !== repair),
              })
            }
          >
            {REPAIR_WORDS[repair]}
          </Checkbox>
        ))}
      </div>
    </details>
  );
}
