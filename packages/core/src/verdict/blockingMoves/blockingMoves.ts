import { arc } from './arc.js';
import { constantDistance } from './constantDistance.js';
import { irisPull } from './irisPull.js';
import { lean } from './lean.js';
import { pushIn } from './pushIn.js';
import { slideOut } from './slideOut.js';
import type { BlockedPlan, BlockingMove, BlockingMoveStart, BlockingMoveFigure, BlockingMoveValues } from './blockingMove.js';
import { sway } from './sway.js';
import { waitingMarks } from './waitingMarks.js';
import { walkIn } from './walkIn.js';
import { whip } from './whip.js';
import type { Subject } from '../../floor/index.js';
import type { ShotPlan } from '../../plan/index.js';

/** All blocking moves, most common first. */
export const BLOCKING_MOVES: readonly BlockingMove[] = [
  walkIn,
  constantDistance,
  pushIn,
  arc,
  slideOut,
  whip,
  waitingMarks,
  sway,
  lean,
  irisPull,
];

/** Subjects that a blocking move can be for. */
export function subjectsFor({ needsPerson }: BlockingMove, { subjects }: Pick<ShotPlan, 'subjects'>): readonly Subject[] {
  return subjects.filter(({ kind }) => !needsPerson || kind !== 'object');
}

/** Default values of a blocking move in a plan. */
export function defaultValues(blockingMove: BlockingMove, plan: ShotPlan, at: BlockingMoveStart): BlockingMoveValues {
  return Object.fromEntries(
    blockingMove.params(plan, at).map(({ key, defaultValue, min, max }) => [key, Math.min(Math.max(defaultValue, min), max)]),
  );
}

/**
 * Applies a blocking move to a plan and computes its figures.
 *
 * @param start - an object as the subject of a move that needs a person stands for a new person
 * @param values - by parameter key; missing ones use their default
 */
export function applyBlockingMove(
  blockingMove: BlockingMove,
  plan: ShotPlan,
  start: BlockingMoveStart,
  values: BlockingMoveValues = {},
): BlockedPlan & { readonly figures: readonly BlockingMoveFigure[] } {
  const canMove = subjectsFor(blockingMove, plan).some(({ id }) => id === start.subjectId);
  const at = canMove ? start : { ...start, subjectId: null };
  const complete = { ...defaultValues(blockingMove, plan, at), ...values };
  const blocked = blockingMove.apply(plan, at, complete);
  return { ...blocked, figures: blockingMove.figures(blocked, at, complete) };
}

export type {
  BlockedPlan,
  BlockingMove,
  BlockingMoveStart,
  BlockingMoveFigure,
  BlockingMoveParam,
  BlockingMoveValues,
} from './blockingMove.js';
