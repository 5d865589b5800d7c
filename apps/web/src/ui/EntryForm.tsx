import { ENTER_TITLE, neededSentence, WHERE_THE_CODE_IS } from '@still-heron/wording';
import clsx from 'clsx';
import { useId, useState } from 'react';
import { giveCode, selectEntry } from '../shared/api/entry';
import { useAppDispatch, useAppSelector } from '../shared/store/hooks';
import { Button } from './Button';
import styles from './EntryForm.module.css';
import fieldStyles from './fields/fields.module.css';
import { PageNote } from './PageNote';
import textStyles from './text.module.css';

/** Longest code that the server reads. */
const MAX_LENGTH = 40;

/** Takes the place of a page until this device has given the crew code. */
export function EntryPage() {
  return (
    <PageNote title={`${ENTER_TITLE}.`}>
      <EntryForm hasFocus />
      <p>{WHERE_THE_CODE_IS}</p>
    </PageNote>
  );
}

/** The same above a page that must not go away, such as a roll. */
export function EntryBar() {
  return (
    <div className={styles.bar}>
      <strong>{ENTER_TITLE}.</strong>
      <EntryForm hasFocus={false} />
    </div>
  );
}

function EntryForm({ hasFocus }: { readonly hasFocus: boolean }) {
  const { isTrying, problem } = useAppSelector(selectEntry);
  const dispatch = useAppDispatch();
  const [code, setCode] = useState('');
  const id = useId();
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void dispatch(giveCode(code));
      }}
    >
      <div className={fieldStyles.field}>
        <label className={fieldStyles.fieldLabel} htmlFor={id}>
          Crew code
        </label>
        <input
          id={id}
          className={clsx(fieldStyles.fieldInput, styles.code)}
          value={code}
          maxLength={MAX_LENGTH}
          autoFocus={hasFocus}
          autoComplete="off"
          autoCapitalize="characters"
          spellCheck={false}
          placeholder="XXXX-XXXX"
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => setCode(event.target.value)}
        />
      </div>
      <Button look="main" type="submit" disabled={code.trim() === '' || isTrying}>
        Come in
      </Button>
      {problem && (
        <p id={`${id}-problem`} className={clsx(styles.problem, textStyles.toneSoft)} role="alert">
          {neededSentence(problem)}
        </p>
      )}
    </form>
  );
}
