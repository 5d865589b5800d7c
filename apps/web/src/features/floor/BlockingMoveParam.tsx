import {
  formatStop,
  MM_PER_FOOT,
  MM_PER_METRE,
  PLAN_LIMITS,
  type BlockingMoveId,
  type BlockingMoveParam,
  type StopScale,
  stopScale as stopsBetween,
  type UnitSystem,
} from '@still-heron/core';
import { blockingMoveLabel, directionLabel } from '@still-heron/wording';
import { Choice } from '../../ui/fields/Choice';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { TimeField } from '../../ui/fields/TimeField';

interface Props {
  readonly moveId: BlockingMoveId;
  readonly param: BlockingMoveParam;
  readonly value: number;
  readonly units: UnitSystem;
  readonly stopScale: StopScale;
  readonly captureFps: number;
  readonly onChange: (value: number) => void;
}

/** Field for a parameter of a blocking move. */
export function BlockingMoveParamField({ moveId, param, value, units, stopScale, captureFps, onChange }: Props) {
  const { key, unit, min, max, choices } = param;
  const label = blockingMoveLabel(moveId, key);
  switch (unit) {
    case 'choice':
      return (
        <Choice
          label={label}
          value={String(value)}
          choices={(choices ?? []).map((choice) => ({ value: String(choice), word: directionLabel(moveId, choice) }))}
          onPick={(picked) => onChange(Number(picked))}
        />
      );
    case 'stop':
      return (
        <Choice
          label={label}
          value={String(value)}
          choices={stopsBetween(min, max).map((stop) => ({ value: String(stop), word: formatStop(stop, stopScale) }))}
          onPick={(picked) => onChange(Number(picked))}
        />
      );
    case 'distance':
      return (
        <DistanceField
          label={label}
          distanceMm={value}
          units={units}
          range={{ minMm: min, maxMm: Math.min(max, PLAN_LIMITS.distanceMm.max), reason: 'floor' }}
          onChange={onChange}
        />
      );
    case 'length':
      return <LengthField label={label} param={param} value={value} units={units} onChange={onChange} />;
    case 'degrees':
      return <NumberField label={label} unit="°" step={5} min={min} max={max} value={value} onChange={onChange} />;
    case 'time':
      return (
        <TimeField
          label={label}
          timeS={value}
          captureFps={captureFps}
          minS={min}
          maxS={max}
          reason="shot"
          decimals={2}
          onChange={onChange}
        />
      );
  }
}

/** A length along a path: in metres or feet, to the hundredth. */
function LengthField({
  label,
  param,
  value,
  units,
  onChange,
}: Pick<Props, 'param' | 'value' | 'units' | 'onChange'> & { readonly label: string }) {
  const perUnit = units === 'metric' ? MM_PER_METRE : MM_PER_FOOT;
  return (
    <NumberField
      label={label}
      unit={units === 'metric' ? 'm' : 'ft'}
      decimals={2}
      step={0.05}
      min={Math.ceil((param.min / perUnit) * 100) / 100}
      max={Math.floor((param.max / perUnit) * 100) / 100}
      value={value / perUnit}
      onChange={(typed) => onChange(typed * perUnit)}
    />
  );
}
