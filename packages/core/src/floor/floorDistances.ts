import { aimedSubjectAt, cameraAxisAt, cameraPlaceAt, type EyesPlace } from './cameraAt.js';
import type { FloorPlan } from './floorPlan.js';
import { between, type Place } from './place.js';
import { type Mark, markDistances } from './mark.js';
import { type CameraPose, see, type Sighting } from './sighting.js';
import { distanceAtTime, type PathPosition, type Stay, type Subject, pathPositionAt } from './subject.js';

/** Focus distances of all subjects over time. */
export interface FloorDistances {
  /** What the ring must be set to for a subject. NaN for a subject without a stay */
  focusMmAt(subject: Subject, timeS: number): number;
  /** Where the subject is and how the lens meets it; null if the subject is not on the floor */
  sightingAt(subject: Subject, timeS: number): Sighting | null;
  /** Heading of the lens axis in degrees */
  headingAt(timeS: number): number;
  /** Where the camera is, and where it looks; null without a floor plan */
  cameraAt(timeS: number): CameraPose | null;
  /** Where a subject is in the scene; without a place only its focus distance is known */
  scenePlaceAt(subject: Subject, timeS: number): ScenePlace;
  /** By mark id: what the ring must be set to for a subject who arrives there, at the time of arrival. Infinity for infinity */
  readonly markFocusMm: ReadonlyMap<string, number>;
  /** By mark id: the drawn place as the lens meets it on arrival. Holds drawn marks only */
  readonly markSightings: ReadonlyMap<string, Sighting>;
}

/** Where a subject is at one time. */
export interface ScenePlace {
  /** null if the marks are not drawn, or nothing is */
  readonly place: Place | null;
  /** Tape distance minus drawn distance at the mark; 0 without a place */
  readonly shiftMm: number;
  /** Focus distance, as the plan has it */
  readonly focusMm: number;
}

/** Smallest depth returned. A place beside or behind the camera has no focus to set, so it counts as this near. */
const MIN_DEPTH_MM = 1;

/** Eye height of a standing person about 1.75 m tall. */
export const STANDING_EYES_MM = 1620;

/**
 * Focus distances over time, from the floor plan and the taped marks.
 *
 * A taped mark wins over the drawing: the drawn distance is shifted by their difference. Between two marks the shift changes in
 * proportion to the way walked. Off the axis the ring is set to the depth, not to the tape distance. On a walk to or from a
 * mark that is not drawn, the distance changes from one mark's to the other's, without a place.
 *
 * @param floor - null if nothing is drawn; all distances then come from the tape
 */
export function floorDistances(floor: FloorPlan | null, subjects: readonly Subject[], marks: readonly Mark[]): FloorDistances {
  const taped = markDistances(marks);
  const markOf = new Map(marks.map((mark) => [mark.id, mark]));
  const poseAt = cameraPoses(floor, subjects, markOf);
  const sightOf: SightOf = (place, heightMm, timeS) => floor && see(poseAt(timeS), place, heightMm);
  const shiftAt = stayShifts(markOf, sightOf);
  const focusAtStay = (subject: Subject, stay: Stay, timeS: number): number => {
    const place = placeOfMark(markOf.get(stay.markId)!);
    const sight = place && sightOf(place, subject.heightMm, timeS);
    return sight ? focusMm(sight, shiftAt(subject, stay)) : taped.get(stay.markId)!;
  };

  const markSightings = sightingsOnArrival(subjects, marks, sightOf);
  const markFocusMm = new Map(
    marks.map((mark) => {
      const sight = markSightings.get(mark.id);
      return [mark.id, sight ? focusMm(sight, tapeShift(mark, sight)) : taped.get(mark.id)!];
    }),
  );

  function scenePlaceAt(subject: Subject, timeS: number): ScenePlace {
    const where = pathPositionAt(subject, timeS);
    if (floor === null || where === null) return { place: null, shiftMm: 0, focusMm: distanceAtTime(subject, taped, timeS) };
    const { from, to, progress } = where;
    const place = placeOnPath(where, markOf);
    if (place) {
      const shift = shiftAt(subject, from);
      const shiftMm = progress === 0 ? shift : shift + (shiftAt(subject, to) - shift) * progress;
      return { place, shiftMm, focusMm: focusMm(see(poseAt(timeS), place, subject.heightMm), shiftMm) };
    }
    const ends = new Map([from, to].map((stay) => [stay.markId, focusAtStay(subject, stay, timeS)]));
    return { place: null, shiftMm: 0, focusMm: distanceAtTime(subject, ends, timeS) };
  }

  return {
    headingAt: (timeS) => poseAt(timeS).headingDeg,
    cameraAt: (timeS) => (floor === null ? null : poseAt(timeS)),
    markFocusMm,
    markSightings,
    sightingAt(subject, timeS) {
      const place = placeAt(subject, markOf, timeS);
      return place && sightOf(place, subject.heightMm, timeS);
    },
    focusMmAt: (subject, timeS) => scenePlaceAt(subject, timeS).focusMm,
    scenePlaceAt,
  };
}

