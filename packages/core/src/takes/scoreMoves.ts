import { nearSign, ringOf } from '../kit/index.js';
import { focusLine, landingWindow, rackEndS, type ShotPlan, zoneLensAt } from '../pull/index.js';
import { type RingTrack, trackDegAt } from './track.js';

/** How a mark was hit, or what went wrong there: the first that applies, from what spoils most. */
export const MARK_HITS = ['searched', 'overshot', 'in-front', 'behind', 'late', 'early', 'hit'] as const;
export type MarkHit = (typeof MARK_HITS)[number];

/** One pull as it was turned, against how it was planned. Angles in ring degrees. */
export interface MoveScore {
  readonly moveId: string;
  readonly hit: MarkHit;
  /** When the ring began to turn, and from when on it stayed within the window; null where it never did */
  readonly startS: number | null;
  readonly landS: number | null;
  /** Later than planned, below 0 for sooner; null as above */
  readonly startsLateS: number | null;
  readonly landsLateS: number | null;
  /** Where the ring stood in the end, off the target; towards near positive */
  readonly endErrorDeg: number;
  /** How far past the target it went, at most */
  readonly overshootDeg: number;
  /** Times it turned back */
  readonly reversals: number;
  /** 1 for a turn in one go, in one direction; less for every detour and pause */
  readonly smoothness: number;
  readonly peakDegPerS: number;
}

/** Less of a turn than this, or this share of the pull, is a hand at rest. */
const REST_DEG = 0.5;
const REST_SHARE = 0.02;
/** A ring that has not turned for so long is at rest. */
const REST_S = 0.1;
/** Sooner or later than this is worth a word. */
const TIMELY_S = 0.15;
/** Turning back so often is no correction any more, but a search. */
const SEARCHED_FROM = 3;
/** A hand that turns slower than this share of the pull's mean speed pauses. */
const PAUSE_SHARE = 0.05;
/** The plan is looked at so often. */
const PLANNED_HZ = 120;
/** Looked at this long before and after the pull as planned, as far as its neighbours leave room. */
const AROUND_S = 3;

/**
 * Holds every pull of a plan against the track of a take: when it began and landed, by how much it missed, overshot and turned back, how smooth it was and how fast.
 *
 * @returns none while the line has no start, and none of pulls the take had not come to when it ended
 */
export function scoreMoves(plan: ShotPlan, track: RingTrack): MoveScore[] {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  if (!line) return [];
  const towardsNear = nearSign(ring);
  const endS = (track.ringDeg.length - 1) / track.hz;
  const reached = line.moves.filter(({ startS }) => startS < endS);
  return reached.map((move, index): MoveScore => {
    const before = plan.line.moves[index - 1];
    const after = plan.line.moves[index + 1];
    const fromS = Math.max(move.startS - AROUND_S, before ? rackEndS(before) : 0);
    const toS = Math.min(move.endS + AROUND_S, after ? after.startS : plan.durationS);
    const targetDeg = move.to.ringDeg;
    const { nearSideDeg, farSideDeg } = landingWindow(zoneLensAt(plan.optics, move.endS), ring, move.to.distanceMm);
    const aim: Aim = {
      startS: move.startS,
      direction: Math.sign(targetDeg - move.from.ringDeg),
      travelDeg: Math.abs(targetDeg - move.from.ringDeg),
      lowDeg: targetDeg + Math.min(nearSideDeg, farSideDeg),
      highDeg: targetDeg + Math.max(nearSideDeg, farSideDeg),
    };
    const wentOn = line.moves[index - 1]?.goesOn ?? plan.line.start?.kind === 'subject';
    // a line that goes on with someone carries its target, and where it came from, along: the hand is held against that
    const carriedDeg = (timeS: number) => {
      if (timeS > move.endS && move.goesOn) return line.ringDegAt(timeS) - targetDeg;
      return timeS < move.startS && wentOn ? line.ringDegAt(timeS) - move.from.ringDeg : 0;
    };
    const turnBy = (degAt: (timeS: number) => number, hz: number) => {
      const samples = samplesOf((timeS) => degAt(timeS) - carriedDeg(timeS), hz, fromS, toS);
      return turnOf(samples, targetDeg, aim);
    };
    const turn = turnBy((timeS) => trackDegAt(track, timeS), track.hz);
    // a pull that begins gently is seen to begin a little after it does: so is the planned one
    const planned = turnBy(line.ringDegAt, PLANNED_HZ);
    const startsLateS = turn.startS === null ? null : turn.startS - (planned.startS ?? move.startS);
    const landsLateS = turn.landS === null ? null : turn.landS - move.endS;
    return {
      moveId: move.moveId,
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
  /** 1 or -1; 0 for a pull to where the ring stands */
  readonly direction: number;
  readonly travelDeg: number;
  /** When the pull is to begin */
  readonly startS: number;
  /** The landing window */
  readonly lowDeg: number;
  readonly highDeg: number;
}

function turnOf({ fromS, stepS, degs }: Samples, targetDeg: number, { startS, direction, travelDeg, lowDeg, highDeg }: Aim) {
  const restDeg = Math.max(REST_DEG, REST_SHARE * travelDeg);
  const isIn = (deg: number) => deg >= lowDeg - 1e-9 && deg <= highDeg + 1e-9;
  const restsAt = firstRest(degs, Math.round(REST_S / stepS), restDeg, Math.round((startS - fromS) / stepS));
  const begins = degs.findIndex((deg, k) => k > restsAt && Math.abs(deg - degs[restsAt]!) > restDeg);
  // it has landed from the sample on after which it never leaves the window again
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
    // a turn back counts once it is more than a hand at rest moves
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

/** From when on the ring is at rest after the pull before, which may have landed late; no later than this one is to begin. */
function firstRest(degs: Float64Array, samples: number, restDeg: number, latest: number): number {
  const last = Math.min(Math.max(latest, 0), degs.length - 1);
  for (let k = 0; k < last; k++) {
    const until = Math.min(k + samples, degs.length - 1);
    if (Math.abs(degs[until]! - degs[k]!) < restDeg / 4) return k;
  }
  return last;
}

interface Told {
  readonly landS: number | null;
  readonly startsLateS: number | null;
  readonly landsLateS: number | null;
  readonly isNearer: boolean;
  readonly isOver: boolean;
  readonly reversals: number;
}

function hitOf({ landS, startsLateS, landsLateS, isNearer, isOver, reversals }: Told): MarkHit {
  if (reversals >= SEARCHED_FROM) return 'searched';
  if (isOver && landS !== null) return 'overshot';
  // the ring set too near leaves the focus in front of whoever stands there
  if (landS === null) return isNearer ? 'in-front' : 'behind';
  if ((landsLateS ?? 0) > TIMELY_S || (startsLateS ?? 0) > TIMELY_S) return 'late';
  return (startsLateS ?? 0) < -TIMELY_S ? 'early' : 'hit';
}
