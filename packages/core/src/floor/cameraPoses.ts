import { aimedSubjectAt, cameraAxisAt, cameraForwardAt, cameraPlaceAt, type EyesPlace } from './cameraAt.js';
import type { FloorPlan } from './floorPlan.js';
import type { Mark } from './mark.js';
import { placeAt } from './markPlace.js';
import type { CameraPose, FramePose } from './sighting.js';
import type { Subject } from './subject.js';
import type { SubjectTrack } from './subjectTrack.js';

const DEFAULT_POSE: CameraPose = { camera: { xMm: 0, yMm: 0, heightMm: 0 }, headingDeg: 0, forward: [1, 0, 0], aimedAt: null };

/** Largest number of cached camera poses: several minutes at common frame rates. */
const MAX_CACHED_POSES = 20_000;

/** Computes the camera's pose at a time. */
export function cameraPoses(
  floor: FloorPlan | null,
  subjects: readonly Subject[],
  markOf: ReadonlyMap<string, Mark>,
): (timeS: number) => CameraPose {
  if (floor === null) return () => DEFAULT_POSE;
  const subjectOf = new Map(subjects.map((subject) => [subject.id, subject]));
  const eyesOf = (subjectId: string, timeS: number): EyesPlace | null => {
    const subject = subjectOf.get(subjectId);
    const place = subject ? placeAt(subject, markOf, timeS) : null;
    return subject && place ? { xMm: place.xMm, yMm: place.yMm, heightMm: subject.heightMm } : null;
  };
  return (timeS) => computePose(floor, timeS, (subjectId) => eyesOf(subjectId, timeS));
}

/** The camera's pose in each frame, as `cameraPoses` has it, with the places of subjects that are known by frame. */
export function posesByFrame(
  floor: FloorPlan | null,
  subjects: readonly Subject[],
  placesOver: (subject: Subject, timesS: Float64Array) => SubjectTrack,
): (timesS: Float64Array) => readonly FramePose[] {
  if (floor === null) return (timesS) => Array.from(timesS, () => DEFAULT_POSE);
  const subjectOf = new Map(subjects.map((subject) => [subject.id, subject]));
  return (timesS) => {
    let frame = 0;
    const eyesOf = (subjectId: string): EyesPlace | null => {
      const subject = subjectOf.get(subjectId);
      if (!subject) return null;
      const { xMm, yMm } = placesOver(subject, timesS);
      return Number.isNaN(xMm[frame]!) ? null : { xMm: xMm[frame]!, yMm: yMm[frame]!, heightMm: subject.heightMm };
    };
    const poses = new Array<FramePose>(timesS.length);
    for (; frame < timesS.length; frame++) {
      const camera = cameraPlaceAt(floor, timesS[frame]!);
      poses[frame] = { camera, forward: cameraForwardAt(floor, timesS[frame]!, eyesOf, camera) };
    }
    return poses;
  };
}

/** Keeps poses by their time: many callers ask for the same ones. */
export function keptByTime(poseAt: (timeS: number) => CameraPose): (timeS: number) => CameraPose {
  const poses = new Map<number, CameraPose>();
  return (timeS) => {
    let pose = poses.get(timeS);
    if (!pose) {
      if (poses.size >= MAX_CACHED_POSES) poses.clear();
      pose = poseAt(timeS);
      poses.set(timeS, pose);
    }
    return pose;
  };
}

function computePose(floor: FloorPlan, timeS: number, eyesOf: (subjectId: string) => EyesPlace | null): CameraPose {
  const camera = cameraPlaceAt(floor, timeS);
  const { headingDeg } = cameraAxisAt(floor, timeS, eyesOf, camera);
  const aimedAt = aimedSubjectAt(floor, timeS);
  return {
    camera,
    headingDeg,
    forward: cameraForwardAt(floor, timeS, eyesOf, camera),
    // an aim at a subject who is not on the floor keeps the direction of the aim before it
    aimedAt: aimedAt !== null && eyesOf(aimedAt) !== null ? aimedAt : null,
  };
}
