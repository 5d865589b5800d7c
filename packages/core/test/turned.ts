import { addPull, changePull, type ShotPlan } from '../src/plan/index';
import type { RingTrack } from '../src/takes/index';
import { twoPeople } from './plans';

export const HZ = 120;

/** Tam until 3 s, Ines from 4 s to 6 s, Tam again from 7 s. */
export function thereAndBack(): ShotPlan {
  const plan = changePull(twoPeople(), 'pull-1', { startS: 3, durationS: 1 });
  return changePull(addPull(plan, 'mark-1', 6), 'pull-2', { startS: 6, durationS: 1 });
}

/** What a hand turned, by time. */
export type Turned = (timeS: number) => number;

/** Out and back by an angle, half a sine. */
export const bump =
  (fromS: number, toS: number, deg: number): Turned =>
  (timeS) =>
    timeS > fromS && timeS < toS ? deg * Math.sin(((timeS - fromS) / (toS - fromS)) * Math.PI) : 0;

export const plus =
  (...all: Turned[]): Turned =>
  (timeS) =>
    all.reduce((sum, one) => sum + one(timeS), 0);

export function sampled({ durationS }: ShotPlan, turned: Turned, hz = HZ): RingTrack {
  return { hz, ringDeg: Float64Array.from({ length: durationS * hz + 1 }, (_, k) => turned(k / hz)) };
}
