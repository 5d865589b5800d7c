import { focusLine } from '../focusLine.js';
import type { ShotPlan } from '../shotPlan.js';
import type { Tube } from '../tube.js';
import { changeTime, type ChangeTime } from './changeTime.js';
import { type Turning, turnS } from './holds.js';

/**
 * The racks of a plan, each at the time at which it loses the fewest frames, between the ones before and after it. One that goes on with someone, or along a course, stays as it is.
 *
 * @returns null for a line without racks
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
  line.moves.forEach(({ moveId, endS, from, to, goesOn }, index) => {
    const leavesMoving = from.target.kind === 'subject' || from.target.kind === 'course';
    if (goesOn || leavesMoving) return;
    const before = moves[index - 1];
    const next = line.moves[index + 1];
    const change = {
      fromDeg: from.ringDeg,
      toDeg: to.ringDeg,
      easing: moves[index]!.easing,
      needS: turnS(turning, from.ringDeg, to.ringDeg, Math.floor(endS * plan.captureFps)) * (1 + 1e-9),
      earliestS: before ? before.startS + before.durationS : 0,
      latestEndS: next ? next.startS : plan.durationS,
    };
    const time = changeTime(tube, plan.captureFps, change);
    moves[index] = { ...moves[index]!, startS: time.startS, durationS: time.durationS };
    timings.push({ ...time, moveId });
  });
  return { plan: { ...plan, line: { ...plan.line, moves } }, timings };
}
