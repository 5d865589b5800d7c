import { ringOf, withinReach } from '../../kit/index.js';
import { nextId } from '../edit/ids.js';
import { fewestHolds } from './fewestHolds.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { type RingReach, ringReach } from '../ringReach.js';
import { type LineTarget, PLAIN_MOVE, type Rack, type ShotPlan } from '../shotPlan.js';
import { type Tube, tubeOf } from '../tube.js';
import { asRacked } from './asRacked.js';
import { changeTime, type ChangeTime } from './changeTime.js';
import { followLine } from './followLine.js';
import { handHolds, type Setting, type Turning, turnS } from './holds.js';
import { leastLost } from './leastLost.js';
import { mostKept } from './mostKept.js';
import { type Impossible, impossibleIn, possibleTube, reachableTube } from './tubeRoom.js';
import { mostRingDegPerS } from './limits.js';

/**
 * How the pulls are worked out: as few holds as possible; least turn while following the action; one fixed angle; or the
 * existing pulls at better times.
 */
export const LINE_WAYS = ['fewest-holds', 'follow', 'fixed', 'as-racked'] as const;
export type LineWay = (typeof LINE_WAYS)[number];

export interface LaidLine {
  readonly way: LineWay;
  readonly plan: ShotPlan;
  /** Number of holds, at least 1; for `follow`, number of corners */
  readonly holds: number;
  /** Reason and time at which no track meets all requirements; null if one does */
  readonly impossible: Impossible | null;
  /** By change: free range of its start time and duration. Empty for `follow` */
  readonly timings: readonly (ChangeTime & { readonly moveId: string })[];
}

export interface LayOptions {
  /** Share of the room between each side of the tube and its middle that `follow` keeps free, 0 to 1 */
  readonly roomShare?: number;
}

/**
 * Works out the pulls of a plan anew. Marks, subjects and beats stay as they are.
 *
 * `fewest-holds`: fewest holds that keep every required frame, with changes where nothing is required. If the hand is too slow
 * for that, as few holds as possible, each change at the hand's minimum time and where it loses the fewest frames. `follow`:
 * the track with the least turn inside the tube. `fixed`: the angle that keeps the most, key moments first. `retime`: the
 * existing pulls, each at the time that loses the fewest frames. A pull to the same target keeps its cue.
 *
 * @returns null if nothing is required, if there is no pull to `retime`, or if the result has more pulls than a plan may hold
 */
export function layLine(plan: ShotPlan, way: LineWay, { roomShare = 0 }: LayOptions = {}): LaidLine | null {
  const asked = tubeOf(plan);
  if (!asked.required.includes(1)) return null;
  const reach = ringReach(plan);
  const impossible = impossibleIn(asked, mostRingDegPerS(plan) / plan.captureFps, plan.captureFps);
  const tube = possibleTube(asked, reach);
  if (!tube.required.includes(1)) return null;
  const turning: Turning = { plan, ring: ringOf(plan.optics.lens) };
  switch (way) {
    case 'follow': {
      const inReach = reachableTube(tube, reach, mostRingDegPerS(plan) / plan.captureFps);
      return { way, impossible, timings: [], ...followLine(turning, inReach, roomShare) };
    }
    case 'fixed':
      return { way, impossible, ...heldLine(turning, tube, [placeOf(turning, reach, mostKept(turning, tube), null)], []) };
    case 'fewest-holds': {
      const laid = fewestChanges(turning, reach, tube);
      return laid && { way, impossible, ...laid };
    }
    case 'as-racked': {
      const racked = asRacked(turning, tube);
      return racked && { way, impossible, holds: plan.line.moves.length + 1, ...racked };
    }
  }
}

