import { heldOnRing, ringOf } from '../kit/index.js';
import { activeBeats, beatFrames, type ShotPlan } from '../plan/index.js';
import { evaluateRing, type RingVerdict } from '../verdict/index.js';
import { type MeasuredRecovery, recoveriesOf } from './recoveries.js';
import { type PullScore, scorePulls } from './scorePulls.js';
import type { UsableSpan } from './usableSpan.js';
import { isInHole, type RingTrack, trackDegAt } from './track.js';

/** What a take's track shows: by frame, by beat and by pull. */
export interface TakeVerdict extends RingVerdict {
  readonly pulls: readonly PullScore[];
  /** Where somebody who has to be sharp was lost and came back, in order of time */
  readonly recoveries: readonly MeasuredRecovery[];
  /** Longest first: every required subject is sharp, and no focus check */
  readonly usable: readonly UsableSpan[];
  /** The take lasts to the end of the last beat, and no beat meets a hole in its data */
  readonly isWhole: boolean;
  /** Every beat is kept and was recorded to its end */
  readonly isKept: boolean;
}

/** A take that ends this shortly before its last beat ends is still whole: ending it takes a moment. */
const END_TOLERANCE_S = 0.25;
/** Minimum duration of a usable span. */
const MIN_USABLE_S = 0.4;

/**
 * Judges a take by the actual ring angles; subjects and camera as planned.
 *
 * @param track - in plan time: see `onPlanTime`
 * @param focusChecks - spans to exclude from the usable ones
 * @returns null if no distance is known
 */
export function judgeTake(plan: ShotPlan, track: RingTrack, focusChecks: readonly UsableSpan[] = []): TakeVerdict | null {
  const ring = ringOf(plan.optics.lens);
  const judged = evaluateRing(plan, (timeS) => heldOnRing(ring, trackDegAt(track, timeS)));
  if (!judged) return null;
  const { frameCount, captureFps, subjects, beats } = judged;
  const lost = new Uint8Array(frameCount);
  for (const beat of activeBeats(plan)) {
    const frames = subjects.find(({ subjectId }) => subjectId === beat.subjectId);
    if (beat.requirement !== 'sharp' || !frames) continue;
    const { fromFrame, toFrame } = beatFrames(beat, captureFps, frameCount);
    for (let frame = fromFrame; frame < toFrame; frame++) {
      if (!frames.sharp[frame] && !frames.unjudged?.[frame]) lost[frame] = 1;
    }
  }
  const endS = (track.ringDeg.length - 1) / track.hz;
  // a take that was cut short shows nothing after its end
  lost.fill(1, Math.min(frameCount, Math.floor(endS * captureFps + 1e-6) + 1));
  for (const { fromS, toS } of [...focusChecks, ...(track.holes ?? [])])
    lost.fill(1, Math.max(0, Math.floor(fromS * captureFps)), Math.min(frameCount, Math.ceil(toS * captureFps)));
  const isWhole = activeBeats(plan).every(({ fromS, toS }) => toS <= endS + END_TOLERANCE_S && !isInHole(track, fromS, toS));
  return {
    ...judged,
    pulls: scorePulls(plan, track),
    recoveries: recoveriesOf(plan, track, judged, focusChecks),
    usable: usableSpans(lost, captureFps),
    isWhole,
    isKept: isWhole && beats.every(({ kept }) => kept),
  };
}

function usableSpans(lost: Uint8Array, captureFps: number): UsableSpan[] {
  const spans: UsableSpan[] = [];
  for (let frame = 0; frame < lost.length; frame++) {
    if (lost[frame]) continue;
    let end = frame;
    while (end < lost.length && !lost[end]) end++;
    if ((end - frame) / captureFps >= MIN_USABLE_S) spans.push({ fromS: frame / captureFps, toS: end / captureFps });
    frame = end;
  }
  return spans.sort((a, b) => b.toS - b.fromS - (a.toS - a.fromS));
}
