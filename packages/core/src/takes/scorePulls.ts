import { nearSign, ringOf } from '../kit/index.js';
import { focusTrack } from '../track/index.js';
import { landingWindow } from '../hand/index.js';
import { pullEndS, type ShotPlan, zoneLensAt } from '../plan/index.js';
import { type RingTrack, trackDegAt } from './track.js';

/** How a mark was hit, or the fault at it. The first that applies, worst first. */
export const MARK_HITS = ['searched', 'overshot', 'in-front', 'behind', 'late', 'early', 'hit'] as const;
export type MarkHit = (typeof MARK_HITS)[number];

/** A pull as it was turned, compared with its plan. Angles in ring degrees. */
export interface PullScore {
  readonly pullId: string;
  readonly hit: MarkHit;
  /** Start of the turn, and time from which the ring stays in the window; null if there is none */
  readonly startS: number | null;
  readonly landS: number | null;
  /** Lateness, negative if early; null as above */
  readonly startsLateS: number | null;
  readonly landsLateS: number | null;
  /** Final angle minus target angle; positive towards near */
  readonly endErrorDeg: number;
  /** Largest overshoot beyond the target */
  readonly overshootDeg: number;
  /** Number of changes of direction */
  readonly reversals: number;
  /** 1 for one continuous turn in one direction; less for detours and pauses */
  readonly smoothness: number;
  readonly peakDegPerS: number;
}

/** A turn below this angle, or below this share of the pull, counts as rest. */
const REST_DEG = 0.5;
const RESTING_SHARE = 0.02;
/** A ring that has not turned for this long is at rest. */
const REST_S = 0.1;
/** Smaller time errors are not reported. */
const MIN_TIME_ERROR_S = 0.15;
/** Number of reversals from which a pull counts as searching. */
const MIN_REVERSALS_SEARCHED = 3;
/** A speed below this share of the pull's mean speed is a pause. */
const PAUSE_SHARE = 0.05;
/** Sample rate for the planned track. */
const PLANNED_HZ = 120;
/** Time examined before and after the planned pull, limited by its neighbours. */
const MARGIN_S = 3;

/**
 * Compares every pull of a plan with the track of a take: start, landing, error, overshoot, reversals, smoothness and speed.
 *
 * @returns no score for pulls after the end of the take; empty if the track has no start
 */
export function scorePulls(plan: ShotPlan, track: RingTrack): PullScore[] {
  const ring = ringOf(plan.optics.lens);
  const line = focusTrack(plan, ring);
  if (!line) return [];
  const towardsNear = nearSign(ring);
  const endS = (track.ringDeg.length - 1) / track.hz;
  const reached = line.pulls.filter(({ startS }) => startS < endS);
  return reached.map((pull, index): PullScore => {
    const before = plan.focusTrack.pulls[index - 1];
    const after = plan.focusTrack.pulls[index + 1];
    const fromS = Math.max(pull.startS - MARGIN_S, before ? pullEndS(before) : 0);
    const toS = Math.min(pull.endS + MARGIN_S, after ? after.startS : plan.durationS);
    const targetDeg = pull.to.ringDeg;
    const { nearSideDeg, farSideDeg } = landingWindow(zoneLensAt(plan.optics, pull.endS), ring, pull.to.distanceMm);
    const aim: Aim = {
      startS: pull.startS,
      direction: Math.sign(targetDeg - pull.from.ringDeg),
      travelDeg: Math.abs(targetDeg - pull.from.ringDeg),
      lowDeg: targetDeg + Math.min(nearSideDeg, farSideDeg),
      highDeg: targetDeg + Math.max(nearSideDeg, farSideDeg),
    };
    const wasTracking = line.pulls[index - 1]?.isTracking ?? plan.focusTrack.start?.kind === 'subject';
    // while tracking, target and start move with the subject: the hand is compared with that
    const trackingOffsetDeg = (timeS: number) => {
      if (timeS > pull.endS && pull.isTracking) return line.ringDegAt(timeS) - targetDeg;
      return timeS < pull.startS && wasTracking ? line.ringDegAt(timeS) - pull.from.ringDeg : 0;
    };
    const turnBy = (degAt: (timeS: number) => number, hz: number) => {
      const samples = samplesOf((timeS) => degAt(timeS) - trackingOffsetDeg(timeS), hz, fromS, toS);
      return turnOf(samples, targetDeg, aim);
    };
    const turn = turnBy((timeS) => trackDegAt(track, timeS), track.hz);
    // the start of a gentle pull is visible only a little later, also in the plan: both are detected the same way
    const planned = turnBy(line.ringDegAt, PLANNED_HZ);
    const startsLateS = turn.startS === null ? null : turn.startS - (planned.startS ?? pull.startS);
    const landsLateS = turn.landS === null ? null : turn.landS - pull.endS;
    return {
      pullId: pull.pullId,
      hit: hitOf({ ...turn, startsLateS, landsLateS, isNearer: turn.endErrorDeg * towardsNear > 0 }),
      startS: turn.startS,
      landS: turn.landS,
      startsLateS,
      landsLateS,
      endErrorDeg: turn.endErrorDeg * towardsNear,
      overshootDeg: turn.overshootDeg,
      reversals: turn.reversals,
      smoothness: turn.smoothness,
      peakDegPerS: turn.peakDegPerS,
    };
  });
}

