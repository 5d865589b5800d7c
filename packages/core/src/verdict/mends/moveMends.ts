import { changeRack, EASINGS, type Rack, type ShotPlan } from '../../pull/index.js';
import type { JudgedPull } from '../pullVerdict.js';
import { smallestBest, type Tried, tried } from './mend.js';

/** A move is tried so far from where it is, in such steps. */
const FARTHEST_S = 2;
const STEP_S = 0.1;
const STEPS = Array.from({ length: Math.round(FARTHEST_S / STEP_S) }, (_, k) => Number(((k + 1) * STEP_S).toFixed(3)));

const KINDS = ['earlier', 'later', 'longer', 'shorter'] as const;

/** Moves that are to blame for softness, or that a hand can hardly make. */
export function blamedMoves(plan: ShotPlan, verdict: JudgedPull): readonly Rack[] {
  const blamed = new Set<string | null>();
  for (const { cause } of verdict.softSpans) if ('moveId' in cause) blamed.add(cause.moveId);
  for (const { moveId, grade, handPeakDegPerS } of verdict.moves)
    if (grade === 'beyond' || grade === 'tight' || handPeakDegPerS > plan.handDegPerS) blamed.add(moveId);
  return plan.line.moves.filter(({ id }) => blamed.has(id));
}

/** Of every such move: sooner, later, longer, shorter, and eased otherwise. */
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
    // longer before as after: it lands when it landed
    longer: { startS: startS - byS, durationS: durationS + byS },
    shorter: { startS: startS + byS, durationS: durationS - byS },
  }[kind];
  const changed = changeRack(plan, move.id, wanted);
  const now = changed.line.moves.find(({ id }) => id === move.id)!;
  // held up by its neighbours, or by the ends of the shot, it is not what it is called
  const isAsWanted =
    Math.abs(now.startS - wanted.startS) < 1e-6 &&
    Math.abs(now.durationS - ('durationS' in wanted ? wanted.durationS : durationS)) < 1e-6;
  return isAsWanted ? tried({ kind, moveId: move.id, byS }, changed) : [];
}
