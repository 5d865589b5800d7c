import { ringOf, withinReach } from '../../kit/index.js';
import {
  DEFAULT_PULL,
  type FocusTarget,
  isTriggeredByEvent,
  nextId,
  PLAN_LIMITS,
  planDistances,
  type Pull,
  pullEndS,
  ringReach,
  type RingReach,
  type ShotPlan,
  targetMm,
} from '../../plan/index.js';
import { fewestHolds } from './fewestHolds.js';
import { type Tube, tubeOf } from '../tube.js';
import { retimePulls } from './retimePulls.js';
import { timeChange, type ChangeTiming } from './changeTime.js';
import { followTrack } from './followTrack.js';
import { keyFramesOf, reachableHolds, type HoldWindow, type SolverContext, turnTimeS } from './holds.js';
import { fewestLostFrames } from './fewestLostFrames.js';
import { bestFixedHold } from './bestFixedHold.js';
import { type Impossibility, findImpossible, possibleTube, reachableTube } from './tubeRoom.js';
import { maxRingDegPerS } from './maxRingSpeed.js';
import { trimmedPlans } from './trimmedPlans.js';

/**
 * How the pulls are worked out: as few holds as possible; least turn while following the action; one fixed angle; or the
 * existing pulls at better times.
 */
export const SOLVER_WAYS = ['fewest-holds', 'follow', 'fixed', 'retime'] as const;
export type SolverWay = (typeof SOLVER_WAYS)[number];

export interface TrackSolution {
  readonly way: SolverWay;
  readonly plan: ShotPlan;
  /** Number of holds, at least 1; for `follow`, number of corners */
  readonly holds: number;
  /** Reason and time at which no track meets all requirements; null if one does */
  readonly impossible: Impossibility | null;
  /** Pulls that an event set off and that the clock sets off now, because the event comes too late */
  readonly cuesGivenUp: number;
  /** By change: free range of its start time and duration. Empty for `follow` */
  readonly timings: readonly (ChangeTiming & { readonly pullId: string })[];
}

export interface SolverOptions {
  /** Share of the room between each side of the tube and its middle that `follow` keeps free, 0 to 1 */
  readonly roomShare?: number;
}

/**
 * Replaces the pulls of a plan by those that the solver works out. Marks, subjects and beats stay as they are.
 *
 * `fewest-holds`: fewest holds that keep every required frame, with changes where nothing is required; a beat of which a share is enough may
 * lose the rest at its ends. If the hand is too slow
 * for that, as few holds as possible, each change at the hand's minimum time and where it loses the fewest frames. `follow`:
 * the track with the least turn inside the tube. `fixed`: the angle that keeps the most, key moments first. `retime`: the
 * existing pulls, each at the time that loses the fewest frames. A pull to the same target keeps its cue, and never starts before it;
 * if that is too late, it goes by the clock.
 *
 * @returns null if nothing is required, if there is no pull to `retime`, or if the result has more pulls than a plan may hold
 */
export function solveTrack(plan: ShotPlan, way: SolverWay, { roomShare = 0 }: SolverOptions = {}): TrackSolution | null {
  const solution = solveBy(plan, way, roomShare);
  const onEvents = new Set(plan.focusTrack.pulls.filter(isTriggeredByEvent).map(({ id }) => id));
  const isGivenUp = (pull: Pull) => onEvents.has(pull.id) && !isTriggeredByEvent(pull);
  return solution && { ...solution, cuesGivenUp: solution.plan.focusTrack.pulls.filter(isGivenUp).length };
}

function solveBy(plan: ShotPlan, way: SolverWay, roomShare: number): Omit<TrackSolution, 'cuesGivenUp'> | null {
  const asked = tubeOf(plan);
  if (!asked.required.includes(1)) return null;
  const reach = ringReach(plan);
  const impossible = findImpossible(asked, maxRingDegPerS(plan) / plan.captureFps, plan.captureFps);
  const tube = possibleTube(asked, reach);
  if (!tube.required.includes(1)) return null;
  const turning: SolverContext = { plan, ring: ringOf(plan.optics.lens) };
  switch (way) {
    case 'follow': {
      const inReach = reachableTube(tube, reach, maxRingDegPerS(plan) / plan.captureFps);
      return { way, impossible, timings: [], ...followTrack(turning, inReach, roomShare) };
    }
    case 'fixed':
      return {
        way,
        impossible,
        ...pullsOfHolds(turning, tube, [placeOf(turning, reach, bestFixedHold(turning, tube), null)], []),
      };
    case 'fewest-holds':
      return fewestHoldsByShare(turning, reach, { tube, impossible });
    case 'retime': {
      const racked = retimePulls(turning, tube);
      return racked && { way, impossible, holds: plan.focusTrack.pulls.length + 1, ...racked };
    }
  }
}

