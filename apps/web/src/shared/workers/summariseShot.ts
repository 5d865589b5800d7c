import {
  automaticParts,
  autofocusRisk,
  evaluatePull,
  isAllAutomatic,
  ringOf,
  type ShotPlan,
  type UnitSystem,
} from '@still-heron/core';
import { narrate } from '@still-heron/wording';
import type { ShotSummary } from './protocol';

/** Points of the small drawing: about one per pixel. */
const SKETCH_POINTS = 120;

/** Summarises a plan's verdict for its row. */
export function summarise(plan: ShotPlan, units: UnitSystem): ShotSummary {
  const verdict = evaluatePull(plan);
  const { parts } = narrate(verdict, plan, units);
  if (verdict.status === 'incomplete') return { outcome: 'incomplete', parts, sketch: [], softSpans: [] };
  const ring = ringOf(plan.optics.lens);
  const farDeg = ring.angleAt(ring.farthestMm);
  const nearDeg = ring.angleAt(ring.closeFocusMm);
  const { ringDeg } = verdict.track;
  const sketch = Array.from({ length: SKETCH_POINTS }, (_, k) => {
    const at = (k / (SKETCH_POINTS - 1)) * (verdict.frameCount - 1);
    const frame = Math.min(Math.floor(at), Math.max(verdict.frameCount - 2, 0));
    const between = ringDeg[frame]! + (at - frame) * ((ringDeg[frame + 1] ?? ringDeg[frame]!) - ringDeg[frame]!);
    return (between - farDeg) / (nearDeg - farDeg);
  });
  const isPulled = !isAllAutomatic(plan);
  const softSpans = (isPulled ? verdict.softSpans : []).map(({ fromFrame, toFrame }) => ({
    from: fromFrame / verdict.frameCount,
    to: toFrame / verdict.frameCount,
  }));
  return {
    outcome: isPulled ? withAutofocus(verdict.outcome, plan) : autofocusOutcome(plan),
    parts,
    sketch: isPulled ? sketch : [],
    softSpans,
  };
}

/** Outcome of what is planned, or of a part that is left to autofocus if that is worse. */
function withAutofocus(outcome: ShotSummary['outcome'], plan: ShotPlan): ShotSummary['outcome'] {
  if (automaticParts(plan).length === 0) return outcome;
  const left = autofocusOutcome(plan);
  return left === 'autofocus-refused' || (left === 'autofocus-at-risk' && outcome === 'sharp') ? left : outcome;
}

function autofocusOutcome(plan: ShotPlan): ShotSummary['outcome'] {
  const { refusal, atRiskS } = autofocusRisk(plan);
  if (refusal !== null) return 'autofocus-refused';
  return atRiskS > 0 ? 'autofocus-at-risk' : 'autofocus';
}
