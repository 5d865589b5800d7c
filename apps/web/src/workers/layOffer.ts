import { evaluatePull, layLine, type LineWay, type ShotPlan } from '@still-heron/core';
import type { LayOffer } from './protocol';

/** Of the room on either side, a line that follows keeps so much: a hand is not held to the edge of the zone. */
const ROOM_KEPT = 0.3;

/** A line laid one way, judged: what would come of it. */
export function layOffer(plan: ShotPlan, way: LineWay): LayOffer | null {
  const laid = layLine(plan, way, { roomShare: ROOM_KEPT });
  const verdict = laid && evaluatePull(laid.plan);
  if (!laid || verdict?.status !== 'judged') return null;
  const { sharpFrames, requiredFrames, captureFps, outcome, fastest, beats } = verdict;
  return {
    laid,
    outcome,
    sharpS: sharpFrames / captureFps,
    requiredS: requiredFrames / captureFps,
    isWhole: sharpFrames === requiredFrames && beats.every(({ kept }) => kept),
    fastestDegPerS: fastest.handDegPerS,
  };
}