/** Fewest holds, ignoring the speed of the hand. */
function fewestSettings(tube: Tube): Setting[] {
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

/**
 * Fewest holds that the hand reaches in time. If there are none: the fewest regardless of the hand, losing the fewest frames.
 */
function fewestChanges(turning: Turning, reach: RingReach, tube: Tube): Held | null {
  const { captureFps, durationS } = turning.plan;
  const settings = handHolds(tube, turning);
  if (settings !== null) {
    const placed: Placed[] = [];
    const spans: ChangeSpan[] = [];
    for (const [index, setting] of settings.entries()) {
      const leavesFrame = settings[index - 1]?.lastNeeded;
      const before = leavesFrame === undefined ? null : { ringDeg: placed[index - 1]!.ringDeg, leavesFrame };
      placed.push(placeOf(turning, reach, setting, before));
      if (before) spans.push({ earliestS: before.leavesFrame / captureFps, latestEndS: setting.firstNeeded / captureFps });
    }
    return placed.length - 1 > PLAN_LIMITS.moves.max ? null : heldLine(turning, tube, placed, spans);
  }
  const offered = fewestSettings(tube).map((setting) => placeOf(turning, reach, setting, null));
  const places = offered.filter(({ ringDeg }, index) => offered.findIndex((other) => other.ringDeg === ringDeg) === index);
  const { first, jumps } = leastLost(
    turning,
    tube,
    places.map(({ ringDeg }) => ringDeg),
  );
  if (jumps.length > PLAN_LIMITS.moves.max) return null;
  const spans = jumps.map((_, index) => ({
    earliestS: (jumps[index - 1]?.byFrame ?? 0) / captureFps,
    latestEndS: jumps[index + 1] ? jumps[index + 1]!.fromFrame / captureFps : durationS,
  }));
  return heldLine(
    turning,
    tube,
    [first, ...jumps.map(({ to }) => to)].map((at) => places[at]!),
    spans,
  );
}

type Held = Pick<LaidLine, 'plan' | 'holds' | 'timings'>;

/** Time span in which a change may run. */
interface ChangeSpan {
  readonly earliestS: number;
  readonly latestEndS: number;
}

/** Keeps a change that just fits from failing through rounding. */
const ROUNDED_UP = 1 + 1e-9;

/** Turns holds into pulls, each within its span where it costs least. */
function heldLine(turning: Turning, tube: Tube, placed: readonly Placed[], spans: readonly ChangeSpan[]): Held {
  const { plan } = turning;
  const moves: Rack[] = [];
  const timings: (ChangeTime & { moveId: string })[] = [];
  for (const [index, span] of spans.entries()) {
    const [from, to] = [placed[index]!, placed[index + 1]!];
    const before = moves[moves.length - 1];
    const known = plan.line.moves.find((move) => isSameTarget(move.target, to.target) && !moves.some(({ id }) => id === move.id));
    const id = known?.id ?? nextId('rack', [...plan.line.moves, ...moves]);
    const easing = known?.easing ?? PLAIN_MOVE.easing;
    const needS = turnS(turning, from.ringDeg, to.ringDeg, Math.ceil(span.latestEndS * plan.captureFps)) * ROUNDED_UP;
    const earliestS = Math.max(span.earliestS, before ? before.startS + before.durationS : 0);
    const time = changeTime(tube, plan.captureFps, {
      fromDeg: from.ringDeg,
      toDeg: to.ringDeg,
      easing,
      needS,
      ...span,
      earliestS,
    });
    moves.push({ ...PLAIN_MOVE, ...known, id, easing, startS: time.startS, durationS: time.durationS, target: to.target });
    timings.push({ ...time, moveId: id });
  }
  return { plan: { ...plan, line: { start: placed[0]!.target, moves } }, holds: placed.length, timings };
}

function isSameTarget(a: LineTarget, b: LineTarget): boolean {
  if (a.kind === 'mark') return b.kind === 'mark' && a.markId === b.markId;
  return a.kind === 'distance' && b.kind === 'distance' && a.distanceMm === b.distanceMm;
}

interface Placed {
  readonly target: LineTarget;
  readonly ringDeg: number;
}

/**
 * Ring angle of a hold within its window: at a mark well inside it, so that it can be found again; otherwise in the middle. In
 * a wide window it stays as near to the previous angle as possible. It is always within reach of the hand.
 *
 * @param before - previous angle, and the last frame that required it
 */
function placeOf(
  turning: Turning,
  reach: RingReach,
  { lowDeg, highDeg, firstNeeded }: Setting,
  before: { readonly ringDeg: number; readonly leavesFrame: number } | null,
): Placed {
  const { plan, ring } = turning;
  const roomDeg = (highDeg - lowDeg) / 4;
  const middleDeg = (lowDeg + highDeg) / 2;
  const availableS = before ? (firstNeeded - before.leavesFrame) / plan.captureFps : Infinity;
  const gets = (deg: number) => !before || turnS(turning, before.ringDeg, deg, firstNeeded) <= availableS;
  const nearestDeg = before ? Math.min(Math.max(before.ringDeg, lowDeg), highDeg) : middleDeg;
  const isWide = highDeg - lowDeg > (reach.highDeg - reach.lowDeg) / 3;
  const preferredDeg = isWide ? Math.min(Math.max(nearestDeg, lowDeg + roomDeg / 8), highDeg - roomDeg / 8) : middleDeg;
  const { markFocusMm } = planDistances(plan);
  const near = plan.marks
    .map(({ id }) => ({ id, deg: ring.angleAt(withinReach(ring, markFocusMm.get(id)!)) }))
    .filter(({ deg }) => Math.abs(deg - middleDeg) <= roomDeg && Math.abs(reach.nearest(deg) - deg) < 1e-9 && gets(deg))
    .sort((a, b) => Math.abs(a.deg - preferredDeg) - Math.abs(b.deg - preferredDeg))[0];
  if (near) return { target: { kind: 'mark', markId: near.id }, ringDeg: near.deg };
  const ringDeg = reach.nearest(gets(preferredDeg) ? preferredDeg : nearestDeg);
  const distanceMm = ring.distanceAt(ringDeg);
  return { target: { kind: 'distance', distanceMm: distanceMm === Infinity ? null : distanceMm }, ringDeg };
}
