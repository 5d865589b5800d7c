import {
  displayStepMm,
  type LineTarget,
  markDistances,
  type ShotPlan,
  targetDistanceMm,
  type UnitSystem,
} from '@still-heron/core';
import { nudgeDistance } from '../../fields/readDistance';
import type { ChannelLayout } from './channelLayout';

/** Within so many pixels of a mark a dragged target is the mark. */
const SNAP_PX = 9;

/** The mark whose height is near, or the plain distance at a height, to the display's step. */
export function targetAt(y: number, layout: ChannelLayout, plan: ShotPlan, units: UnitSystem): LineTarget {
  const near = layout.marks
    .filter((mark) => Math.abs(mark.y - y) <= SNAP_PX)
    .sort((a, b) => Math.abs(a.y - y) - Math.abs(b.y - y))[0];
  if (near && plan.marks.some(({ id }) => id === near.id)) return { kind: 'mark', markId: near.id };
  const mm = layout.scale.distanceAt(y);
  if (mm > 1_000_000) return { kind: 'distance', distanceMm: null };
  const stepMm = displayStepMm(mm, units);
  return { kind: 'distance', distanceMm: Math.round(mm / stepMm) * stepMm };
}

/** A step from where the target is: it leaves its mark, and comes onto one that lies exactly there. */
export function nudgedTarget(target: LineTarget, steps: number, plan: ShotPlan, units: UnitSystem): LineTarget {
  const mm = nudgeDistance(targetDistanceMm(target, markDistances(plan.marks)), steps, units);
  const mark = plan.marks.find(({ distanceMm }) => distanceMm !== null && Math.abs(distanceMm - mm) < 1e-6);
  return mark ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: mm };
}
