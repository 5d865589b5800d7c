import { cameraHeadingAt, cameraPlaceAt } from './cameraAt.js';
import type { FloorPlan } from './floorPlan.js';
import { between, type Place } from './place.js';
import { type Mark, markDistances } from './mark.js';
import { distanceAtTime, type PathPosition, type Stay, type Subject, pathPositionAt } from './subject.js';

/** A place as the lens meets it at one time. Lengths in mm. */
export interface Sighting {
  readonly place: Place;
  /** Straight line from the image plane to the point of focus */
  readonly tapeMm: number;
  /** Distance along the lens axis: what the ring must be set to. Negative behind the camera */
  readonly depthMm: number;
  /** Angle off the axis, positive to the left */
  readonly offAxisDeg: number;
}

/** Focus distances of all subjects over time. */
export interface FloorDistances {
  /** What the ring must be set to for a subject. NaN for a subject without a stay */
  focusMmAt(subject: Subject, timeS: number): number;
  /** Where the subject is and how the lens meets it; null if the subject is not on the floor */
  sightingAt(subject: Subject, timeS: number): Sighting | null;
  /** Heading of the lens axis in degrees */
  headingAt(timeS: number): number;
  /** By mark id: what the ring must be set to for a subject who arrives there, at the time of arrival. Infinity for infinity */
  readonly markFocusMm: ReadonlyMap<string, number>;
  /** By mark id: the drawn place as the lens meets it on arrival. Holds drawn marks only */
  readonly markSightings: ReadonlyMap<string, Sighting>;
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
  const sightOf: SightOf = (place, heightMm, timeS) => floor && see(poseAt(timeS), place, heightMm - floor.lensHeightMm);
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

  return {
    headingAt: (timeS) => poseAt(timeS).headingDeg,
    markFocusMm,
    markSightings,
    sightingAt(subject, timeS) {
      const place = placeAt(subject, markOf, timeS);
      return place && sightOf(place, subject.heightMm, timeS);
    },
    focusMmAt(subject, timeS) {
      const where = pathPositionAt(subject, timeS);
      if (floor === null || where === null) return distanceAtTime(subject, taped, timeS);
      const { from, to, progress } = where;
      const place = placeOnPath(where, markOf);
      if (place) {
        const shift = shiftAt(subject, from);
        const shiftNow = progress === 0 ? shift : shift + (shiftAt(subject, to) - shift) * progress;
        return focusMm(see(poseAt(timeS), place, subject.heightMm - floor.lensHeightMm), shiftNow);
      }
      const ends = new Map([from, to].map((stay) => [stay.markId, focusAtStay(subject, stay, timeS)]));
      return distanceAtTime(subject, ends, timeS);
    },
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
  const placeOf = (subjectId: string, timeS: number): Place | null => {
    const subject = subjectOf.get(subjectId);
    return subject ? placeAt(subject, markOf, timeS) : null;
  };
  const poses = new Map<number, CameraPose>();
  return (timeS) => {
    let pose = poses.get(timeS);
    if (!pose) {
      if (poses.size >= MAX_CACHED_POSES) poses.clear();
      pose = computePose(floor, timeS, (subjectId) => placeOf(subjectId, timeS));
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

/** Camera place and heading at one time. */
interface CameraPose {
  readonly camera: Place;
  readonly headingDeg: number;
  readonly cos: number;
  readonly sin: number;
}

const DEFAULT_POSE: CameraPose = { camera: { xMm: 0, yMm: 0 }, headingDeg: 0, cos: 1, sin: 0 };

/** Largest number of cached camera poses: several minutes at common frame rates. */
const MAX_CACHED_POSES = 20_000;

function computePose(floor: FloorPlan, timeS: number, placeOf: (subjectId: string) => Place | null): CameraPose {
  const headingDeg = cameraHeadingAt(floor, timeS, placeOf);
  const rad = (headingDeg * Math.PI) / 180;
  return { camera: cameraPlaceAt(floor, timeS), headingDeg, cos: Math.cos(rad), sin: Math.sin(rad) };
}

/** Equals `blockingDistance` for a level axis, written out because it runs for every subject in every frame. */
function see({ camera, cos, sin }: CameraPose, place: Place, upMm: number): Sighting {
  const [dx, dy] = [place.xMm - camera.xMm, place.yMm - camera.yMm];
  const depthMm = dx * cos + dy * sin;
  const sideMm = dy * cos - dx * sin;
  return {
    place,
    tapeMm: Math.sqrt(dx * dx + dy * dy + upMm * upMm),
    depthMm,
    offAxisDeg: (Math.atan2(sideMm, depthMm) * 180) / Math.PI,
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
