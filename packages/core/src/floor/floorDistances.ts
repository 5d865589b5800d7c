import { cameraHeadingAt, cameraPlaceAt } from './cameraAt.js';
import type { FloorPlan } from './floorPlan.js';
import { between, type Place } from './place.js';
import { type Mark, markDistances } from './mark.js';
import { distanceAtTime, type OnTheWay, type Stay, type Subject, whereAt } from './subject.js';

/** The set at one time, as the lens meets it. Lengths in mm. */
export interface SightOf {
  readonly place: Place;
  /** The straight line from the image plane to what is focused on */
  readonly tapeMm: number;
  /** Along the lens axis: what the ring must be set to. Negative behind the camera */
  readonly depthMm: number;
  /** Off the axis, to the left positive */
  readonly offAxisDeg: number;
}

/** Someone's distance over time, and where that comes from. */
export interface FloorDistances {
  /** What the ring must be set to for a subject at a time: drawn where it is drawn, corrected by what is taped; else taped alone. NaN without a stay */
  focusMmAt(subject: Subject, timeS: number): number;
  /** Where someone is, and how the lens sees them; null for one who is not on the floor */
  sightAt(subject: Subject, timeS: number): SightOf | null;
  /** The lens axis's heading */
  headingAt(timeS: number): number;
  /** By mark id: what the ring must be set to for someone who comes to stand there, when they come; Infinity for infinity */
  readonly markFocusMm: ReadonlyMap<string, number>;
  /** By mark id: the drawn place as the lens meets it when someone comes to stand there; only marks that are drawn */
  readonly markSight: ReadonlyMap<string, SightOf>;
}

/** A subject nearer than this along the axis is taken to stand there: what is beside or behind the camera has no focus to set. */
const NEAREST_DEPTH_MM = 1;

/** Eyes of someone standing, about 1.75 m tall. */
export const STANDING_EYES_MM = 1620;

/**
 * Distances over time from the plan from above, with what was taped at the marks.
 *
 * Where a mark of someone's way is taped, tape wins: the drawn distance is shifted by as much as tape and drawing disagree there, and between two marks the
 * shift goes over as they walk. Tape is the straight line, and the plane of focus square to the axis: off the axis the ring goes by the depth.
 * A walk to or from a mark that is not drawn goes from the one distance to the other, without a place on the way.
 *
 * @param floor - null where nothing is drawn: then everything is taped
 */
