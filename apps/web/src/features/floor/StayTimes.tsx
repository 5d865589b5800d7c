import { changeStay, type Mark, type ShotPlan } from '@still-heron/core';
import { Choice } from '../../ui/fields/Choice';
import { TimeField } from '../../ui/fields/TimeField';
import { useEdit } from '../shot/useEdit';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Arrival, departure and pace of a subject at a mark. */
export function StayTimes({ mark, plan }: { readonly mark: Mark; readonly plan: ShotPlan }) {
  const edit = useEdit();
  const subject = plan.subjects.find(({ id }) => id === mark.subjectId);
  if (!subject) return null;
  const { stays } = subject;
  return stays.map((stay, index) => {
    if (stay.markId !== mark.id) return null;
    const [before, after] = [stays[index - 1], stays[index + 1]];
    const change = (changes: Parameters<typeof changeStay>[3], gesture?: string) =>
      edit(`change the times of ${subject.name}`, (now) => changeStay(now, subject.id, stay.id, changes), gesture);
    if (!before && !after) return null;
    return (
      <div key={stay.id} className={fieldStyles.fieldPair}>
        {before && (
          <TimeField
            label="arrives at"
            timeS={stay.fromS}
            captureFps={plan.captureFps}
            decimals={2}
            minS={before.untilS}
            maxS={stay.untilS}
            reason="stay-before"
            onChange={(fromS, gesture) => change({ fromS }, gesture)}
          />
        )}
        {after && (
          <TimeField
            label="leaves at"
            timeS={stay.untilS}
            captureFps={plan.captureFps}
            decimals={2}
            minS={stay.fromS}
            maxS={after.fromS}
            reason="stay-after"
            onChange={(untilS, gesture) => change({ untilS }, gesture)}
          />
        )}
        {before && (
          <Choice
            label="walks here"
            value={stay.pace}
            choices={[
              { value: 'eased', word: 'smooth' },
              { value: 'steady', word: 'steady' },
            ]}
            onPick={(pace) => change({ pace })}
          />
        )}
      </div>
    );
  });
}
