import { activeBeats, type Beat, beatFrames, keyFrameOf, type ShotPlan } from '../../plan/index.js';
import { frameCount as countFrames } from '../../units/index.js';

/** Where a beat gives up the frames that it may lose. */
const SIDES = ['end', 'start', 'both'] as const;

/**
 * The plan with beats that need not be sharp throughout, shortened by the frames that each may lose: all at their ends, all at their starts, and on
 * both sides. What keeps all of such a beat keeps enough of the beat as it is. A key moment stays within its beat.
 *
 * @returns empty if every beat needs all of its frames
 */
export function trimmedPlans(plan: ShotPlan): ShotPlan[] {
  const frames = countFrames(plan.durationS, plan.captureFps);
  const spared = new Map(activeBeats(plan).map((beat) => [beat.id, sparedFrames(beat, plan.captureFps, frames)]));
  if ([...spared.values()].every((count) => count === 0)) return [];
  return SIDES.map((side) => ({
    ...plan,
    beats: plan.beats.map((beat) =>
      trimmed(beat, { side, spared: spared.get(beat.id) ?? 0, captureFps: plan.captureFps, frames }),
    ),
  }));
}

/** Frames that a beat may lose; 0 unless it must be sharp. */
function sparedFrames(beat: Beat, captureFps: number, frames: number): number {
  if (beat.requirement !== 'sharp') return 0;
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, frames);
  return Math.floor((toFrame - fromFrame) * (1 - beat.requiredShare) + 1e-9);
}

interface Trim {
  readonly side: (typeof SIDES)[number];
  readonly spared: number;
  readonly captureFps: number;
  readonly frames: number;
}

function trimmed(beat: Beat, { side, spared, captureFps, frames }: Trim): Beat {
  if (spared === 0) return beat;
  const { fromFrame, toFrame } = beatFrames(beat, captureFps, frames);
  const atStart = { end: 0, start: spared, both: Math.floor(spared / 2) }[side];
  const keyFrame = keyFrameOf(beat, captureFps, frames);
  const from = Math.min(fromFrame + atStart, keyFrame ?? Infinity);
  const to = Math.max(toFrame - (spared - atStart), keyFrame === null ? -Infinity : keyFrame + 1);
  return { ...beat, fromS: from / captureFps, toS: to / captureFps };
}
