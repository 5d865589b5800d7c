import { cameraPoses, keptByTime, posesByFrame } from './cameraPoses.js';
import { drawnFiller } from './drawnFocus.js';
import type { FloorPlan } from './floorPlan.js';
import { keptBySubject, lastKept } from './lastKept.js';
import { type Mark, markDistances } from './mark.js';
import { placeAt, placeOfMark, placeOnPath } from './markPlace.js';
import type { Place } from './place.js';
import { type CameraPose, focusTo, type FramePose, see, type Sighting } from './sighting.js';
import { distanceAtTime, fillDistances, pathPositionAt, type Subject } from './subject.js';
import { type SubjectTrack, subjectTrack } from './subjectTrack.js';

/** Focus distances of all subjects over time. */
export interface FloorDistances {
  /** What the ring must be set to for a subject. NaN for a subject without a stay */
  focusMmAt(subject: Subject, timeS: number): number;
  /** Writes `focusMmAt` of each frame, faster. @param timesS - from 0, in even steps; as long as `focusMm` */
  fillFocusMm(subject: Subject, timesS: Float64Array, focusMm: Float64Array): void;
  /** Where the subject is and how the lens meets it; null if the subject is not on the floor */
  sightingAt(subject: Subject, timeS: number): Sighting | null;
  /** Heading of the lens axis in degrees */
  headingAt(timeS: number): number;
  /** The camera by frame; not to be asked for without a floor plan. @param timesS - as in `fillFocusMm` */
  posesOver(timesS: Float64Array): readonly FramePose[];
  /** Where a subject is by frame. @param timesS - as in `fillFocusMm` */
  placesOver(subject: Subject, timesS: Float64Array): SubjectTrack;
  /** Where the camera is, and where it looks; null without a floor plan */
  cameraAt(timeS: number): CameraPose | null;
  /** Where a subject is in the scene; without a place only its focus distance is known */
  scenePlaceAt(subject: Subject, timeS: number): ScenePlace;
  /**
   * What the ring must be set to at a time for who is at a mark then, or arrives there next. With nobody to come, for the mark as the lens
   * meets it at that time. Infinity for infinity
   */
  markFocusAt(markId: string, timeS: number): number;
  /** By mark id: `markFocusAt` the first arrival */
  readonly arrivalFocusMm: ReadonlyMap<string, number>;
  /** A mark's subject as the lens meets it at a time, as drawn; null for a mark that is not drawn */
  drawnSightAt(markId: string, timeS: number): Sighting | null;
  /** What a tape would read at a time from the camera to a mark's subject: as drawn, with the tape's correction. Infinity for infinity */
  tapeAt(markId: string, timeS: number): number;
  /** By mark id: the drawn place as the lens meets it on arrival. Holds drawn marks only */
  readonly markSightings: ReadonlyMap<string, Sighting>;
}

/** Where a subject is at one time. */
export interface ScenePlace {
  /** null if the marks are not drawn, or nothing is */
  readonly place: Place | null;
  /** Tape correction: tape distance minus the distance that was drawn when the tape was read; 0 without a place */
  readonly shiftMm: number;
  /** Focus distance, as the plan has it */
  readonly focusMm: number;
}

/** Eye height of a standing person about 1.75 m tall. */
export const STANDING_EYES_MM = 1620;

/**
 * Focus distances over time, from the floor plan and the taped marks.
 *
 * A tape holds for the place of the camera that it was taken from. From anywhere else the drawing gives the distance, plus the tape's
 * correction: what it read, minus what the drawing said then. Between two marks the correction changes in proportion to the way walked. Off
 * the axis the ring is set to the depth, not to the tape distance. On a walk to or from a mark that is not drawn, the distance changes from
 * one mark's to the other's, without a place.
 *
 * @param floor - null if nothing is drawn; all distances then come from the tape
 */
