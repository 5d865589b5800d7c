import type { ProductionView } from '@still-heron/contract';
import { setGoals, type ShotPlan } from '@still-heron/core';

/** A new shot as the production looks: its delivered frame, its enlargement, and how soft the background is to be. */
export function asProductionLooks(
  plan: ShotPlan,
  { frameAspect, lookBlurPercent, enlargedPercent }: Pick<ProductionView, 'frameAspect' | 'lookBlurPercent' | 'enlargedPercent'>,
): ShotPlan {
  return setGoals({ ...plan, optics: { ...plan.optics, frameAspect, enlargedPercent } }, { blurPercent: lookBlurPercent });
}
