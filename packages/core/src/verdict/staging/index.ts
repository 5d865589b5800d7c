import { arc } from './arc.js';
import { constantDistance } from './constantDistance.js';
import { irisPull } from './irisPull.js';
import { lean } from './lean.js';
import { pushIn } from './pushIn.js';
import { slideOut } from './slideOut.js';
import type { LaidMove, Staging, StagingAt, StagingFigure, StagingValues } from './staging.js';
import { sway } from './sway.js';
import { waitingMarks } from './waitingMarks.js';
import { walkIn } from './walkIn.js';
import { whip } from './whip.js';
import type { ShotPlan } from '../../pull/index.js';

/** The moves people make, in the order of how often they are made. */
export const STAGINGS: readonly Staging[] = [
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

/** The values a move starts from in a plan. */
export function usualValues(staging: Staging, plan: ShotPlan, at: StagingAt): StagingValues {
  return Object.fromEntries(
    staging.params(plan, at).map(({ key, usual, min, max }) => [key, Math.min(Math.max(usual, min), max)]),
  );
}

/**
 * Lays a move into a plan, and says its figures.
 *
 * @param values - by key of its params; what is not given is as usual
 */
export function layStaging(
  staging: Staging,
  plan: ShotPlan,
  at: StagingAt,
  values: StagingValues = {},
): LaidMove & { readonly figures: readonly StagingFigure[] } {
  const complete = { ...usualValues(staging, plan, at), ...values };
  const laid = staging.lay(plan, at, complete);
  return { ...laid, figures: staging.figures(laid, at, complete) };
}

export type { LaidMove, Staging, StagingAt, StagingFigure, StagingParam, StagingValues } from './staging.js';