interface Samples {
  readonly fromS: number;
  readonly stepS: number;
  readonly degs: Float64Array;
}

function samplesOf(degAt: (timeS: number) => number, hz: number, fromS: number, toS: number): Samples {
  const stepS = 1 / hz;
  const count = Math.max(2, Math.floor((toS - fromS) / stepS + 1e-9) + 1);
  return { fromS, stepS, degs: Float64Array.from({ length: count }, (_, k) => degAt(fromS + k * stepS)) };
}

interface Aim {
  /** 1 or -1; 0 for a pull without travel */
  readonly direction: number;
  readonly travelDeg: number;
  /** Planned start of the pull */
  readonly startS: number;
  /** Landing window */
  readonly lowDeg: number;
  readonly highDeg: number;
}

function turnOf({ fromS, stepS, degs }: Samples, targetDeg: number, { startS, direction, travelDeg, lowDeg, highDeg }: Aim) {
  const restDeg = Math.max(REST_DEG, RESTING_SHARE * travelDeg);
  const isIn = (deg: number) => deg >= lowDeg - 1e-9 && deg <= highDeg + 1e-9;
  const restsAt = firstRest(degs, Math.round(REST_S / stepS), restDeg, Math.round((startS - fromS) / stepS));
  const begins = degs.findIndex((deg, k) => k > restsAt && Math.abs(deg - degs[restsAt]!) > restDeg);
  // it has landed at the sample after which it never leaves the window
  let lands = degs.length;
  while (lands > 0 && isIn(degs[lands - 1]!)) lands--;
  const from = Math.max(begins, 0);
  const until = Math.min(Math.max(lands, from + 1), degs.length - 1);
  let [path, paused, peak, overshootDeg, reversals] = [0, 0, 0, 0, 0];
  let [turning, turnedAt] = [0, degs[from]!];
  const pauseDeg = PAUSE_SHARE * (travelDeg / Math.max(until - from, 1));
  for (let k = from + 1; k < degs.length; k++) {
    const by = degs[k]! - degs[k - 1]!;
    peak = Math.max(peak, Math.abs(by) / stepS);
    overshootDeg = Math.max(overshootDeg, direction * (degs[k]! - targetDeg));
    if (k <= until) {
      path += Math.abs(by);
      if (Math.abs(by) < pauseDeg) paused++;
    }
    // a reversal counts only if it is larger than a resting hand's movement
    if (Math.abs(degs[k]! - turnedAt) < restDeg) continue;
    const way = Math.sign(degs[k]! - turnedAt);
    if (turning !== 0 && way !== turning) reversals++;
    turning = way;
    turnedAt = degs[k]!;
  }
  const endDeg = degs[degs.length - 1]!;
  const direct = Math.abs(degs[until]! - degs[from]!);
  const smoothness = path === 0 ? 1 : (direct / path) * (1 - paused / Math.max(until - from, 1));
  return {
    startS: begins < 0 ? null : fromS + begins * stepS,
    landS: lands >= degs.length ? null : fromS + lands * stepS,
    endErrorDeg: endDeg - targetDeg,
    isOver: direction !== 0 && !isIn(targetDeg + direction * overshootDeg),
    overshootDeg,
    reversals,
    smoothness,
    peakDegPerS: peak,
  };
}

/**
 * Time from which the ring is at rest after the previous pull, which may have landed late; at most the planned start of this
 * one.
 */
function firstRest(degs: Float64Array, samples: number, restDeg: number, latest: number): number {
  const last = Math.min(Math.max(latest, 0), degs.length - 1);
  for (let k = 0; k < last; k++) {
    const until = Math.min(k + samples, degs.length - 1);
    if (Math.abs(degs[until]! - degs[k]!) < restDeg / 4) return k;
  }
  return last;
}

interface MotorCommand {
  readonly landS: number | null;
  readonly startsLateS: number | null;
  readonly landsLateS: number | null;
  readonly isNearer: boolean;
  readonly isOver: boolean;
  readonly reversals: number;
}

function hitOf({ landS, startsLateS, landsLateS, isNearer, isOver, reversals }: MotorCommand): MarkHit {
  if (reversals >= MIN_REVERSALS_SEARCHED) return 'searched';
  if (isOver && landS !== null) return 'overshot';
  // a ring set too near puts the focus in front of the subject
  if (landS === null) return isNearer ? 'in-front' : 'behind';
  if ((landsLateS ?? 0) > MIN_TIME_ERROR_S || (startsLateS ?? 0) > MIN_TIME_ERROR_S) return 'late';
  return (startsLateS ?? 0) < -MIN_TIME_ERROR_S ? 'early' : 'hit';
}
