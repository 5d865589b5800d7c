import { autofocusRisk, formatTime, formatTimeFigure, type ShotPlan } from '@still-heron/core';
import { autofocusReasonText, narrateAutofocus } from '@still-heron/wording';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { useUnits } from '../../shared/useUnits';
import { Sentence } from '../../ui/Sentence';
import { playheadMoved } from '../shot/sessionSlice';
import { TimeBar } from '../shot/TimeBar';
import { usePlaying, usePlayKeys } from '../shot/usePlaying';
import { useVerdict } from '../shot/useVerdict';
import { Viewfinder } from '../viewfinder/Viewfinder';
import { MethodPanel } from './MethodPanel';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';
import pageStyles from './StopPage.module.css';
import styles from './LeftToAutofocus.module.css';

/** The Stop step of a shot that is left to autofocus. Takes can't be simulated: the risks are listed, and another method can be chosen. */
export function LeftToAutofocus({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const units = useUnits();
  const judged = useVerdict();
  const spans = autofocusRisk(plan).spans;
  usePlayKeys(plan);
  usePlaying(plan.durationS);
  return (
    <div className={clsx(layoutStyles.stepPage, pageStyles.stopPage)}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <Sentence
          parts={narrateAutofocus(plan)}
          testId="how-wide"
          role="status"
          onTime={(timeS) => dispatch(playheadMoved(timeS))}
        />
        <ul className={styles.risks} aria-label="When autofocus is at risk">
          {spans.map((span) => (
            <li key={`${span.subjectId} ${span.fromS}`}>
              <button type="button" className={layoutStyles.goThere} onClick={() => dispatch(playheadMoved(span.fromS))}>
                <span className={textStyles.figure}>
                  {formatTimeFigure(span.fromS)} to {formatTime(span.toS)}
                </span>{' '}
                {autofocusReasonText(span, plan)}
              </button>
            </li>
          ))}
        </ul>
        <TimeBar durationS={plan.durationS} captureFps={plan.captureFps} />
        {judged?.verdict.status === 'judged' && (
          <div className={styles.picture}>
            <Viewfinder plan={judged.plan} verdict={judged.verdict} />
          </div>
        )}
      </div>
      <aside data-testid="side" className={layoutStyles.side} aria-label="Method">
        <h2>Method</h2>
        <MethodPanel plan={plan} units={units} />
      </aside>
    </div>
  );
}
