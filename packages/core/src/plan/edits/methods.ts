import { PLAN_LIMITS } from '../planLimits.js';
import { methodParts } from '../methodParts.js';
import type { LaterMethod, Method, ShotPlan } from '../shotPlan.js';
import { clamp, nextId } from './ids.js';

/** Shortest part of a shot that has a method of its own. */
export const MIN_PART_S = 0.2;

/** Sets the method of a part: from the start with null, else of the later part with this id. Pulls stay as they are. */
export function setMethod(plan: ShotPlan, partId: string | null, method: Method): ShotPlan {
  if (partId === null) return { ...plan, method };
  return { ...plan, laterMethods: plan.laterMethods.map((part) => (part.id === partId ? { ...part, method } : part)) };
}

/**
 * Begins a part with a method of its own at a time.
 *
 * @returns the same plan if a part begins too near to it, or if there is no room for another
 */
export function addMethodPart(plan: ShotPlan, fromS: number, method: Method): ShotPlan {
  const { laterMethods, durationS } = plan;
  const starts = [...methodParts(plan).map((part) => part.fromS), durationS];
  if (laterMethods.length >= PLAN_LIMITS.laterMethods.max || starts.some((startS) => Math.abs(startS - fromS) < MIN_PART_S))
    return plan;
  return withParts(plan, [...laterMethods, { id: nextId('part', laterMethods), fromS, method }]);
}

/** Moves the start of a later part, between its neighbours. */
export function changeMethodPart(plan: ShotPlan, id: string, fromS: number): ShotPlan {
  const parts = methodParts(plan);
  const at = parts.findIndex((part) => part.id === id);
  if (at < 1) return plan;
  const earliestS = parts[at - 1]!.fromS + MIN_PART_S;
  const latestS = parts[at]!.toS - MIN_PART_S;
  return withParts(
    plan,
    plan.laterMethods.map((part) => (part.id === id ? { ...part, fromS: clamp(fromS, earliestS, latestS) } : part)),
  );
}

/** Removes the start of a later part: the method before it goes on. */
export function removeMethodPart(plan: ShotPlan, id: string): ShotPlan {
  return withParts(
    plan,
    plan.laterMethods.filter((part) => part.id !== id),
  );
}

function withParts(plan: ShotPlan, laterMethods: readonly LaterMethod[]): ShotPlan {
  return { ...plan, laterMethods: [...laterMethods].sort((a, b) => a.fromS - b.fromS) };
}
