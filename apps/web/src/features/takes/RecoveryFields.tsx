import { recoveryOf, type Recovery, RECOVERY_GRADES, TAKE_LIMITS } from '@still-heron/core';
import { RECOVERY_WORDS } from '@still-heron/wording';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { WordChoice } from '../../ui/fields/WordChoice';
import type { Draft } from './draft';
import type { TakeFormProps } from './takeFormProps';
import { TakeTimeField } from './TakeTimeField';
import textStyles from '../../ui/text.module.css';
import styles from './TakeMore.module.css';

const CHOICES = RECOVERY_GRADES.map((value) => ({ value, word: RECOVERY_WORDS[value] }));

/** Where somebody was lost and came back, and how: what a person says beside what the track shows. */
export function RecoveryFields({ draft, take, onChange }: Pick<TakeFormProps, 'draft' | 'take' | 'onChange'>) {
  const { recoveries } = draft;
  const put = (next: readonly Recovery[]) => onChange({ ...draft, recoveries: next });
  const say = (index: number, said: Recovery['said']) =>
    put(recoveries.map((one, at) => (at === index ? { ...one, said } : one)));
  return (
    <div role="group" aria-label="Lost and back" className={styles.takeSpans}>
      {recoveries.map((one, index) => (
        // recoveries have no id, and their order is theirs
        <div key={index} className={styles.takeSpan}>
          <TakeTimeField
            label="lost from"
            timeS={one.fromS}
            take={take}
            refusal={(at) => (at < one.toS ? null : 'It must begin before it ends.')}
            onChange={(fromS) => put(recoveries.map((other, at) => (at === index ? { ...other, fromS } : other)))}
          />
          <TakeTimeField
            label="back at"
            timeS={one.toS}
            take={take}
            refusal={(at) => (at > one.fromS ? null : 'It must end after it begins.')}
            onChange={(toS) => put(recoveries.map((other, at) => (at === index ? { ...other, toS } : other)))}
          />
          <WordChoice
            label={`How it came back, ${index + 1}`}
            chosen={recoveryOf({ said: one.said, measured: null })}
            choices={CHOICES}
            onChoose={(said) => say(index, said)}
            onClear={() => say(index, null)}
          />
          {one.measured && (
            <span className={one.said !== null && one.said !== one.measured ? textStyles.toneEdge : textStyles.muted}>
              by its track {RECOVERY_WORDS[one.measured]}
            </span>
          )}
          {one.measured === null && (
            <Button look="quiet" onClick={() => put(recoveries.filter((_, at) => at !== index))}>
              Remove
            </Button>
          )}
        </div>
      ))}
      {recoveries.length < TAKE_LIMITS.recoveries.max && <NewRecovery {...{ draft, take, onChange }} />}
    </div>
  );
}

function NewRecovery({ draft, take, onChange }: Pick<TakeFormProps, 'draft' | 'take' | 'onChange'>) {
  const [fromS, setFromS] = useState<number | null>(null);
  const [toS, setToS] = useState<number | null>(null);
  const add = (said: (typeof RECOVERY_GRADES)[number]) => {
    const all: Draft['recoveries'] = [...draft.recoveries, { fromS: fromS!, toS: toS!, said, measured: null }];
    onChange({ ...draft, recoveries: [...all].sort((a, b) => a.fromS - b.fromS) });
    setFromS(null);
    setToS(null);
  };
  return (
    <div className={styles.takeSpan}>
      <TakeTimeField label="somebody was lost from" timeS={fromS} take={take} onChange={setFromS} />
      <TakeTimeField
        label="and back at"
        timeS={toS}
        take={take}
        refusal={(at) => (fromS === null || at > fromS ? null : 'It must end after it begins.')}
        onChange={setToS}
      />
      {fromS !== null && toS !== null && toS > fromS && (
        <WordChoice label="How it came back" chosen={null} choices={CHOICES} onChoose={add} />
      )}
    </div>
  );
}
