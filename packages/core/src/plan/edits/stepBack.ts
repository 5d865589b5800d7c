import type { Mark } from '../../floor/index.js';
import { planDistances } from '../planDistances.js';
import { PLAN_LIMITS } from '../planLimits.js';
import type { ShotPlan } from '../shotPlan.js';
import { withTargets } from './targets.js';
import { withFloor } from './withFloor.js';

/**
 * Moves the camera back along its axis, so that every subject is farther away by `byMm`. A mark that is drawn is then stale because of the
 * drawing, and the drawing says how far it is now. A tape without a drawing is increased, and becomes stale.
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
  const isOnFloor = ({ place }: Mark) => drawn.floor !== null && place !== null;
  const marks = drawn.marks.map((mark) =>
    isOnFloor(mark) || mark.distanceMm === null
      ? mark
      : { ...mark, distanceMm: farther(mark.distanceMm), stale: 'camera' as const },
  );
  return { ...drawn, marks };
}
