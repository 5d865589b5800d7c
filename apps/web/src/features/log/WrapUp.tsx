import type { WrapUpView } from '@still-heron/contract';
import { wrapUpSentence, wrapUpText } from '@still-heron/wording';
import { Link } from 'react-router';
import { useWrapUpQuery } from '../../shared/api/takesApi';
import styles from './WrapUp.module.css';
import textStyles from '../../ui/text.module.css';

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

/** Before anyone leaves: which shots have what they need, and what the others lack. */
export function WrapUp({ productionId }: { readonly productionId: string }) {
  const { data: shots } = useWrapUpQuery(productionId);
  if (!shots || shots.length === 0) return null;
  const lacking = ORDER.flatMap((state) => shots.filter((shot) => shot.state === state));
  return (
    <section aria-label="Before anyone leaves">
      <h2>Before anyone leaves</h2>
      <p>{wrapUpSentence(shots.map(({ state }) => state))}</p>
      <ul className={styles.wrapUp}>
        {lacking.map((shot) => (
          <li key={shot.shotId}>
            <Link to={`/shots/${shot.shotId}/takes`}>{shot.slate || shot.title}</Link>{' '}
            <span className={TONES[shot.state]}>{wrapUpText(shot)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
