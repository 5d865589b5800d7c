import { ringOf, withinReach } from '../../kit/index.js';
import { targetMm } from '../focusLine.js';
import { landingWindow } from '../landingWindow.js';
import { leastMoveS } from '../moveNeed.js';
import { zoneLensAt } from '../opticsTrack.js';
import { PLAN_LIMITS } from '../planLimits.js';
import { type Beat, beatsNow, type LineTarget, PLAIN_BEAT, PLAIN_MOVE, type Rack, rackEndS, type ShotPlan } from '../shotPlan.js';
import { clamp, nextId, withItem, without } from './ids.js';

/** Time available for a pull between its neighbours and the ends of the shot. */
export interface RackRoom {
  readonly earliestStartS: number;
  readonly latestEndS: number;
}

/** Duration of a new pull over the hand's minimum time. */
const COMFORT = 1.5;

/** @returns the whole shot if the pull is not in the plan */
export function rackRoom(plan: ShotPlan, moveId: string): RackRoom {
  const { moves } = plan.line;
  const at = moves.findIndex(({ id }) => id === moveId);
  const before = moves[at - 1];
  const after = at < 0 ? undefined : moves[at + 1];
  return { earliestStartS: before ? rackEndS(before) : 0, latestEndS: after ? after.startS : plan.durationS };
}

/**
 * Adds a pull to a mark at or after a time, with a comfortable duration. The mark's subject must be sharp from the landing on.
 * A subject that had to be sharp across the start of the pull must be sharp only until then. Other beats stay as they are.
 *
 * @returns the same plan if there is no room from `atS` on, or if the track has no start
 */
export function addRack(plan: ShotPlan, markId: string, atS: number): ShotPlan {
  const added = addRackTo(plan, { kind: 'mark', markId }, atS);
  return added === plan
    ? plan
    : withBeatsFor(
        added,
        added.line.moves.find((move) => !plan.line.moves.includes(move))!,
      );
}

/**
 * Adds a pull to a target at or after a time. Beats stay as they are.
 *
 * @param durationS - by default what a hand needs comfortably; limited by the room
 * @returns the same plan if there is no room from `atS` on, or if the track has no start
 */
export function addRackTo(plan: ShotPlan, target: LineTarget, atS: number, lastsS?: number): ShotPlan {
  const gap = plan.line.start === null || plan.line.moves.length >= PLAN_LIMITS.moves.max ? null : freeGap(plan, atS);
  if (!gap) return plan;
  const { fromS, toS, before } = gap;
  const durationS = Math.min(lastsS ?? comfortableS(plan, before, target, fromS), toS - fromS);
  const id = nextId('rack', plan.line.moves);
  const rack: Rack = { ...PLAIN_MOVE, id, startS: fromS, durationS, target };
  return { ...plan, line: { ...plan.line, moves: [...plan.line.moves, rack].sort((a, b) => a.startS - b.startS) } };
}

/** Start time that `addPull` would use, at or after a time; null if there is no room. */
export function rackStartFrom(plan: ShotPlan, atS: number): number | null {
  return plan.line.start === null ? null : (freeGap(plan, atS)?.fromS ?? null);
}

/**
 * Changes the times or the target of a pull. It can't overlap its neighbours or leave the shot: a moved pull stops there, a
 * stretched one ends there.
 */
export function changeRack(
  plan: ShotPlan,
  id: string,
  changes: Partial<Pick<Rack, 'startS' | 'durationS' | 'easing' | 'target' | 'cueKind' | 'cue' | 'cueLeadS' | 'cueSigmaS'>>,
): ShotPlan {
  const { earliestStartS, latestEndS } = rackRoom(plan, id);
  const shortestS = PLAN_LIMITS.rackS.min;
  const moves = withItem(plan.line.moves, id, (rack) => {
    const wantedS = clamp(changes.durationS ?? rack.durationS, shortestS, latestEndS - earliestStartS);
    const isStretched = changes.durationS !== undefined;
    const latestStartS = latestEndS - (isStretched && changes.startS === undefined ? shortestS : wantedS);
    const startS = clamp(changes.startS ?? rack.startS, earliestStartS, latestStartS);
    // rounding may leave the duration slightly below the minimum
    return { ...rack, ...changes, startS, durationS: Math.max(Math.min(wantedS, latestEndS - startS), shortestS) };
  });
  return { ...plan, line: { ...plan.line, moves } };
}

