import { type Confidence, CONFIDENCES, type ShotPlan, TAKE_LIMITS } from '@still-heron/core';
import { CONFIDENCE_WORDS, lookText } from '@still-heron/wording';
import { Button } from '../../ui/Button';
import { OptionalNumberField } from '../../ui/fields/OptionalNumberField';
import { TextField } from '../../ui/fields/TextField';
import { WordChoice } from '../../ui/fields/WordChoice';
import type { Draft } from './draft';
import formStyles from './TakeForm.module.css';
import styles from './FocusLook.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly draft: Draft;
  readonly plan: ShotPlan;
  readonly onChange: (draft: Draft) => void;
}

const CHOICES = CONFIDENCES.map((value) => ({ value, word: CONFIDENCE_WORDS[value] }));

/** How the focus was looked at: on which display, how large, and how sure. A later look keeps the one before. */
export function FocusLook({ draft, plan, onChange }: Props) {
  const { checkedOn, checkMagnification, checkConfidence, earlierLooks, focus } = draft;
  const display = plan.rig?.display ?? '';
  // the display of the rig, until another one is named
  const look = (changes: Partial<Draft>) => onChange({ ...draft, checkedOn: checkedOn || display, ...changes });
  const again = () =>
    onChange({
      ...draft,
      earlierLooks: [
        ...earlierLooks,
        { on: checkedOn, magnification: checkMagnification, confidence: checkConfidence, focus: focus! },
      ],
      focus: null,
      checkedOn: '',
      checkMagnification: null,
      checkConfidence: null,
    });
  const isLooked = checkedOn !== '' || checkMagnification !== null || checkConfidence !== null;
  return (
    <div className={formStyles.takeLine} role="group" aria-label="How it was looked at">
      <span>looked at on</span>
      <div className={styles.look}>
        <TextField
          label="display"
          max={TAKE_LIMITS.checkedOn.max}
          placeholder={display || 'which display'}
          value={checkedOn}
          onChange={(value) => onChange({ ...draft, checkedOn: value })}
        />
        <OptionalNumberField
          label="magnified, times"
          min={TAKE_LIMITS.checkMagnification.min}
          max={TAKE_LIMITS.checkMagnification.max}
          decimals={1}
          value={checkMagnification}
          onChange={(value) => look({ checkMagnification: value })}
        />
        <WordChoice
          label="How sure"
          chosen={checkConfidence}
          choices={CHOICES}
          onChoose={(confidence: Confidence) => look({ checkConfidence: confidence })}
          onClear={() => onChange({ ...draft, checkConfidence: null })}
        />
        {isLooked && focus !== null && earlierLooks.length < TAKE_LIMITS.earlierLooks.max && (
          <Button look="quiet" onClick={again}>
            Look again elsewhere
          </Button>
        )}
        <EarlierLooks draft={draft} onChange={onChange} />
      </div>
    </div>
  );
}

function EarlierLooks({ draft, onChange }: Pick<Props, 'draft' | 'onChange'>) {
  const { earlierLooks } = draft;
  return earlierLooks.map((one, index) => (
    // looks have no id, and their order is theirs
    <span key={index} className={textStyles.muted}>
      before: {lookText(one)}{' '}
      <Button
        look="quiet"
        aria-label={`Remove the look ${lookText(one)}`}
        onClick={() => onChange({ ...draft, earlierLooks: earlierLooks.filter((_, at) => at !== index) })}
      >
        Remove
      </Button>
    </span>
  ));
}
