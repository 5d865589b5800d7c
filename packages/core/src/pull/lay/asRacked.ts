import { ringOf } from '../../kit/index.js';
import { type FocusLine, focusLine } from '../focusLine.js';
import { ringReach } from '../ringReach.js';
import type { ShotPlan } from '../shotPlan.js';
import { type Tube, tubeOf } from '../tube.js';
import { type Change, changeTime, type ChangeTime } from './changeTime.js';
import { type Turning, turnS } from './holds.js';
import { possibleTube } from './tubeRoom.js';

/**
 * Free range of the start time and duration of one pull, with its neighbours as they are.
 *
 * @returns null if the pull starts from or leads to tracking, or if the track has no start
 */
export function rackTiming(plan: ShotPlan, moveId: string): ChangeTime | null {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  const index = line?.moves.findIndex((move) => move.moveId === moveId) ?? -1;
  if (line === null || index < 0) return null;
  const before = plan.line.moves[index - 1];
  const change = changeOf({ plan, ring }, line, index, before ? before.startS + before.durationS : 0);
  return change && changeTime(possibleTube(tubeOf(plan), ringReach(plan)), plan.captureFps, change);
}

/** The pull as a change between two holds, limited by its neighbours; null if it starts from or leads to tracking. */
function changeOf(turning: Turning, { moves }: FocusLine, index: number, earliestS: number): Change | null {
  const { plan } = turning;
  const { endS, from, to, goesOn } = moves[index]!;
  if (goesOn || from.target.kind === 'subject' || from.target.kind === 'course') return null;
  const next = moves[index + 1];
  return {
    fromDeg: from.ringDeg,
    toDeg: to.ringDeg,
    easing: plan.line.moves[index]!.easing,
    needS: turnS(turning, from.ringDeg, to.ringDeg, Math.floor(endS * plan.captureFps)) * (1 + 1e-9),
    earliestS,
    latestEndS: next ? next.startS : plan.durationS,
  };
}

/**
 * Retimes the pulls of a plan, each to the time that loses the fewest frames between its neighbours. Pulls that lead to
 * tracking stay as they are.
 *
 * @returns null for a track without pulls
 */
export function asRacked(
  turning: Turning,
  tube: Tube,
): { plan: ShotPlan; timings: readonly (ChangeTime & { readonly moveId: string })[] } | null {
  const { plan, ring } = turning;
  const line = focusLine(plan, ring);
  if (line === null || line.moves.length === 0) return null;
  const timings: (ChangeTime & { moveId: string })[] = [];
  const moves = [...plan.line.moves];
  line.moves.forEach(({ moveId }, index) => {
    const before = moves[index - 1];
    const change = changeOf(turning, line, index, before ? before.startS + before.durationS : 0);
    if (!change) return;
    const time = changeTime(tube, plan.captureFps, change);
    moves[index] = { ...moves[index]!, startS: time.startS, durationS: time.durationS };
    timings.push({ ...time, moveId });
  });
  return { plan: { ...plan, line: { ...plan.line, moves } }, timings };
}