export function floorDistances(floor: FloorPlan | null, subjects: readonly Subject[], marks: readonly Mark[]): FloorDistances {
  const taped = markDistances(marks);
  const markOf = new Map(marks.map((mark) => [mark.id, mark]));
  const subjectOf = new Map(subjects.map((subject) => [subject.id, subject]));
  const placeOf = (subjectId: string, timeS: number): Place | null => {
    const subject = subjectOf.get(subjectId);
    return subject ? placeAt(subject, markOf, timeS) : null;
  };
  // everyone is asked for at the same frames, and the camera is where it is for all of them: worked out once a frame
  const moments = new Map<number, Moment>();
  const momentAt = (timeS: number): Moment => {
    let moment = moments.get(timeS);
    if (!moment) {
      if (moments.size >= MOST_MOMENTS) moments.clear();
      moment = floor === null ? NO_CAMERA : momentOf(floor, timeS, (subjectId) => placeOf(subjectId, timeS));
      moments.set(timeS, moment);
    }
    return moment;
  };
  const sightOf = (place: Place, heightMm: number, timeS: number): SightOf | null =>
    floor && see(momentAt(timeS), place, heightMm - floor.lensHeightMm);

  const shiftOf = (mark: Mark, sight: SightOf | null): number =>
    sight && mark.method !== 'drawn' && mark.distanceMm !== null ? mark.distanceMm - sight.tapeMm : 0;
  /** How much farther the tape says than the drawing, for each stay; 0 at marks that are drawn only. */
  const shifts = new Map<Stay, number>();
  const shiftAt = (subject: Subject, stay: Stay): number => {
    let shift = shifts.get(stay);
    if (shift === undefined) {
      const mark = markOf.get(stay.markId)!;
      const place = drawnPlace(mark);
      shift = shiftOf(mark, place && sightOf(place, subject.heightMm, stay.fromS));
      shifts.set(stay, shift);
    }
    return shift;
  };
  const focusAtStay = (subject: Subject, stay: Stay, timeS: number): number => {
    const place = drawnPlace(markOf.get(stay.markId)!);
    const sight = place && sightOf(place, subject.heightMm, timeS);
    return sight ? focusMm(sight, shiftAt(subject, stay)) : taped.get(stay.markId)!;
  };

  const markFocusMm = new Map<string, number>();
  const markSight = new Map<string, SightOf>();
  for (const mark of marks) {
    const owner =
      subjects.find(({ stays }) => stays.some(({ markId }) => markId === mark.id)) ??
      subjects.find(({ id }) => id === mark.subjectId);
    const comesS = owner?.stays.find(({ markId }) => markId === mark.id)?.fromS ?? 0;
    const place = drawnPlace(mark);
    const sight = place && sightOf(place, owner?.heightMm ?? STANDING_EYES_MM, comesS);
    if (sight) markSight.set(mark.id, sight);
    markFocusMm.set(mark.id, sight ? focusMm(sight, shiftOf(mark, sight)) : taped.get(mark.id)!);
  }

  return {
    headingAt: (timeS) => momentAt(timeS).headingDeg,
    markFocusMm,
    markSight,
    sightAt(subject, timeS) {
      const place = placeAt(subject, markOf, timeS);
      return place && sightOf(place, subject.heightMm, timeS);
    },
    focusMmAt(subject, timeS) {
      const where = whereAt(subject, timeS);
      if (floor === null || where === null) return distanceAtTime(subject, taped, timeS);
      const { from, to, progress } = where;
      const place = placeOn(where, markOf);
      if (place) {
        const shift = shiftAt(subject, from);
        const shiftNow = progress === 0 ? shift : shift + (shiftAt(subject, to) - shift) * progress;
        return focusMm(see(momentAt(timeS), place, subject.heightMm - floor.lensHeightMm), shiftNow);
      }
      const ends = new Map([from, to].map((stay) => [stay.markId, focusAtStay(subject, stay, timeS)]));
      return distanceAtTime(subject, ends, timeS);
    },
  };
}

/** What the ring must be set to: the depth, with what the tape says more than the drawing taken along the axis. */
function focusMm({ depthMm, tapeMm }: SightOf, shiftMm: number): number {
  const alongAxis = tapeMm > 0 ? depthMm / tapeMm : 1;
  return Math.max(depthMm + shiftMm * alongAxis, NEAREST_DEPTH_MM);
}

/** Where the camera is at a time, and which way it looks. */
interface Moment {
  readonly camera: Place;
  readonly headingDeg: number;
  readonly cos: number;
  readonly sin: number;
}

const NO_CAMERA: Moment = { camera: { xMm: 0, yMm: 0 }, headingDeg: 0, cos: 1, sin: 0 };

/** Frames remembered at most: several minutes at the usual rates. */
const MOST_MOMENTS = 20_000;

function momentOf(floor: FloorPlan, timeS: number, placeOf: (subjectId: string) => Place | null): Moment {
  const headingDeg = cameraHeadingAt(floor, timeS, placeOf);
  const rad = (headingDeg * Math.PI) / 180;
  return { camera: cameraPlaceAt(floor, timeS), headingDeg, cos: Math.cos(rad), sin: Math.sin(rad) };
}

/** A place as the lens sees it, so much above it: `blockingDistance` for a level axis, written out because it is asked at every frame for everyone. */
function see({ camera, cos, sin }: Moment, place: Place, upMm: number): SightOf {
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

/** Where a mark is drawn; one at infinity is nowhere on the floor. */
function drawnPlace({ place, distanceMm }: Mark): Place | null {
  return distanceMm === null ? null : place;
}

/** Where someone is at a time; null unless the marks they stand at, or walk between, are drawn. */
export function placeAt(subject: Subject, markOf: ReadonlyMap<string, Mark>, timeS: number): Place | null {
  const where = whereAt(subject, timeS);
  return where && placeOn(where, markOf);
}

function placeOn({ from, to, progress }: OnTheWay, markOf: ReadonlyMap<string, Mark>): Place | null {
  const start = drawnPlace(markOf.get(from.markId)!);
  if (progress === 0) return start;
  const end = drawnPlace(markOf.get(to.markId)!);
  return start && end && between(start, end, progress);
}
