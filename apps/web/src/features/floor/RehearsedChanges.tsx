import { applyRehearsedTimes, type PullVerdict, type ShotPlan, withRehearsedTimes } from '@still-heron/core';
import { differenceLines, limitedText, narrate } from '@still-heron/wording';
import { evaluateAll } from '../../shared/workers/simulation/workers';
import { useUnits } from '../../shared/useUnits';
import { useAfterPause } from '../shot/useAfterPause';
import { TonedText } from '../../ui/Sentence';
import styles from './RehearsalPanel.module.css';
import textStyles from '../../ui/text.module.css';

const EDIT_PAUSE_MS = 250;
/** Number of changes listed; further ones are only counted. */
const MAX_LINES = 8;

/** What the rehearsed times change in the plan, what they can't change, and the verdict now and then. */
export function RehearsedChanges({ plan }: { readonly plan: ShotPlan }) {
  const units = useUnits();
  const { plan: after, limited } = withRehearsedTimes(plan);
  const verdicts = useAfterPause(plan, judgeBoth, EDIT_PAUSE_MS);
  const lines = differenceLines(plan, after, units);
  const [now, then] = verdicts?.of === plan ? verdicts.found : [];
  if (lines.length === 0) return <p className={textStyles.muted}>The plan has these times.</p>;
  return (
    <div data-testid="rehearsed-changes" className={styles.rehearsedChanges}>
      {limited.map((time) => (
        <p key={JSON.stringify(time.event)} role="note" className={textStyles.toneEdge}>
          {limitedText(plan, time)}
        </p>
      ))}
      {now && then && (
        <>
          <p>
            <span className={textStyles.muted}>Now:</span> <TonedText parts={narrate(now, plan, units).parts.slice(0, 2)} />
          </p>
          <p>
            <span className={textStyles.muted}>With these times:</span>{' '}
            <TonedText parts={narrate(then, after, units).parts.slice(0, 2)} />
          </p>
        </>
      )}
      <ul aria-label="Changes by these times">
        {lines.slice(0, MAX_LINES).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {lines.length > MAX_LINES && <li className={textStyles.muted}>and {lines.length - MAX_LINES} more</li>}
      </ul>
    </div>
  );
}

function judgeBoth(plan: ShotPlan): Promise<readonly PullVerdict[]> {
  return evaluateAll([plan, applyRehearsedTimes(plan)]);
}
