import { type LensSetup, formatStop, isZoom, parseStop, type Lens } from '@still-heron/core';
import { problemText } from '@still-heron/wording';
import { Choice } from '../../ui/fields/Choice';
import { NumberField } from '../../ui/fields/NumberField';
import { QuantityField } from '../../ui/fields/QuantityField';
import { useKit } from '../../shared/api/useKit';
import { formatChoices, modeChoices } from './cameraChoices';
import { Button } from '../../ui/Button';
import styles from './SetupPicker.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

interface Props {
  readonly setup: LensSetup;
  readonly number: number;
  readonly onChange: (setup: LensSetup) => void;
  readonly onRemove?: () => void;
}

/** A set-up to compare: a lens and a camera from the kit, or a generic format, and a stop. */
export function SetupPicker({ setup, number, onChange, onRemove }: Props) {
  const { items: lenses } = useKit('lenses');
  const { items: cameras } = useKit('cameras');
  const { lens, camera, stop } = setup;
  const lensChoices = [
    ...lenses.map(({ id, item }) => ({ value: id, word: item.lens.name, lens: item.lens })),
    ...(lenses.some(({ item }) => item.lens.name === lens.name) ? [] : [{ value: 'own', word: lens.name, lens }]),
  ];
  const cameraChoices = [...modeChoices(cameras), ...formatChoices()];
  const isSame = (other: LensSetup['camera']) => other.name === camera.name && other.mode === camera.mode;
  const knownCamera = cameraChoices.find((choice) => isSame(choice.camera));
  const allCameras = knownCamera ? cameraChoices : [...cameraChoices, { value: 'own', word: camera.name, camera }];
  return (
    <div className={styles.setupPicker}>
      <Choice
        label={`Lens of set-up ${number}`}
        isBare
        isSearched
        value={lensChoices.find((choice) => choice.lens.name === lens.name)?.value ?? 'own'}
        choices={lensChoices}
        onPick={(value) => {
          const next = lensChoices.find((choice) => choice.value === value)!.lens;
          onChange({
            ...setup,
            lens: next,
            focalLengthMm: next.focalLengthMm,
            stop: Math.min(Math.max(stop, next.widestStop), next.narrowestStop),
          });
        }}
      />
      <Choice
        label={`Camera of set-up ${number}`}
        isBare
        isSearched
        value={knownCamera?.value ?? 'own'}
        choices={allCameras}
        onPick={(value) => onChange({ ...setup, camera: allCameras.find((choice) => choice.value === value)!.camera })}
      />
      <div className={fieldStyles.fieldPair}>
        <StopAndFocalLength number={number} stop={stop} lens={lens} onChange={onChange} setup={setup} />
      </div>
      {onRemove && (
        <Button look="quiet" onClick={onRemove}>
          Remove
        </Button>
      )}
    </div>
  );
}

interface StopAndFocalLengthProps extends Pick<Props, 'number' | 'onChange' | 'setup'> {
  readonly stop: number;
  readonly lens: Lens;
}

function StopAndFocalLength({ number, stop, lens, onChange, setup }: StopAndFocalLengthProps) {
  return (
    <>
      <QuantityField
        label={`stop of set-up ${number}`}
        isBare
        value={stop}
        print={(value) => formatStop(value, lens.stopScale)}
        read={(text) => {
          const parsed = parseStop(text, { widest: lens.widestStop, narrowest: lens.narrowestStop });
          return parsed.status === 'read' ? { value: parsed.stop } : { problem: problemText(parsed.problem) };
        }}
        onChange={(value) => onChange({ ...setup, stop: value })}
      />
      {isZoom(lens) && (
        <NumberField
          label={`focal length of set-up ${number}`}
          isBare
          unit="mm"
          step={1}
          decimals={1}
          min={lens.focalLengthMm}
          max={lens.longestMm}
          value={setup.focalLengthMm}
          onChange={(focalLengthMm) => onChange({ ...setup, focalLengthMm })}
        />
      )}
    </>
  );
}
