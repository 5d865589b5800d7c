import { difficultyOf, formatTime, type KeepRate, limitingMoment, type ShotPlan, shotTime } from '@still-heron/core';
import { of100, minutesText, plannedTakesText, shotTimeLines } from '@still-heron/wording';
import { type ReactNode, useState } from 'react';
import clsx from 'clsx';
import { useAppDispatch } from '../../shared/store/hooks';
import { Explain } from '../../ui/fields/Explain';
import { playheadMoved } from '../shot/sessionSlice';
import { useUnits } from '../../shared/useUnits';
import { ErrorPanel } from './ErrorPanel';
import { ImprovementPanel } from './ImprovementPanel';
import { LightPanel } from './LightPanel';
import { LookPanel } from './LookPanel';
import { WatchingPanel } from './WatchingPanel';
import { SplitPanel } from './SplitPanel';
import { MethodPanel } from './MethodPanel';
import { GoalsPanel } from './GoalsPanel';
import layoutStyles from '../../ui/layout.module.css';
import styles from './StopSide.module.css';
import textStyles from '../../ui/text.module.css';
import fixesStyles from '../pull/Fixes.module.css';

interface Props {
  readonly plan: ShotPlan;
  /** At the current stop; null until known */
  readonly rate: KeepRate | null;
  readonly timeS: number;
}

/** Other factors besides the stop, one section each; one is open at a time. */
export function StopSide({ plan, rate, timeS }: Props) {
  const units = useUnits();
  const [open, setOpen] = useState<string | null>('improvements');
  const fold = (name: string, title: string, content: ReactNode) => (
    <Fold key={name} title={title} isOpen={open === name} onToggle={() => setOpen(open === name ? null : name)}>
      {content}
    </Fold>
  );
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, styles.stopSide)} aria-label="Details">
      {rate && <Hardest plan={plan} rate={rate} />}
      {fold('improvements', 'What would help most', <ImprovementPanel plan={plan} units={units} />)}
      {fold('errors', 'Where errors come from', <ErrorPanel plan={plan} units={units} />)}
      {fold('goals', 'Goals and schedule', <GoalsPanel plan={plan} rate={rate} />)}
      {fold('light', 'Light', <LightPanel plan={plan} />)}
      {fold('look', 'Background', <LookPanel plan={plan} timeS={timeS} units={units} />)}
      {fold('watching', 'Watching and correcting', <WatchingPanel plan={plan} rate={rate} />)}
      {fold('split', 'Split and cover', <SplitPanel plan={plan} rate={rate} timeS={timeS} />)}
      {fold('methods', 'Methods', <MethodPanel plan={plan} units={units} />)}
    </aside>
  );
}

/** Difficulty, time, and the limiting moment. */
function Hardest({ plan, rate }: { readonly plan: ShotPlan; readonly rate: KeepRate }) {
  const dispatch = useAppDispatch();
  const time = shotTime(plan, rate);
  const moment = limitingMoment(rate, plan);
  const names = moment?.subjectIds.map((subjectId) => plan.subjects.find(({ id }) => id === subjectId)?.name).join(' and ');
  return (
    <section className={styles.stopHardest} aria-label="Difficulty">
      <p>
        <strong className={styles[`difficulty-${difficultyOf(rate.keepRate).replace(' ', '-')}`]}>
          {difficultyOf(rate.keepRate)}
        </strong>
        {' · '}
        <Explain what="Takes and minutes" lines={shotTimeLines(time, plan, rate.keepRate)}>
          {plannedTakesText(time, plan)}
          {time.minutes !== null && ` · ${minutesText(time.minutes)}`}
        </Explain>
      </p>
      {moment && moment.sharpShare < 0.995 && (
        <p>
          <button
            type="button"
            className={clsx(layoutStyles.goThere, textStyles.muted)}
            onClick={() => dispatch(playheadMoved(moment.timeS))}
          >
            hardest at {formatTime(moment.timeS)}: {names} sharp in {Math.round(100 * moment.sharpShare)} of 100 takes
          </button>
        </p>
      )}
      <BeatRates plan={plan} rate={rate} />
    </section>
  );
}

/** Number of beats shown. */
const MAX_BEATS = 3;

/** Beats that are lost most often. */
function BeatRates({ plan, rate }: { readonly plan: ShotPlan; readonly rate: KeepRate }) {
  const hardest = rate.beats.filter(({ keepRate }) => keepRate < 0.995).sort((a, b) => a.keepRate - b.keepRate);
  if (rate.beats.length < 2 || hardest.length === 0) return null;
  return (
    <ul className={styles.beatRates} aria-label="Lost most often: keep rate of each span">
      {hardest.slice(0, MAX_BEATS).map(({ beatId, subjectId, keepRate }) => {
        const why = plan.beats.find(({ id }) => id === beatId)?.why;
        return (
          <li key={beatId}>
            <span className={textStyles.muted}>
              {plan.subjects.find(({ id }) => id === subjectId)?.name}
              {why && ` · ${why}`}
            </span>
            <span>{of100(keepRate)}</span>
          </li>
        );
      })}
    </ul>
  );
}

interface FoldProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}

function Fold({ title, isOpen, onToggle, children }: FoldProps) {
  return (
    <section className={clsx(styles.fold, isOpen && fixesStyles.isOpen)} aria-label={title}>
      <h2>
        <button type="button" aria-expanded={isOpen} onClick={onToggle}>
          {title}
          <span aria-hidden="true">{isOpen ? '−' : '+'}</span>
        </button>
      </h2>
      {isOpen && <div className={styles.foldBody}>{children}</div>}
    </section>
  );
}
