import { withStop, formatStop, howWide, isAllAutomatic, stopFigures, type ShotPlan } from '@still-heron/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import clsx from 'clsx';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { selectSession } from '../shot/sessionSlice';
import { editPlan, abandonGesture, selectPlan } from '../shot/shotSlice';
import { usePlaying, usePlayKeys } from '../shot/usePlaying';
import { TimeBar } from '../shot/TimeBar';
import { useVerdict } from '../shot/useVerdict';
import { FrameShares } from './FrameShares';
import { StopSentence } from './StopSentence';
import { StopSide } from './StopSide';
import { StopSurface } from './StopSurface';
import { StyleStrip } from './StyleStrip';
import { stopRatesOf, indexOfStop, type Sweep, sweepOf } from './sweep';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';
import { LeftToAutofocus } from './LeftToAutofocus';
import { PageNote } from '../../ui/PageNote';
import layoutStyles from '../../ui/layout.module.css';
import styles from './StopPage.module.css';

/** Stop step: keep rate, light and background blur of every stop. */
export function StopPage() {
  const plan = useAppSelector(selectPlan)!;
  const judged = useVerdict();
  // of the current plan: during a drag the previous verdict still counts
  const isMissing = judged?.plan === plan && judged.verdict.status === 'incomplete';
  if (plan.focusTrack.start === null || isMissing) return <NothingToKeep plan={plan} />;
  return isAllAutomatic(plan) ? <LeftToAutofocus plan={plan} /> : <Stops plan={plan} />;
}

function Stops({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  usePlayKeys(plan);
  usePlaying(plan.durationS);
  const sweep = useSweep(plan);
  const { known, settle } = useTrialRates(sweep, sweep.asks, { rank: RANKS.sweep });
  const shown = known?.key.stops.length === sweep.stops.length ? known : null;
  const rates = shown?.progress.rates ?? sweep.stops.map(() => null);
  const figures = useMemo(() => stopFigures(plan, sweep.stops, timeS), [plan, sweep.stops, timeS]);
  const chances = stopRatesOf(sweep.stops, rates, figures);
  const wide = chances.length === 0 ? null : howWide(chances, plan.goals.targetKeepRate, plan.goals.blurPercent);
  const isCurrent = shown?.key === sweep;
  const now = indexOfStop(sweep.stops, plan.optics.stop);
  const setStop = (stop: number, gesture?: string) =>
    dispatch(editPlan(`shoot at ${formatStop(stop, plan.optics.lens.stopScale)}`, (old) => withStop(old, stop), gesture));
  const offered = isCurrent && wide?.keeps && indexOfStop(sweep.stops, wide.keeps.stop) !== now ? wide.keeps.stop : null;
  useKeys('w', () => {
    if (offered !== null) setStop(offered);
  });
  // during a drag the main surface has priority
  const side = useDeferredValue(useMemo(() => ({ plan, rate: rates[now] ?? null }), [plan, rates, now]));
  return (
    <div className={clsx(layoutStyles.stepPage, styles.stopPage)}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <StopSentence
          plan={plan}
          wide={wide}
          rate={rates[now] ?? null}
          progress={isCurrent ? shown.progress : null}
          onEnough={settle}
          offered={offered}
          onStop={setStop}
        />
        <StopSurface
          plan={plan}
          stops={sweep.stops}
          rates={rates}
          figures={figures}
          wide={wide}
          onStop={setStop}
          onGiveUp={(gesture) => dispatch(abandonGesture(gesture))}
        />
        {rates[now] && <FrameShares rate={rates[now]} />}
        <TimeBar durationS={plan.durationS} captureFps={plan.captureFps} />
        <StyleStrip plan={plan} sweep={sweep} rates={rates} keeps={wide?.keeps?.stop ?? null} onStop={setStop} />
      </div>
      <StopSide plan={side.plan} rate={side.rate} timeS={timeS} />
    </div>
  );
}

/** Sweep of the current plan; keeps its identity while nothing relevant to the trials changes. */
function useSweep(plan: ShotPlan): Sweep {
  const [last, setLast] = useState<Sweep | null>(null);
  const sweep = useMemo(() => sweepOf(plan, last), [plan, last]);
  if (sweep !== last) setLast(sweep);
  return sweep;
}

function NothingToKeep({ plan }: { readonly plan: ShotPlan }) {
  const { shotId } = useParams();
  return (
    <PageNote title="How wide can this be shot?">
      <p>
        {plan.focusTrack.start === null
          ? 'First type who stands where: one distance is enough.'
          : 'First say who must be sharp and when. Then the program computes how many takes would be kept.'}
      </p>
      <p>
        <Link to={`/shots/${shotId}/pull`}>Go to Pull</Link>
      </p>
    </PageNote>
  );
}
