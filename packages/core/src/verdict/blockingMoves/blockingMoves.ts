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

/** Default values of a blocking move in a plan. */
export function defaultValues(blockingMove: BlockingMove, plan: ShotPlan, at: BlockingMoveStart): BlockingMoveValues {
  return Object.fromEntries(
    blockingMove.params(plan, at).map(({ key, defaultValue, min, max }) => [key, Math.min(Math.max(defaultValue, min), max)]),
  );
}

/**
 * Applies a blocking move to a plan and computes its figures.
 *
 * @param values - by parameter key; missing ones use their default
 */
export function applyBlockingMove(
  blockingMove: BlockingMove,
  plan: ShotPlan,
  at: BlockingMoveStart,
  values: BlockingMoveValues = {},
): BlockedPlan & { readonly figures: readonly BlockingMoveFigure[] } {
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
