import { evaluatePull, solveTrack, type SolverWay, type ShotPlan } from '@still-heron/core';
import type { TrackOffer } from './protocol';

/** Room to the edge of the zone that a follow keeps free. */
const FOLLOW_ROOM_SHARE = 0.3;

/** A track worked out in one way, with its verdict. */
export function trackOffer(plan: ShotPlan, way: SolverWay): TrackOffer | null {
  const solution = solveTrack(plan, way, { roomShare: FOLLOW_ROOM_SHARE });
  const verdict = solution && evaluatePull(solution.plan);
  if (!solution || verdict?.status !== 'judged') return null;
  const { sharpFrames, requiredFrames, captureFps, outcome, fastest, beats } = verdict;
  return {
    solution,
    outcome,
    sharpS: sharpFrames / captureFps,
    requiredS: requiredFrames / captureFps,
    isWhole: sharpFrames === requiredFrames && beats.every(({ kept }) => kept),
    fastestDegPerS: fastest.maxHandDegPerS,
  };
}
