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

interface Props {
  readonly plan: ShotPlan;
}

/** The verdict now and with the rehearsed times, and which times can't be used as they are. */
export function RehearsedVerdict({ plan }: Props) {
  const units = useUnits();
  const { plan: after, limited } = withRehearsedTimes(plan);
  const verdicts = useAfterPause(plan, judgeBoth, EDIT_PAUSE_MS);
  const [now, then] = verdicts?.of === plan ? verdicts.found : [];
  return (
    <div className={styles.rehearsedChanges}>
      {limited.map((time) => (
        <p key={JSON.stringify(time.event)} role="note" className={textStyles.toneEdge}>
          {limitedText(plan, time)}
        </p>
      ))}
      {now && then && (
        <>
          <p>
            <span className={textStyles.muted}>Now:</span> <TonedText parts={narrate(now, plan, units).parts.slice(0, 1)} />
          </p>
          <p>
            <span className={textStyles.muted}>With these times:</span>{' '}
            <TonedText parts={narrate(then, after, units).parts.slice(0, 1)} />
          </p>
        </>
      )}
    </div>
  );
}

/** What the rehearsed times change in the plan. */
export function RehearsedChanges({ plan }: Props) {
  const units = useUnits();
  const lines = differenceLines(plan, applyRehearsedTimes(plan), units);
  if (lines.length === 0) return <p className={textStyles.muted}>The plan has these times.</p>;
  return (
    <ul className={styles.rehearsedChanges} aria-label="Changes by these times">
      {lines.slice(0, MAX_LINES).map((line) => (
        <li key={line}>{line}</li>
      ))}
      {lines.length > MAX_LINES && <li className={textStyles.muted}>and {lines.length - MAX_LINES} more</li>}
    </ul>
  );
}

function judgeBoth(plan: ShotPlan): Promise<readonly PullVerdict[]> {
  return evaluateAll([plan, applyRehearsedTimes(plan)]);
}
