import { PLAN_LIMITS, setCamera, type Sharpness, type ShotPlan, type Camera } from '@still-heron/core';
import { enlargedText } from '@still-heron/wording';
import { Select } from '../../ui/antd/Select';
import { NumberField } from '../../ui/fields/NumberField';
import { OptionalNumberField } from '../../ui/fields/OptionalNumberField';
import { useEdit } from '../shot/useEdit';
import layoutStyles from '../../ui/layout.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

const STANDARDS: readonly { readonly value: Sharpness['kind']; readonly label: string; readonly start: Sharpness }[] = [
  { value: 'diagonal', label: 'by the sensor diagonal', start: { kind: 'diagonal', divisor: 1500 } },
  { value: 'photosite', label: 'by pixels', start: { kind: 'photosite', count: 2 } },
  { value: 'viewer', label: 'for a viewer', start: { kind: 'viewer', viewingDistancePictureHeights: 3 } },
];

/** Circle of confusion, by one of three standards. */
export function SharpnessFields({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { sharpness, camera } = plan.optics;
  const set = (next: Sharpness, gesture?: string) =>
    edit('change the limit of sharpness', (now) => ({ ...now, optics: { ...now.optics, sharpness: next } }), gesture);
  return (
    <section>
      <h2>Limit of sharpness</h2>
      <Select
        aria-label="Limit of sharpness"
        className={layoutStyles.wideSelect}
        value={sharpness.kind}
        options={STANDARDS.map(({ value, label }) => ({ value, label }))}
        onChange={(kind) => set(STANDARDS.find(({ value }) => value === kind)!.start)}
      />
      {sharpness.kind === 'diagonal' && (
        <NumberField
          label="diagonal divided by"
          step={100}
          isWhole
          {...PLAN_LIMITS.diagonalDivisor}
          value={sharpness.divisor}
          onChange={(divisor, gesture) => set({ kind: 'diagonal', divisor }, gesture)}
        />
      )}
      {sharpness.kind === 'photosite' && <PhotositeFields sharpness={sharpness} set={set} camera={camera} onEdit={edit} />}
      {sharpness.kind === 'viewer' && (
        <NumberField
          label="viewing distance, in picture heights"
          step={0.5}
          decimals={1}
          {...PLAN_LIMITS.viewingDistancePictureHeights}
          value={sharpness.viewingDistancePictureHeights}
          onChange={(viewingDistancePictureHeights, gesture) => set({ kind: 'viewer', viewingDistancePictureHeights }, gesture)}
        />
      )}
      <NumberField
        label="enlarged later in the edit"
        unit="%"
        step={5}
        {...PLAN_LIMITS.enlargedPercent}
        value={plan.optics.enlargedPercent}
        hint={enlargedText(plan)}
        onChange={(enlargedPercent, gesture) =>
          edit('change the enlargement', (now) => ({ ...now, optics: { ...now.optics, enlargedPercent } }), gesture)
        }
      />
      <OptionalNumberField
        label="delivered frame, width to height"
        decimals={2}
        {...PLAN_LIMITS.frameAspect}
        value={plan.optics.frameAspect}
        placeholder="as recorded"
        onChange={(frameAspect) =>
          edit('change the delivered frame', (now) => ({ ...now, optics: { ...now.optics, frameAspect } }))
        }
      />
    </section>
  );
}

interface PhotositeFieldsProps {
  readonly sharpness: { readonly kind: 'photosite'; readonly count: number };
  readonly set: (next: Sharpness, gesture?: string) => void;
  readonly camera: Camera;
  readonly onEdit: (name: string, edit: (plan: ShotPlan) => ShotPlan, gesture?: string) => void;
}

function PhotositeFields({ sharpness, set, camera, onEdit }: PhotositeFieldsProps) {
  return (
    <div className={fieldStyles.fieldPair}>
      <NumberField
        label="pixels"
        step={0.5}
        decimals={1}
        {...PLAN_LIMITS.photositeCount}
        value={sharpness.count}
        onChange={(count, gesture) => set({ kind: 'photosite', count }, gesture)}
      />
      <NumberField
        label="pixels across the sensor"
        step={16}
        isWhole
        min={PLAN_LIMITS.photositesWide.min}
        max={PLAN_LIMITS.photositesWide.max}
        value={camera.photositesWide}
        onChange={(photositesWide, gesture) =>
          onEdit(
            'change the pixels across the sensor',
            (now) => setCamera(now, { ...now.optics.camera, photositesWide }),
            gesture,
          )
        }
      />
    </div>
  );
}
