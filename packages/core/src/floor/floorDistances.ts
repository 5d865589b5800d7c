import { blockingDistance } from './blockingDistance.js';
import { cameraHeadingAt, cameraPlaceAt } from './cameraAt.js';
import type { FloorPlan } from './floorPlan.js';
import { minimumJerk } from './minimumJerk.js';
import { between, type Place } from './place.js';
import { distanceAtTime, type Mark, markDistances, type Subject } from './subject.js';

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
  /** By mark id: what a tape would read there, when someone comes; only marks that are drawn */
  readonly drawnTapeMm: ReadonlyMap<string, number>;
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
 *
 * @param floor - null where nothing is drawn: then everything is taped
 */
export function floorDistances(floor: FloorPlan | null, subjects: readonly Subject[], marks: readonly Mark[]): FloorDistances {
  const taped = markDistances(marks);
  const markOf = new Map(marks.map((mark) => [mark.id, mark]));
  const placeOf = (subjectId: string, timeS: number): Place | null => {
    const subject = subjects.find(({ id }) => id === subjectId);
    return subject ? placeAt(subject, markOf, timeS) : null;
  };
  const headingAt = (timeS: number): number =>
    floor === null ? 0 : cameraHeadingAt(floor, timeS, (subjectId) => placeOf(subjectId, timeS));
  const sightOf = (place: Place, heightMm: number, timeS: number): SightOf | null =>
    floor && see(floor, place, heightMm, headingAt(timeS), timeS);

  const shiftOf = (mark: Mark, sight: SightOf | null): number =>
    sight && mark.method !== 'drawn' && mark.distanceMm !== null ? mark.distanceMm - sight.tapeMm : 0;
  /** How much farther the tape says than the drawing, for each stay; 0 at marks that are drawn only. */
  const shifts = new Map<string, number>();
  const shiftAt = (subject: Subject, stayIndex: number): number => {
    const stay = subject.stays[stayIndex]!;
    const key = `${subject.id}/${stay.id}`;
    let shift = shifts.get(key);
    if (shift === undefined) {
      const mark = markOf.get(stay.markId)!;
      shift = shiftOf(mark, mark.place && sightOf(mark.place, subject.heightMm, stay.fromS));
      shifts.set(key, shift);
    }
    return shift;
  };

  const markFocusMm = new Map<string, number>();
  const drawnTapeMm = new Map<string, number>();
  for (const mark of marks) {
    const owner = subjects.find(({ stays }) => stays.some(({ markId }) => markId === mark.id));
    const comesS = owner?.stays.find(({ markId }) => markId === mark.id)?.fromS ?? 0;
    const sight = mark.place && sightOf(mark.place, owner?.heightMm ?? STANDING_EYES_MM, comesS);
    if (sight) drawnTapeMm.set(mark.id, sight.tapeMm);
    markFocusMm.set(
      mark.id,
      sight && mark.distanceMm !== null ? focusMm(sight, shiftOf(mark, sight)) : (mark.distanceMm ?? Infinity),
    );
  }

  return {
    headingAt,
    markFocusMm,
    drawnTapeMm,
    sightAt(subject, timeS) {
      const place = placeAt(subject, markOf, timeS);
      return place && sightOf(place, subject.heightMm, timeS);
    },
    focusMmAt(subject, timeS) {
      const place = floor && placeAt(subject, markOf, timeS);
      if (!place) return distanceAtTime(subject, taped, timeS);
      const { fromIndex, toIndex, progress } = whereAt(subject, timeS);
      const from = shiftAt(subject, fromIndex);
      const shift = from + (shiftAt(subject, toIndex) - from) * progress;
      return focusMm(sightOf(place, subject.heightMm, timeS)!, shift);
    },
  };
}

/** What the ring must be set to: the depth, with what the tape says more than the drawing taken along the axis. */
function focusMm({ depthMm, tapeMm }: SightOf, shiftMm: number): number {
  const alongAxis = tapeMm > 0 ? depthMm / tapeMm : 1;
  return Math.max(depthMm + shiftMm * alongAxis, NEAREST_DEPTH_MM);
}

/** A place as the lens sees it. */
function see(floor: FloorPlan, place: Place, heightMm: number, heading: number, timeS: number): SightOf {
  const camera = cameraPlaceAt(floor, timeS);
  const rad = (heading * Math.PI) / 180;
  const lens = [camera.xMm, camera.yMm, floor.lensHeightMm] as const;
  const { tapeMm, depthMm } = blockingDistance({
    camera: lens,
    aimAt: [camera.xMm + 1000 * Math.cos(rad), camera.yMm + 1000 * Math.sin(rad), floor.lensHeightMm],
    subject: [place.xMm, place.yMm, heightMm],
  });
  const sideMm = -(place.xMm - camera.xMm) * Math.sin(rad) + (place.yMm - camera.yMm) * Math.cos(rad);
  return { place, tapeMm, depthMm, offAxisDeg: (Math.atan2(sideMm, depthMm) * 180) / Math.PI };
}

/** Between which two stays someone is, and how far on the way: both the same while they stand. */
function whereAt(subject: Subject, timeS: number): { fromIndex: number; toIndex: number; progress: number } {
  const { stays } = subject;
  for (let index = 0; index < stays.length; index++) {
    const stay = stays[index]!;
    if (timeS < stay.fromS && index > 0) {
      const before = stays[index - 1]!;
      const progress = minimumJerk((timeS - before.untilS) / (stay.fromS - before.untilS));
      return { fromIndex: index - 1, toIndex: index, progress };
    }
    if (timeS <= stay.untilS || index === stays.length - 1) return { fromIndex: index, toIndex: index, progress: 0 };
  }
  return { fromIndex: 0, toIndex: 0, progress: 0 };
}

/** Where someone is at a time; null unless every mark of the way they are on is drawn. */
export function placeAt(subject: Subject, markOf: ReadonlyMap<string, Mark>, timeS: number): Place | null {
  if (subject.stays.length === 0) return null;
  const { fromIndex, toIndex, progress } = whereAt(subject, timeS);
  const from = markOf.get(subject.stays[fromIndex]!.markId)?.place ?? null;
  const to = markOf.get(subject.stays[toIndex]!.markId)?.place ?? null;
  return from && to && between(from, to, progress);
}
