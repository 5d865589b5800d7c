import type { ShotPlan } from './shotPlan.js';

/** What is drawn of a plan, and its frames. Pulls and beats change nothing of it. */
export type Drawn = Pick<ShotPlan, 'floor' | 'subjects' | 'marks' | 'durationS' | 'captureFps'>;

/** A finder that remembers what it found for the same drawing: during a drag of a pull it is asked again and again. */
export function byDrawing<T>(find: (plan: Drawn) => T): (plan: Drawn) => T {
  const known = new WeakMap<ShotPlan['marks'], { readonly plan: Drawn; readonly found: T }>();
  return (plan) => {
    const { floor, subjects, marks, durationS, captureFps } = plan;
    const last = known.get(marks);
    const isSame =
      last?.plan.floor === floor &&
      last.plan.subjects === subjects &&
      last.plan.durationS === durationS &&
      last.plan.captureFps === captureFps;
    if (isSame) return last.found;
    const found = find(plan);
    known.set(marks, { plan: { floor, subjects, marks, durationS, captureFps }, found });
    return found;
  };
}