/** Moves one end of a pull; the other end stays. */
export function dragRackEdge(plan: ShotPlan, id: string, edge: 'start' | 'end', timeS: number): ShotPlan {
  const rack = plan.line.moves.find((move) => move.id === id);
  if (!rack) return plan;
  const { earliestStartS, latestEndS } = rackRoom(plan, id);
  const shortestS = PLAN_LIMITS.rackS.min;
  const endS = rackEndS(rack);
  if (edge === 'end') return changeRack(plan, id, { durationS: clamp(timeS, rack.startS + shortestS, latestEndS) - rack.startS });
  const startS = clamp(timeS, earliestStartS, endS - shortestS);
  return changeRack(plan, id, { startS, durationS: endS - startS });
}

export function removeRack(plan: ShotPlan, id: string): ShotPlan {
  return { ...plan, line: { ...plan.line, moves: without(plan.line.moves, id) } };
}

export function setLineStart(plan: ShotPlan, start: LineTarget): ShotPlan {
  return { ...plan, line: { ...plan.line, start } };
}

/** First gap between pulls, at or after a time, that fits the shortest pull, and the target held before it. */
function freeGap(plan: ShotPlan, atS: number): { fromS: number; toS: number; before: LineTarget } | null {
  let before = plan.line.start!;
  let freeFromS = 0;
  for (const next of [...plan.line.moves, null]) {
    const fromS = Math.max(atS, freeFromS);
    const toS = next ? next.startS : plan.durationS;
    if (toS - fromS >= 2 * PLAN_LIMITS.rackS.min) return { fromS, toS, before };
    if (next) {
      freeFromS = rackEndS(next);
      before = next.target;
    }
  }
  return null;
}

function comfortableS(plan: ShotPlan, from: LineTarget, to: LineTarget, atS: number): number {
  const ring = ringOf(plan.optics.lens);
  const mmOf = (target: LineTarget) => withinReach(ring, targetMm(plan, ring, target, atS));
  const angle = (target: LineTarget) => ring.angleAt(mmOf(target));
  const window = landingWindow(zoneLensAt(plan.optics, atS), ring, mmOf(to));
  // a pull without travel still takes the hand's reaction time
  const needS = Math.max(leastMoveS(plan, Math.abs(angle(to) - angle(from)), window.widthDeg), plan.hand.reactionS);
  // in tenths of a second
  return Math.ceil(needS * COMFORT * 10) / 10;
}

function withBeatsFor(plan: ShotPlan, rack: Rack): ShotPlan {
  const { target } = rack;
  const subjectId = target.kind === 'mark' ? plan.marks.find((mark) => mark.id === target.markId)?.subjectId : null;
  const now = beatsNow(plan);
  if (!subjectId || now.some((beat) => beat.subjectId === subjectId && beat.toS > rackEndS(rack))) return plan;
  const nextMove = plan.line.moves[plan.line.moves.indexOf(rack) + 1];
  const added: Beat = {
    id: nextId('beat', plan.beats),
    subjectId,
    fromS: rackEndS(rack),
    toS: nextMove?.startS ?? plan.durationS,
    ...PLAIN_BEAT,
    alternate: plan.alternates?.shown ?? null,
  };
  // a beat that belongs to both alternates is not shortened by a pull in one of them
  const isCut = (beat: Beat) =>
    now.includes(beat) &&
    beat.kind === 'sharp' &&
    beat.alternate === added.alternate &&
    beat.fromS < rack.startS &&
    beat.toS > rack.startS;
  const trimmed = plan.beats.map((beat) =>
    isCut(beat) ? { ...beat, toS: rack.startS, keyS: beat.keyS === null ? null : Math.min(beat.keyS, rack.startS) } : beat,
  );
  return { ...plan, beats: added.toS > added.fromS ? [...trimmed, added] : trimmed };
}
