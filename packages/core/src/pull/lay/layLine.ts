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

/** How a line is laid: changed as seldom as possible; as still as the action allows; not at all; or by the racks that are there, well timed. */
export const LINE_WAYS = ['fewest-holds', 'follow', 'fixed', 'as-racked'] as const;
export type LineWay = (typeof LINE_WAYS)[number];

export interface LaidLine {
  readonly way: LineWay;
  readonly plan: ShotPlan;
  /** Settings of the ring that are held, from one on; corners of a line that follows */
  readonly holds: number;
  /** Why, and from when, no line at all keeps what is asked; null where one does */
  readonly impossible: Impossible | null;
  /** Of each change: when it may start and how long it may last; none of a line that follows */
  readonly timings: readonly (ChangeTime & { readonly moveId: string })[];
}

export interface LayOptions {
  /** How much of the room between each side of the tube and its middle a line that follows keeps free, 0 to 1 */
  readonly roomShare?: number;
}

/**
 * Lays the focus line anew, in place of the one there is; marks, people and what is asked of them stay as they are.
 *
 * `fewest-holds`: as few settings as keep every frame that must be kept, changed where nothing is asked for as long as a hand needs; where there is no such line, as few as there can be, each change as fast
 * as the hand can and so that the fewest frames go soft. `follow`: the stillest line inside the tube. `fixed`: the one setting that keeps the most, the key moments first. `as-racked`: the pulls there are,
 * each when it loses the fewest frames. A pull to where one went before keeps its cue, and what is known of it.
 *
 * @returns null while nothing is asked, there is no rack for `as-racked`, or the changes are more than a plan holds
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

/** The fewest settings whatever the hand can do. */
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

/** The fewest settings that a hand gets to in time; where there are none, of the fewest whatever the hand can do those that lose the fewest frames. */
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

/** When a change may be under way. */
interface ChangeSpan {
  readonly earliestS: number;
  readonly latestEndS: number;
}

/** What a hand can just do is not to be lost in the last digit of a difference of times. */
const ROUNDED_UP = 1 + 1e-9;

/** Makes pulls of settings, each changed within its span when it costs the least. */
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
 * Where the ring is set within a setting's room: at a mark that lies well within it, so that it can be found again; else in the middle, or of a wide room as near as may be to where the ring stood;
 * and always so near that the hand gets there.
 *
 * @param before - where it stood, and the last frame it was needed there
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
