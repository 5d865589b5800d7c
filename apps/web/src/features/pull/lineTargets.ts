import { displayStepMm, type LineTarget, markDistances, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { nudgeDistance } from '../../fields/readDistance';
import type { ChannelLayout } from './channelLayout';

/** Within so many pixels of a mark a dragged target is the mark. */
const SNAP_PX = 9;

/** The distance of a target that stands still at one that is plainly said; null for one beside a mark, or that goes on with someone. */
export function plainMm(target: LineTarget, plan: ShotPlan): number | null {
  if (target.kind === 'mark') return markDistances(plan.marks).get(target.markId)!;
  return target.kind === 'distance' ? (target.distanceMm ?? Infinity) : null;
}

/** The mark whose height is near, or the plain distance at a height, to the display's step. */
export function targetAt(y: number, layout: ChannelLayout, plan: ShotPlan, units: UnitSystem): LineTarget {
  const near = layout.marks
    .filter((mark) => Math.abs(mark.y - y) <= SNAP_PX)
    .sort((a, b) => Math.abs(a.y - y) - Math.abs(b.y - y))[0];
  if (near && plan.marks.some(({ id }) => id === near.id)) return { kind: 'mark', markId: near.id };
  return { kind: 'distance', distanceMm: steppedMm(layout.scale.distanceAt(y), units) };
}

/** A distance to the display's step, null for infinity. */
export function steppedMm(mm: number, units: UnitSystem): number | null {
  if (mm > 1_000_000) return null;
  const stepMm = displayStepMm(mm, units);
  return Math.round(mm / stepMm) * stepMm;
}

/** A step from where the target is: it leaves its mark, and comes onto one that lies exactly there. One that goes on with someone stays. */
export function nudgedTarget(target: LineTarget, steps: number, plan: ShotPlan, units: UnitSystem): LineTarget {
  const fromMm = plainMm(target, plan);
  if (fromMm === null) return target;
  const mm = nudgeDistance(fromMm, steps, units);
  const mark = plan.marks.find(({ distanceMm }) => distanceMm !== null && Math.abs(distanceMm - mm) < 1e-6);
  return mark ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: mm };
}
