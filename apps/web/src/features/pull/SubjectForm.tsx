import { addSubject } from '@still-heron/core';
import { type ProblemText, typeSentence } from '@still-heron/wording';
import { Button } from 'antd';
import { type FormEvent, useRef, useState } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { readDistance } from '../../ui/fields/readDistance';
import { editPlan } from '../shot/shotSlice';
import { useUnits } from '../../shared/useUnits';

/** Adds a subject with its tape distance. The first subject must be sharp throughout. */
export function SubjectForm({ isFirst = false }: { readonly isFirst?: boolean }) {
  const units = useUnits();
  const dispatch = useAppDispatch();
  const [name, setName] = useState('');
  const [distance, setDistance] = useState('');
  const [problem, setProblem] = useState<ProblemText | null>(null);
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
    const distanceMm = reading.value === Infinity ? null : reading.value;
    dispatch(
      editPlan(`add ${name.trim() || 'a subject'}`, (plan) =>
        addSubject(plan, { name: name.trim() || `Subject ${plan.subjects.length + 1}`, distanceMm }),
      ),
    );
    setName('');
    setDistance('');
    setProblem(null);
    nameInput.current?.focus();
  }

  return (
    <form
      className={isFirst ? 'someone-form is-first' : 'someone-form'}
      onSubmit={add}
      aria-label={isFirst ? 'The first subject' : 'New subject'}
    >
      <div className="field">
        <label className="field-label" htmlFor="someone-name">
          name
        </label>
        <input
          id="someone-name"
          ref={nameInput}
          className="field-input words"
          value={name}
          maxLength={80}
          autoFocus={isFirst}
          autoComplete="off"
          placeholder="name"
          onChange={(event) => setName(event.target.value)}
        />
      </div>
      <div className="field someone-distance">
        <label className="field-label" htmlFor="someone-distance">
          tape distance
        </label>
        <span className="field-line">
          <input
            id="someone-distance"
            ref={distanceInput}
            className="field-input figure"
            value={distance}
            autoComplete="off"
            placeholder={units === 'metric' ? '2.40' : "7' 11"}
            aria-invalid={problem !== null}
            aria-describedby={problem ? 'someone-problem' : undefined}
            onChange={(event) => {
              setDistance(event.target.value);
              setProblem(null);
            }}
          />
          {units === 'metric' && <span className="field-unit">m</span>}
        </span>
      </div>
      <Button htmlType="submit" type={isFirst ? 'primary' : 'default'}>
        Add
      </Button>
      {problem && (
        <p id="someone-problem" className="field-problem" role="alert">
          {typeSentence(problem)}
        </p>
      )}
    </form>
  );
}
