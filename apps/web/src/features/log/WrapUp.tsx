import type { WrapUpView } from '@still-heron/contract';
import { wrapUpSentence, wrapUpText } from '@still-heron/wording';
import { useState } from 'react';
import { Link } from 'react-router';
import { useWrapUpQuery } from '../../shared/api/takesApi';
import { useUnits } from '../../shared/useUnits';
import { WordChoice } from '../../ui/fields/WordChoice';
import styles from './WrapUp.module.css';
import textStyles from '../../ui/text.module.css';

/** Days that are offered, the last ones. */
const MAX_DAYS = 4;
/** What has to be shot again first. */
const ORDER: readonly WrapUpView['state'][] = ['lost', 'none', 'too-short', 'not-said', 'not-shot'];
const TONES = {
  lost: textStyles.toneSoft,
  none: textStyles.toneSoft,
  'too-short': textStyles.toneEdge,
  'not-said': undefined,
  'not-shot': textStyles.muted,
  done: undefined,
} as const;

const ALL = 'all';
const DAY = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });

/** Before anyone leaves: which shots have what they need, and what the others lack; of all of them, or of those shot on one day. */
export function WrapUp({ productionId }: { readonly productionId: string }) {
  const units = useUnits();
  const { data: all } = useWrapUpQuery({ productionId, units });
  const [day, setDay] = useState(ALL);
  if (!all || all.length === 0) return null;
  const days = [...new Set(all.flatMap((shot) => shot.days))].sort();
  const shots = days.includes(day) ? all.filter((shot) => shot.days.includes(day)) : all;
  const lacking = ORDER.flatMap((state) => shots.filter((shot) => shot.state === state));
  return (
    <section aria-label="Before anyone leaves">
      <h2>Before anyone leaves</h2>
      {days.length > 1 && (
        <WordChoice
          label="Shots of"
          chosen={days.includes(day) ? day : ALL}
          choices={[
            { value: ALL, word: 'all days' },
            ...days.slice(-MAX_DAYS).map((value) => ({ value, word: DAY.format(new Date(`${value}T00:00:00Z`)) })),
          ]}
          onChoose={setDay}
        />
      )}
      <p>{wrapUpSentence(shots.map(({ state }) => state))}</p>
      <ul className={styles.wrapUp}>
        {lacking.map((shot) => (
          <li key={shot.shotId}>
            <Link to={`/shots/${shot.shotId}/takes`}>{shot.slate || shot.title}</Link>{' '}
            <span className={TONES[shot.state]}>{wrapUpText(shot)}</span>
            {shot.changes.map((change) => (
              <span key={change} className={styles.change}>
                {change}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
