import { changeMark, adoptDrawnDistance, type Mark, MEASURE_METHODS, PLAN_LIMITS, type UnitSystem } from '@still-heron/core';
import { MEASURE_WORDS } from '@still-heron/wording';
import { Select } from 'antd';
import { useAppDispatch } from '../../shared/store/hooks';
import { GapField } from '../../ui/fields/GapField';
import { TextField } from '../../ui/fields/TextField';
import { editPlan } from '../shot/shotSlice';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Details of a mark: letter, measuring method, uncertainty and note. */
export function MarkDetails({ mark, units }: { readonly mark: Mark; readonly units: UnitSystem }) {
  const dispatch = useAppDispatch();
  const change = (name: string, changes: Parameters<typeof changeMark>[2], gesture?: string) =>
    dispatch(editPlan(name, (now) => changeMark(now, mark.id, changes), gesture));
  return (
    <div className={fieldStyles.fieldPair}>
      <TextField
        label="letter"
        isOptional={false}
        max={PLAN_LIMITS.letter.max}
        value={mark.letter}
        onChange={(letter) => change('change a mark’s letter', { letter })}
      />
      <label className={fieldStyles.field}>
        <span className={fieldStyles.fieldLabel}>measured by</span>
        <Select
          value={mark.method}
          options={MEASURE_METHODS.filter((value) => value !== 'drawn' || mark.place !== null).map((value) => ({
            value,
            label: MEASURE_WORDS[value],
          }))}
          onChange={(method) =>
            method === 'drawn'
              ? dispatch(editPlan(`use the drawn distance of ${mark.letter}`, (now) => adoptDrawnDistance(now, mark.id)))
              : change('change how it was measured', { method, isSimulated: false })
          }
        />
      </label>
      <GapField
        label="accuracy ±"
        mm={mark.uncertaintyMm}
        limit={PLAN_LIMITS.uncertaintyMm}
        units={units}
        onChange={(uncertaintyMm, gesture) => change('change the accuracy', { uncertaintyMm }, gesture)}
      />
      <TextField
        label="note"
        max={PLAN_LIMITS.note.max}
        value={mark.note}
        placeholder="beside the ladle"
        onChange={(note) => change('change the note at a mark', { note })}
      />
    </div>
  );
}
