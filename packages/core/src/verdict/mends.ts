import { stopsAt, tStopOf } from '../kit/index.js';
import { changeRack, layLine, type Rack, setStop, type ShotPlan } from '../pull/index.js';
import { evaluatePull } from './evaluatePull.js';
import type { JudgedPull } from './pullVerdict.js';

/** Something that would mend a plan, tried: what it is, what would come of it, and what it costs. */
export interface Mend {
  readonly change:
    | { readonly kind: 'earlier' | 'later' | 'longer' | 'shorter'; readonly moveId: string; readonly byS: number }
    | { readonly kind: 'stop'; readonly from: number; readonly to: number }
    | { readonly kind: 'lay-line'; readonly holds: number };
  readonly plan: ShotPlan;
  readonly outcome: JudgedPull['outcome'];
  readonly sharpS: number;
  readonly requiredS: number;
  /** Light lost, in stops; 0 for what costs none */
  readonly stopsLost: number;
}

/** Offered at most: the best few are all that anyone picks from. */
const MOST_OFFERED = 4;
/** A move is tried so far from where it is, in such steps. */
const FARTHEST_S = 2;
const STEP_S = 0.1;
/** Stops tried, darker than the one there is. */
const DARKER = [1, 2];

const RANK: Readonly<Record<JudgedPull['outcome'], number>> = { soft: 0, 'beyond-the-hand': 1, barely: 2, sharp: 3 };

/**
 * What would mend a plan: moves sooner, later, longer or shorter, a darker stop, the line laid anew. Each is tried by judging the plan it makes; of each kind the smallest change that gains
 * most is kept. Best first: what keeps the most, then what costs the least.
 *
 * @returns none for a plan that can't be judged, or needs nothing
 */
export function findMends(plan: ShotPlan): Mend[] {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged' || verdict.outcome === 'sharp') return [];
  const found = [...moveMends(plan, verdict), ...stopMends(plan), ...lineMends(plan)];
  const was = { outcome: verdict.outcome, sharpS: verdict.sharpFrames / verdict.captureFps };
  return found
    .filter((mend) => gains(mend, was) > 0)
    .sort((a, b) => gains(b, a) || costOf(a) - costOf(b))
    .slice(0, MOST_OFFERED);
}

/** How much better one result is than another: above 0 for better. Kept seconds come first, then how it sits with the hand. */
function gains(a: Pick<Mend, 'outcome' | 'sharpS'>, b: Pick<Mend, 'outcome' | 'sharpS'>): number {
  return Math.abs(a.sharpS - b.sharpS) > 1e-6 ? a.sharpS - b.sharpS : RANK[a.outcome] - RANK[b.outcome];
}

/** A line laid anew costs more than a move that is shifted, and light more than that. */
function costOf({ change, stopsLost }: Mend): number {
  return stopsLost * 10 + (change.kind === 'lay-line' ? 5 : change.kind === 'stop' ? 0 : change.byS);
}

function tried(change: Mend['change'], plan: ShotPlan, stopsLost = 0): Mend[] {
  const verdict = evaluatePull(plan);
  if (verdict.status !== 'judged') return [];
  const { outcome, sharpFrames, requiredFrames, captureFps } = verdict;
  return [{ change, plan, outcome, sharpS: sharpFrames / captureFps, requiredS: requiredFrames / captureFps, stopsLost }];
}

/** Of every move that is to blame, or that a hand can hardly make. */
function moveMends(plan: ShotPlan, verdict: JudgedPull): Mend[] {
  const blamed = new Set<string>();
  for (const { cause } of verdict.softSpans) if ('moveId' in cause) blamed.add(cause.moveId);
  for (const { moveId, grade } of verdict.moves) if (grade === 'beyond' || grade === 'tight') blamed.add(moveId);
  const steps = Array.from({ length: Math.round(FARTHEST_S / STEP_S) }, (_, k) => Number(((k + 1) * STEP_S).toFixed(3)));
  return plan.line.moves
    .filter(({ id }) => blamed.has(id))
    .flatMap((move) =>
      KINDS.flatMap((kind) => {
        const all = steps.flatMap((byS) => triedMove(plan, move, kind, byS));
        // the smallest of those that gain most
        return all.reduce<Mend[]>((best, mend) => (best[0] && gains(mend, best[0]) <= 0 ? best : [mend]), []);
      }),
    );
}

const KINDS = ['earlier', 'later', 'longer', 'shorter'] as const;

function triedMove(plan: ShotPlan, move: Rack, kind: (typeof KINDS)[number], byS: number): Mend[] {
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

function stopMends(plan: ShotPlan): Mend[] {
  const { lens, focalLengthMm, stop, stopPulls } = plan.optics;
  if (stopPulls.length > 0) return [];
  const lost = (to: number) => 2 * Math.log2(tStopOf(lens, to) / tStopOf(lens, stop));
  return DARKER.flatMap((stops) => {
    const to = stopsAt(lens, focalLengthMm).find((offered) => lost(offered) > stops - 0.2);
    return to === undefined ? [] : tried({ kind: 'stop', from: stop, to }, setStop(plan, to), lost(to));
  });
}

function lineMends(plan: ShotPlan): Mend[] {
  const laid = layLine(plan, 'fewest-holds');
  return laid ? tried({ kind: 'lay-line', holds: laid.holds }, laid.plan) : [];
}