/** How the lens meets a place with a subject of a height; null without a floor plan. */
type SightOf = (place: Place, heightMm: number, timeS: number) => Sighting | null;

/** Camera poses, computed once per frame: all subjects ask for the same frames. */
function cameraPoses(
  floor: FloorPlan | null,
  subjects: readonly Subject[],
  markOf: ReadonlyMap<string, Mark>,
): (timeS: number) => CameraPose {
  if (floor === null) return () => DEFAULT_POSE;
  const subjectOf = new Map(subjects.map((subject) => [subject.id, subject]));
  const eyesOf = (subjectId: string, timeS: number): EyesPlace | null => {
    const subject = subjectOf.get(subjectId);
    const place = subject ? placeAt(subject, markOf, timeS) : null;
    return subject && place ? { ...place, heightMm: subject.heightMm } : null;
  };
  const poses = new Map<number, CameraPose>();
  return (timeS) => {
    let pose = poses.get(timeS);
    if (!pose) {
      if (poses.size >= MAX_CACHED_POSES) poses.clear();
      pose = computePose(floor, timeS, (subjectId) => eyesOf(subjectId, timeS));
      poses.set(timeS, pose);
    }
    return pose;
  };
}

/** By stay: tape distance minus drawn distance at its mark, computed once per stay. 0 at marks that are only drawn. */
function stayShifts(markOf: ReadonlyMap<string, Mark>, sightOf: SightOf): (subject: Subject, stay: Stay) => number {
  const shifts = new Map<Stay, number>();
  return (subject, stay) => {
    let shift = shifts.get(stay);
    if (shift === undefined) {
      const mark = markOf.get(stay.markId)!;
      const place = placeOfMark(mark);
      shift = tapeShift(mark, place && sightOf(place, subject.heightMm, stay.fromS));
      shifts.set(stay, shift);
    }
    return shift;
  };
}

function tapeShift(mark: Mark, sight: Sighting | null): number {
  return sight && mark.method !== 'drawn' && mark.distanceMm !== null ? mark.distanceMm - sight.tapeMm : 0;
}

/** By id of a drawn mark: how the lens meets its subject on arrival there. */
function sightingsOnArrival(
  subjects: readonly Subject[],
  marks: readonly Mark[],
  sightOf: SightOf,
): ReadonlyMap<string, Sighting> {
  const sightings = new Map<string, Sighting>();
  for (const mark of marks) {
    const owner =
      subjects.find(({ stays }) => stays.some(({ markId }) => markId === mark.id)) ??
      subjects.find(({ id }) => id === mark.subjectId);
    const arrivalS = owner?.stays.find(({ markId }) => markId === mark.id)?.fromS ?? 0;
    const place = placeOfMark(mark);
    const sight = place && sightOf(place, owner?.heightMm ?? STANDING_EYES_MM, arrivalS);
    if (sight) sightings.set(mark.id, sight);
  }
  return sightings;
}

/** Focus distance: the depth plus the tape correction, taken along the axis. */
function focusMm({ depthMm, tapeMm }: Sighting, shiftMm: number): number {
  const alongAxis = tapeMm > 0 ? depthMm / tapeMm : 1;
  return Math.max(depthMm + shiftMm * alongAxis, MIN_DEPTH_MM);
}

const DEFAULT_POSE: CameraPose = { camera: { xMm: 0, yMm: 0, heightMm: 0 }, headingDeg: 0, forward: [1, 0, 0], aimedAt: null };

/** Largest number of cached camera poses: several minutes at common frame rates. */
const MAX_CACHED_POSES = 20_000;

function computePose(floor: FloorPlan, timeS: number, eyesOf: (subjectId: string) => EyesPlace | null): CameraPose {
  const { headingDeg, tiltDeg } = cameraAxisAt(floor, timeS, eyesOf);
  const [heading, tilt] = [(headingDeg * Math.PI) / 180, (tiltDeg * Math.PI) / 180];
  const level = Math.cos(tilt);
  const aimedAt = aimedSubjectAt(floor, timeS);
  return {
    camera: cameraPlaceAt(floor, timeS),
    headingDeg,
    forward: [Math.cos(heading) * level, Math.sin(heading) * level, Math.sin(tilt)],
    // an aim at a subject who is not on the floor keeps the direction of the aim before it
    aimedAt: aimedAt !== null && eyesOf(aimedAt) !== null ? aimedAt : null,
  };
}

/** Drawn place of a mark; null for a mark at infinity. */
function placeOfMark({ place, distanceMm }: Mark): Place | null {
  return distanceMm === null ? null : place;
}

/** Place of a subject at a time; null unless the marks it stands at or walks between are drawn. */
export function placeAt(subject: Subject, markOf: ReadonlyMap<string, Mark>, timeS: number): Place | null {
  const where = pathPositionAt(subject, timeS);
  return where && placeOnPath(where, markOf);
}

function placeOnPath({ from, to, progress }: PathPosition, markOf: ReadonlyMap<string, Mark>): Place | null {
  const start = placeOfMark(markOf.get(from.markId)!);
  if (progress === 0) return start;
  const end = placeOfMark(markOf.get(to.markId)!);
  return start && end && between(start, end, progress);
}
