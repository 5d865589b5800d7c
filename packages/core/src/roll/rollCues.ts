import { nearSign, ringOf } from '../kit/index.js';
import { type FocusTrack, focusTrack } from '../track/index.js';
import { followPaces } from './followPace.js';
import { followArrivals } from './followArrivals.js';
import { zoneCourse } from './zoneCourse.js';
import { asRolled } from './asRolled.js';
import type { ShotPlan } from '../plan/index.js';

/** A signal by eye, by ear or by vibration. Times are plan times. */
export interface RollCue {
  /** null for the arrival of a subject that is followed, and where the zone is entered or left */
  readonly pullId: string | null;
  readonly timeS: number;
  /** A count before a pull, its start, or its planned landing. A tick of the pace while somebody is followed. In a shot in which nobody pulls: the zone is entered or left */
  readonly kind: 'count' | 'start' | 'land' | 'enters' | 'leaves' | 'tick';
  /** For a count, the remaining counts: 3, 2, 1; else 0 */
  readonly left: number;
  /** Whether the pull goes nearer or farther; the pitch tells which */
  readonly way: 'nearer' | 'farther';
  /** A tick has its pace as a share of the fastest, 0 to 1 */
  readonly share?: number;
}

/** Number of counts before a pull, evenly spaced over its count-in. */
export const COUNT_IN_BEATS = 3;

/** All signals of a roll in order of time. Counts before the start of the shot are dropped. */
export function rollCues(planned: ShotPlan): RollCue[] {
  const plan = asRolled(planned);
  const ring = ringOf(plan.optics.lens);
  const track = focusTrack(plan, ring);
  if (!track) return [];
  const towardsNear = nearSign(ring);
  const pulls = track.pulls.flatMap(({ pullId, startS, endS, from, to }): RollCue[] => {
    const { countInS } = plan.focusTrack.pulls.find(({ id }) => id === pullId)!;
    const way = (to.ringDeg - from.ringDeg) * towardsNear >= 0 ? 'nearer' : 'farther';
    const counts = Array.from({ length: COUNT_IN_BEATS }, (_, k): RollCue => {
      const left = COUNT_IN_BEATS - k;
      return { pullId, timeS: startS - (left / COUNT_IN_BEATS) * countInS, kind: 'count', left, way };
    });
    return [
      ...counts.filter(({ timeS }) => countInS > 0 && timeS >= 0),
      { pullId, timeS: startS, kind: 'start', left: 0, way },
      { pullId, timeS: endS, kind: 'land', left: 0, way },
    ];
  });
  const ticks = followPaces(planned).ticks.map((tick): RollCue => ({ ...tick, pullId: null, kind: 'tick', left: 0 }));
  return [...pulls, ...arrivalCues(plan, track, towardsNear), ...zoneCues(plan), ...ticks].sort((a, b) => a.timeS - b.timeS);
}

/** Where nobody pulls, entering the zone sounds high and leaving it low. */
function zoneCues(plan: ShotPlan): RollCue[] {
  const changes = zoneCourse(plan)?.changes ?? [];
  return changes.map(({ timeS, enters }) => ({
    pullId: null,
    timeS,
    kind: enters ? 'enters' : 'leaves',
    left: 0,
    way: enters ? 'nearer' : 'farther',
  }));
}

/** A followed subject arrives: the same signal as a landing, by the way in which the ring was turning. */
function arrivalCues(plan: ShotPlan, track: FocusTrack, towardsNear: number): RollCue[] {
  return followArrivals(plan, track).map(({ timeS }) => {
    const turnDeg = track.ringDegAt(timeS) - track.ringDegAt(Math.max(timeS - BEFORE_S, 0));
    return { pullId: null, timeS, kind: 'land', left: 0, way: turnDeg * towardsNear >= 0 ? 'nearer' : 'farther' };
  });
}

/** Time before an arrival at which the ring still turns. */
const BEFORE_S = 0.5;
