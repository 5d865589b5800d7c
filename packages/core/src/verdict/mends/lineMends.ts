import { ringOf, withinReach } from '../../kit/index.js';
import {
  beatsNow,
  focusLine,
  type FocusLinePlan,
  layLine,
  type LineTarget,
  nextId,
  PLAIN_MOVE,
  type Rack,
  reversed,
  type ShotPlan,
  standIns,
  tubeOf,
} from '../../pull/index.js';
import type { JudgedPull, SoftSpan } from '../pullVerdict.js';
import { smallestBest, type Tried, tried } from './mend.js';
import { blamedMoves } from './moveMends.js';

/** Leads tried for a follow, smallest first. */
const LEADS_S = [0, 0.1, -0.1, 0.2, -0.2, 0.3, -0.3, 0.4, -0.4];

/** Makes the track follow a subject that walks out of the zone, or changes its lead. */
export function followMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  const walkers = new Set(verdict.softSpans.filter(({ cause }) => FOLLOWABLE.has(cause.kind)).map(({ subjectId }) => subjectId));
  const followed = plan.line.moves.filter(({ target }) => target.kind === 'subject' && walkers.has(target.subjectId));
  const leads = [plan.line.start, ...plan.line.moves.map(({ target }) => target)].flatMap((target) =>
    target?.kind === 'subject' && walkers.has(target.subjectId)
      ? smallestBest(
          LEADS_S.flatMap((leadS) => tried({ kind: 'lead', subjectId: target.subjectId, leadS }, led(plan, target, leadS))),
        )
      : [],
  );
  const follows = [...walkers]
    .filter((subjectId) => followed.every(({ target }) => target.kind !== 'subject' || target.subjectId !== subjectId))
    .flatMap((subjectId) => {
      const first = verdict.softSpans.find((span) => span.subjectId === subjectId)!;
      return smallestBest(
        LEADS_S.slice(0, 5).flatMap((leadS) => {
          const changed = withFollow(plan, first, leadS);
          return changed ? tried({ kind: 'follow', subjectId, leadS }, changed) : [];
        }),
      );
    });
  return [...leads, ...follows];
}

const FOLLOWABLE: ReadonlySet<string> = new Set([
  'walks',
  'camera-moves',
  'under-way',
  'starts-too-late',
  'goes-on',
  'left-too-soon',
]);

function led(plan: ShotPlan, was: LineTarget, leadS: number): ShotPlan {
  const changed = (target: LineTarget): LineTarget =>
    target === was && target.kind === 'subject' ? { ...target, leadS } : target;
  const { start, moves } = plan.line;
  return {
    ...plan,
    line: { start: start && changed(start), moves: moves.map((move) => ({ ...move, target: changed(move.target) })) },
  };
}

/**
 * Turns the pull that should have reached the subject into a follow. Without such a pull, adds one that lands when the beat
 * starts.
 */
function withFollow(plan: ShotPlan, { cause, beatId, subjectId, fromS }: SoftSpan, leadS: number): ShotPlan | null {
  const target: LineTarget = { kind: 'subject', subjectId, leadS };
  const { start, moves } = plan.line;
  const withLine = (line: FocusLinePlan): ShotPlan => ({ ...plan, line });
  const blamed = 'moveId' in cause ? cause.moveId : null;
  const moveId = blamed ?? [...moves].reverse().find((move) => move.startS <= fromS)?.id;
  const beat = plan.beats.find(({ id }) => id === beatId)!;
  if (moveId !== undefined) {
    const at = moves.findIndex(({ id }) => id === moveId);
    const aimed = moves.map((move, index) => (index === at ? { ...move, target } : move));
    if (at >= 0 && goesTo(plan, moves[at]!.target, subjectId)) return withLine({ start, moves: aimed });
  } else if (start && goesTo(plan, start, subjectId)) return withLine({ start: target, moves });
  // in the gap before the beat
  const before = [...moves].reverse().find((move) => move.startS < beat.fromS);
  const freeS = before ? before.startS + before.durationS : 0;
  const next = moves.find((move) => move.startS >= beat.fromS);
  const durationS = Math.min(0.8, (next?.startS ?? plan.durationS) - freeS);
  const startS = Math.max(freeS, Math.min(beat.fromS, fromS) - durationS);
  if (durationS < 0.2 || startS + durationS > (next?.startS ?? plan.durationS)) return null;
  const added: Rack = { ...PLAIN_MOVE, id: nextId('rack', moves), startS, durationS, target };
  return withLine({ start, moves: [...moves, added].sort((a, b) => a.startS - b.startS) });
}

