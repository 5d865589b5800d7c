import {
  addRun,
  type RehearsalTap,
  rehearsedEvents,
  rehearsedTimes,
  removeRun,
  type ShotPlan,
  applyRehearsedTimes,
} from '@still-heron/core';
import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useKeys } from '../../shared/keys/useKeys';
import { useAppDispatch } from '../../app/store';
import { playheadMoved, playStopped } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import './rehearsal.css';

/** Rehearsals: start the clock, tap each event, and apply the mean times to the plan. */
export function RehearsalPanel({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const run = useRun(plan);
  const times = rehearsedTimes(plan);
  const next = run.next;
  if (times.length === 0)
    return (
      <aside className="side floor-side" aria-label="Rehearse">
        <section>
          <h2>Rehearse</h2>
          <p>Nothing happens in this shot yet: let someone walk, or lay a pull, and its times can be tapped.</p>
        </section>
      </aside>
    );
  return (
    <aside className="side floor-side" aria-label="Rehearse">
      <section>
        <h2>A run of the action; it is not a take</h2>
        <button type="button" className="rehearsal-tap" onClick={run.tap} data-testid="rehearsal-tap">
          {run.isRunning ? (
            <>
              <small>tap when</small> {next ? next.words : 'all of it is tapped'}
            </>
          ) : (
            <>
              <small>start the clock with “action”</small> Run {plan.rehearsals.length + 1}
            </>
          )}
          <kbd className="key key-on-lantern">R</kbd>
        </button>
        {run.isRunning && (
          <div className="side-actions">
            <Button onClick={run.finish}>End the run</Button>
            <Button onClick={run.skip} disabled={!next}>
              It did not happen
            </Button>
          </div>
        )}
      </section>
      <section>
        <h2>
          {plan.rehearsals.length === 0
            ? 'As planned'
            : `Planned, and the average of ${plan.rehearsals.length} ${plan.rehearsals.length === 1 ? 'run' : 'runs'}`}
        </h2>
        <ul className="rehearsed">
          {times.map(({ words, timeS, meanS, spreadS }, index) => (
            <li key={`${index}-${words}`} className={run.isRunning && next?.words === words ? 'is-next' : undefined}>
              <span>{words}</span>
              <span className="figure">{timeS.toFixed(1)}</span>
              <span className="figure">{meanS === null ? '–' : meanS.toFixed(1)}</span>
              <small className="figure">{spreadS === null ? '' : `± ${spreadS.toFixed(2)}`}</small>
            </li>
          ))}
        </ul>
        {plan.rehearsals.length > 0 && (
          <>
            <div className="side-actions">
              <Button type="primary" onClick={() => dispatch(editPlan('take the rehearsed times', applyRehearsedTimes))}>
                Take these times
              </Button>
              <Button
                onClick={() =>
                  dispatch(editPlan('forget a run', (now) => removeRun(now, now.rehearsals[now.rehearsals.length - 1]!.id)))
                }
              >
                Forget the last run
              </Button>
            </div>
            <p className="haze">The spread becomes how early or late people and cues are: with one run it is not known yet.</p>
          </>
        )}
      </section>
    </aside>
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
  return { isRunning, next, tap, skip: move, finish };
}
