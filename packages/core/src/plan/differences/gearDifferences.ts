import { isDeepEqual } from '../../deepEqual.js';
import type { Camera, Lens, Rig, Wheel } from '../../kit/index.js';
import type { GearPart } from '../edits/gear.js';
import { type ShotPlan, wheelOf } from '../shotPlan.js';

/** How a ring was described. */
export type RingSummary =
  | { readonly kind: 'helicoid'; readonly throwDeg: number }
  | { readonly kind: 'table' | 'fitted'; readonly points: number; readonly spanDeg: number };

/** One difference between two items of gear. The values of a field are in the items. */
export type GearDifference =
  | { readonly part: 'camera'; readonly field: keyof Camera; readonly was: Camera; readonly is: Camera }
  | { readonly part: 'lens'; readonly field: Exclude<keyof Lens, 'ring'>; readonly was: Lens; readonly is: Lens }
  | { readonly part: 'wheel'; readonly field: keyof Wheel; readonly was: Wheel; readonly is: Wheel }
  | { readonly part: 'rig'; readonly field: keyof Rig; readonly was: Rig; readonly is: Rig }
  | { readonly part: 'ring'; readonly was: RingSummary; readonly is: RingSummary }
  | { readonly part: 'scale-shifted'; readonly count: number; readonly total: number; readonly maxDeg: number }
  | { readonly part: 'scale-added' | 'scale-removed'; readonly count: number };

/** Differences in one part of the gear of two plans; empty if nothing differs, or if one of them has no such gear. */
export function gearDifferences(before: ShotPlan, after: ShotPlan, part: GearPart): GearDifference[] {
  switch (part) {
    case 'camera':
      return fieldsOf(part, before.optics.camera, after.optics.camera);
    case 'lens':
      return [
        ...fieldsOf(part, before.optics.lens, after.optics.lens).filter(({ field }) => (field as keyof Lens) !== 'ring'),
        ...ringDifferences(before.optics.lens.ring, after.optics.lens.ring),
      ];
    case 'wheel':
      return wheelDifferences(wheelOf(before), wheelOf(after));
    case 'rig':
      return before.rig && after.rig ? fieldsOf(part, before.rig, after.rig) : [];
  }
}

function wheelDifferences(was: Wheel | null, is: Wheel | null): GearDifference[] {
  return was && is ? fieldsOf('wheel', was, is) : [];
}

function fieldsOf<P extends 'camera' | 'lens' | 'wheel' | 'rig', T extends object>(part: P, was: T, is: T) {
  const fields = (Object.keys(was) as (keyof T)[]).filter((field) => !isDeepEqual(was[field], is[field]));
  return fields.map((field) => ({ part, field, was, is })) as unknown as (GearDifference & { readonly part: P })[];
}

function ringDifferences(was: Lens['ring'], is: Lens['ring']): GearDifference[] {
  if (isDeepEqual(was, is)) return [];
  if (was.kind !== 'table' || is.kind !== 'table') return [{ part: 'ring', was: summary(was), is: summary(is) }];
  const read = new Map(was.points.map(({ distanceMm, ringDeg }) => [distanceMm, ringDeg]));
  const shifts = is.points.flatMap(({ distanceMm, ringDeg }) => {
    const old = read.get(distanceMm);
    return old === undefined || old === ringDeg ? [] : [Math.abs(ringDeg - old)];
  });
  const added = is.points.filter(({ distanceMm }) => !read.has(distanceMm)).length;
  const removed = was.points.length - (is.points.length - added);
  const all: GearDifference[] = [
    { part: 'scale-shifted', count: shifts.length, total: is.points.length, maxDeg: Math.max(0, ...shifts) },
    { part: 'scale-added', count: added },
    { part: 'scale-removed', count: removed },
  ];
  return all.filter((difference) => 'count' in difference && difference.count > 0);
}

function summary(ring: Lens['ring']): RingSummary {
  if (ring.kind === 'helicoid') return { kind: 'helicoid', throwDeg: ring.focusThrowDeg };
  const angles = ring.points.map(({ ringDeg }) => ringDeg);
  return { kind: ring.kind, points: ring.points.length, spanDeg: Math.max(...angles) - Math.min(...angles) };
}
