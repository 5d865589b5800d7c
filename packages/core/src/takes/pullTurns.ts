import { wheelDegOf } from '../kit/index.js';
import type { ShotPlan } from '../plan/index.js';
import type { FocusTrack, TrackPull } from '../track/index.js';
import { smoothed } from './smoothTrack.js';
import { type Departure, departureOf, type Samples } from './turns.js';

/** A turn below this angle counts as rest: of the ring in the hand, or of the wheel. */
const REST_RING_DEG = 0.5;
const REST_WHEEL_DEG = 1.5;
/** So does a turn below this share of the pull. */
const RESTING_SHARE = 0.01;
/** Time examined before and after the planned pull. */
const MARGIN_S = 3;

/** Rest of a hand in ring degrees. */
export function restingDeg(wheel: ShotPlan['wheel']): number {
  return wheel ? REST_WHEEL_DEG / Math.abs(wheelDegOf(wheel, 1)) : REST_RING_DEG;
}

/** What a pull is compared with: while tracking, start and target move with the subject, and are taken out. */
export function pullFrame(plan: ShotPlan, line: FocusTrack, index: number) {
  const pull = line.pulls[index]!;
  const wasTracking = line.pulls[index - 1]?.isTracking ?? plan.focusTrack.start?.kind === 'subject';
  const [fromDeg, toDeg] = [pull.from.ringDeg, pull.to.ringDeg];
  const offsetDeg = (timeS: number) => {
    if (timeS > pull.endS && pull.isTracking) return line.ringDegAt(timeS) - toDeg;
    return timeS < pull.startS && wasTracking ? line.ringDegAt(timeS) - fromDeg : 0;
  };
  return { fromDeg, toDeg, offsetDeg: pull.isTracking || wasTracking ? offsetDeg : null };
}

/** One turn as it was made: the samples in the frame of its pull, and where it begins and ends. */
export interface Turn {
  readonly samples: Samples;
  readonly departure: Departure | null;
  /** Samples that belong to the turn: from the halfway point of the one before up to the rest before the next */
  readonly from: number;
  readonly until: number;
  readonly restDeg: number;
}

/** A plan with its track, and the pulls that a take reaches. */
export interface Planned {
  readonly plan: ShotPlan;
  readonly line: FocusTrack;
  readonly pulls: readonly TrackPull[];
}

/** Ring angles from time 0, at least two. */
export function sampled(degAt: (timeS: number) => number, hz: number, endS: number): Float64Array {
  const degs = new Float64Array(Math.max(2, Math.floor(endS * hz + 1e-9) + 1));
  for (let k = 0; k < degs.length; k++) degs[k] = degAt(k / hz);
  return degs;
}

/** The track of a plan, sampled like a take; takes of one plan share it. */
const knownSamples = new WeakMap<ShotPlan, Samples>();

export function plannedSamples(plan: ShotPlan, line: FocusTrack, hz: number): Samples {
  const known = knownSamples.get(plan);
  if (known?.hz === hz) return known;
  const samples = { hz, degs: sampled(line.ringDegAt, hz, plan.durationS) };
  knownSamples.set(plan, samples);
  return samples;
}

/** The samples of a turn, smoothed; while tracking without the movement of the subject. */
function smoothedFor({ hz, degs }: Samples, offsetDeg: (timeS: number) => number): Samples {
  const still = new Float64Array(degs.length);
  for (let k = 0; k < degs.length; k++) still[k] = degs[k]! - offsetDeg(k / hz);
  return { hz, degs: smoothed(still, hz) };
}

/** Finds the turn of every pull. While tracking, start and target move with the subject, and are taken out first. */
export function turnsOf({ plan, line, pulls }: Planned, raw: Samples): Turn[] {
  const { hz } = raw;
  const count = raw.degs.length;
  const shared: Samples = { hz, degs: smoothed(raw.degs, hz) };
  let after = 0;
  const found = pulls.map((pull, index) => {
    const { fromDeg, toDeg, offsetDeg } = pullFrame(plan, line, index);
    const samples = offsetDeg ? smoothedFor(raw, offsetDeg) : shared;
    const { startS } = pull;
    const restDeg = Math.max(restingDeg(plan.wheel), RESTING_SHARE * Math.abs(toDeg - fromDeg));
    const turn = { fromDeg, toDeg, startS, endS: pull.endS };
    const departure = departureOf(samples, turn, { after, restDeg, latestS: pull.endS + MARGIN_S });
    const from = Math.max(after, departure ? 0 : Math.round((startS - MARGIN_S) * hz));
    after = departure?.halfway ?? Math.max(after, Math.round(startS * hz));
    return { samples, departure, from, restDeg, startsAt: Math.round(startS * hz) };
  });
  return found.map(({ startsAt: _, ...turn }, index) => {
    const next = found[index + 1];
    const latest = Math.round((pulls[index]!.endS + MARGIN_S) * hz);
    const until = Math.min(next ? (next.departure?.restsUntil ?? next.startsAt) : latest, count - 1);
    return { ...turn, until: Math.max(until, turn.departure?.halfway ?? 0) };
  });
}
