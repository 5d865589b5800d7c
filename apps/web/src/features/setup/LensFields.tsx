import { type Lens, PLAN_LIMITS, setLens, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { scaleOfAnotherLens, scaleOfReadingsText } from '@still-heron/wording';
import { Select } from '../../ui/antd/Select';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
}

/** Fields of a lens outside the kit. */
export function LensFields({ plan, units }: Props) {
  const edit = useEdit();
  const { lens } = plan.optics;
  const change = (name: string, changes: Partial<Lens>, gesture?: string) => edit(name, (now) => setLens(now, changes), gesture);
  const closestMm = Math.max(4 * lens.focalLengthMm + lens.principalSeparationMm, PLAN_LIMITS.closeFocusMm.min);
  return (
    <div className={fieldStyles.fieldPair}>
      <NumberField
        label="focal length"
        unit="mm"
        decimals={1}
        step={1}
        {...PLAN_LIMITS.focalLengthMm}
        value={lens.focalLengthMm}
        testId="focal-length"
        onChange={(focalLengthMm, gesture) =>
          change(`lens ${focalLengthMm} mm`, { focalLengthMm, name: lensName({ ...lens, focalLengthMm }) }, gesture)
        }
      />
      <DistanceField
        label="close focus"
        distanceMm={lens.closeFocusMm}
        units={units}
        range={{ minMm: closestMm, maxMm: PLAN_LIMITS.closeFocusMm.max, reason: 'four-focal-lengths' }}
        onChange={(closeFocusMm, gesture) => change('change the close focus', { closeFocusMm }, gesture)}
      />
      {lens.ring.kind === 'table' && (
        <p className={fieldStyles.fieldHint}>{scaleOfAnotherLens(lens.name, lens.ring.points.length)}</p>
      )}
      {lens.ring.kind === 'fitted' && <p className={fieldStyles.fieldHint}>{scaleOfReadingsText(lens.ring.points.length)}</p>}
      <StopLimits lens={lens} onChange={change} />
      {lens.ring.kind === 'helicoid' && (
        <NumberField
          label="throw of the ring"
          unit="°"
          step={5}
          {...PLAN_LIMITS.focusThrowDeg}
          value={lens.ring.focusThrowDeg}
          onChange={(focusThrowDeg, gesture) =>
            change('change the focus throw', { ring: { kind: 'helicoid', focusThrowDeg } }, gesture)
          }
        />
      )}
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>stop scale</span>
        <Select
          value={lens.stopScale}
          options={[
            { value: 'T', label: 'T-stops' },
            { value: 'f', label: 'f-numbers' },
          ]}
          onChange={(stopScale) => change(`use ${stopScale} stops`, { stopScale, name: lensName({ ...lens, stopScale }) })}
        />
      </label>
    </div>
  );
}

function StopLimits({
  lens,
  onChange,
}: {
  readonly lens: Lens;
  readonly onChange: (name: string, changes: Partial<Lens>, gesture?: string) => void;
}) {
  return (
    <>
      <NumberField
        label="widest stop"
        unit={lens.stopScale}
        decimals={2}
        step={0.1}
        min={PLAN_LIMITS.stop.min}
        max={lens.narrowestStop}
        value={lens.widestStop}
        testId="widest-stop"
        onChange={(widestStop, gesture) =>
          onChange('change the widest stop', { widestStop, name: lensName({ ...lens, widestStop }) }, gesture)
        }
      />
      <NumberField
        label="narrowest stop"
        unit={lens.stopScale}
        decimals={1}
        step={1}
        min={lens.widestStop}
        max={PLAN_LIMITS.stop.max}
        value={lens.narrowestStop}
        onChange={(narrowestStop, gesture) => onChange('change the narrowest stop', { narrowestStop }, gesture)}
      />
    </>
  );
}

/** Name of a lens outside the kit, from its figures. */
function lensName({ focalLengthMm, stopScale, widestStop }: Lens): string {
  return `${Number(focalLengthMm.toFixed(1))} mm ${stopScale}${Number(widestStop.toFixed(2))}`;
}
