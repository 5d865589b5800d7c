import type { ShotPlan } from '../plan/index.js';
import { rollClock, type RollClock, type RollMode } from '../roll/index.js';
import { type LoggedHit, NOT_MEASURED } from './loggedHit.js';
import { inferredCues } from './inferredCues.js';
import { judgeTake, type TakeVerdict } from './judgeTake.js';
import type { UsableSpan } from './usableSpan.js';
import { onPlanTime } from './onPlanTime.js';
import type { PullScore } from './scorePulls.js';
import { type FocusGrade, type Take, TAKE_LIMITS } from './take.js';
import type { Recovery } from './recoveries.js';
import { type RingTrack, unpackTrack } from './track.js';
import { inHundredths, turnFigures } from './turnFigures.js';

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
  return judgedBy(plan, unpackTrack(track), { cues, focusChecks }, pace).verdict;
}

/** The verdict, and the clock of the take: with cues that were seen in the ring where none was given by key. */
function judgedBy(
  plan: ShotPlan,
  track: RingTrack,
  { cues, focusChecks }: Pick<Take, 'cues' | 'focusChecks'>,
  pace: RollMode | undefined,
): { readonly verdict: TakeVerdict | null; readonly clock: RollClock } {
  const seen = inferredCues(plan, track, cues, pace);
  const all = [...cues, ...seen];
  const clock = rollClock(plan, all, pace);
  const checksOnPlan = focusChecks.map(({ fromS, toS }) => ({ fromS: clock.planSAt(fromS), toS: clock.planSAt(toS) }));
  const verdict = judgeTake(plan, onPlanTime(plan, track, all, pace), checksOnPlan);
  const isSeen = (pullId: string) => seen.some((cue) => cue.pullId === pullId);
  // how late the ring was is unknown where the cue is seen in the ring itself
  const pulls = verdict?.pulls.map((score) => (isSeen(score.pullId) ? { ...score, startsLateS: null, landsLateS: null } : score));
  return { verdict: verdict && { ...verdict, pulls: pulls! }, clock };
}

/**
 * Fills in what the take's track shows: of its pulls, its focus and its usable spans. What a person said stays as it is. A take without a track is
 * returned unchanged.
 */
export function asJudged(plan: ShotPlan, take: Take, pace?: RollMode): Take {
  if (take.track === null) return take;
  const { verdict, clock } = judgedBy(plan, unpackTrack(take.track), take, pace);
  if (!verdict) return take;
  return {
    ...take,
    hits: plan.focusTrack.pulls.flatMap(({ id }): LoggedHit[] => {
      const score = verdict.pulls.find(({ pullId }) => pullId === id);
      const said = take.hits.find(({ pullId }) => pullId === id)?.said ?? null;
      if (score) return [{ ...loggedHit(score), said }];
      return said === null ? [] : [{ pullId: id, said, measured: null, ...NOT_MEASURED }];
    }),
    recoveries: recoveriesIn(verdict, clock, take.recoveries, plan.captureFps),
    measured: {
      focus: focusGradeOf(verdict),
      usable: verdict.usable
        .slice(0, TAKE_LIMITS.usable.max)
        .flatMap(({ fromS, toS }) => spanOf(clock, fromS, toS, plan.captureFps) ?? []),
    },
  };
}

/** Those that the track shows, with what a person said of the same stretch, and those that only a person saw. */
function recoveriesIn(verdict: TakeVerdict, clock: RollClock, known: readonly Recovery[], captureFps: number): Recovery[] {
  const measured = verdict.recoveries.flatMap(({ fromS, toS, grade }): Recovery[] => {
    const span = spanOf(clock, fromS, toS, captureFps);
    if (!span) return [];
    const said = known.find((one) => one.said !== null && one.fromS < span.toS && one.toS > span.fromS)?.said ?? null;
    return [{ ...span, said, measured: grade }];
  });
  const others = known.filter((one) => one.said !== null && !measured.some((two) => one.fromS < two.toS && one.toS > two.fromS));
  return [...measured, ...others.map((one) => ({ ...one, measured: null }))]
    .sort((a, b) => a.fromS - b.fromS)
    .slice(0, TAKE_LIMITS.recoveries.max);
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
export function loggedHit(score: PullScore): LoggedHit {
  const { pullId, hit, landsLateS, startsLateS, endErrorDeg } = score;
  const rounded = (timeS: number | null) => (timeS === null ? null : inHundredths(timeS));
  return {
    pullId,
    said: null,
    measured: hit,
    lateS: rounded(startsLateS),
    landsLateS: rounded(landsLateS),
    offDeg: inHundredths(endErrorDeg),
    turn: turnFigures(score),
  };
}

function focusGradeOf({ isKept, requiredFrames, sharpFrames }: TakeVerdict): FocusGrade {
  if (isKept) return 'sharp';
  return sharpFrames >= USABLE_SHARE * requiredFrames ? 'usable' : 'soft';
}
