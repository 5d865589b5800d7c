import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { clamp } from './ids.js';
import { staleMarks } from './marks.js';
import { withTargets } from './targets.js';
import { withFloor } from './withFloor.js';

/**
 * Moves the camera back along its axis, so that every subject is farther away by `byMm`. Taped distances are increased and
 * become stale.
 *
 * @param byMm - > 0
 */
export function stepBack(plan: ShotPlan, byMm: number): ShotPlan {
  const farther = (mm: number | null) => (mm === null ? null : Math.min(mm + byMm, PLAN_LIMITS.distanceMm.max));
  const set = withTargets(plan, (target) => {
    if (target.kind === 'distance') return { ...target, distanceMm: farther(target.distanceMm) };
    if (target.kind !== 'course') return target;
    return { ...target, points: target.points.map((point) => ({ ...point, distanceMm: farther(point.distanceMm) })) };
  });
  const drawn = withFloor(set, (floor) => ({
    ...floor,
    camera: floor.camera.map((key) => {
      const rad = (planDistances(plan).headingAt(key.timeS) * Math.PI) / 180;
      return { ...key, xMm: key.xMm - byMm * Math.cos(rad), yMm: key.yMm - byMm * Math.sin(rad) };
    }),
  }));
  const [was, is] = [planDistances(plan).markSightings, planDistances(drawn).markSightings];
  const moved = {
    ...drawn,
    marks: drawn.marks.map((mark) => {
      const [before, after] = [was.get(mark.id), is.get(mark.id)];
      if (mark.method === 'drawn' || mark.distanceMm === null) return mark;
      const { min, max } = PLAN_LIMITS.distanceMm;
      return { ...mark, distanceMm: clamp(mark.distanceMm + (before && after ? after.tapeMm - before.tapeMm : byMm), min, max) };
    }),
  };
  return staleMarks(moved, 'camera');
}
