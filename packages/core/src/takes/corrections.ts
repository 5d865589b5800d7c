import { changeRack, rackRoom, type ShotPlan } from '../pull/index.js';
import type { MarkHit } from './scoreMoves.js';

/** What is known of a pull in a take: by its track, or as it was logged. */
export interface LoggedHit {
  readonly moveId: string;
  readonly hit: MarkHit;
  /** How late it was set off, below 0 how early; of one that was late at its landing, that. Null where nobody measured it */
  readonly lateS: number | null;
  /** Where the ring came to rest, so many degrees off the target; null as above */
  readonly offDeg: number | null;
}

/** What to do otherwise in the next take, with why. */
export interface Correction {
  readonly moveId: string;
  readonly hit: Exclude<MarkHit, 'hit'>;
  /** In how many of the takes looked at */
  readonly times: number;
  /** By how much on the average, in seconds; null where it has no figure */
  readonly byS: number | null;
  /** The plan with it done; null where it is to be done on the set: measured again, turned more gently */
  readonly plan: ShotPlan | null;
}

/** So many takes back a fault still tells something. */
const TAKES_BACK = 4;
/** Late or early by nobody knows how much is taken to be this. */
const UNMEASURED_S = 0.2;
/** A pull that goes too far gets so much more time. */
const CALMER = 1.25;
/** Shifts are made in steps one can say. */
const STEP_S = 0.05;

/**
 * What the last takes say should be done otherwise: of each pull the fault it had last, with how often it had it. What is right now needs nothing.
 *
 * @param takes - the latest last
 */
export function corrections(plan: ShotPlan, takes: readonly (readonly LoggedHit[])[]): Correction[] {
  const recent = takes.slice(-TAKES_BACK);
  return plan.line.moves.flatMap(({ id }): Correction[] => {
    const hits = recent.flatMap((take) => take.filter(({ moveId }) => moveId === id));
    const last = hits.at(-1);
    if (!last || last.hit === 'hit') return [];
    const same = hits.filter(({ hit }) => hit === last.hit);
    const measured = same.flatMap(({ lateS }) => lateS ?? []);
    const meanS = measured.length === 0 ? null : measured.reduce((sum, s) => sum + s, 0) / measured.length;
    return [{ moveId: id, hit: last.hit, times: same.length, byS: meanS, plan: corrected(plan, id, last.hit, meanS) }];
  });
}

function corrected(plan: ShotPlan, id: string, hit: Exclude<MarkHit, 'hit'>, meanS: number | null): ShotPlan | null {
  const { startS, durationS } = plan.line.moves.find((move) => move.id === id)!;
  const { earliestStartS, latestEndS } = rackRoom(plan, id);
  const inSteps = (seconds: number) => Math.round(seconds / STEP_S) * STEP_S;
  switch (hit) {
    case 'late':
    case 'early': {
      const late = meanS ?? (hit === 'late' ? UNMEASURED_S : -UNMEASURED_S);
      const start = Math.min(Math.max(inSteps(startS - late), earliestStartS), latestEndS - durationS);
      return Math.abs(start - startS) < STEP_S / 2 ? null : changeRack(plan, id, { startS: start });
    }
    case 'overshot': {
      const longer = Math.min(inSteps(durationS * CALMER), latestEndS - startS);
      return longer - durationS < STEP_S / 2 ? null : changeRack(plan, id, { durationS: longer });
    }
    default:
      return null;
  }
}
