import {
  addRun,
  formatTime,
  type RehearsalTap,
  rehearsedEvents,
  rehearsedTimes,
  removeRun,
  type ShotPlan,
  applyRehearsedTimes,
  type RehearsalEvent,
} from '@still-heron/core';
import { counted, rehearsalEventText } from '@still-heron/wording';
import { useEffect, useRef, useState } from 'react';
import clsx from 'clsx';
import { useKeys } from '../../shared/keys/useKeys';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { RehearsedOutcome } from './RehearsedOutcome';
import { playheadMoved, playStopped, selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import layoutStyles from '../../ui/layout.module.css';
import floorStyles from './floor.module.css';
import styles from './RehearsalPanel.module.css';
import textStyles from '../../ui/text.module.css';

/** Rehearsals: start the clock, tap each event, and apply the mean times to the plan. */
export function RehearsalPanel({ plan }: { readonly plan: ShotPlan }) {
  const run = useRun(plan);
  const times = rehearsedTimes(plan);
  const next = run.next;
  if (times.length === 0)
    return (
      <aside data-testid="side" className={clsx(layoutStyles.side, floorStyles.floorSide)} aria-label="Rehearse">
        <section>
          <h2>Rehearse</h2>
          <p>Nothing happens in this shot yet. Add a walk or a pull, then tap its times here.</p>
        </section>
      </aside>
    );
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, floorStyles.floorSide)} aria-label="Rehearse">
      <section>
        <h2>Rehearse the action and tap its times</h2>
        <TapButton run={run} next={next} plan={plan} />
        {run.isRunning && (
          <div className={layoutStyles.sideActions}>
            <Button onClick={run.finish}>End the run</Button>
            <Button onClick={run.skip} disabled={!next}>
              Did not happen
            </Button>
          </div>
        )}
      </section>
      <section>
        <h2>
          {plan.rehearsals.length === 0 ? 'As planned' : `Planned, and the average of ${counted(plan.rehearsals.length, 'run')}`}
        </h2>
        <ul className={styles.rehearsed}>
          {times.map((event, index) => {
            const { timeS, meanS, spreadS } = event;
            return (
              <li key={index} className={clsx(run.isRunning && run.index === index && styles.isNext)}>
                <span>{rehearsalEventText(plan, event)}</span>
                <span className={textStyles.figure}>{timeS.toFixed(1)}</span>
                <span className={textStyles.figure}>{meanS === null ? '–' : meanS.toFixed(1)}</span>
                <small className={textStyles.figure}>{spreadS === null ? '' : `± ${spreadS.toFixed(2)}`}</small>
              </li>
            );
          })}
        </ul>
        {plan.rehearsals.length > 0 && !run.isRunning && (
          <RehearsedOutcome plan={plan}>
            <RunActions />
          </RehearsedOutcome>
        )}
      </section>
    </aside>
  );
}

interface TapButtonProps {
  readonly run: ReturnType<typeof useRun>;
  readonly next: RehearsalEvent | null;
  readonly plan: ShotPlan;
}

function TapButton({ run, next, plan }: TapButtonProps) {
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  return (
    <button type="button" className={styles.rehearsalTap} onClick={run.tap} data-testid="rehearsal-tap">
      {run.isRunning ? (
        <>
          <small>
            <span data-testid="rehearsal-time" className={textStyles.figure}>
              {formatTime(timeS)}
            </span>{' '}
            · tap when
          </small>{' '}
          {next ? rehearsalEventText(plan, next) : 'every event is tapped'}
        </>
      ) : (
        <>
          <small>on “action”, start the clock of</small> run {plan.rehearsals.length + 1}
        </>
      )}
      <Key isOnAccent>R</Key>
    </button>
  );
}

function RunActions() {
  const dispatch = useAppDispatch();
  return (
    <>
      <div className={layoutStyles.sideActions}>
        <Button look="main" onClick={() => dispatch(editPlan('use the rehearsed times', applyRehearsedTimes))}>
          Use these times
        </Button>
        <Button
          onClick={() =>
            dispatch(editPlan('delete a run', (now) => removeRun(now, now.rehearsals[now.rehearsals.length - 1]!.id)))
          }
        >
          Delete the last run
        </Button>
      </div>
      <p className={textStyles.muted}>
        ± is the spread between runs. It becomes the timing error of people and cues, and needs two runs.
      </p>
    </>
  );
}

/** Clock and taps of the current run. */
function useRun(plan: ShotPlan) {
  const dispatch = useAppDispatch();
  const [startedMs, setStartedMs] = useState<number | null>(null);
  const [at, setAt] = useState(0);
  const taps = useRef<RehearsalTap[]>([]);
  const events = rehearsedEvents(plan);
  const isRunning = startedMs !== null;
  const next = events[at] ?? null;

  useEffect(() => {
    if (startedMs === null) return undefined;
    const timer = setInterval(() => {
      const timeS = (performance.now() - startedMs) / 1000;
      dispatch(playheadMoved(Math.min(timeS, plan.durationS)));
    }, 40);
    return () => clearInterval(timer);
  }, [startedMs, dispatch, plan.durationS]);

  function finish(): void {
    const made = taps.current;
    setStartedMs(null);
    if (made.length > 0) dispatch(editPlan('a rehearsal run', (now) => addRun(now, made)));
  }
  function move(): void {
    setAt(at + 1);
    if (at + 1 >= events.length) finish();
  }
  function tap(): void {
    if (startedMs === null) {
      taps.current = [];
      setAt(0);
      dispatch(playStopped());
      dispatch(playheadMoved(0));
      setStartedMs(performance.now());
    } else if (next) {
      taps.current = [...taps.current, { event: next.event, timeS: (performance.now() - startedMs) / 1000 }];
      move();
    }
  }
  // a held key counts as one tap
  useKeys('r', ({ repeat }) => {
    if (!repeat) tap();
  });
  return { isRunning, next, index: at, tap, skip: move, finish };
}
