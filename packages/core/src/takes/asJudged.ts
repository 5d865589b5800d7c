import type { ShotPlan } from '../pull/index.js';
import type { RollPace } from '../roll/index.js';
import { judgeTake, type TakeVerdict } from './judgeTake.js';
import { onPlanTime } from './onPlanTime.js';
import type { FocusGrade, Take } from './take.js';
import { unpackTrack } from './track.js';

/** Of a take that is not kept, so much of the time it must be sharp makes it usable. */
const USABLE_SHARE = 0.5;

/**
 * Judges a take by its own track, over the plan's time.
 *
 * @returns null without a track, or while nobody has a distance
 * @throws {CoreError} `broken-track`
 */
export function verdictOf(
  plan: ShotPlan,
  { track, cues, wobbles }: Pick<Take, 'track' | 'cues' | 'wobbles'>,
  pace?: RollPace,
): TakeVerdict | null {
  return track === null ? null : judgeTake(plan, onPlanTime(plan, unpackTrack(track), cues, pace), wobbles);
}

/** A take with what its track says of every mark and of its focus, until somebody says otherwise. One without a track stays as it is. */
export function asJudged(plan: ShotPlan, take: Take, pace?: RollPace): Take {
  const verdict = verdictOf(plan, take, pace);
  if (!verdict) return take;
  const hits = verdict.moves.map(({ moveId, hit, landsLateS, startsLateS }) => ({
    moveId,
    hit,
    lateS: hit === 'late' || hit === 'early' ? inHundredths(largest(startsLateS, landsLateS, hit)) : null,
  }));
  return { ...take, hits, focus: focusOf(verdict) };
}

function focusOf({ isKept, requiredFrames, sharpFrames }: TakeVerdict): FocusGrade {
  if (isKept) return 'sharp';
  return sharpFrames >= USABLE_SHARE * requiredFrames ? 'usable' : 'soft';
}

/** What it is late, or early, by: at its start or its landing, whichever is more. */
function largest(startS: number | null, landS: number | null, hit: 'late' | 'early'): number {
  return hit === 'late' ? Math.max(startS ?? 0, landS ?? 0) : (startS ?? 0);
}

function inHundredths(seconds: number): number {
  return Math.round(seconds * 100) / 100;
}
