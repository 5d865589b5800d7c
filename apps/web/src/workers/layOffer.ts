import { evaluatePull, solveTrack, type SolverWay, type ShotPlan } from '@still-heron/core';
import type { LayOffer } from './protocol';

/** Room to the edge of the zone that a follow keeps free. */
const ROOM_KEPT = 0.3;

/** A track worked out in one way, with its verdict. */
export function layOffer(plan: ShotPlan, way: SolverWay): LayOffer | null {
  const laid = solveTrack(plan, way, { roomShare: ROOM_KEPT });
  const verdict = laid && evaluatePull(laid.plan);
  if (!laid || verdict?.status !== 'judged') return null;
  const { sharpFrames, requiredFrames, captureFps, outcome, fastest, beats } = verdict;
  return {
    laid,
    outcome,
    sharpS: sharpFrames / captureFps,
    requiredS: requiredFrames / captureFps,
    isWhole: sharpFrames === requiredFrames && beats.every(({ kept }) => kept),
    fastestDegPerS: fastest.maxHandDegPerS,
  };
}
