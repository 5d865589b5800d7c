import type { EyesPlace } from './cameraAt.js';
import type { FramePose } from './sighting.js';
import type { Landmark } from './floorPlan.js';
import { Blocker, type Hider, Ray, type Solid, solidOfLandmark } from './solids.js';
import type { Subject } from './subject.js';
import type { SubjectTrack } from './subjectTrack.js';

/** A run of frames in which something stands between the lens and what is focused on. */
export interface HiddenRun {
  readonly fromFrame: number;
  /** First frame after it */
  readonly toFrame: number;
  /** The first thing in the way */
  readonly by: Hider;
}

/** Places of a subject by frame; NaN where it is not on the floor. */
interface Track {
  readonly subject: Subject;
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
  /** Square of half its width */
  readonly half2: number;
  /** What it hides others with */
  readonly blockers: readonly Blocker[];
}

/** A head is this wide, and the shoulders are this far below the crown. Assumed of everybody. */
const HEAD_MM = 180;
const CROWN_TO_SHOULDERS_MM = 360;

/** A subject as solids, still without a place: a person as shoulders and a head, an object as one round body. */
function solidsOfSubject({ kind, widthMm, tallMm }: Subject): readonly Solid[] {
  const round = (wideMm: number, topMm: number): Solid => ({
    shape: 'round',
    xMm: 0,
    yMm: 0,
    radiusMm: wideMm / 2,
    tallMm: topMm,
  });
  if (kind === 'object') return [round(widthMm, tallMm)];
  return [round(widthMm, tallMm - CROWN_TO_SHOULDERS_MM), round(Math.min(widthMm, HEAD_MM), tallMm)];
}

export interface SightInput {
  readonly subjects: readonly Subject[];
  readonly landmarks: readonly Landmark[];
  /** Where each subject is, by frame */
  readonly placesOf: (subject: Subject) => SubjectTrack;
  /** The camera in each frame */
  readonly poses: readonly FramePose[];
}

/**
 * Who is hidden from the lens, frame by frame: the line from the lens to a subject's point of focus meets a person, an object or a thing.
 *
 * @returns by subject id, in order of time; only subjects that are hidden at some time
 */
export function hiddenRuns({ subjects, landmarks, placesOf, poses }: SightInput): ReadonlyMap<string, HiddenRun[]> {
  const tracks = subjects.map((subject) => withSolids(subject, placesOf(subject)));
  const still = landmarks
    .filter(({ tallMm }) => tallMm > 0)
    .map((landmark) => new Blocker(solidOfLandmark(landmark), { kind: 'landmark', id: landmark.id }));
  const moved = movedFrames(tracks, poses);
  const found = new Map<string, HiddenRun[]>();
  for (const track of tracks) {
    const others = tracks.filter((other) => other !== track);
    const runs = runsOf(hiderFinder(track, others, still, poses), moved);
    if (runs.length > 0) found.set(track.subject.id, runs);
  }
  return found;
}

function withSolids(subject: Subject, { xMm, yMm }: SubjectTrack): Track {
  return {
    subject,
    xMm,
    yMm,
    half2: (subject.widthMm / 2) ** 2,
    blockers: solidsOfSubject(subject).map((solid) => new Blocker(solid, { kind: 'subject', id: subject.id })),
  };
}

/** Runs of frames in which a subject is hidden by the same thing. @param moved - as in `movedFrames` */
function runsOf(hiderAt: (frame: number) => Hider | null, moved: Uint8Array): HiddenRun[] {
  const runs: { fromFrame: number; toFrame: number; by: Hider }[] = [];
  let by: Hider | null = null;
  for (let frame = 0; frame < moved.length; frame++) {
    if (moved[frame] === 1) by = hiderAt(frame);
    if (by === null) continue;
    const last = runs.at(-1);
    if (last && last.toFrame === frame && last.by.id === by.id && last.by.kind === by.kind) last.toFrame = frame + 1;
    else runs.push({ fromFrame: frame, toFrame: frame + 1, by });
  }
  return runs;
}

/** By frame, 1 where the lens or anybody stands elsewhere than in the frame before, and in the first frame. */
function movedFrames(tracks: readonly Track[], poses: readonly FramePose[]): Uint8Array {
  const moved = new Uint8Array(poses.length);
  moved[0] = 1;
  for (let frame = 1; frame < moved.length; frame++)
    if (hasMoved(poses[frame - 1]!.camera, poses[frame]!.camera)) moved[frame] = 1;
  for (const { xMm, yMm } of tracks)
    for (let frame = 1; frame < moved.length; frame++) {
      const isHere = !Number.isNaN(xMm[frame]!) || !Number.isNaN(xMm[frame - 1]!);
      if (isHere && (xMm[frame] !== xMm[frame - 1] || yMm[frame] !== yMm[frame - 1])) moved[frame] = 1;
    }
  return moved;
}

function hasMoved(before: EyesPlace, now: EyesPlace): boolean {
  return before !== now && (before.xMm !== now.xMm || before.yMm !== now.yMm || before.heightMm !== now.heightMm);
}

/**
 * Finds what hides a subject in a frame. Most solids lie far beside most lines, so that is looked at first, in columns of numbers: this runs
 * for every solid, subject and frame.
 */
function hiderFinder(track: Track, others: readonly Track[], still: readonly Blocker[], poses: readonly FramePose[]) {
  const x = Float64Array.from(still, ({ xMm }) => xMm);
  const y = Float64Array.from(still, ({ yMm }) => yMm);
  const reach2 = Float64Array.from(still, (blocker) => blocker.reach2);
  const othersX = others.map((other) => other.xMm);
  const othersY = others.map((other) => other.yMm);
  const half2 = Float64Array.from(others, (other) => other.half2);
  const { xMm, yMm, subject } = track;
  const ray = new Ray();
  let nearest = Infinity;
  let by: Hider | null = null;
  const tryOne = (blocker: Blocker) => {
    const at = blocker.meets(ray);
    if (at >= nearest) return;
    nearest = at;
    by = blocker.by;
  };
  return (frame: number): Hider | null => {
    const toX = xMm[frame]!;
    const toY = yMm[frame]!;
    if (Number.isNaN(toX)) return null;
    const { camera } = poses[frame]!;
    ray.set(camera, toX, toY, subject.heightMm);
    const { fromX, fromY, wayX, wayY, level2 } = ray;
    nearest = Infinity;
    by = null;
    for (let k = 0; k < still.length; k++) {
      // how far the line passes from the middle, times its length
      const beside = (fromX - x[k]!) * wayY - (fromY - y[k]!) * wayX;
      if (beside * beside <= reach2[k]! * level2) tryOne(still[k]!);
    }
    for (let k = 0; k < others.length; k++) {
      const otherX = othersX[k]![frame]!;
      const otherY = othersY[k]![frame]!;
      const beside = (fromX - otherX) * wayY - (fromY - otherY) * wayX;
      // of who is nowhere it is not a number; who holds a thing, or is held, does not hide it
      if (!(beside * beside <= half2[k]! * level2) || (otherX - toX) ** 2 + (otherY - toY) ** 2 <= half2[k]!) continue;
      for (const blocker of others[k]!.blockers) {
        blocker.xMm = otherX;
        blocker.yMm = otherY;
        tryOne(blocker);
      }
    }
    return by;
  };
}
