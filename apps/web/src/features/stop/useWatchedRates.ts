import { ASSUMED_DISPLAY_INCHES, drawLayoutOf, type KeepRate, type ShotPlan, type Watching } from '@still-heron/core';
import { useMemo } from 'react';
import type { TrialRequest } from '../../shared/workers/simulation/trialRunner';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';

/** Keep rates of a puller who watches; those of a better picture only for a display. Each is null until known. */
export interface WatchedRates {
  readonly watched: KeepRate | null;
  readonly quicker: KeepRate | null;
  readonly larger: KeepRate | null;
}

const WATCHED_TRIALS = 2000;

/** Simulated takes of the shot as it is watched, and with a better picture. null if nothing is watched. */
export function useWatchedRates(plan: ShotPlan): WatchedRates | null {
  const asks = useMemo(() => asksOf(plan), [plan]);
  const { known } = useTrialRates(asks, asks, { takes: WATCHED_TRIALS, rank: RANKS.improvements });
  if (asks.length === 0) return null;
  const [watched = null, quicker = null, larger = null] = known?.key === asks ? known.progress.rates : [];
  return { watched, quicker, larger };
}

function asksOf(plan: ShotPlan): readonly TrialRequest[] {
  const { watching, rig } = plan;
  const order = watching.on === 'nothing' ? null : drawLayoutOf(plan);
  if (!order) return [];
  const inches = watching.displayInches ?? rig?.displayInches ?? ASSUMED_DISPLAY_INCHES;
  const better: readonly Watching[] =
    watching.on === 'display'
      ? [
          { ...watching, delayS: 0 },
          { ...watching, displayInches: 2 * inches },
        ]
      : [];
  return [watching, ...better].map((one) => ({ plan, order, without: null, watching: one }));
}
