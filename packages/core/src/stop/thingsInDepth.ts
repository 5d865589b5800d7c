import { halfViewDeg, lensView, planDistances, type ShotPlan } from '../plan/index.js';

/** Something in the picture at a distance along the lens axis: a subject, a landmark, or a taped mark. */
export interface ThingInDepth {
  readonly name: string;
  /** null for infinity */
  readonly distanceMm: number | null;
}

/** Anything nearer is at the lens itself and is ignored. */
const AT_LENS_MM = 100;

/** Subjects and landmarks in the picture at a time, nearest first. Without a floor plan, subjects only. */
export function thingsInDepth(plan: ShotPlan, timeS: number): ThingInDepth[] {
  const { subjects, floor, optics } = plan;
  const { sightingAt, focusMmAt } = planDistances(plan);
  const half = halfViewDeg(optics, timeS);
  const people = subjects.flatMap((subject): ThingInDepth[] => {
    const sight = sightingAt(subject, timeS);
    if (sight && (sight.depthMm <= AT_LENS_MM || Math.abs(sight.offAxisDeg) > half)) return [];
    const mm = focusMmAt(subject, timeS);
    return Number.isNaN(mm) ? [] : [{ name: subject.name, distanceMm: finite(mm) }];
  });
  const viewOf = floor && lensView({ ...plan, floor }, timeS);
  const things = (floor?.landmarks ?? []).flatMap((thing): ThingInDepth[] => {
    const { depthMm, sideMm } = viewOf!(thing);
    const besideMm = Math.max(Math.abs(sideMm) - thing.widthMm / 2, 0);
    const isSeen = depthMm > AT_LENS_MM && besideMm <= depthMm * Math.tan((half * Math.PI) / 180);
    return isSeen && thing.shape !== 'track' ? [{ name: thing.name, distanceMm: depthMm }] : [];
  });
  return [...people, ...things].sort((a, b) => (a.distanceMm ?? Infinity) - (b.distanceMm ?? Infinity));
}

function finite(mm: number): number | null {
  return Number.isFinite(mm) ? mm : null;
}
