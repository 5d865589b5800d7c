import { activeBeats, beatFrames, type ShotPlan } from '../plan/index.js';
import type { RingVerdict } from '../verdict/index.js';
import { restingDeg } from './pullTurns.js';
import { smoothed } from './smoothTrack.js';
import { pathOf } from './turns.js';
import { type RingTrack, trackDegAt } from './track.js';
import type { UsableSpan } from './usableSpan.js';

/** How somebody who was lost came back, best first. A gentle return is usable; a jerk is not, and neither is a hunt. */
export const RECOVERY_GRADES = ['gentle', 'quick', 'jerked', 'hunted'] as const;
export type RecoveryGrade = (typeof RECOVERY_GRADES)[number];

/** A stretch of a take in which somebody who has to be sharp was lost and came back. */
export interface Recovery extends UsableSpan {
  /** What a person says; null if nobody said */
  readonly said: RecoveryGrade | null;
  /** What the track shows; null without one */
  readonly measured: RecoveryGrade | null;
}

/** Where one was lost, in frames, and how it came back. */
export interface MeasuredRecovery extends UsableSpan {
  readonly grade: RecoveryGrade;
  /** Fastest change of blur on the way back, in permitted circles per second on screen */
  readonly circlesPerS: number;
  readonly reversals: number;
}

/** Change of blur on the way back up to which it is gentle, and quick, in permitted circles per second on screen. */
const GENTLE_PER_S = 6;
const QUICK_PER_S = 15;
/** To and fro once is the way out and the way back. */
const MAX_REVERSALS = 1;
/** Shorter losses are not seen. */
const MIN_LOST_FRAMES = 2;
/** Sharp for a shorter time, one has not come back. */
const BACK_S = 0.25;

/** The grade of a recovery: what a person says, or else what the track shows. */
export function recoveryOf({ said, measured }: Pick<Recovery, 'said' | 'measured'>): RecoveryGrade | null {
  return said ?? measured;
}

/**
 * Recoveries in a take. Somebody must have been sharp before within the beat: arriving late is no recovery. A focus check is none either.
 *
 * @param track - in plan time, as `judged` was
 * @returns in order of time, in plan time
 */
export function recoveriesOf(
  plan: ShotPlan,
  track: RingTrack,
  judged: RingVerdict,
  focusChecks: readonly UsableSpan[],
): MeasuredRecovery[] {
  const { captureFps, deliveryFps } = plan;
  const found = activeBeats(plan).flatMap((beat) => {
    const frames = judged.subjects.find(({ subjectId }) => subjectId === beat.subjectId);
    if (beat.requirement !== 'sharp' || !frames) return [];
    const span = beatFrames(beat, captureFps, judged.frameCount);
    return lostRuns(frames, { ...span, least: Math.ceil(BACK_S * captureFps) }).flatMap(({ from, to }): MeasuredRecovery[] => {
      const [fromS, toS] = [from / captureFps, to / captureFps];
      if (focusChecks.some((check) => check.fromS < toS && check.toS > fromS)) return [];
      const circlesPerS = fastestReturn(frames.blurCircles, from, to) * deliveryFps;
      const reversals = reversalsBetween(plan, track, fromS, toS);
      return [{ fromS, toS, circlesPerS, reversals, grade: gradeOf(circlesPerS, reversals) }];
    });
  });
  return found.sort((a, b) => a.fromS - b.fromS);
}

interface Run {
  readonly from: number;
  /** First sharp frame after it */
  readonly to: number;
}

/**
 * Runs of soft frames with sharp ones before and after, within a span.
 *
 * @param least - sharp frames that divide two runs
 */
function lostRuns(
  { sharp, unjudged }: RingVerdict['subjects'][number],
  { fromFrame, toFrame, least }: { readonly fromFrame: number; readonly toFrame: number; readonly least: number },
): Run[] {
  const runs: Run[] = [];
  const isLost = (frame: number) => sharp[frame] === 0 && unjudged?.[frame] !== 1;
  let wasSharp = false;
  for (let frame = fromFrame; frame < toFrame; frame++) {
    if (!isLost(frame)) {
      wasSharp ||= sharp[frame] === 1;
      continue;
    }
    let end = frame;
    while (end < toFrame && isLost(end)) end++;
    const last = runs.at(-1);
    if (last && frame - last.to < least) runs[runs.length - 1] = { from: last.from, to: end };
    else if (wasSharp) runs.push({ from: frame, to: end });
    frame = end - 1;
  }
  return runs.filter(({ from, to }) => to < toFrame && to - from >= MIN_LOST_FRAMES);
}

/** Largest decrease of blur from one frame to the next, after the worst frame and up to the first sharp one. */
function fastestReturn(blur: Float64Array, from: number, to: number): number {
  let worst = from;
  for (let frame = from; frame < to; frame++) if (blur[frame]! > blur[worst]!) worst = frame;
  let fastest = 0;
  for (let frame = worst + 1; frame <= to; frame++) fastest = Math.max(fastest, blur[frame - 1]! - blur[frame]!);
  return fastest;
}

/** How often the ring turned round, beyond what a resting hand moves. */
function reversalsBetween(plan: ShotPlan, track: RingTrack, fromS: number, toS: number): number {
  const count = Math.max(2, Math.ceil((toS - fromS) * track.hz) + 1);
  const degs = smoothed(
    Float64Array.from({ length: count }, (_, k) => trackDegAt(track, fromS + k / track.hz)),
    track.hz,
  );
  return pathOf(degs, restingDeg(plan.wheel)).reversals;
}

function gradeOf(circlesPerS: number, reversals: number): RecoveryGrade {
  if (reversals > MAX_REVERSALS) return 'hunted';
  if (circlesPerS <= GENTLE_PER_S) return 'gentle';
  return circlesPerS <= QUICK_PER_S ? 'quick' : 'jerked';
}
