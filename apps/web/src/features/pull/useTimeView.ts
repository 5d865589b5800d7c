import type { ShotPlan } from '@still-heron/core';
import { useCallback } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { moved, zoomed } from './timeView';
import { selectSession, viewSet } from '../shot/sessionSlice';

/** Zoom factor of a key press. */
const STEP = 1.6;

/** Visible time span with zoom and pan. + and − zoom around the playhead, F shows the whole shot. */
export function useTimeView({ durationS }: Pick<ShotPlan, 'durationS'>) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const kept = useAppSelector((state) => selectSession(state).view);
  // the shot may have become shorter
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
  // `+` separates keys in this library unless another separator is set
  useKeys('+', () => zoom(STEP), { useKey: true, ignoreModifiers: true, splitKey: '|' });
  useKeys('-', () => zoom(1 / STEP), { useKey: true });
  useKeys('f', showAll);
}
