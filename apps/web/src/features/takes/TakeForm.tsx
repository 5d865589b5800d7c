import { type MarkHit, type ShotPlan, TAKE_LIMITS, type UnitSystem } from '@still-heron/core';
import { FOCUS_GRADE_WORDS, HIT_WORDS, PERFORMANCE_WORDS, pullTargetText } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { useState } from 'react';
import clsx from 'clsx';
import { useKeys } from '../../shared/keys/useKeys';
import { TextField } from '../../ui/fields/TextField';
import { choicesOf } from '../../ui/fields/choicesOf';
import { WordChoice } from '../../ui/fields/WordChoice';
import { type Draft, withHit } from './draft';
import { TakeMore } from './TakeMore';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './TakeForm.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly draft: Draft;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly number: number;
  /** Pulls that can be graded */
  readonly pullIds: readonly string[];
  readonly isLogging: boolean;
  readonly onChange: (draft: Draft) => void;
  readonly onLog: () => void;
}

/** Most frequent first. */
const ORDER: readonly MarkHit[] = ['hit', 'late', 'early', 'false-start', 'in-front', 'behind', 'overshot', 'searched'];
/** Key of each result; keys apply to one mark after the other. */
const PAGE_KEYS: Readonly<Record<string, MarkHit>> = {
  h: 'hit',
  l: 'late',
  e: 'early',
  f: 'in-front',
  b: 'behind',
  o: 'overshot',
  s: 'searched',
  w: 'false-start',
};
const HITS = ORDER.map((value) => ({ value, word: HIT_WORDS[value] }));

/** Form for the latest take. A good take needs one press; faults are given by mark. */
export function TakeForm({ draft, plan, units, number, pullIds, isLogging, onChange, onLog }: Props) {
  // index of the mark that the next key applies to
  const [at, setAt] = useState(0);
  useKeys(Object.keys(PAGE_KEYS).join(', '), ({ key }) => {
    const pullId = pullIds[at];
    if (pullId === undefined) return;
    onChange(withHit(draft, pullId, PAGE_KEYS[key.toLowerCase()]!));
    setAt((at + 1) % pullIds.length);
  });
  useKeys('k', () => onChange({ ...draft, isCircled: !draft.isCircled }));
  return (
    <section className={styles.takeForm} aria-label={`Take ${number}`}>
      <h2 className={styles.takeNumber}>
        Take <span className={textStyles.figure}>{number}</span>
      </h2>
      <div className={styles.takeGrades}>
        {pullIds.map((id, index) => (
          <div key={id} className={clsx(styles.takeLine, index === at && styles.isNext)}>
            <span>
              at <strong>{pullTargetText(id, plan, units)}</strong>
            </span>
            <WordChoice
              label={`How ${pullTargetText(id, plan, units)} was hit`}
              chosen={draft.hits[id] ?? 'hit'}
              choices={HITS}
              onChoose={(hit) => onChange(withHit(draft, id, hit))}
            />
          </div>
        ))}
        <GradeLines draft={draft} onChange={onChange} />
        <div className={styles.takeLine}>
          <Checkbox checked={draft.isCircled} onChange={({ target }) => onChange({ ...draft, isCircled: target.checked })}>
            circled <Key>K</Key>
          </Checkbox>
          <TextField
            label={draft.isCircled && draft.focus !== 'sharp' ? 'why it is kept although soft' : 'note'}
            max={TAKE_LIMITS.note.max}
            value={draft.note}
            onChange={(note) => onChange({ ...draft, note })}
          />
        </div>
        <TakeMore draft={draft} plan={plan} units={units} onChange={onChange} />
      </div>
      <Button look="main" className={styles.takeLog} disabled={isLogging} onClick={onLog}>
        Log take {number} <Key isOnAccent>T</Key>
      </Button>
    </section>
  );
}

function GradeLines({ draft, onChange }: Pick<Props, 'draft' | 'onChange'>) {
  return (
    <>
      <div className={styles.takeLine}>
        <span>focus</span>
        <WordChoice
          label="Focus"
          chosen={draft.focus}
          choices={choicesOf(FOCUS_GRADE_WORDS)}
          onChoose={(focus) => onChange({ ...draft, focus })}
        />
      </div>
      <div className={styles.takeLine}>
        <span>performance</span>
        <WordChoice
          label="Performance"
          chosen={draft.performance}
          choices={choicesOf(PERFORMANCE_WORDS)}
          onChoose={(performance) => onChange({ ...draft, performance })}
        />
      </div>
    </>
  );
}
