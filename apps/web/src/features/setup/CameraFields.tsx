import { FORMATS, PLAN_LIMITS, setCamera, type ShotPlan } from '@still-heron/core';
import { Select } from 'antd';
import { NumberField } from '../../fields/NumberField';
import { useEdit } from './useEdit';

/** The format: one of the library, or sizes of one's own. */
export function CameraFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { camera } = plan.optics;
  const known = FORMATS.find(
    (format) => format.sensorWidthMm === camera.sensorWidthMm && format.sensorHeightMm === camera.sensorHeightMm,
  );
  const sizeField = (label: string, key: 'sensorWidthMm' | 'sensorHeightMm') => (
    <NumberField
      label={label}
      unit="mm"
      decimals={2}
      step={0.1}
      {...PLAN_LIMITS.sensorMm}
      value={camera[key]}
      onChange={(value, gesture) =>
        edit('change the sensor', (now) => setCamera(now, { ...now.optics.camera, name: 'Own format', [key]: value }), gesture)
      }
    />
  );
  return (
    <section>
      <h2>Camera</h2>
      <Select
        aria-label="Format"
        className="wide-select"
        value={known?.id ?? 'own'}
        options={[
          ...FORMATS.map(({ id, name, sensorWidthMm, sensorHeightMm }) => ({
            value: id,
            label: `${name} · ${sensorWidthMm} × ${sensorHeightMm}`,
          })),
          ...(known ? [] : [{ value: 'own', label: 'Own format' }]),
        ]}
        onChange={(id) => {
          const format = FORMATS.find((item) => item.id === id);
          if (!format) return;
          const { id: _, ...chosen } = format;
          edit(`format ${chosen.name}`, (now) => setCamera(now, chosen));
        }}
      />
      <div className="field-pair">
        {sizeField('width', 'sensorWidthMm')}
        {sizeField('height', 'sensorHeightMm')}
      </div>
    </section>
  );
}
