import { askedPlaces, type ShotPlan, TAKE_LIMITS } from '@still-heron/core';
import { FOCUS_GRADE_WORDS, PERFORMANCE_WORDS } from '@still-heron/wording';
import { Checkbox } from '../../ui/antd/Checkbox';
import { useMemo, useState } from 'react';
import { useKeys } from '../../shared/keys/useKeys';
import { TextField } from '../../ui/fields/TextField';
import { choicesOf } from '../../ui/fields/choicesOf';
import { WordChoice } from '../../ui/fields/WordChoice';
import { allFine, withFinding, withHit } from './draft';
import { FocusLook } from './FocusLook';
import { FindingLine, PullLine } from './TakeLines';
import { TakeMore } from './TakeMore';
import type { AskedAt, Place, TakeFormProps } from './takeFormProps';
import { FINDING_KEYS, HIT_KEYS, nextOf } from './takeKeys';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import styles from './TakeForm.module.css';
import textStyles from '../../ui/text.module.css';

/** Above this many places, spans and key moments are folded away. */
const MANY = 8;

/** What is said of one take, by keys or by pointer. Nothing is said until somebody says it: Y says that the rest was fine. */
export function TakeForm(props: TakeFormProps) {
  const { draft, plan, units, number, pullIds, take, onChange } = props;
  const places = usePlaces(plan, pullIds);
  // index of the place that the next key applies to
  const [at, setAt] = useState(0);
  useTakeFormKeys({ draft, places, take, pullIds, at, setAt, onChange });
  return (
    <section className={styles.takeForm} aria-label={`Take ${number}`}>
      <h2 className={styles.takeNumber}>
        Take <span className={textStyles.figure}>{number}</span>
      </h2>
      <div className={styles.takeGrades}>
        {places.first.map((place, index) =>
          place.kind === 'pull' ? (
            <PullLine
              key={place.pullId}
              {...{ plan, units, draft, take, onChange }}
              pullId={place.pullId}
              isNext={index === at}
            />
          ) : (
            <FindingLine key={JSON.stringify(place.at)} {...{ plan, draft, onChange }} at={place.at} isNext={index === at} />
          ),
        )}
        <GradeLines draft={draft} take={take} onChange={onChange} />
        <FocusLook draft={draft} plan={plan} onChange={onChange} />
        <NoteLine draft={draft} onChange={onChange} />
        <TakeMore {...{ draft, plan, units, take, onChange }} places={places.more} />
      </div>
      <Actions {...props} />
    </section>
  );
}

function NoteLine({ draft, onChange }: Pick<TakeFormProps, 'draft' | 'onChange'>) {
  const isSoft = draft.focus !== null && draft.focus !== 'sharp';
  return (
    <div className={styles.takeLine}>
      <span className={styles.takeTicks}>
        <Checkbox checked={draft.isCircled} onChange={({ target }) => onChange({ ...draft, isCircled: target.checked })}>
          circled <Key>K</Key>
        </Checkbox>
        <Checkbox checked={draft.isNoGood} onChange={({ target }) => onChange({ ...draft, isNoGood: target.checked })}>
          no good <Key>N</Key>
        </Checkbox>
      </span>
      <TextField
        label={draft.isCircled && isSoft ? 'why it is kept although soft' : 'note'}
        max={TAKE_LIMITS.note.max}
        value={draft.note}
        onChange={(note) => onChange({ ...draft, note })}
      />
    </div>
  );
}

function Actions({ draft, number, pullIds, take, isLogging, question = null, onChange, onLog, onCancel }: TakeFormProps) {
  return (
    <div className={styles.takeActions}>
      <Button look="main" className={styles.takeLog} disabled={isLogging} onClick={onLog}>
        {onCancel ? 'Save' : 'Log'} take {number} <Key isOnAccent>T</Key>
      </Button>
      {question !== null && (
        <p className={styles.takeQuestion} role="alert">
          {question}
        </p>
      )}
      <Button onClick={() => onChange(allFine(draft, take, pullIds))}>
        The rest was fine <Key>Y</Key>
      </Button>
      {onCancel && (
        <Button look="quiet" onClick={onCancel}>
          Leave it as it was <Key>Esc</Key>
        </Button>
      )}
    </div>
  );
}

