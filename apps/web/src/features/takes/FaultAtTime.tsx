import { FINDINGS_AT, type Finding, TAKE_LIMITS } from '@still-heron/core';
import { FINDING_WORDS, findingTimeText } from '@still-heron/wording';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { WordChoice } from '../../ui/fields/WordChoice';
import { withFinding } from './draft';
import type { TakeFormProps } from './takeFormProps';
import { TakeTimeField } from './TakeTimeField';
import styles from './TakeMore.module.css';

const CHOICES = FINDINGS_AT.time.filter((found) => found !== 'fine').map((value) => ({ value, word: FINDING_WORDS[value] }));

/** Faults at any time of a take: typed, and said with one press. */
export function FaultAtTime({ draft, take, onChange }: Pick<TakeFormProps, 'draft' | 'take' | 'onChange'>) {
  const [timeS, setTimeS] = useState<number | null>(null);
  const atTimes = draft.findings.flatMap((one) => (one.at.kind === 'time' ? [{ ...one, timeS: one.at.timeS }] : []));
  const add = (found: Finding) => {
    onChange(withFinding(draft, { kind: 'time', timeS: timeS! }, found));
    setTimeS(null);
  };
  return (
    <div role="group" aria-label="Fault at a time" className={styles.takeSpans}>
      {atTimes.map((one) => (
        <p key={`${one.timeS} ${one.found}`}>
          {findingTimeText(one.found, one.timeS)}{' '}
          <Button
            look="quiet"
            onClick={() =>
              onChange({
                ...draft,
                findings: draft.findings.filter(
                  ({ at, found }) => !(at.kind === 'time' && at.timeS === one.timeS && found === one.found),
                ),
              })
            }
          >
            Remove
          </Button>
        </p>
      ))}
      <div className={styles.takeSpan}>
        <TakeTimeField label="fault at" timeS={timeS} take={take} onChange={setTimeS} />
        {timeS !== null && draft.findings.length < TAKE_LIMITS.findings.max && (
          <WordChoice label="What went wrong then" chosen={null} choices={CHOICES} onChoose={add} />
        )}
      </div>
    </div>
  );
}
