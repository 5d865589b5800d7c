import { type RollCue, rollCues, type ShotPlan } from '@still-heron/core';
import { useEffect, useMemo, useRef } from 'react';
import type { RollOptions } from '../../shared/rollOptions';
import { useAppSelector } from '../../shared/store/hooks';
import { selectSession } from '../shot/sessionSlice';
import { cueSounds, type CueSounds } from './cueSounds';
import { signalCue } from './signalCue';

/** How far ahead a cue is handed over: longer than the steps of the clock. */
const AHEAD_S = 0.15;

/** Cues of the plan while the action is rehearsed by taps: the clock of the rehearsal gives them. */
export function useRehearsalCues(plan: ShotPlan, options: RollOptions): void {
  const cues = useMemo(() => rollCues(plan), [plan]);
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  const sounds = useRef<CueSounds | null>(null);
  const before = useRef<{ timeS: number; readonly told: Set<RollCue> }>({ timeS, told: new Set() });
  useEffect(() => {
    const { current } = before;
    // a run begins again, or somebody looks elsewhere in the shot
    if (timeS < current.timeS) current.told.clear();
    const isRunning = timeS > current.timeS && timeS - current.timeS < 1;
    current.timeS = timeS;
    if (!isRunning) return;
    if (options.hasSound) sounds.current ??= cueSounds();
    for (const cue of cues) {
      if (current.told.has(cue) || cue.timeS < timeS || cue.timeS > timeS + AHEAD_S) continue;
      current.told.add(cue);
      signalCue(cue, cue.timeS - timeS, options, sounds.current);
    }
  }, [timeS, cues, options]);
  useEffect(
    () => () => {
      sounds.current?.close();
      sounds.current = null;
    },
    [],
  );
}
