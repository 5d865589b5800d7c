import { nearSign, ringOf } from '../kit/index.js';
import { focusTrack, type TrackPull } from '../track/index.js';
import { landingWindow } from '../hand/index.js';
import { type ShotPlan, zoneLensAt } from '../plan/index.js';
import { type Planned, plannedSamples, sampled, type Turn, turnsOf } from './pullTurns.js';
import type { TurnFigures } from './turnFigures.js';
import { pathOf } from './turns.js';
import { isInHole, type RingTrack, trackDegAt } from './track.js';

/** How a mark was hit, or the fault at it. The first that applies, worst first. */
export const MARK_HITS = ['searched', 'overshot', 'in-front', 'behind', 'false-start', 'late', 'early', 'hit'] as const;
export type MarkHit = (typeof MARK_HITS)[number];

/** A pull as it was turned, compared with its plan. Angles in ring degrees. */
export interface PullScore extends TurnFigures {
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
  readonly peakDegPerS: number;
}

/** Smaller time errors are not reported. */
const MIN_TIME_ERROR_S = 0.15;
/** Number of reversals from which a pull counts as searching. */
const MIN_REVERSALS_SEARCHED = 3;
/** A speed below this share of the pull's mean speed is a pause. */
const PAUSE_SHARE = 0.05;
/**
 * Compares every pull of a plan with the track of a take: start, landing, error, overshoot, reversals, smoothness and speed. The track is
 * smoothed first. A pull is examined from the halfway point of the pull before it up to where the ring leaves for the next one.
 *
 * @returns no score for pulls after the end of the take, or across a hole in its data; empty if the track has no start
 */
export function scorePulls(plan: ShotPlan, track: RingTrack): PullScore[] {
  const ring = ringOf(plan.optics.lens);
  const line = focusTrack(plan, ring);
  if (!line) return [];
  const endS = (track.ringDeg.length - 1) / track.hz;
  const reached = line.pulls.filter(({ startS }) => startS < endS);
  const asPlanned: Planned = { plan, line, pulls: reached };
  const { hz } = track;
  const taken = turnsOf(asPlanned, {
    hz,
    degs: sampled((timeS) => trackDegAt(track, timeS), hz, Math.min(endS, plan.durationS)),
  });
  // the start of a gentle pull is visible only a little later, also in the plan: both are detected the same way
  const planned = turnsOf(asPlanned, plannedSamples(plan, line, hz));
  const towardsNear = nearSign(ring);
  return reached.flatMap((pull, index): PullScore[] => {
    const toDeg = pull.to.ringDeg;
    const { nearSideDeg, farSideDeg } = landingWindow(zoneLensAt(plan.optics, pull.endS), ring, pull.to.distanceMm);
    const window = { lowDeg: toDeg + Math.min(nearSideDeg, farSideDeg), highDeg: toDeg + Math.max(nearSideDeg, farSideDeg) };
    const turn = turnOf(taken[index]!, pull, window);
    if (isInHole(track, turn.fromS, turn.untilS)) return [];
    const plannedStartS = turnOf(planned[index]!, pull, window).startS ?? pull.startS;
    const startsLateS = turn.startS === null ? null : turn.startS - plannedStartS;
    const landsLateS = turn.landS === null ? null : turn.landS - pull.endS;
    const { isFalseStart, isOver, reversals, startS, landS } = turn;
    const isNearer = turn.endErrorDeg * towardsNear > 0;
    return [
      {
        pullId: pull.pullId,
        hit: hitOf({ landS, startsLateS, landsLateS, isNearer, isOver, isFalseStart, reversals }),
        startS,
        landS,
        startsLateS,
        landsLateS,
        endErrorDeg: turn.endErrorDeg * towardsNear,
        travelDeg: turn.travelDeg,
        plannedDeg: Math.abs(toDeg - pull.from.ringDeg),
        overshootDeg: turn.overshootDeg,
        isPastZone: isOver,
        reversals,
        smoothness: turn.smoothness,
        settlingS: turn.settlingS,
        peakDegPerS: turn.peakDegPerS,
      },
    ];
  });
}