/** Fewest holds, ignoring the speed of the hand. */
function fewestWindows(tube: Tube): HoldWindow[] {
  const { lowDeg, highDeg, required } = tube;
  return fewestHolds(tube).flatMap(({ fromFrame, toFrame }) => {
    const needed: number[] = [];
    for (let frame = fromFrame; frame < toFrame; frame++) if (required[frame]) needed.push(frame);
    if (needed.length === 0) return [];
    return {
      lowDeg: needed.reduce((low, frame) => Math.max(low, lowDeg[frame]!), -Infinity),
      highDeg: needed.reduce((high, frame) => Math.min(high, highDeg[frame]!), Infinity),
      firstNeeded: needed[0]!,
      lastNeeded: needed[needed.length - 1]!,
    };
  });
}

/** Allowed band with what is impossible in it. */
interface AskedTube {
  readonly tube: Tube;
  readonly impossible: Impossibility | null;
}

/**
 * Fewest holds for beats as they are, or, where that takes fewer holds or is impossible, without the frames that they may lose. Of equally
 * good ones the first, which keeps the most.
 */
function fewestHoldsByShare(
  turning: SolverContext,
  reach: RingReach,
  asked: AskedTube,
): Omit<TrackSolution, 'cuesGivenUp'> | null {
  const { plan } = turning;
  const tried = [asked, ...trimmedPlans(plan).flatMap((trimmed) => requiredTube(trimmed, reach) ?? [])].flatMap(
    ({ tube, impossible }) => {
      const laid = fewestHoldsInTime(turning, reach, tube);
      return laid ? [{ way: 'fewest-holds' as const, impossible, ...laid }] : [];
    },
  );
  const lost = ({ impossible, isInTime }: (typeof tried)[number]) => (impossible ? 2 : 0) + (isInTime ? 0 : 1);
  const [best] = tried.sort((a, b) => lost(a) - lost(b) || a.holds - b.holds);
  if (!best) return null;
  const { isInTime: _, ...solution } = best;
  return solution;
}

/** null if nothing is required, or nothing that is possible. */
function requiredTube(plan: ShotPlan, reach: RingReach): AskedTube | null {
  const asked = tubeOf(plan);
  const tube = possibleTube(asked, reach);
  if (!tube.required.includes(1)) return null;
  return { tube, impossible: findImpossible(asked, maxRingDegPerS(plan) / plan.captureFps, plan.captureFps) };
}

/**
 * Fewest holds that the hand reaches in time. If there are none: the fewest regardless of the hand, losing the fewest frames.
 */
function fewestHoldsInTime(
  turning: SolverContext,
  reach: RingReach,
  tube: Tube,
): (HeldTrack & { readonly isInTime: boolean }) | null {
  const { captureFps, durationS } = turning.plan;
  const windows = reachableHolds(tube, turning);
  if (windows !== null) {
    const placed: TargetOverTime[] = [];
    const spans: ChangeWindow[] = [];
    for (const [index, hold] of windows.entries()) {
      const leavesFrame = windows[index - 1]?.lastNeeded;
      const before = leavesFrame === undefined ? null : { ringDeg: placed[index - 1]!.ringDeg, leavesFrame };
      placed.push(placeOf(turning, reach, hold, before));
      if (before) spans.push({ earliestS: before.leavesFrame / captureFps, latestEndS: hold.firstNeeded / captureFps });
    }
    return placed.length - 1 > PLAN_LIMITS.moves.max ? null : { isInTime: true, ...pullsOfHolds(turning, tube, placed, spans) };
  }
  const offered = fewestWindows(tube).map((hold) => placeOf(turning, reach, hold, null));
  const places = offered.filter(({ ringDeg }, index) => offered.findIndex((other) => other.ringDeg === ringDeg) === index);
  const { first, jumps } = fewestLostFrames(
    turning,
    tube,
    places.map(({ ringDeg }) => ringDeg),
  );
  if (jumps.length > PLAN_LIMITS.moves.max) return null;
  const spans = jumps.map((_, index) => ({
    earliestS: (jumps[index - 1]?.byFrame ?? 0) / captureFps,
    latestEndS: jumps[index + 1] ? jumps[index + 1]!.fromFrame / captureFps : durationS,
  }));
  const placed = [first, ...jumps.map(({ to }) => to)].map((at) => places[at]!);
  return { isInTime: false, ...pullsOfHolds(turning, tube, placed, spans) };
}

type HeldTrack = Pick<TrackSolution, 'plan' | 'holds' | 'timings'>;

/** Time span in which a change may run. */
interface ChangeWindow {
  readonly earliestS: number;
  readonly latestEndS: number;
}

const BY_CLOCK = { trigger: 'clock', cue: '' } as const;

/** Keeps a change that just fits from failing through rounding. */
const ROUNDING_FACTOR = 1 + 1e-9;