export function floorDistances(floor: FloorPlan | null, subjects: readonly Subject[], marks: readonly Mark[]): FloorDistances {
  const taped = markDistances(marks);
  const markOf = new Map(marks.map((mark) => [mark.id, mark]));
  const poseAt = keptByTime(cameraPoses(floor, subjects, markOf));
  const placesOver = tracksOver(markOf);
  const posesOver = lastKept(posesByFrame(floor, subjects, placesOver));
  const sightOf: SightOf = (place, heightMm, timeS) => floor && place && see(poseAt(timeS), place, heightMm);
  const markSightings = sightingsOnArrival(subjects, marks, sightOf);
  const corrections = new Map(marks.map((mark) => [mark.id, tapeCorrectionMm(mark, markSightings.get(mark.id))]));
  const focusAtMark = (markId: string, heightMm: number, timeS: number): number => {
    const place = floor && placeOfMark(markOf.get(markId)!);
    return place ? focusTo(poseAt(timeS), place, heightMm, corrections.get(markId)!) : taped.get(markId)!;
  };
  const markFocusAt = (markId: string, timeS: number): number => {
    const { heightMm, atS } = nextAtMark(subjects, markOf.get(markId)!, timeS);
    return focusAtMark(markId, heightMm, atS);
  };
  const drawnSightAt = (markId: string, timeS: number): Sighting | null => {
    const mark = markOf.get(markId)!;
    return sightOf(placeOfMark(mark), nextAtMark(subjects, mark, timeS).heightMm, timeS);
  };

  function scenePlaceAt(subject: Subject, timeS: number): ScenePlace {
    const where = pathPositionAt(subject, timeS);
    if (floor === null || where === null) return { place: null, shiftMm: 0, focusMm: distanceAtTime(subject, taped, timeS) };
    const { from, to, progress } = where;
    const place = placeOnPath(where, markOf);
    if (place) {
      const shift = corrections.get(from.markId)!;
      const shiftMm = progress === 0 ? shift : shift + (corrections.get(to.markId)! - shift) * progress;
      return { place, shiftMm, focusMm: focusTo(poseAt(timeS), place, subject.heightMm, shiftMm) };
    }
    const ends = new Map([from, to].map(({ markId }) => [markId, focusAtMark(markId, subject.heightMm, timeS)]));
    return { place: null, shiftMm: 0, focusMm: distanceAtTime(subject, ends, timeS) };
  }

  const focusMmAt = (subject: Subject, timeS: number) => scenePlaceAt(subject, timeS).focusMm;

  return {
    headingAt: (timeS) => poseAt(timeS).headingDeg,
    cameraAt: (timeS) => (floor === null ? null : poseAt(timeS)),
    markFocusAt,
    arrivalFocusMm: new Map(marks.map(({ id }) => [id, markFocusAt(id, 0)])),
    markSightings,
    drawnSightAt,
    tapeAt(markId, timeS) {
      const sight = drawnSightAt(markId, timeS);
      return sight === null ? taped.get(markId)! : sight.tapeMm + corrections.get(markId)!;
    },
    sightingAt: (subject, timeS) => sightOf(placeAt(subject, markOf, timeS), subject.heightMm, timeS),
    focusMmAt,
    fillFocusMm:
      floor === null
        ? (subject, timesS, focusMm) => fillDistances(subject, taped, timesS, focusMm)
        : drawnFiller({ posesOver, placesOver, corrections, focusMmAt }),
    posesOver,
    placesOver,
    scenePlaceAt,
  };
}

/** Where a subject is by frame, kept for the frames asked for last. */
function tracksOver(markOf: ReadonlyMap<string, Mark>): (subject: Subject, timesS: Float64Array) => SubjectTrack {
  const trackOf = keptBySubject((subject) => lastKept((timesS) => subjectTrack(subject, markOf, timesS)));
  return (subject, timesS) => trackOf(subject)(timesS);
}

/** How the lens meets a place with a subject of a height; null without a place or a floor plan. */
type SightOf = (place: Place | null, heightMm: number, timeS: number) => Sighting | null;

/** Tape distance minus the distance that was drawn when the tape was read; 0 at marks that are only drawn. */
function tapeCorrectionMm({ method, distanceMm, taping }: Mark, onArrival: Sighting | undefined): number {
  if (!onArrival || method === 'drawn' || distanceMm === null) return 0;
  return distanceMm - (taping?.drawnMm ?? onArrival.tapeMm);
}

/** Who is at a mark at a time or arrives there next, with the time at which they are there. With nobody to come, its owner at that time. */
export function nextAtMark(
  subjects: readonly Subject[],
  mark: Mark,
  timeS: number,
): { readonly heightMm: number; readonly atS: number } {
  let next: { heightMm: number; atS: number } | null = null;
  for (const { heightMm, stays } of subjects)
    for (const { markId, fromS, untilS } of stays) {
      if (markId !== mark.id || untilS < timeS) continue;
      const atS = Math.max(fromS, timeS);
      if (next === null || atS < next.atS) next = { heightMm, atS };
    }
  return next ?? { heightMm: ownerOf(subjects, mark)?.heightMm ?? STANDING_EYES_MM, atS: timeS };
}

/** The first subject who stands at a mark, or else the one that it belongs to. */
function ownerOf(subjects: readonly Subject[], { id, subjectId }: Mark): Subject | undefined {
  return (
    subjects.find(({ stays }) => stays.some(({ markId }) => markId === id)) ??
    subjects.find((subject) => subject.id === subjectId)
  );
}

/** By id of a drawn mark: how the lens meets its subject on the first arrival there. */
function sightingsOnArrival(
  subjects: readonly Subject[],
  marks: readonly Mark[],
  sightOf: SightOf,
): ReadonlyMap<string, Sighting> {
  const sightings = new Map<string, Sighting>();
  for (const mark of marks) {
    const { heightMm, atS } = nextAtMark(subjects, mark, 0);
    const sight = sightOf(placeOfMark(mark), heightMm, atS);
    if (sight) sightings.set(mark.id, sight);
  }
  return sightings;
}
