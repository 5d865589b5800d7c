import { displayStepMm, type FocusTarget, markFocusMm, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { nudgeDistance } from '../../ui/fields/readDistance';
import type { PullChartLayout } from './pullChartLayout';

/** Snap distance of a dragged target to a mark, in pixels. */
const SNAP_PX = 9;

/** Distance of a target that is a mark or a distance; null for a blur or for tracking. */
export function plainMm(target: FocusTarget, plan: ShotPlan): number | null {
  if (target.kind === 'mark') return markFocusMm(plan, target.markId);
  return target.kind === 'distance' ? (target.distanceMm ?? Infinity) : null;
}

/** Target at a height: the mark nearby, or a distance rounded to the display step. */
export function targetAt(y: number, layout: PullChartLayout, plan: ShotPlan, units: UnitSystem): FocusTarget {
  const near = layout.marks
    .filter((mark) => Math.abs(mark.y - y) <= SNAP_PX)
    .sort((a, b) => Math.abs(a.y - y) - Math.abs(b.y - y))[0];
  if (near && plan.marks.some(({ id }) => id === near.id)) return { kind: 'mark', markId: near.id };
  return { kind: 'distance', distanceMm: steppedMm(layout.scale.distanceAt(y), units) };
}

/** A distance rounded to the display step; null for infinity. */
export function steppedMm(mm: number, units: UnitSystem): number | null {
  if (mm > 1_000_000) return null;
  const stepMm = displayStepMm(mm, units);
  return Math.round(mm / stepMm) * stepMm;
}

/** Target one step away. It leaves its mark, or joins a mark at exactly that distance. A tracking target is unchanged. */
export function nudgedTarget(target: FocusTarget, steps: number, plan: ShotPlan, units: UnitSystem): FocusTarget {
  const fromMm = plainMm(target, plan);
  if (fromMm === null) return target;
  const mm = nudgeDistance(fromMm, steps, units);
  const mark = plan.marks.find(({ id }) => Math.abs(markFocusMm(plan, id) - mm) < 1e-6);
  return mark ? { kind: 'mark', markId: mark.id } : { kind: 'distance', distanceMm: mm };
}
