import { blurBetween, conjugates, zoneLimits } from '../optics/index.js';
import type { FocusTrack } from '../track/index.js';
import { isSteady, type ShotOptics, zoneLensAt } from '../plan/index.js';
import type { LensRing } from '../kit/index.js';
import type { FloorDistances, Subject } from '../floor/index.js';
import type { TrackSamples, SubjectFrames } from './pullVerdict.js';

/** Frames of the focus track, with the lens position that blur depends on. */
export interface TrackFrames {
  readonly frames: TrackSamples;
  /** Lens to focused plane; Infinity allowed */
  readonly objectMm: Float64Array;
  /** Offset from object distance to tape distance: separation plus lens to image plane */
  readonly toTapeMm: Float64Array;
  readonly focalLengthMm: Float64Array;
  readonly circleOfConfusionMm: number;
}

/** Frames of a plan that differs from another one only within a span. */
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
 * @param known - frames that are taken over outside its span
 */
export function sampleTrack(
  track: Pick<FocusTrack, 'ringDegAt'>,
  ring: LensRing,
  optics: ShotOptics,
  { frameCount, captureFps, known }: { readonly frameCount: number; readonly captureFps: number; readonly known?: KnownFrames },
): TrackFrames {
  const column = (like?: Float64Array) => like?.slice() ?? new Float64Array(frameCount);
  const was = known?.track;
  const frames = {
    timesS: column(was?.frames.timesS),
    ringDeg: column(was?.frames.ringDeg),
    focusMm: column(was?.frames.focusMm),
    nearMm: column(was?.frames.nearMm),
    farMm: column(was?.frames.farMm),
    fNumber: column(was?.frames.fNumber),
  };
  const objectMm = column(was?.objectMm);
  const toTapeMm = column(was?.toTapeMm);
  const focalLengthMm = column(was?.focalLengthMm);
  const steadily = isSteady(optics);
  let lens = zoneLensAt(optics, 0);
  for (let i = known?.fromFrame ?? 0; i < (known?.toFrame ?? frameCount); i++) {
    const timeS = i / captureFps;
    const ringDeg = track.ringDegAt(timeS);
    frames.timesS[i] = timeS;
    frames.ringDeg[i] = ringDeg;
    if (!steadily) lens = zoneLensAt(optics, timeS);
    frames.fNumber[i] = lens.fNumber;
    focalLengthMm[i] = lens.focalLengthMm;
    if (steadily && i > 0 && ringDeg === frames.ringDeg[i - 1]) {
      for (const values of [frames.focusMm, frames.nearMm, frames.farMm, objectMm, toTapeMm]) values[i] = values[i - 1]!;
      continue;
    }
    const focusMm = ring.distanceAt(ringDeg);
    const at = conjugates(lens.focalLengthMm, focusMm, lens.principalSeparationMm);
    const limits = zoneLimits(lens, at.objectMm, at.imageMm);
    frames.focusMm[i] = focusMm;
    frames.nearMm[i] = limits.nearMm;
    frames.farMm[i] = limits.farMm;
    objectMm[i] = at.objectMm;
    toTapeMm[i] = at.imageMm + (lens.principalSeparationMm ?? 0);
  }
  return { frames, objectMm, toTapeMm, focalLengthMm, circleOfConfusionMm: lens.circleOfConfusionMm };
}

/** Compares one subject with the track, frame by frame. @param known - frames that are taken over outside its span */
export function judgeSubject(
  subject: Subject,
  distances: FloorDistances,
  judged: TrackFrames,
  known?: KnownFrames,
): SubjectFrames {
  const { frames, objectMm, toTapeMm, focalLengthMm, circleOfConfusionMm } = judged;
  const n = frames.timesS.length;
  const was = known?.subjects.find(({ subjectId }) => subjectId === subject.id);
  const result = {
    subjectId: subject.id,
    distanceMm: focusOverFrames(subject, distances, frames.timesS),
    blurCircles: was?.blurCircles.slice() ?? new Float64Array(n),
    marginMm: was?.marginMm.slice() ?? new Float64Array(n),
    sharp: was?.sharp.slice() ?? new Uint8Array(n),
  };
  const fromFrame = was ? known!.fromFrame : 0;
  for (let i = fromFrame; i < (was ? known!.toFrame : n); i++) {
    const distanceMm = result.distanceMm[i]!;
    if (i > fromFrame && isAsBefore(judged, i) && distanceMm === result.distanceMm[i - 1]) {
      result.blurCircles[i] = result.blurCircles[i - 1]!;
      result.marginMm[i] = result.marginMm[i - 1]!;
      result.sharp[i] = result.sharp[i - 1]!;
      continue;
    }
    const subjectObjectMm = Math.max(distanceMm - toTapeMm[i]!, MIN_OBJECT_MM);
    const blurMm = blurBetween(focalLengthMm[i]!, frames.fNumber[i]!, objectMm[i]!, subjectObjectMm);
    result.blurCircles[i] = blurMm / circleOfConfusionMm;
    result.marginMm[i] = roomMm(distanceMm, frames.nearMm[i]!, frames.farMm[i]!);
    // tolerance for rounding at the exact edge of the zone
    result.sharp[i] = blurMm <= circleOfConfusionMm * (1 + 1e-9) ? 1 : 0;
  }
  return result;
}

/** Whether the lens is at a frame as it was at the frame before. */
function isAsBefore({ frames, objectMm, toTapeMm, focalLengthMm }: TrackFrames, frame: number): boolean {
  return (
    objectMm[frame] === objectMm[frame - 1] &&
    toTapeMm[frame] === toTapeMm[frame - 1] &&
    focalLengthMm[frame] === focalLengthMm[frame - 1] &&
    frames.fNumber[frame] === frames.fNumber[frame - 1]
  );
}

/** Focus distances by frame. `stepS` is the time of the second frame, and says the rate. */
interface KnownFocus {
  readonly stepS: number | undefined;
  readonly focusMm: Float64Array;
}

/** Cached by subject: plans that differ only in their pulls ask for the same frames. */
const knownFocus = new WeakMap<FloorDistances, Map<Subject, KnownFocus>>();

/** What the ring must be set to for a subject at each time. @returns an array of the caller's own, which may be transferred */
function focusOverFrames(subject: Subject, distances: FloorDistances, timesS: Float64Array): Float64Array {
  const bySubject = knownFocus.get(distances) ?? new Map<Subject, KnownFocus>();
  knownFocus.set(distances, bySubject);
  const stepS = timesS[1];
  const last = bySubject.get(subject);
  if (last?.stepS === stepS && last?.focusMm.length === timesS.length) return last.focusMm.slice();
  const focusMm = timesS.map((timeS) => distances.focusMmAt(subject, timeS));
  bySubject.set(subject, { stepS, focusMm });
  return focusMm.slice();
}

/** Distance to the nearer limit of the zone; Infinity at infinity inside a zone without far limit. */
function roomMm(distanceMm: number, nearMm: number, farMm: number): number {
  const frontMm = distanceMm - nearMm;
  return farMm === Infinity ? frontMm : Math.min(frontMm, farMm - distanceMm);
}
