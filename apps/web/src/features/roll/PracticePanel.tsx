import { hardestPull, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { pullTargetText } from '@still-heron/wording';
import { useMemo } from 'react';
import { WordChoice } from '../../ui/fields/WordChoice';
import { useVerdict } from '../shot/useVerdict';
import { PRACTICE_RATES, type PracticeChoice } from './practice';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  /** null for takes */
  readonly practice: PracticeChoice | null;
  readonly onPractice: (practice: PracticeChoice | null) => void;
}

const WHOLE = 'whole';

/** Whether the next roll is a take or practice, how fast, and of what. */
export function PracticePanel({ plan, units, practice, onPractice }: Props) {
  const judged = useVerdict();
  const hardest = useMemo(
    () => (judged?.plan === plan && judged.verdict.status === 'judged' ? hardestPull(judged.verdict.pulls) : null),
    [judged, plan],
  );
  const parts = [
    { value: WHOLE, word: 'the whole shot' },
    ...plan.focusTrack.pulls.map(({ id }) => ({
      value: id,
      word: `to ${pullTargetText(id, plan, units)}${id === hardest ? ', the hardest' : ''}`,
    })),
  ];
  return (
    <section aria-label="Take or practice">
      <h2>Take or practice</h2>
      <WordChoice
        label="Take or practice"
        chosen={practice ? 'practice' : 'take'}
        choices={[
          { value: 'take', word: 'a take' },
          { value: 'practice', word: 'practice' },
        ]}
        onChoose={(kind) => onPractice(kind === 'take' ? null : { rate: 1, pullId: null })}
      />
      {practice && (
        <>
          <WordChoice
            label="Speed"
            chosen={String(practice.rate)}
            choices={PRACTICE_RATES.map(({ rate, word }) => ({ value: String(rate), word }))}
            onChoose={(value) => onPractice({ ...practice, rate: Number(value) })}
          />
          {parts.length > 1 && (
            <WordChoice
              label="What is practised"
              chosen={practice.pullId ?? WHOLE}
              choices={parts}
              onChoose={(value) => onPractice({ ...practice, pullId: value === WHOLE ? null : value })}
            />
          )}
          <p className={textStyles.muted}>
            Practice is judged like a take, and logs none.
            {practice.pullId !== null && ' One pull comes again and again, each time with its count-in, until you end it.'}
          </p>
        </>
      )}
    </section>
  );
}