/** Landing window of a mark in ring degrees. */
interface Window {
  readonly lowDeg: number;
  readonly highDeg: number;
}

function turnOf({ samples: { hz, degs }, departure, from, until, restDeg }: Turn, pull: TrackPull, window: Window) {
  const targetDeg = pull.to.ringDeg;
  const direction = Math.sign(targetDeg - pull.from.ringDeg);
  const travelDeg = Math.abs(targetDeg - pull.from.ringDeg);
  const isIn = (deg: number) => deg >= window.lowDeg - 1e-9 && deg <= window.highDeg + 1e-9;
  const begins = departure?.begins ?? from;
  // it has landed at the sample after which it never leaves the window
  let lands = until + 1;
  while (lands > from && isIn(degs[lands - 1]!)) lands--;
  const end = Math.min(Math.max(lands, begins + 1), until);
  let reaches = begins;
  while (reaches < lands && !isIn(degs[reaches]!)) reaches++;
  const shape = shapeOf(
    degs.subarray(begins, until + 1),
    end - begins,
    restDeg,
    PAUSE_SHARE * (travelDeg / Math.max(end - begins, 1)),
  );
  let overshootDeg = 0;
  for (let k = departure?.halfway ?? begins; k <= until; k++)
    overshootDeg = Math.max(overshootDeg, direction * (degs[k]! - targetDeg));
  return {
    fromS: begins / hz,
    untilS: end / hz,
    startS: departure ? begins / hz : null,
    landS: lands > until ? null : lands / hz,
    endErrorDeg: degs[until]! - targetDeg,
    isOver: direction !== 0 && !isIn(targetDeg + direction * overshootDeg),
    isFalseStart: departure?.isFalseStart ?? false,
    overshootDeg,
    travelDeg: pathOf(degs.subarray(departure?.restsUntil ?? begins, until + 1), restDeg).travelDeg,
    settlingS: lands > until ? null : Math.max(lands - reaches, 0) / hz,
    reversals: shape.reversals,
    smoothness: shape.smoothness,
    peakDegPerS: shape.peakDeg * hz,
  };
}

/**
 * Shape of a turn: reversals, smoothness, and the largest step between two samples.
 *
 * @param degs - from its start
 * @param landsAt - sample of its landing; path and pauses count up to there
 */
function shapeOf(degs: Float64Array, landsAt: number, restDeg: number, pauseDeg: number) {
  let [path, paused, peakDeg] = [0, 0, 0];
  for (let k = 1; k < degs.length; k++) {
    const by = Math.abs(degs[k]! - degs[k - 1]!);
    peakDeg = Math.max(peakDeg, by);
    if (k <= landsAt) {
      path += by;
      if (by < pauseDeg) paused++;
    }
  }
  const direct = Math.abs(degs[Math.min(landsAt, degs.length - 1)]! - degs[0]!);
  const smoothness = path < restDeg / 10 ? 1 : (direct / path) * (1 - paused / Math.max(landsAt, 1));
  return { reversals: pathOf(degs, restDeg).reversals, smoothness, peakDeg };
}

interface TurnFaults {
  readonly landS: number | null;
  readonly startsLateS: number | null;
  readonly landsLateS: number | null;
  readonly isNearer: boolean;
  readonly isOver: boolean;
  readonly isFalseStart: boolean;
  readonly reversals: number;
}

function hitOf({ landS, startsLateS, landsLateS, isNearer, isOver, isFalseStart, reversals }: TurnFaults): MarkHit {
  if (reversals >= MIN_REVERSALS_SEARCHED) return 'searched';
  if (isOver && landS !== null) return 'overshot';
  // a ring set too near puts the focus in front of the subject
  if (landS === null) return isNearer ? 'in-front' : 'behind';
  if (isFalseStart) return 'false-start';
  if ((landsLateS ?? 0) > MIN_TIME_ERROR_S || (startsLateS ?? 0) > MIN_TIME_ERROR_S) return 'late';
  return (startsLateS ?? 0) < -MIN_TIME_ERROR_S ? 'early' : 'hit';
}