function goesTo(plan: ShotPlan, target: LineTarget, subjectId: string): boolean {
  return target.kind === 'mark' && plan.marks.some(({ id, subjectId: owner }) => id === target.markId && owner === subjectId);
}

/**
 * Moves a hold elsewhere within the zone: between the subjects required during it. A landmark can serve as the reference there.
 */
export function splitMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  const ring = ringOf(plan.optics.lens);
  const line = focusLine(plan, ring);
  if (line === null) return [];
  const tube = tubeOf(plan);
  const settings = [null, ...line.moves];
  return settings.flatMap((move, index) => {
    const next = line.moves[index];
    const setting = move?.to ?? line.start;
    if (setting.target.kind !== 'mark' && setting.target.kind !== 'distance') return [];
    const [fromS, toS] = [move?.endS ?? 0, next?.startS ?? plan.durationS];
    if (!verdict.softSpans.some((span) => span.fromS < toS && span.toS > fromS)) return [];
    let [low, high] = [-Infinity, Infinity];
    const first = Math.ceil(fromS * plan.captureFps - 1e-6);
    for (let frame = first; frame < Math.min(toS * plan.captureFps, tube.required.length); frame++) {
      if (!tube.required[frame]) continue;
      [low, high] = [Math.max(low, tube.lowDeg[frame]!), Math.min(high, tube.highDeg[frame]!)];
    }
    if (low > high || low === -Infinity) return [];
    const fromMm = setting.distanceMm;
    const at = (mm: number): LineTarget => ({ kind: 'distance', distanceMm: mm === Infinity ? null : mm });
    const middleMm = ring.distanceAt((low + high) / 2);
    // in whole millimetres
    const toMm = isBetween(ring.angleAt(withinReach(ring, Math.round(middleMm))), low, high) ? Math.round(middleMm) : middleMm;
    const splits = tried({ kind: 'split', fromMm, toMm, at: null }, aimed(plan, move?.moveId ?? null, at(toMm)));
    const mark =
      setting.target.kind === 'mark'
        ? plan.marks.find((one) => 'markId' in setting.target && one.id === setting.target.markId)
        : undefined;
    const things = mark ? standIns(plan, mark).filter(({ focusMm }) => isBetween(ring.angleAt(focusMm), low, high)) : [];
    const inPlace = things
      .slice(0, 1)
      .flatMap(({ name, focusMm }) =>
        tried({ kind: 'stand-in', fromMm, toMm: focusMm, at: name }, aimed(plan, move?.moveId ?? null, at(focusMm))),
      );
    return [...splits, ...inPlace];
  });
}

const isBetween = (value: number, low: number, high: number) => value >= low && value <= high;

function aimed(plan: ShotPlan, moveId: string | null, target: LineTarget): ShotPlan {
  const { start, moves } = plan.line;
  const line =
    moveId === null
      ? { start: target, moves }
      : { start, moves: moves.map((move) => (move.id === moveId ? { ...move, target } : move)) };
  return { ...plan, line };
}

/** Swaps the order of two beats around a pull that is too hard, or reverses the whole shot. */
export function orderMends(plan: ShotPlan, verdict: JudgedPull): Tried[] {
  const hard = blamedMoves(plan, verdict);
  if (hard.length === 0) return [];
  return [...otherOrder(plan, hard), ...tried({ kind: 'reversed' }, reversed(plan))];
}

/** Only if both subjects stand still and have one beat each; otherwise another order would change the story. */
function otherOrder(plan: ShotPlan, hard: readonly Rack[]): Tried[] {
  const asked = beatsNow(plan).filter(({ kind }) => kind === 'sharp');
  const [first, second, ...others] = [...asked].sort((a, b) => a.fromS - b.fromS);
  const stands = (subjectId: string) => plan.subjects.find(({ id }) => id === subjectId)!.stays.length === 1;
  if (!first || !second || others.length > 0 || hard.length !== 1 || plan.line.moves.length !== 1 || !plan.line.start) return [];
  if (first.subjectId === second.subjectId || !stands(first.subjectId) || !stands(second.subjectId)) return [];
  const swapped = plan.beats.map((beat) =>
    beat === first ? { ...beat, subjectId: second.subjectId } : beat === second ? { ...beat, subjectId: first.subjectId } : beat,
  );
  const [move] = plan.line.moves;
  const line = { start: move!.target, moves: [{ ...move!, target: plan.line.start }] };
  return tried({ kind: 'other-order', firstId: second.subjectId, secondId: first.subjectId }, { ...plan, beats: swapped, line });
}

export function layMends(plan: ShotPlan): Tried[] {
  const laid = layLine(plan, 'fewest-holds');
  return laid ? tried({ kind: 'lay-line', holds: laid.holds }, laid.plan) : [];
}
