import { changeMark, adoptDrawnDistance, isCameraMoving, MEASURE_METHODS, PLAN_LIMITS, setTapedFrom } from '@still-heron/core';
import { MEASURE_WORDS } from '@still-heron/wording';
import { Select } from '../../ui/antd/Select';
import { useAppDispatch } from '../../shared/store/hooks';
import { GapField } from '../../ui/fields/GapField';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import type { MarkProps } from '../marks/markProps';
import { editPlan } from '../shot/shotSlice';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Details of a mark: letter, measuring method, uncertainty and note. */
export function MarkDetails({ mark, plan, units }: MarkProps) {
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
      {mark.taping && isCameraMoving(plan) && (
        <TimeField
          label="taped from where the camera is at"
          timeS={mark.taping.timeS}
          captureFps={plan.captureFps}
          minS={0}
          maxS={plan.durationS}
          reason="shot"
          testId="taped-from"
          onChange={(timeS, gesture) =>
            dispatch(editPlan(`change where ${mark.letter} was taped from`, (now) => setTapedFrom(now, mark.id, timeS), gesture))
          }
        />
      )}
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
