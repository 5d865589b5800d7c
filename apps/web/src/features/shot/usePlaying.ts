import type { ShotPlan } from '@still-heron/core';
import { useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { playheadMoved, playStopped, playToggled, selectSession } from './sessionSlice';

/** Keys for playing: Space plays and stops, comma and full stop step a frame. The same on every step with a playhead. */
export function usePlayKeys({ captureFps, durationS }: Pick<ShotPlan, 'captureFps' | 'durationS'>): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const step = (frames: number) => () => {
    const { timeS } = selectSession(store.getState());
    const frame = Math.round(timeS * captureFps) + frames;
    dispatch(playStopped());
    dispatch(playheadMoved(Math.min(Math.max(frame / captureFps, 0), durationS)));
  };
  useKeys('space', () => dispatch(playToggled()), {
    preventDefault: true,
    ignoreEventWhen: ({ target }) => target instanceof HTMLButtonElement,
  });
  useKeys(',', step(-1), { useKey: true });
  useKeys('.', step(1), { useKey: true });
}

/** Moves the playhead in real time. It stops at the end, and starts again from the beginning. */
export function usePlaying(durationS: number): void {
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
