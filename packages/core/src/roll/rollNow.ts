import { asRolled } from './asRolled.js';
import { type FollowArrival, followArrivals } from './followArrivals.js';
import { heldOnRing, nearSign, ringOf, wheelDegOf, wheelNearerTurns } from '../kit/index.js';
import { depthOfField } from '../optics/index.js';
import { focusTrack, type FocusTrack, type TrackPull } from '../track/index.js';
import { type FocusTarget, type Pull, type ShotPlan, zoneLensAt } from '../plan/index.js';

/** A position of the ring, actual or planned. */
export interface RingFigure {
  readonly distanceMm: number;
  readonly ringDeg: number;
  /** Degrees of the wheel, or of the ring without a wheel, from its position at the farthest distance */
  readonly wheelDeg: number;
  readonly zone: { readonly nearMm: number; readonly farMm: number };
}

/** The next pull, or the one under way. */
export interface UpcomingPull {
  readonly pullId: string;
  readonly target: FocusTarget;
  readonly to: RingFigure;
  /** Seconds until its start; 0 once it has started */
  readonly startsInS: number;
  /** Seconds until its planned landing */
  readonly landsInS: number;
  readonly isUnderWay: boolean;
  readonly durationS: number;
  readonly way: 'nearer' | 'farther';
  /** Direction in which the wheel, or the ring, turns */
  readonly turns: 'clockwise' | 'anticlockwise';
  /** Wheel degrees */
  readonly travelDeg: number;
  readonly trigger: Pull['trigger'];
  readonly cue: string;
}

/** What Roll shows at a plan time. */
export interface RollState {
  readonly now: RingFigure;
  /** Target that the track holds, tracks, or has just left */
  readonly at: FocusTarget;
  /** The pull under way first, then the following ones */
  readonly upcoming: readonly UpcomingPull[];
  /** Where the subject that is followed arrives next, if that is before the next pull; null otherwise */
  readonly arrival: UpcomingArrival | null;
}

/** The next arrival of a subject that is followed. */
export interface UpcomingArrival extends FollowArrival {
  readonly to: RingFigure;
  readonly arrivesInS: number;
}

/** A plan prepared for queries at any time; the page makes sixty per second. */
export interface PreparedRoll {
  readonly track: FocusTrack;
  figuresAt(planS: number): RollState;
  /** Position of a ring angle at a plan time */
  figureOf(ringDeg: number, planS: number): RingFigure;
}

/**
 * Prepares a plan for rolling.
 *
 * @returns null if the track has no start
 */
export function prepareRoll(planned: ShotPlan): PreparedRoll | null {
  const plan = asRolled(planned);
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  if (!track) return null;
  const farDeg = ring.angleAt(ring.farthestMm);
  const figureOf = (commandDeg: number, planS: number): RingFigure => {
    const ringDeg = heldOnRing(ring, commandDeg);
    const distanceMm = ring.distanceAt(ringDeg);
    const { nearMm, farMm } = depthOfField({ ...zoneLensAt(plan.optics, planS), focusDistanceMm: distanceMm });
    return { distanceMm, ringDeg, wheelDeg: wheelDegOf(plan.wheel, Math.abs(ringDeg - farDeg)), zone: { nearMm, farMm } };
  };
  const towardsNear = nearSign(ring);
  const nearerTurns = wheelNearerTurns(plan.wheel, plan.optics.lens.nearerTurns);
  const coming = track.pulls.map((pull) => {
    const { trigger, cue } = plan.focusTrack.pulls.find(({ id }) => id === pull.pullId)!;
    const isNearer = (pull.to.ringDeg - pull.from.ringDeg) * towardsNear >= 0;
    const turns: UpcomingPull['turns'] = isNearer === (nearerTurns === 'clockwise') ? 'clockwise' : 'anticlockwise';
    return {
      move: pull,
      pullId: pull.pullId,
      target: pull.to.target,
      to: figureOf(pull.to.ringDeg, pull.endS),
      durationS: pull.endS - pull.startS,
      way: isNearer ? ('nearer' as const) : ('farther' as const),
      turns,
      travelDeg: wheelDegOf(plan.wheel, Math.abs(pull.to.ringDeg - pull.from.ringDeg)),
      trigger,
      cue,
    };
  });
  const arrivals = followArrivals(plan, track);
  const arrivalAt = (planS: number): UpcomingArrival | null => {
    const next = arrivals.find(({ timeS }) => timeS > planS);
    const pullS = track.pulls.find(({ endS }) => endS > planS)?.startS ?? Infinity;
    if (!next || pullS < next.timeS) return null;
    return { ...next, to: figureOf(track.ringDegAt(next.timeS), next.timeS), arrivesInS: next.timeS - planS };
  };
  return {
    track: track,
    figureOf,
    figuresAt: (planS) => ({
      now: figureOf(track.ringDegAt(planS), planS),
      at: lastBegun(track.pulls, planS)?.to.target ?? track.start.target,
      arrival: arrivalAt(planS),
      upcoming: coming.flatMap(({ move, ...pull }): UpcomingPull[] =>
        planS >= move.endS
          ? []
          : [
              {
                ...pull,
                startsInS: Math.max(0, move.startS - planS),
                landsInS: move.endS - planS,
                isUnderWay: planS > move.startS,
              },
            ],
      ),
    }),
  };
}

function lastBegun(pulls: readonly TrackPull[], planS: number): TrackPull | undefined {
  return pulls.findLast(({ startS }) => planS > startS);
}
