import { FINDINGS_AT, type FindingPlace, type MarkHit } from '@still-heron/core';
import { FINDING_WORDS, findingPlaceText, HIT_WORDS, hitMeasuredText, pullTargetText } from '@still-heron/wording';
import clsx from 'clsx';
import { WordChoice } from '../../ui/fields/WordChoice';
import { type Draft, foundAt, withFinding, withHit } from './draft';
import type { TakeFormProps } from './takeFormProps';
import styles from './TakeForm.module.css';
import textStyles from '../../ui/text.module.css';

/** Most frequent first. */
const ORDER: readonly MarkHit[] = ['hit', 'late', 'early', 'false-start', 'in-front', 'behind', 'overshot', 'searched'];
const HITS = ORDER.map((value) => ({ value, word: HIT_WORDS[value] }));

interface PullLineProps extends Pick<TakeFormProps, 'draft' | 'plan' | 'units' | 'take' | 'onChange'> {
  readonly pullId: string;
  readonly isNext: boolean;
}

/** How one pull was hit: what a person says, beside what the track shows. */
export function PullLine({ draft, plan, units, take, pullId, isNext, onChange }: PullLineProps) {
  const name = pullTargetText(pullId, plan, units);
  const measured = take.hits.find((one) => one.pullId === pullId);
  const said = draft.hits[pullId] ?? null;
  return (
    <div className={clsx(styles.takeLine, isNext && styles.isNext)}>
      <span>
        at <strong>{name}</strong>
      </span>
      <div className={styles.takeSaid}>
        <WordChoice
          label={`How ${name} was hit`}
          chosen={said}
          choices={HITS}
          onChoose={(hit) => onChange(withHit(draft, pullId, hit))}
          onClear={() => onChange(withHit(draft, pullId, null))}
        />
        {measured?.measured && (
          <span className={said !== null && said !== measured.measured ? textStyles.toneEdge : textStyles.muted}>
            {hitMeasuredText(measured)}
          </span>
        )}
      </div>
    </div>
  );
}

interface FindingLineProps {
  readonly draft: Draft;
  readonly plan: TakeFormProps['plan'];
  readonly at: Exclude<FindingPlace, { readonly kind: 'time' }>;
  readonly isNext?: boolean;
  readonly onChange: (draft: Draft) => void;
}

/** What was found at another place: an arrival, a span or a key moment. */
export function FindingLine({ draft, plan, at, isNext = false, onChange }: FindingLineProps) {
  const name = findingPlaceText(at, plan);
  return (
    <div className={clsx(styles.takeLine, isNext && styles.isNext)}>
      <span>{name}</span>
      <WordChoice
        label={`How it was: ${name}`}
        chosen={foundAt(draft, at)}
        choices={FINDINGS_AT[at.kind].map((value) => ({ value, word: FINDING_WORDS[value] }))}
        onChoose={(found) => onChange(withFinding(draft, at, found))}
        onClear={() => onChange(withFinding(draft, at, null))}
      />
    </div>
  );
}
