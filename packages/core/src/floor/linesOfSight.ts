import type { EyesPlace } from './cameraAt.js';
import type { Landmark } from './floorPlan.js';
import { Blocker, type Hider, Ray, type Solid, solidOfLandmark } from './solids.js';
import type { Mark } from './mark.js';
import { placeOfMark } from './markPlace.js';
import { pathSpans, shareOfWalk, type Subject } from './subject.js';

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
  /** What it hides others with */
  readonly blockers: readonly Blocker[];
}

/** A head is this wide, and the shoulders are this far below the crown. Assumed of everybody. */
const HEAD_MM = 180;
const CROWN_TO_SHOULDERS_MM = 360;

/** A subject as solids, wherever it stands: a person as shoulders and a head, an object as one round body. */
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
  readonly marks: readonly Mark[];
  readonly landmarks: readonly Landmark[];
  /** Rising, one for each frame */
  readonly timesS: Float64Array;
  /** Where the lens is in each frame */
  readonly cameraAt: (frame: number) => EyesPlace;
}

/**
 * Who is hidden from the lens, frame by frame: the line from the lens to a subject's point of focus meets a person, an object or a thing.
 *
 * @returns by subject id, in order of time; only subjects that are hidden at some time
 */
export function hiddenRuns({ subjects, marks, landmarks, timesS, cameraAt }: SightInput): ReadonlyMap<string, HiddenRun[]> {
  const markOf = new Map(marks.map((mark) => [mark.id, mark]));
  const tracks = subjects.map((subject) => trackOf(subject, markOf, timesS));
  const still = landmarks
    .filter(({ tallMm }) => tallMm > 0)
    .map((landmark) => new Blocker(solidOfLandmark(landmark), { kind: 'landmark', id: landmark.id }));
  const found = new Map<string, HiddenRun[]>();
  for (const track of tracks) {
    const runs = runsOf(track, tracks, still, cameraAt);
    if (runs.length > 0) found.set(track.subject.id, runs);
  }
  return found;
}

function trackOf(subject: Subject, markOf: ReadonlyMap<string, Mark>, timesS: Float64Array): Track {
  const xMm = new Float64Array(timesS.length).fill(NaN);
  const yMm = new Float64Array(timesS.length).fill(NaN);
  for (const { from, to, fromFrame, toFrame } of pathSpans(subject, timesS)) {
    const [start, end] = [from, to].map(({ markId }) => placeOfMark(markOf.get(markId)!));
    if (!start || !end) continue;
    for (let frame = fromFrame; frame < toFrame; frame++) {
      const share = from === to ? 0 : shareOfWalk(from, to, timesS[frame]!);
      xMm[frame] = start.xMm + (end.xMm - start.xMm) * share;
      yMm[frame] = start.yMm + (end.yMm - start.yMm) * share;
    }
  }
  return {
    subject,
    xMm,
    yMm,
    blockers: solidsOfSubject(subject).map((solid) => new Blocker(solid, { kind: 'subject', id: subject.id })),
  };
}

/** Runs of frames in which a subject is hidden by the same thing. Frames in which nothing has moved are not looked at again. */
function runsOf(
  track: Track,
  tracks: readonly Track[],
  still: readonly Blocker[],
  cameraAt: (frame: number) => EyesPlace,
): HiddenRun[] {
  const others = tracks.filter((other) => other !== track);
  const runs: { fromFrame: number; toFrame: number; by: Hider }[] = [];
  const ray = new Ray();
  let camera: EyesPlace | null = null;
  let by: Hider | null = null;
  for (let frame = 0; frame < track.xMm.length; frame++) {
    const here = cameraAt(frame);
    if (camera === null || hasMoved(camera, here) || haveMoved(tracks, frame)) {
      ray.set(here, track.xMm[frame]!, track.yMm[frame]!, track.subject.heightMm);
      by = Number.isNaN(ray.wayX) ? null : firstHider(track, others, still, { ray, frame });
    }
    camera = here;
    if (by === null) continue;
    const last = runs.at(-1);
    if (last && last.toFrame === frame && last.by.id === by.id && last.by.kind === by.kind) last.toFrame = frame + 1;
    else runs.push({ fromFrame: frame, toFrame: frame + 1, by });
  }
  return runs;
}

function hasMoved(before: EyesPlace, now: EyesPlace): boolean {
  return before !== now && (before.xMm !== now.xMm || before.yMm !== now.yMm || before.heightMm !== now.heightMm);
}

/** Whether anybody stands elsewhere than in the frame before. Who is on no floor stays there. */
function haveMoved(tracks: readonly Track[], frame: number): boolean {
  for (const { xMm, yMm } of tracks) {
    const isHere = !Number.isNaN(xMm[frame]!) || !Number.isNaN(xMm[frame - 1]!);
    if (isHere && (xMm[frame] !== xMm[frame - 1] || yMm[frame] !== yMm[frame - 1])) return true;
  }
  return false;
}

function firstHider(
  { xMm, yMm }: Track,
  others: readonly Track[],
  still: readonly Blocker[],
  { ray, frame }: { readonly ray: Ray; readonly frame: number },
): Hider | null {
  let nearest = Infinity;
  let by: Hider | null = null;
  for (const blocker of still) {
    const at = blocker.meets(ray);
    if (at >= nearest) continue;
    nearest = at;
    by = blocker.by;
  }
  for (const { subject, xMm: otherX, yMm: otherY, blockers } of others) {
    const apart2 = (otherX[frame]! - xMm[frame]!) ** 2 + (otherY[frame]! - yMm[frame]!) ** 2;
    // who holds a thing, or is held, does not hide it; who is nowhere hides nobody
    if (!(apart2 > (subject.widthMm / 2) ** 2)) continue;
    for (const blocker of blockers) {
      blocker.xMm = otherX[frame]!;
      blocker.yMm = otherY[frame]!;
      const at = blocker.meets(ray);
      if (at >= nearest) continue;
      nearest = at;
      by = blocker.by;
    }
  }
  return by;
}
