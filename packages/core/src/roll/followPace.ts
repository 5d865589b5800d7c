import { ringOf, wheelDegOf, nearSign } from '../kit/index.js';
import { methodAt, type ShotPlan } from '../plan/index.js';
import { type FocusTrack, focusTrack } from '../track/index.js';
import { asRolled } from './asRolled.js';

/** How fast the hand has to turn while it follows somebody. Wheel degrees per second, or those of the ring without a wheel. */
export interface FollowPace {
  readonly degPerS: number;
  readonly way: 'nearer' | 'farther';
  /** The fastest moment that still comes; null if it is now, or over */
  readonly fastest: { readonly degPerS: number; readonly inS: number } | null;
}

/** A tick of the pace: one each time the hand has turned by the same angle. */
export interface PaceTick {
  readonly timeS: number;
  readonly way: 'nearer' | 'farther';
  /** Pace as a share of the fastest of this follow, 0 to 1 */
  readonly share: number;
}

/** The pace of all follows of a plan. */
export interface FollowPaces {
  /** null while nothing is followed, or the hand rests */
  readonly paceAt: (planS: number) => FollowPace | null;
  readonly ticks: readonly PaceTick[];
}

/** Samples per second. */
const HZ = 50;
/** A slower hand rests. */
const REST_DEG_PER_S = 1;
/** More ticks per second are heard as a tone. */
const MAX_TICKS_PER_S = 8;
/** Least angle between two ticks. */
const MIN_TICK_DEG = 2;
/** The fastest moment is told of if it is by so much faster than now. */
const FASTER_TIMES = 1.15;

interface Follow {
  readonly fromS: number;
  readonly toS: number;
  /** Signed degrees per second by sample from `fromS`, positive towards near */
  readonly speeds: Float64Array;
  readonly peak: number;
}

/**
 * Pace of the hand in every follow of a subject or a course, from the focus track.
 *
 * @returns without ticks if nothing is followed, or the track has no start
 */
export function followPaces(planned: ShotPlan): FollowPaces {
  const plan = asRolled(planned);
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  const follows = track ? followsOf(plan, track, nearSign(ring)) : [];
  // where the camera focuses, no hand turns
  const isByHand = (planS: number) => methodAt(planned, planS) !== 'automatic';
  return {
    paceAt: (planS) => (isByHand(planS) ? paceAt(follows, planS) : null),
    ticks: follows.flatMap(ticksOf).filter(({ timeS }) => isByHand(timeS)),
  };
}

function followsOf(plan: ShotPlan, track: FocusTrack, towardsNear: number): Follow[] {
  const isStartMoving = track.start.target.kind === 'subject' || track.start.target.kind === 'course';
  const spans = [
    ...(isStartMoving ? [{ fromS: 0, toS: track.pulls[0]?.startS ?? plan.durationS }] : []),
    ...track.pulls.flatMap((pull, index) =>
      pull.isTracking ? [{ fromS: pull.endS, toS: track.pulls[index + 1]?.startS ?? plan.durationS }] : [],
    ),
  ];
  return spans.flatMap(({ fromS, toS }): Follow[] => {
    const count = Math.floor((toS - fromS) * HZ);
    if (count < 2) return [];
    const speeds = new Float64Array(count);
    for (let k = 0; k < count; k++) {
      const turned = track.ringDegAt(fromS + (k + 1) / HZ) - track.ringDegAt(fromS + k / HZ);
      speeds[k] = wheelDegOf(plan.wheel, turned * towardsNear) * HZ;
    }
    const peak = speeds.reduce((most, speed) => Math.max(most, Math.abs(speed)), 0);
    return peak < REST_DEG_PER_S ? [] : [{ fromS, toS, speeds, peak }];
  });
}

function paceAt(follows: readonly Follow[], planS: number): FollowPace | null {
  const follow = follows.find(({ fromS, toS }) => planS >= fromS && planS < toS);
  if (!follow) return null;
  const { speeds, fromS } = follow;
  const now = Math.min(Math.floor((planS - fromS) * HZ), speeds.length - 1);
  let fastest = now;
  for (let k = now; k < speeds.length; k++) if (Math.abs(speeds[k]!) > Math.abs(speeds[fastest]!)) fastest = k;
  const [degPerS, most] = [Math.abs(speeds[now]!), Math.abs(speeds[fastest]!)];
  const isFaster = most > Math.max(FASTER_TIMES * degPerS, REST_DEG_PER_S);
  if (degPerS < REST_DEG_PER_S && !isFaster) return null;
  const towards = speeds[degPerS < REST_DEG_PER_S ? fastest : now]!;
  return {
    degPerS,
    way: towards >= 0 ? 'nearer' : 'farther',
    fastest: isFaster ? { degPerS: most, inS: fromS + fastest / HZ - planS } : null,
  };
}

function ticksOf({ fromS, speeds, peak }: Follow): PaceTick[] {
  const everyDeg = Math.max(MIN_TICK_DEG, peak / MAX_TICKS_PER_S);
  const ticks: PaceTick[] = [];
  let turned = 0;
  for (const [k, speed] of speeds.entries()) {
    turned += Math.abs(speed) / HZ;
    if (turned < everyDeg) continue;
    turned -= everyDeg;
    ticks.push({ timeS: fromS + (k + 1) / HZ, way: speed >= 0 ? 'nearer' : 'farther', share: Math.abs(speed) / peak });
  }
  return ticks;
}
