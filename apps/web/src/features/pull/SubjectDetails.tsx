import {
  addBeat,
  addStay,
  canAddStay,
  changeStay,
  changeSubject,
  fullList,
  nextArrivalS,
  PLAN_LIMITS,
  removeMark,
  removeSubject,
  type Stay,
  type Subject,
} from '@still-heron/core';
import { fullText, type ProblemText, typeSentence } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { readDistance } from '../../ui/fields/readDistance';
import { TextField } from '../../ui/fields/TextField';
import { TimeField } from '../../ui/fields/TimeField';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import type { SideProps } from './sideProps';
import { SubjectKindChoice } from './SubjectKindChoice';
import { SubjectName } from './SubjectName';
import { Button } from '../../ui/Button';
import fieldStyles from '../../ui/fields/fields.module.css';
import styles from './SubjectDetails.module.css';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';

/** Fields of a subject: name, point of focus, stays and walks. */
export function SubjectDetails({ subject, plan, units }: Omit<SideProps, 'verdict'> & { readonly subject: Subject }) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => (selectSession(state).isPlaying ? 0 : selectSession(state).timeS));
  const full = fullList(plan, ['beats']);
  return (
    <section aria-label={subject.name}>
      <h2>{subject.name}</h2>
      <div className={fieldStyles.fieldPair}>
        <SubjectName subject={subject} />
        <TextField
          label="focus on"
          max={PLAN_LIMITS.detail.max}
          placeholder={subject.kind === 'object' ? 'the edge towards the lens' : 'near eye'}
          value={subject.detail}
          onChange={(detail) =>
            dispatch(editPlan('change what to focus on', (now) => changeSubject(now, subject.id, { detail })))
          }
        />
        <SubjectKindChoice subject={subject} />
      </div>
      <ol className={styles.stays}>
        {subject.stays.map((stay, index) => (
          <StayRow key={stay.id} stay={stay} index={index} subject={subject} plan={plan} />
        ))}
      </ol>
      {canAddStay(plan, subject) && <WalkForm subject={subject} units={units} />}
      <div className={layoutStyles.sideActions}>
        <Button
          disabled={full !== null}
          onClick={() => {
            const { id } = addBeat(plan, subject.id, timeS).beats.at(-1)!;
            dispatch(editPlan(`${subject.name} must be sharp`, (now) => addBeat(now, subject.id, timeS)));
            dispatch(itemSelected({ kind: 'beat', id }));
          }}
        >
          Must be sharp from {timeS.toFixed(1)} s
        </Button>
        <Button
          onClick={() => {
            dispatch(editPlan(`remove ${subject.name} from the shot`, (now) => removeSubject(now, subject.id)));
            dispatch(itemSelected(null));
          }}
        >
          Remove from the shot
        </Button>
      </div>
      {full && <p className={textStyles.muted}>{fullText(full)}</p>}
    </section>
  );
}

function StayRow({
  stay,
  index,
  subject,
  plan,
}: Pick<SideProps, 'plan'> & { readonly stay: Stay; readonly index: number; readonly subject: Subject }) {
  const dispatch = useAppDispatch();
  const mark = plan.marks.find(({ id }) => id === stay.markId);
  const previous = subject.stays[index - 1];
  const next = subject.stays[index + 1];
  const change = (changes: Partial<Pick<Stay, 'fromS' | 'untilS'>>, gesture: string) =>
    dispatch(editPlan(`change when ${subject.name} walks`, (now) => changeStay(now, subject.id, stay.id, changes), gesture));
  if (!previous && !next) return <li className={textStyles.muted}>stands at {mark?.letter} all the time</li>;
  return (
    <li>
      <span className={styles.stayLetter}>at {mark?.letter}</span>
      {previous && (
        <TimeField
          label="arrives"
          timeS={stay.fromS}
          captureFps={plan.captureFps}
          minS={previous.untilS}
          maxS={stay.untilS}
          reason="previous-stay"
          onChange={(fromS, gesture) => change({ fromS }, gesture)}
        />
      )}
      {next && (
        <TimeField
          label="leaves"
          timeS={stay.untilS}
          captureFps={plan.captureFps}
          minS={stay.fromS}
          maxS={next.fromS}
          reason="next-stay"
          onChange={(untilS, gesture) => change({ untilS }, gesture)}
        />
      )}
      {previous && (
        <Button
          look="quiet"
          onClick={() =>
            dispatch(editPlan(`remove the walk of ${subject.name} to ${mark?.letter}`, (now) => removeMark(now, stay.markId)))
          }
        >
          Remove
        </Button>
      )}
    </li>
  );
}

/** Adds a walk to another tape distance, or the first mark of a subject without one. */
function WalkForm({ subject, units }: Pick<SideProps, 'units'> & { readonly subject: Subject }) {
  const dispatch = useAppDispatch();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<ProblemText | null>(null);
  const isFirst = subject.stays.length === 0;
  return (
    <form
      className={styles.walkForm}
      onSubmit={(event) => {
        event.preventDefault();
        const reading = readDistance(text, units, { minMm: 0, maxMm: 10_000_000, reason: 'walk' });
        if ('problem' in reading) return setProblem(reading.problem);
        dispatch(
          editPlan(isFirst ? `add a mark for ${subject.name}` : `${subject.name} walks on`, (now) =>
            addStay(now, subject.id, { distanceMm: reading.value, fromS: nextArrivalS(now, subject) }),
          ),
        );
        setText('');
      }}
    >
      <div className={fieldStyles.field}>
        <label className={fieldStyles.fieldLabel} htmlFor="walks-to">
          {isFirst ? 'stands at' : 'walks on to'}
        </label>
        <input
          id="walks-to"
          className={clsx(fieldStyles.fieldInput, textStyles.figure)}
          value={text}
          placeholder={units === 'metric' ? '1.80' : "5' 11"}
          autoComplete="off"
          aria-invalid={problem !== null}
          onChange={(event) => {
            setText(event.target.value);
            setProblem(null);
          }}
        />
      </div>
      <Button type="submit">{isFirst ? 'Add' : 'Walk'}</Button>
      {problem && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {typeSentence(problem)}
        </p>
      )}
    </form>
  );
}
