import { changeRack, EASINGS, type Rack, type ShotPlan } from '../../pull/index.js';
import type { JudgedPull } from '../pullVerdict.js';
import { smallestBest, type Tried, tried } from './mend.js';

/** Largest shift tried, and its step. */
const FARTHEST_S = 2;
const STEP_S = 0.1;
const STEPS = Array.from({ length: Math.round(FARTHEST_S / STEP_S) }, (_, k) => Number(((k + 1) * STEP_S).toFixed(3)));

const KINDS = ['earlier', 'later', 'longer', 'shorter'] as const;

/** Pulls that cause softness or are hard for the hand. */
export function blamedMoves(plan: ShotPlan, verdict: JudgedPull): readonly Rack[] {
  const blamed = new Set<string | null>();
  for (const { cause } of verdict.softSpans) if ('moveId' in cause) blamed.add(cause.moveId);
  for (const { moveId, grade, handPeakDegPerS } of verdict.moves)
    if (grade === 'beyond' || grade === 'tight' || handPeakDegPerS > plan.handDegPerS) blamed.add(moveId);
  return plan.line.moves.filter(({ id }) => blamed.has(id));
}

/** For each such pull: earlier, later, longer, shorter, and other easings. */
export function moveMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  return blamedMoves(plan, verdict).flatMap((move) => [
    ...KINDS.flatMap((kind) => smallestBest(STEPS.flatMap((byS) => triedMove(plan, move, kind, byS)))),
    ...smallestBest(
      EASINGS.filter((easing) => easing !== move.easing).flatMap((easing) =>
        tried({ kind: 'easing', moveId: move.id, easing }, changeRack(plan, move.id, { easing })),
      ),
    ),
  ]);
}

function triedMove(plan: ShotPlan, move: Rack, kind: (typeof KINDS)[number], byS: number): Tried[] {
  const { startS, durationS } = move;
  const wanted = {
    earlier: { startS: startS - byS },
    later: { startS: startS + byS },
    // a longer pull keeps its landing and starts earlier
    longer: { startS: startS - byS, durationS: durationS + byS },
    shorter: { startS: startS + byS, durationS: durationS - byS },
  }[kind];
  const changed = changeRack(plan, move.id, wanted);
  const now = changed.line.moves.find(({ id }) => id === move.id)!;
  // limited by its neighbours or the shot, it is no longer the change it claims to be
  const isAsWanted =
    Math.abs(now.startS - wanted.startS) < 1e-6 &&
    Math.abs(now.durationS - ('durationS' in wanted ? wanted.durationS : durationS)) < 1e-6;
  return isAsWanted ? tried({ kind, moveId: move.id, byS }, changed) : [];
}
