import type { ShotPlan } from '@still-heron/core';
import { useCallback } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { moved, zoomed } from './timeView';
import { selectSession, viewSet } from '../shot/sessionSlice';

/** A press of the key draws so much larger. */
const STEP = 1.6;

/** Which stretch of the shot is shown, and how it is drawn larger, smaller and moved along; + and − do so around the playhead, F shows all. */
export function useTimeView({ durationS }: Pick<ShotPlan, 'durationS'>) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const kept = useAppSelector((state) => selectSession(state).view);
  // a shot made shorter since shows what is left
  const view = kept && kept.toS <= durationS + 1e-6 ? kept : null;
  const zoom = useCallback(
    (factor: number, aroundS?: number) => {
      const { timeS } = selectSession(store.getState());
      const now = view ?? { fromS: 0, toS: durationS };
      const centreS = aroundS ?? (timeS >= now.fromS && timeS <= now.toS ? timeS : (now.fromS + now.toS) / 2);
      dispatch(viewSet(zoomed(now, factor, centreS, durationS)));
    },
    [dispatch, store, view, durationS],
  );
  const pan = useCallback(
    (byS: number) => {
      if (view) dispatch(viewSet(moved(view, byS, durationS)));
    },
    [dispatch, view, durationS],
  );
  return { view, zoom, pan, showAll: () => dispatch(viewSet(null)) };
}

export function useTimeViewKeys(plan: ShotPlan): void {
  const { zoom, showAll } = useTimeView(plan);
  // the plus is what the library joins keys by, unless it is told another sign
  useKeys('+', () => zoom(STEP), { useKey: true, ignoreModifiers: true, splitKey: '|' });
  useKeys('-', () => zoom(1 / STEP), { useKey: true });
  useKeys('f', showAll);
}
