import { PLAN_LIMITS, setCamera, type ShotPlan } from '@still-heron/core';
import { NumberField } from '../../ui/fields/NumberField';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Custom format: width and height of the recorded area. */
export function CameraFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { camera } = plan.optics;
  const sizeField = (label: string, key: 'sensorWidthMm' | 'sensorHeightMm') => (
    <NumberField
      label={label}
      unit="mm"
      decimals={2}
      step={0.1}
      {...PLAN_LIMITS.sensorMm}
      value={camera[key]}
      onChange={(value, gesture) =>
        edit('change the sensor', (now) => setCamera(now, { ...now.optics.camera, name: 'own format', [key]: value }), gesture)
      }
    />
  );
  return (
    <div className={fieldStyles.fieldPair}>
      {sizeField('width', 'sensorWidthMm')}
      {sizeField('height', 'sensorHeightMm')}
    </div>
  );
}
