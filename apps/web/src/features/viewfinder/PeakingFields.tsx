import { Slider } from 'antd';
import { peakingSet } from '../../shared/preferences';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { WordChoice } from '../../ui/fields/WordChoice';

const DETAILS = [
  { value: '1', word: 'fine' },
  { value: '2', word: 'middle' },
  { value: '3', word: 'coarse' },
] as const;

/** Strength and detail of peaking, and its limits. */
export function PeakingFields() {
  const dispatch = useAppDispatch();
  const outlines = useAppSelector((state) => state.preferences.outlines);
  return (
    <div className="outline-fields">
      <label className="field">
        <span className="field-label">strength</span>
        <Slider
          min={0}
          max={1}
          step={0.05}
          value={outlines.strength}
          ariaLabelForHandle="Strength of the outlines"
          tooltip={{ formatter: null }}
          onChange={(strength) => dispatch(peakingSet({ ...outlines, strength }))}
        />
      </label>
      <WordChoice
        label="Detail of the outlines"
        chosen={String(outlines.detail) as '1' | '2' | '3'}
        choices={DETAILS}
        onChoose={(detail) => dispatch(peakingSet({ ...outlines, detail: Number(detail) as 1 | 2 | 3 }))}
      />
      <p className="field-hint">
        They mark contrast, not focus: a strong edge that is a little soft is outlined too, and what is sharp and flat is not.
      </p>
    </div>
  );
}