/** Pulls and arrivals come first; in a shot without any, spans and key moments do. */
function usePlaces(
  plan: ShotPlan,
  pullIds: readonly string[],
): { readonly first: readonly Place[]; readonly more: readonly AskedAt[] } {
  return useMemo(() => {
    const asked = askedPlaces(plan).map(({ at }) => at);
    const arrivals = asked.filter(({ kind }) => kind === 'arrival');
    const others = asked.filter(({ kind }) => kind !== 'arrival');
    const hasFirst = pullIds.length + arrivals.length > 0;
    const first: Place[] = [
      ...pullIds.map((pullId) => ({ kind: 'pull' as const, pullId })),
      ...(hasFirst ? arrivals : others.slice(0, MANY)).map((at) => ({ kind: 'other' as const, at })),
    ];
    return { first, more: hasFirst ? others : others.slice(MANY) };
  }, [plan, pullIds]);
}

interface KeyInput extends Pick<TakeFormProps, 'draft' | 'take' | 'pullIds' | 'onChange'> {
  readonly places: { readonly first: readonly Place[] };
  readonly at: number;
  readonly setAt: (at: number) => void;
}

function useTakeFormKeys({ draft, places: { first }, take, pullIds, at, setAt, onChange }: KeyInput): void {
  useKeys(Object.keys({ ...HIT_KEYS, ...FINDING_KEYS }).join(', '), ({ key }) => {
    const place = first[at];
    const pressed = key.toLowerCase();
    const hit = HIT_KEYS[pressed];
    if (place?.kind === 'pull' && hit) onChange(withHit(draft, place.pullId, hit));
    else if (place?.kind === 'other' && FINDING_KEYS[pressed]?.[place.at.kind])
      onChange(withFinding(draft, place.at, FINDING_KEYS[pressed][place.at.kind]!));
    else return;
    setAt((at + 1) % first.length);
  });
  useKeys('k', () => onChange({ ...draft, isCircled: !draft.isCircled }));
  useKeys('n', () => onChange({ ...draft, isNoGood: !draft.isNoGood }));
  useKeys('u', () => onChange({ ...draft, focus: nextOf(['sharp', 'usable', 'soft'], draft.focus) }));
  useKeys('p', () => onChange({ ...draft, performance: nextOf(['good', 'fair', 'poor'], draft.performance) }));
  useKeys('y', () => onChange(allFine(draft, take, pullIds)));
}

function GradeLines({ draft, take, onChange }: Pick<TakeFormProps, 'draft' | 'take' | 'onChange'>) {
  const measured = take.measured?.focus ?? null;
  return (
    <>
      <div className={styles.takeLine}>
        <span>
          focus <Key>U</Key>
        </span>
        <div className={styles.takeSaid}>
          <WordChoice
            label="Focus"
            chosen={draft.focus}
            choices={choicesOf(FOCUS_GRADE_WORDS)}
            onChoose={(focus) => onChange({ ...draft, focus })}
            onClear={() => onChange({ ...draft, focus: null })}
          />
          {measured && (
            <span className={draft.focus !== null && draft.focus !== measured ? textStyles.toneEdge : textStyles.muted}>
              by its track {FOCUS_GRADE_WORDS[measured]}
            </span>
          )}
        </div>
      </div>
      <div className={styles.takeLine}>
        <span>
          performance <Key>P</Key>
        </span>
        <WordChoice
          label="Performance"
          chosen={draft.performance}
          choices={choicesOf(PERFORMANCE_WORDS)}
          onChoose={(performance) => onChange({ ...draft, performance })}
          onClear={() => onChange({ ...draft, performance: null })}
        />
      </div>
    </>
  );
}
