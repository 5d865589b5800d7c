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

/** All blocking moves, most common first. */
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

/** Default values of a blocking move in a plan. */
export function usualValues(staging: Staging, plan: ShotPlan, at: StagingAt): StagingValues {
  return Object.fromEntries(
    staging.params(plan, at).map(({ key, usual, min, max }) => [key, Math.min(Math.max(usual, min), max)]),
  );
}

/**
 * Applies a blocking move to a plan and computes its figures.
 *
 * @param values - by parameter key; missing ones use their default
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
