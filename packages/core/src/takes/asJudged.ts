import type { ShotPlan } from '../plan/index.js';
import { rollClock, type RollClock, type RollMode } from '../roll/index.js';
import type { LoggedHit } from './corrections.js';
import { judgeTake, type TakeVerdict, type UsableSpan } from './judgeTake.js';
import { onPlanTime } from './onPlanTime.js';
import type { PullScore } from './scorePulls.js';
import { type FocusGrade, type Take, TAKE_LIMITS } from './take.js';
import { unpackTrack } from './track.js';

/** Minimum sharp share of the required time for the grade "usable". */
const USABLE_SHARE = 0.5;

/**
 * Judges a take by its own track in plan time.
 *
 * @returns null without a track, or if no distance is known
 * @throws {CoreError} `broken-track`
 */
export function verdictOf(
  plan: ShotPlan,
  { track, cues, focusChecks }: Pick<Take, 'track' | 'cues' | 'focusChecks'>,
  pace?: RollMode,
): TakeVerdict | null {
  if (track === null) return null;
  const clock = rollClock(plan, cues, pace);
  const checksOnPlan = focusChecks.map(({ fromS, toS }) => ({ fromS: clock.planSAt(fromS), toS: clock.planSAt(toS) }));
  return judgeTake(plan, onPlanTime(plan, unpackTrack(track), cues, pace), checksOnPlan);
}

/** Fills in hits, focus grade and usable spans from the take's track. A take without a track is returned unchanged. */
export function asJudged(plan: ShotPlan, take: Take, pace?: RollMode): Take {
  const verdict = verdictOf(plan, take, pace);
  if (!verdict) return take;
  const clock = rollClock(plan, take.cues, pace);
  return {
    ...take,
    hits: verdict.pulls.map(loggedHit),
    focus: focusOf(verdict),
    usable: verdict.usable
      .slice(0, TAKE_LIMITS.usable.max)
      .flatMap(({ fromS, toS }) => spanOf(clock, fromS, toS, plan.captureFps) ?? []),
  };
}

/**
 * Converts a span from plan time to take time. It uses the last frame, because the frame after it may have to wait for a cue.
 */
function spanOf(clock: RollClock, fromS: number, toS: number, captureFps: number): UsableSpan | null {
  const lastS = toS - 1 / captureFps;
  const [from, last] = [clock.realSAt(fromS), clock.realSAt(lastS)];
  return from === null || last === null ? null : { fromS: from, toS: last + 1 / captureFps };
}

/** The part of a pull's score that the log keeps. */
export function loggedHit({ pullId, hit, landsLateS, startsLateS, endErrorDeg }: PullScore): LoggedHit {
  const lateS = hit === 'late' ? Math.max(startsLateS ?? 0, landsLateS ?? 0) : startsLateS;
  return { pullId, hit, lateS: lateS === null ? null : inHundredths(lateS), offDeg: inHundredths(endErrorDeg) };
}

function focusOf({ isKept, requiredFrames, sharpFrames }: TakeVerdict): FocusGrade {
  if (isKept) return 'sharp';
  return sharpFrames >= USABLE_SHARE * requiredFrames ? 'usable' : 'soft';
}

function inHundredths(value: number): number {
  return Math.round(value * 100) / 100;
}
