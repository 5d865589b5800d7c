import { addRack, removeBeat, removeRack, type ShotPlan } from '@still-heron/core';
import { useEffect, useRef } from 'react';
import { useKeys } from '../../app/useKeys';
import { axisChosen } from '../../app/preferences';
import { useAppDispatch, useAppSelector, useAppStore } from '../../app/store';
import { itemSelected, playheadMoved, playStopped, playToggled, selectSession } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { useUnits } from '../shot/useUnits';
import { useVerdict } from '../shot/useVerdict';
import { ChannelChart } from './ChannelChart';
import { nextPull } from './nextPull';
import { PullSide } from './PullSide';
import { SomeoneForm } from './SomeoneForm';
import { Transport } from './Transport';
import { PlanDoubts } from './PlanDoubts';
import { VerdictSentence } from './VerdictSentence';
import './pull.css';

/** The focus line over time: typed marks, timed pulls, and in a sentence whether it will be sharp. */
export function PullPage() {
  const plan = useAppSelector(selectPlan)!;
  const units = useUnits();
  const judged = useVerdict();
  const verdict = judged?.verdict.status === 'judged' && isSameShape(judged.plan, plan) ? judged.verdict : null;
  usePullKeys(plan);
  usePlaying(plan.durationS);
  if (plan.subjects.length === 0 && plan.marks.length === 0) return <FirstDistance />;
  return (
    <div className="step-page">
      <div className="surface">
        <VerdictSentence judged={judged} units={units} />
        <PlanDoubts plan={plan} />
        <Transport plan={plan} />
        <ChannelChart plan={plan} verdict={verdict} units={units} />
      </div>
      <PullSide plan={plan} verdict={verdict} units={units} />
    </div>
  );
}

/** A verdict of the plan before still fits the chart while a drag goes on, as long as nobody and no move came or went. */
function isSameShape(judged: ShotPlan, now: ShotPlan): boolean {
  const ids = (plan: ShotPlan) => [...plan.subjects, ...plan.line.moves, ...plan.beats].map(({ id }) => id).join();
  return judged === now || (ids(judged) === ids(now) && judged.optics.lens === now.optics.lens);
}

function FirstDistance() {
  return (
    <div className="first-distance">
      <h1>Who must be sharp first?</h1>
      <p className="haze">Tape from the mark on the camera body to their eyes, and type what the tape says.</p>
      <SomeoneForm isFirst />
      <p className="haze">As one says it: 2.4 · 240cm · 7'11 · 95in · inf</p>
    </div>
  );
}

function usePullKeys(plan: ShotPlan): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const step = (frames: number) => () => {
    const { timeS } = selectSession(store.getState());
    const frame = Math.round(timeS * plan.captureFps) + frames;
    dispatch(playStopped());
    dispatch(playheadMoved(Math.min(Math.max(frame / plan.captureFps, 0), plan.durationS)));
  };
  useKeys('space', () => dispatch(playToggled()), {
    preventDefault: true,
    ignoreEventWhen: ({ target }) => target instanceof HTMLButtonElement,
  });
  useKeys(',', step(-1), { useKey: true });
  useKeys('.', step(1), { useKey: true });
  useKeys('n', () => document.getElementById('someone-name')?.focus(), { preventDefault: true });
  useKeys('h', () => dispatch(axisChosen(store.getState().preferences.axis === 'hand' ? 'distance' : 'hand')));
  useKeys('p', () => {
    const { timeS, selection } = selectSession(store.getState());
    const next = nextPull(plan, timeS, selection?.id);
    if (next) dispatch(editPlan(`pull to ${next.mark.letter}`, (now) => addRack(now, next.mark.id, next.atS)));
  });
  useKeys('esc', () => dispatch(itemSelected(null)));
  useKeys('delete, backspace', () => {
    const { selection } = selectSession(store.getState());
    if (selection?.kind === 'move') dispatch(editPlan('remove a pull', (now) => removeRack(now, selection.id)));
    if (selection?.kind === 'beat') dispatch(editPlan('remove a beat', (now) => removeBeat(now, selection.id)));
    if (selection) dispatch(itemSelected(null));
  });
}

/** Runs the playhead in real time from where it stands; at the end it stops, and starts over from the beginning. */
function usePlaying(durationS: number): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const isPlaying = useAppSelector((state) => selectSession(state).isPlaying);
  const request = useRef(0);
  useEffect(() => {
    if (!isPlaying) return undefined;
    const { timeS } = selectSession(store.getState());
    const fromS = timeS >= durationS - 1e-3 ? 0 : timeS;
    const startedMs = performance.now();
    const tick = (nowMs: number) => {
      const at = fromS + Math.max(0, nowMs - startedMs) / 1000;
      dispatch(playheadMoved(Math.min(at, durationS)));
      if (at >= durationS) dispatch(playStopped());
      else request.current = requestAnimationFrame(tick);
    };
    request.current = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(request.current);
  }, [isPlaying, durationS, dispatch, store]);
}
