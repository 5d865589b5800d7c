import { peakingSet } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { Range } from '../../ui/fields/Range';
import { WordChoice } from '../../ui/fields/WordChoice';
import styles from './PeakingFields.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import { arrowStep } from '../../shared/gestures/arrowStep';

const DETAILS = [
  { value: '1', word: 'fine' },
  { value: '2', word: 'middle' },
  { value: '3', word: 'coarse' },
] as const;

/** Strength and detail of peaking, and its limits. */
export function PeakingFields() {
  const dispatch = useAppDispatch();
  const peaking = useAppSelector((state) => state.preferences.peaking);
  const setStrength = (strength: number) =>
    dispatch(peakingSet({ ...peaking, strength: Math.round(Math.min(Math.max(strength, 0), 1) * 20) / 20 }));
  return (
    <div className={styles.peakingFields}>
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>strength</span>
        <Range
          label="Strength of the peaking"
          min={0}
          max={1}
          value={peaking.strength}
          onChange={setStrength}
          onKeyDown={(event) => {
            const by = arrowStep(event);
            if (by) setStrength(peaking.strength + 0.05 * by);
          }}
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