/** Turns holds into pulls, each within its span where it costs least. */
function pullsOfHolds(
  turning: SolverContext,
  tube: Tube,
  placed: readonly TargetOverTime[],
  spans: readonly ChangeWindow[],
): HeldTrack {
  const { plan } = turning;
  const pulls: Pull[] = [];
  const timings: (ChangeTiming & { pullId: string })[] = [];
  for (const [index, span] of spans.entries()) {
    const [from, to] = [placed[index]!, placed[index + 1]!];
    const same = plan.focusTrack.pulls.find(
      (pull) => isSameTarget(pull.target, to.target) && !pulls.some(({ id }) => id === pull.id),
    );
    const before = pulls[pulls.length - 1];
    const minTimeS = turnTimeS(turning, from.ringDeg, to.ringDeg, Math.ceil(span.latestEndS * plan.captureFps)) * ROUNDING_FACTOR;
    const afterBefore = Math.max(span.earliestS, before ? pullEndS(before) : 0);
    // an event that comes too late can't set it off
    const known = same && isTriggeredByEvent(same) && same.startS + minTimeS > span.latestEndS ? { ...same, ...BY_CLOCK } : same;
    const earliestS = known && isTriggeredByEvent(known) ? Math.max(afterBefore, known.startS) : afterBefore;
    const id = known?.id ?? nextId('pull', [...plan.focusTrack.pulls, ...pulls]);
    const easing = known?.easing ?? DEFAULT_PULL.easing;
    const time = timeChange(tube, plan.captureFps, {
      fromDeg: from.ringDeg,
      toDeg: to.ringDeg,
      easing,
      minTimeS,
      ...span,
      earliestS,
    });
    pulls.push({ ...DEFAULT_PULL, ...known, id, easing, startS: time.startS, durationS: time.durationS, target: to.target });
    timings.push({ ...time, pullId: id });
  }
  return { plan: { ...plan, focusTrack: { start: placed[0]!.target, pulls } }, holds: placed.length, timings };
}

function isSameTarget(a: FocusTarget, b: FocusTarget): boolean {
  if (a.kind === 'mark') return b.kind === 'mark' && a.markId === b.markId;
  return a.kind === 'distance' && b.kind === 'distance' && a.distanceMm === b.distanceMm;
}

interface TargetOverTime {
  readonly target: FocusTarget;
  readonly ringDeg: number;
}

/**
 * Ring angle of a hold within its window: at a mark well inside it, so that it can be found again; otherwise in the middle. In
 * a wide window it stays as near to the previous angle as possible. It is always within reach of the hand.
 *
 * @param before - previous angle, and the last frame that required it
 */
function placeOf(
  turning: SolverContext,
  reach: RingReach,
  { lowDeg, highDeg, firstNeeded, lastNeeded }: HoldWindow,
  before: { readonly ringDeg: number; readonly leavesFrame: number } | null,
): TargetOverTime {
  const { plan, ring } = turning;
  const roomDeg = (highDeg - lowDeg) / 4;
  const middleDeg = (lowDeg + highDeg) / 2;
  const availableS = before ? (firstNeeded - before.leavesFrame) / plan.captureFps : Infinity;
  const gets = (deg: number) => !before || turnTimeS(turning, before.ringDeg, deg, firstNeeded) <= availableS;
  const nearestDeg = before ? Math.min(Math.max(before.ringDeg, lowDeg), highDeg) : middleDeg;
  // a key moment is worth the turn to the middle
  const hasKeyMoment = [...keyFramesOf(plan, Infinity)].some((frame) => frame >= firstNeeded && frame <= lastNeeded);
  const isWide = !hasKeyMoment && highDeg - lowDeg > (reach.highDeg - reach.lowDeg) / 3;
  const preferredDeg = isWide ? Math.min(Math.max(nearestDeg, lowDeg + roomDeg / 8), highDeg - roomDeg / 8) : middleDeg;
  const { markFocusAt } = planDistances(plan);
  const landsS = before ? firstNeeded / plan.captureFps : 0;
  const near = plan.marks
    .map(({ id }) => ({ id, deg: ring.angleAt(withinReach(ring, markFocusAt(id, landsS))) }))
    .filter(({ deg }) => Math.abs(deg - middleDeg) <= roomDeg && Math.abs(reach.nearest(deg) - deg) < 1e-9 && gets(deg))
    .sort((a, b) => Math.abs(a.deg - preferredDeg) - Math.abs(b.deg - preferredDeg))[0];
  if (near) return { target: { kind: 'mark', markId: near.id }, ringDeg: near.deg };
  const ringDeg = reach.nearest(gets(preferredDeg) ? preferredDeg : nearestDeg);
  return { target: { kind: 'distance', distanceMm: targetMm(ring.distanceAt(ringDeg)) }, ringDeg };
}
