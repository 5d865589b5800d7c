import { addSubject, fullList, subjectNamed, type UnitSystem, withLookStop } from '@still-heron/core';
import { fullText, type ProblemText, typeSentence } from '@still-heron/wording';
import { type FormEvent, type RefObject, useRef, useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { readDistance } from '../../ui/fields/readDistance';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { SameName } from './SameName';
import { useUnits } from '../../shared/useUnits';
import { Button } from '../../ui/Button';
import styles from './SubjectForm.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly isFirst?: boolean;
  /** Takes the cursor when it appears */
  readonly hasCursor?: boolean;
  readonly onAdded?: () => void;
}

/** What is typed about a new subject. */
function useNewSubject(onAdded: (() => void) | undefined) {
  const units = useUnits();
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const [distance, setDistance] = useState('');
  const [problem, setProblem] = useState<ProblemText | null>(null);
  const [isKnown, setIsKnown] = useState(false);
  const plan = useAppSelector(selectPlan);
  const nameInput = useRef<HTMLInputElement>(null);
  const distanceInput = useRef<HTMLInputElement>(null);

  function add(event: FormEvent): void {
    event.preventDefault();
    const reading = readDistance(distance, units);
    if ('problem' in reading) {
      setProblem(reading.problem);
      distanceInput.current?.focus();
      return;
    }
    if (plan && subjectNamed(plan, name)) return setIsKnown(true);
    const distanceMm = reading.value === Infinity ? null : reading.value;
    dispatch(
      editPlan(`add ${name.trim() || 'a subject'}`, (now) => {
        const added = addSubject(now, { name: name.trim() || `Subject ${now.subjects.length + 1}`, distanceMm });
        // with the first distance it is known which stop gives the look
        return now.subjects.length === 0 ? withLookStop(added) : added;
      }),
    );
    clear();
    onAdded?.();
  }

  function clear(): void {
    setName('');
    setDistance('');
    setProblem(null);
    setIsKnown(false);
    nameInput.current?.focus();
  }

  function typeName(typed: string): void {
    setName(typed);
    setIsKnown(false);
  }

  const known = isKnown && plan ? subjectNamed(plan, name) : undefined;
  return { plan, name, distance, problem, known, nameInput, distanceInput, add, clear, typeName, setDistance, setProblem };
}

/** Adds a subject with its tape distance. The first subject must be sharp throughout. */
export function SubjectForm({ isFirst = false, hasCursor = isFirst, onAdded }: Props) {
  const units = useUnits();
  const { plan, name, distance, problem, known, nameInput, distanceInput, ...typed } = useNewSubject(onAdded);
  const full = plan ? fullList(plan, ['subjects', 'marks']) : null;
  return (
    <form
      className={clsx(styles.subjectForm, isFirst && styles.isFirst)}
      onSubmit={typed.add}
      aria-label={isFirst ? 'The first subject' : 'New subject'}
    >
      <NewName nameInput={nameInput} name={name} hasCursor={hasCursor} onName={typed.typeName} />
      <NewDistance
        distanceInput={distanceInput}
        distance={distance}
        units={units}
        problem={problem}
        onDistance={typed.setDistance}
        onProblem={typed.setProblem}
      />
      <Button type="submit" look={isFirst ? 'main' : 'plain'} disabled={full !== null}>
        Add
      </Button>
      {problem && (
        <p id="new-subject-problem" className={fieldStyles.fieldProblem} role="alert">
          {typeSentence(problem)}
        </p>
      )}
      {full && <p className={textStyles.muted}>{fullText(full)}</p>}
      {plan && known && (
        <SameName
          subject={known}
          plan={plan}
          distance={distance}
          onDone={typed.clear}
          onRename={() => nameInput.current?.select()}
        />
      )}
    </form>
  );
}

interface NewNameProps {
  readonly nameInput: RefObject<HTMLInputElement | null>;
  readonly name: string;
  readonly hasCursor: boolean;
  readonly onName: (value: string) => void;
}

function NewName({ nameInput, name, hasCursor, onName }: NewNameProps) {
  return (
    <div className={fieldStyles.field}>
      <label className={fieldStyles.fieldLabel} htmlFor="new-subject-name">
        name
      </label>
      <input
        id="new-subject-name"
        ref={nameInput}
        className={clsx(fieldStyles.fieldInput, fieldStyles.words)}
        value={name}
        maxLength={80}
        autoFocus={hasCursor}
        autoComplete="off"
        placeholder="name"
        onChange={(event) => onName(event.target.value)}
      />
    </div>
  );
}

interface NewDistanceProps {
  readonly distanceInput: RefObject<HTMLInputElement | null>;
  readonly distance: string;
  readonly units: UnitSystem;
  readonly problem: ProblemText | null;
  readonly onDistance: (value: string) => void;
  readonly onProblem: (value: ProblemText | null) => void;
}

function NewDistance({ distanceInput, distance, units, problem, onDistance, onProblem }: NewDistanceProps) {
  return (
    <div className={fieldStyles.field}>
      <label className={fieldStyles.fieldLabel} htmlFor="new-subject-distance">
        tape distance
      </label>
      <span className={fieldStyles.fieldLine}>
        <input
          id="new-subject-distance"
          ref={distanceInput}
          className={clsx(fieldStyles.fieldInput, textStyles.figure)}
          value={distance}
          autoComplete="off"
          placeholder={units === 'metric' ? '2.40' : "7' 11"}
          aria-invalid={problem !== null}
          aria-describedby={problem ? 'new-subject-problem' : undefined}
          onChange={(event) => {
            onDistance(event.target.value);
            onProblem(null);
          }}
        />
        {units === 'metric' && <span className={fieldStyles.fieldUnit}>m</span>}
      </span>
    </div>
  );
}
