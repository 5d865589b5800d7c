import { blurBetween, conjugates, zoneLimits } from '../optics/index.js';
import type { FillRingDeg } from '../track/index.js';
import { isSteady, type ShotOptics, zoneLensAt } from '../plan/index.js';
import type { LensRing } from '../kit/index.js';
import type { FloorDistances, Subject } from '../floor/index.js';
import type { FrameMemory } from './frameMemory.js';
import type { TrackSamples, SubjectFrames } from './pullVerdict.js';

/** Frames of the focus track, with the lens position that blur depends on. */
export interface TrackFrames {
  readonly frames: TrackSamples;
  /** Where its columns are, and those of its subjects */
  readonly memory: FrameMemory;
  /** Lens to focused plane; Infinity allowed */
  readonly objectMm: Float64Array;
  /** Offset from object distance to tape distance: separation plus lens to image plane */
  readonly toTapeMm: Float64Array;
  readonly focalLengthMm: Float64Array;
  /** At the first frame of a span in which ring and lens stay the same: the frame after it */
  readonly sameUntil: Float64Array;
  readonly circleOfConfusionMm: number;
}

/** Frames of a plan that differs from another one only within a span. It has the same subjects. */
export interface KnownFrames {
  readonly track: TrackFrames;
  readonly subjects: readonly SubjectFrames[];
  /** First frame that may differ, and the frame after the last one */
  readonly fromFrame: number;
  readonly toFrame: number;
}

/** Smallest object distance of a subject: one nearer than the lens itself has no defined blur. */
const MIN_OBJECT_MM = 1;

/**
 * Samples the track by frame: ring angle, focus, stop, near and far limit.
 * Consecutive frames of a hold share their optics.
 *
 * @param fillRingDeg - the track, or the ring as it was turned
 * @param known - frames that are taken over outside its span
 */
export function sampleTrack(
  fillRingDeg: FillRingDeg,
  ring: LensRing,
  optics: ShotOptics,
  { memory, captureFps, known }: { readonly memory: FrameMemory; readonly captureFps: number; readonly known?: KnownFrames },
): TrackFrames {
  const { frameCount } = memory;
  const was = known?.track;
  const frames = {
    timesS: memory.floats(was?.frames.timesS),
    ringDeg: memory.floats(was?.frames.ringDeg),
    focusMm: memory.floats(was?.frames.focusMm),
    nearMm: memory.floats(was?.frames.nearMm),
    farMm: memory.floats(was?.frames.farMm),
    fNumber: memory.floats(was?.frames.fNumber),
  };
  const inside = {
    objectMm: memory.floats(was?.objectMm),
    toTapeMm: memory.floats(was?.toTapeMm),
    focalLengthMm: memory.floats(was?.focalLengthMm),
    // read only within the span
    sameUntil: memory.floats(),
  };
  const { timesS, ringDeg } = frames;
  const [fromFrame, toFrame] = [known?.fromFrame ?? 0, known?.toFrame ?? frameCount];
  for (let i = fromFrame; i < toFrame; i++) timesS[i] = i / captureFps;
  fillRingDeg(ringDeg, timesS, fromFrame, toFrame);
  const steadily = isSteady(optics);
  let lens = zoneLensAt(optics, 0);
  let i = fromFrame;
  while (i < toFrame) {
    const deg = ringDeg[i]!;
    let end = i + 1;
    if (steadily) while (end < toFrame && ringDeg[end] === deg) end++;
    else lens = zoneLensAt(optics, timesS[i]!);
    const tapeMm = ring.distanceAt(deg);
    const at = conjugates(lens.focalLengthMm, tapeMm, lens.principalSeparationMm);
    const limits = zoneLimits(lens, at.objectMm, at.imageMm);
    setRange(frames.focusMm, tapeMm, i, end);
    setRange(frames.nearMm, limits.nearMm, i, end);
    setRange(frames.farMm, limits.farMm, i, end);
    setRange(frames.fNumber, lens.fNumber, i, end);
    setRange(inside.objectMm, at.objectMm, i, end);
    setRange(inside.toTapeMm, at.imageMm + (lens.principalSeparationMm ?? 0), i, end);
    setRange(inside.focalLengthMm, lens.focalLengthMm, i, end);
    inside.sameUntil[i] = end;
    i = end;
  }
  return { frames, memory, ...inside, circleOfConfusionMm: lens.circleOfConfusionMm };
}

/** Fewer values than this are written sooner one by one than by `fill`. */
const MIN_FILLED = 16;

function setRange(column: Float64Array | Uint8Array, value: number, from: number, to: number): void {
  if (to - from >= MIN_FILLED) column.fill(value, from, to);
  else for (let frame = from; frame < to; frame++) column[frame] = value;
}

/**
 * Compares one subject with the track, frame by frame.
 *
 * @param unjudged - by frame, as in `SubjectFrames`
 * @param known - frames that are taken over outside its span
 */
export function judgeSubject(
  subject: Subject,
  { distances, unjudged }: { readonly distances: FloorDistances; readonly unjudged: Uint8Array | null },
  judged: TrackFrames,
  known?: KnownFrames,
): SubjectFrames {
  const { frames, memory, objectMm, toTapeMm, focalLengthMm, sameUntil, circleOfConfusionMm } = judged;
  const was = known && known.subjects.find(({ subjectId }) => subjectId === subject.id)!;
  // distances are not taken over: they may be known already, and are written as a whole
  const distanceMm = memory.floats();
  const blurCircles = memory.floats(was?.blurCircles);
  const marginMm = memory.floats(was?.marginMm);
  const sharp = memory.bytes(was?.sharp);
  distances.fillFocusMm(subject, frames.timesS, distanceMm);
  const [fromFrame, toFrame] = [known?.fromFrame ?? 0, known?.toFrame ?? memory.frameCount];
  let [i, lensUntil] = [fromFrame, fromFrame];
  while (i < toFrame) {
    if (i === lensUntil) lensUntil = Math.min(sameUntil[i]!, toFrame);
    const mm = distanceMm[i]!;
    let end = i + 1;
    while (end < lensUntil && distanceMm[end] === mm) end++;
    const subjectObjectMm = Math.max(mm - toTapeMm[i]!, MIN_OBJECT_MM);
    const blurMm = blurBetween(focalLengthMm[i]!, frames.fNumber[i]!, objectMm[i]!, subjectObjectMm);
    setRange(blurCircles, blurMm / circleOfConfusionMm, i, end);
    setRange(marginMm, roomMm(mm, frames.nearMm[i]!, frames.farMm[i]!), i, end);
    // tolerance for rounding at the exact edge of the zone
    setRange(sharp, blurMm <= circleOfConfusionMm * (1 + 1e-9) ? 1 : 0, i, end);
    i = end;
  }
  return { subjectId: subject.id, distanceMm, blurCircles, marginMm, sharp, unjudged };
}

/** Distance to the nearer limit of the zone; Infinity at infinity inside a zone without far limit. */
function roomMm(distanceMm: number, nearMm: number, farMm: number): number {
  const frontMm = distanceMm - nearMm;
  return farMm === Infinity ? frontMm : Math.min(frontMm, farMm - distanceMm);
}
