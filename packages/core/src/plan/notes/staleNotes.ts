import { type StaleCause, staleCause, staleMarks } from '../staleMarks.js';
import type { ShotPlan } from '../shotPlan.js';
import type { PlanNote } from './planNote.js';

/** In the order of their notes */
const STALE_CAUSES: readonly StaleCause[] = ['camera', 'drawing', 'lens'];

/** A note for each cause that puts measured distances in doubt. */
export function staleNotes(plan: ShotPlan): PlanNote[] {
  const stale = staleMarks(plan);
  return STALE_CAUSES.flatMap((since) => {
    const letters = stale.filter((mark) => staleCause(plan, mark) === since).map(({ letter }) => letter);
    return letters.length === 0 ? [] : [{ code: 'stale-marks' as const, kind: 'warning' as const, letters, since }];
  });
}
