import { type FocusTarget, PLAN_LIMITS, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { Select } from '../../ui/antd/Select';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { choiceOf, targetChoices, targetOf } from './targetChoices';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props {
  readonly label: string;
  readonly target: FocusTarget;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly onChange: (target: FocusTarget, gesture?: string) => void;
}

/** Focus target, with the fields of its kind. */
export function TargetFields({ label, target, plan, units, onChange }: Props) {
  return (
    <>
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>{label}</span>
        <Select
          aria-label={label}
          value={choiceOf(target)}
          options={targetChoices(target, plan, units)}
          popupMatchSelectWidth={false}
          onChange={(choice) => onChange(targetOf(choice, target, plan))}
        />
      </label>
      {target.kind === 'distance' && (
        <DistanceField
          label="distance"
          distanceMm={target.distanceMm ?? Infinity}
          units={units}
          onChange={(mm, gesture) => onChange({ kind: 'distance', distanceMm: mm === Infinity ? null : mm }, gesture)}
        />
      )}
      {target.kind === 'subject' && (
        <NumberField
          label="lead"
          unit="s"
          step={0.1}
          decimals={2}
          min={PLAN_LIMITS.leadS.min}
          max={PLAN_LIMITS.leadS.max}
          value={target.leadS}
          hint="below 0 it lags behind"
          onChange={(leadS, gesture) => onChange({ ...target, leadS }, gesture)}
        />
      )}
      {target.kind === 'blur' && <BlurFields target={target} onChange={onChange} plan={plan} />}
    </>
  );
}

interface BlurFieldsProps extends Pick<Props, 'onChange' | 'plan'> {
  readonly target: Extract<FocusTarget, { kind: 'blur' }>;
}

function BlurFields({ target, onChange, plan }: BlurFieldsProps) {
  return (
    <>
      <NumberField
        label="blur, of the width"
        unit="%"
        step={0.5}
        decimals={2}
        min={PLAN_LIMITS.blurPercent.min}
        max={PLAN_LIMITS.blurPercent.max}
        value={target.blurPercent}
        onChange={(blurPercent, gesture) => onChange({ ...target, blurPercent }, gesture)}
      />
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>of the subject at</span>
        <Select
          aria-label="of the subject at"
          value={target.markId}
          options={plan.marks.map(({ id, letter }) => ({ value: id, label: letter }))}
          onChange={(markId) => onChange({ ...target, markId })}
        />
      </label>
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>focus</span>
        <Select
          aria-label="focus"
          value={target.towards}
          options={[
            { value: 'near', label: 'in front of it' },
            { value: 'far', label: 'behind it' },
          ]}
          onChange={(towards) => onChange({ ...target, towards })}
        />
      </label>
    </>
  );
}
