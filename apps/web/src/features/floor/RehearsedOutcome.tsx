import { type RehearsedPlan, type ShotPlan, withRehearsedTimes } from '@still-heron/core';
import { differenceLines, limitedText, narrate } from '@still-heron/wording';
import { type ReactNode, useCallback, useMemo } from 'react';
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
  readonly rehearsed: RehearsedPlan;
}

/** What the rehearsed times would do: the verdict with them, what to press, and the changes one by one. */
export function RehearsedOutcome({ plan, children }: { readonly plan: ShotPlan; readonly children: ReactNode }) {
  const rehearsed = useMemo(() => withRehearsedTimes(plan), [plan]);
  return (
    <>
      <RehearsedVerdict plan={plan} rehearsed={rehearsed} />
      {children}
      <RehearsedChanges plan={plan} rehearsed={rehearsed} />
    </>
  );
}

/** The verdict now and with the rehearsed times, and which times can't be used as they are. */
function RehearsedVerdict({ plan, rehearsed: { plan: after, limited } }: Props) {
  const units = useUnits();
  const judgeBoth = useCallback((now: ShotPlan) => evaluateAll([now, after]), [after]);
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
          <p className={textStyles.muted}>If all goes as planned:</p>
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
function RehearsedChanges({ plan, rehearsed }: Props) {
  const units = useUnits();
  const lines = differenceLines(plan, rehearsed.plan, units);
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
