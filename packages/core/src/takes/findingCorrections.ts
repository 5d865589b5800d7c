import { stopsAt } from '../kit/index.js';
import { focalLengthAt, type ShotPlan, stopAt } from '../plan/index.js';
import { withStop } from '../stop/index.js';
import { TAKES_EXAMINED } from './corrections.js';
import { type Finding, type FindingPlace, isSamePlace, type LoggedFinding } from './findings.js';

/** What to change for the next take after a fault at another place than a pull. */
export interface FindingCorrection {
  readonly at: FindingPlace;
  readonly found: Exclude<Finding, 'fine'>;
  /** Number of takes with this fault there, among those examined */
  readonly times: number;
  /** The corrected plan; null if the correction is done on the set */
  readonly plan: ShotPlan | null;
}

/** A deeper zone helps against these: somebody was not where focus was, and nobody turned the ring wrongly. */
const OUT_OF_ZONE: readonly Finding[] = ['left-zone', 'drifted-nearer', 'drifted-farther'];
/** One stop, less what engraved figures are rounded. */
const ONE_STOP = Math.SQRT2 * 0.97;

/**
 * Corrections from what the latest takes say of arrivals, spans, key moments and times: for each place its latest fault. A place that was fine
 * last needs none. Faults at a time are one place each kind.
 *
 * @param takes - latest last
 */
export function findingCorrections(plan: ShotPlan, takes: readonly (readonly LoggedFinding[])[]): FindingCorrection[] {
  const recent = takes.slice(-TAKES_EXAMINED);
  const all = recent.flat();
  const places = all.filter((one, index) => all.findIndex((other) => isSame(one, other)) === index);
  return places.flatMap((place): FindingCorrection[] => {
    const here = recent.flatMap((take) => take.filter((one) => isSame(one, place)).slice(-1));
    const last = here.at(-1)!;
    if (last.found === 'fine') return [];
    const { at, found } = last;
    const times = here.filter((one) => one.found === found).length;
    return [{ at, found, times, plan: OUT_OF_ZONE.includes(found) ? stoppedDown(plan) : null }];
  });
}

function isSame(a: LoggedFinding, b: LoggedFinding): boolean {
  return a.at.kind === 'time' ? b.at.kind === 'time' && a.found === b.found : isSamePlace(a.at, b.at);
}

/** The shot with its aperture a stop smaller; null if the lens has no such stop. */
function stoppedDown(plan: ShotPlan): ShotPlan | null {
  const now = stopAt(plan.optics, 0);
  const smaller = stopsAt(plan.optics.lens, focalLengthAt(plan.optics, 0)).find((stop) => stop >= now * ONE_STOP);
  return smaller === undefined ? null : withStop(plan, smaller);
}
