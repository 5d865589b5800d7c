import { changePull, isTriggeredByEvent, pullRoom, type ShotPlan } from '../plan/index.js';
import type { LoggedHit } from './loggedHit.js';
import { hitOf } from './said.js';
import type { MarkHit } from './scorePulls.js';

/** What to change for the next take, and why. */
export interface Correction {
  readonly pullId: string;
  readonly hit: Exclude<MarkHit, 'hit'>;
  /** Number of takes with this fault, among those examined */
  readonly times: number;
  /** Mean size in seconds; null without a figure */
  readonly byS: number | null;
  /** The corrected plan; null if the correction is done on the set, such as measuring again */
  readonly plan: ShotPlan | null;
}

/** Number of latest takes that are examined. */
export const TAKES_EXAMINED = 4;
/** Assumed size of a lateness that was not measured. */
const ASSUMED_LATENESS_S = 0.2;
/** Factor for the duration of a pull that overshoots. */
const SLOWER_FACTOR = 1.25;
/** Corrections are rounded to this step. */
const STEP_S = 0.05;

/**
 * Corrections from the latest takes: for each pull its latest fault, with its number of occurrences. A pull that was hit last
 * needs none; what nobody said and no track shows counts neither way.
 *
 * @param takes - latest last
 */
export function corrections(plan: ShotPlan, takes: readonly (readonly LoggedHit[])[]): Correction[] {
  const recent = takes.slice(-TAKES_EXAMINED);
  return plan.focusTrack.pulls.flatMap(({ id }): Correction[] => {
    const hits = recent.flatMap((take) => take.filter((one) => one.pullId === id && hitOf(one) !== null));
    const last = hits.at(-1);
    const fault = last && hitOf(last);
    if (!fault || fault === 'hit') return [];
    const same = hits.filter((one) => hitOf(one) === fault);
    const measured = same.flatMap((one) => lateByS(one) ?? []);
    const meanS = measured.length === 0 ? null : measured.reduce((sum, s) => sum + s, 0) / measured.length;
    return [{ pullId: id, hit: fault, times: same.length, byS: meanS, plan: corrected(plan, id, fault, meanS) }];
  });
}

/** How late a pull was as a whole: for one that was late, the later of its start and its landing. Null if not measured. */
export function lateByS({ said, measured, lateS, landsLateS }: LoggedHit): number | null {
  // a figure belongs to what the track shows; a person who says something else gave none
  if (said !== null && said !== measured) return null;
  return measured === 'late' && landsLateS !== null ? Math.max(lateS ?? 0, landsLateS) : lateS;
}

function corrected(plan: ShotPlan, id: string, hit: Exclude<MarkHit, 'hit'>, meanS: number | null): ShotPlan | null {
  const pull = plan.focusTrack.pulls.find((one) => one.id === id)!;
  const { startS, durationS } = pull;
  const { earliestStartS, latestEndS } = pullRoom(plan, id);
  const inSteps = (seconds: number) => Math.round(seconds / STEP_S) * STEP_S;
  switch (hit) {
    case 'late':
    case 'early': {
      // its cue sets it off: another start in the plan changes nothing on the set
      if (isTriggeredByEvent(pull)) return null;
      const late = meanS ?? (hit === 'late' ? ASSUMED_LATENESS_S : -ASSUMED_LATENESS_S);
      const start = Math.min(Math.max(inSteps(startS - late), earliestStartS), latestEndS - durationS);
      return Math.abs(start - startS) < STEP_S / 2 ? null : changePull(plan, id, { startS: start });
    }
    case 'overshot': {
      const longer = Math.min(inSteps(durationS * SLOWER_FACTOR), latestEndS - startS);
      return longer - durationS < STEP_S / 2 ? null : changePull(plan, id, { durationS: longer });
    }
    default:
      return null;
  }
}
