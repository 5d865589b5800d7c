import { Slider } from 'antd';
import { peakingSet } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { WordChoice } from '../../ui/fields/WordChoice';
import styles from './PeakingFields.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

const DETAILS = [
  { value: '1', word: 'fine' },
  { value: '2', word: 'middle' },
  { value: '3', word: 'coarse' },
] as const;

/** Strength and detail of peaking, and its limits. */
export function PeakingFields() {
  const dispatch = useAppDispatch();
  const peaking = useAppSelector((state) => state.preferences.peaking);
  return (
    <div className={styles.outlineFields}>
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>strength</span>
        <Slider
          min={0}
          max={1}
          step={0.05}
          value={peaking.strength}
          ariaLabelForHandle="Strength of the peaking"
          tooltip={{ formatter: null }}
          onChange={(strength) => dispatch(peakingSet({ ...peaking, strength }))}
        />
      </label>
      <WordChoice
        label="Detail of the peaking"
        chosen={String(peaking.detail) as '1' | '2' | '3'}
        choices={DETAILS}
        onChoose={(detail) => dispatch(peakingSet({ ...peaking, detail: Number(detail) as 1 | 2 | 3 }))}
      />
      <p className={fieldStyles.fieldHint}>
        Peaking marks contrast, not focus: a strong edge that is a little soft is outlined too, and a sharp flat area is not.
      </p>
    </div>
  );
}
