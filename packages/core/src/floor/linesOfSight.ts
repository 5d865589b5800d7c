import type { EyesPlace } from './cameraAt.js';
import type { Landmark } from './floorPlan.js';
import type { Mark } from './mark.js';
import { placeOfMark } from './markPlace.js';
import type { Place } from './place.js';
import { pathSpans, shareOfWalk, type Subject } from './subject.js';

/** What stands before a subject: a person or object, or a thing on the set. */
export interface Hider {
  readonly kind: 'subject' | 'landmark';
  readonly id: string;
}

/** A run of frames in which something stands between the lens and what is focused on. */
export interface HiddenRun {
  readonly fromFrame: number;
  /** First frame after it */
  readonly toFrame: number;
  /** The first thing in the way */
  readonly by: Hider;
}

/** A solid as it stands in one frame, upright from the floor. */
export type Solid =
  | { readonly shape: 'round'; readonly xMm: number; readonly yMm: number; readonly radiusMm: number; readonly tallMm: number }
  | {
      readonly shape: 'square';
      readonly xMm: number;
      readonly yMm: number;
      readonly halfWidthMm: number;
      readonly halfDepthMm: number;
      readonly turnedDeg: number;
      readonly tallMm: number;
    };

/**
 * Where a straight line from one point to another first meets a solid: a share of the way, from 0 (inside it at the start) to 1.
 *
 * @returns Infinity if it does not meet it. A line along a surface does not meet it
 * Source: intersection of a segment with a half-space, a circle and a rectangle turned about its centre
 */
export function meetsAt(solid: Solid, from: EyesPlace, to: EyesPlace): number {
  if (solid.tallMm <= 0) return Infinity;
  const [low, high] = solid.shape === 'round' ? throughCircle(solid, from, to) : throughRectangle(solid, from, to);
  const belowFrom = shareBelow(from.heightMm, to.heightMm, solid.tallMm);
  const first = Math.max(low, belowFrom[0], 0);
  const last = Math.min(high, belowFrom[1], 1);
  return first < last ? first : Infinity;
}

type Share = readonly [from: number, to: number];
const NOWHERE: Share = [Infinity, -Infinity];
const EVERYWHERE: Share = [-Infinity, Infinity];

/** Part of the way on which a line is lower than a height. */
function shareBelow(fromMm: number, toMm: number, tallMm: number): Share {
  const rise = toMm - fromMm;
  if (rise === 0) return fromMm < tallMm ? EVERYWHERE : NOWHERE;
  const at = (tallMm - fromMm) / rise;
  return rise > 0 ? [-Infinity, at] : [at, Infinity];
}

function throughCircle(solid: Extract<Solid, { shape: 'round' }>, from: EyesPlace, to: EyesPlace): Share {
  const [wayX, wayY] = [to.xMm - from.xMm, to.yMm - from.yMm];
  const [x, y] = [from.xMm - solid.xMm, from.yMm - solid.yMm];
  const a = wayX * wayX + wayY * wayY;
  const c = x * x + y * y - solid.radiusMm * solid.radiusMm;
  if (a === 0) return c < 0 ? EVERYWHERE : NOWHERE;
  const half = x * wayX + y * wayY;
  const root = half * half - a * c;
  if (root <= 0) return NOWHERE;
  const reach = Math.sqrt(root);
  return [(-half - reach) / a, (-half + reach) / a];
}

function throughRectangle(solid: Extract<Solid, { shape: 'square' }>, from: EyesPlace, to: EyesPlace): Share {
  const rad = (solid.turnedDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(rad), Math.sin(rad)];
  const [dx, dy] = [from.xMm - solid.xMm, from.yMm - solid.yMm];
  const [wayX, wayY] = [to.xMm - from.xMm, to.yMm - from.yMm];
  const across = between(dx * cos + dy * sin, wayX * cos + wayY * sin, solid.halfWidthMm);
  const along = between(dy * cos - dx * sin, wayY * cos - wayX * sin, solid.halfDepthMm);
  return [Math.max(across[0], along[0]), Math.min(across[1], along[1])];
}

/** Part of the way on which a coordinate lies between two parallel sides. */
function between(start: number, way: number, half: number): Share {
  if (way === 0) return Math.abs(start) < half ? EVERYWHERE : NOWHERE;
  const [a, b] = [(-half - start) / way, (half - start) / way];
  return a < b ? [a, b] : [b, a];
}

/** A thing on the set as a solid. Its height is 0 if it hides nothing. */
export function solidOfLandmark({ shape, xMm, yMm, widthMm, depthMm, turnedDeg, tallMm }: Landmark): Solid {
  if (shape === 'post') return { shape: 'round', xMm, yMm, radiusMm: widthMm / 2, tallMm };
  return { shape: 'square', xMm, yMm, halfWidthMm: widthMm / 2, halfDepthMm: depthMm / 2, turnedDeg, tallMm };
}

/** Places of a subject by frame; NaN where it is not on the floor. */
interface Track {
  readonly subject: Subject;
  readonly xMm: Float64Array;
  readonly yMm: Float64Array;
}

/** A head is this wide, and the shoulders are this far below the crown. Assumed of everybody. */
const HEAD_MM = 180;
const CROWN_TO_SHOULDERS_MM = 360;

/** A subject as solids: a person as shoulders and a head, an object as one round body. */
export function solidsOfSubject({ kind, widthMm, tallMm }: Subject, { xMm, yMm }: Place): readonly Solid[] {
  const round = (wideMm: number, topMm: number): Solid => ({ shape: 'round', xMm, yMm, radiusMm: wideMm / 2, tallMm: topMm });
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
    .map((landmark) => ({ by: { kind: 'landmark', id: landmark.id } as const, solid: solidOfLandmark(landmark) }));
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
  return { subject, xMm, yMm };
}

/** Runs of frames in which a subject is hidden by the same thing. Frames in which nothing has moved are not looked at again. */
function runsOf(
  track: Track,
  tracks: readonly Track[],
  still: readonly { readonly by: Hider; readonly solid: Solid }[],
  cameraAt: (frame: number) => EyesPlace,
): HiddenRun[] {
  const others = tracks.filter((other) => other !== track);
  const runs: { fromFrame: number; toFrame: number; by: Hider }[] = [];
  let camera: EyesPlace | null = null;
  let by: Hider | null = null;
  for (let frame = 0; frame < track.xMm.length; frame++) {
    const here = cameraAt(frame);
    const hasMoved =
      camera === null ||
      camera.xMm !== here.xMm ||
      camera.yMm !== here.yMm ||
      camera.heightMm !== here.heightMm ||
      tracks.some(({ xMm, yMm }) => !isSame(xMm, frame) || !isSame(yMm, frame));
    camera = here;
    if (hasMoved) by = Number.isNaN(track.xMm[frame]!) ? null : firstHider(track, { others, still, frame, camera: here });
    if (by === null) continue;
    const last = runs.at(-1);
    if (last && last.toFrame === frame && last.by.id === by.id && last.by.kind === by.kind) last.toFrame = frame + 1;
    else runs.push({ fromFrame: frame, toFrame: frame + 1, by });
  }
  return runs;
}

/** Whether a column has the same value as in the frame before; two times nowhere is the same. */
function isSame(column: Float64Array, frame: number): boolean {
  return column[frame] === column[frame - 1] || (Number.isNaN(column[frame]!) && Number.isNaN(column[frame - 1] ?? 0));
}

/** What may stand between the lens and a subject in a frame. */
interface InTheWay {
  readonly others: readonly Track[];
  readonly still: readonly { readonly by: Hider; readonly solid: Solid }[];
  readonly frame: number;
  readonly camera: EyesPlace;
}

function firstHider({ subject, xMm, yMm }: Track, { others, still, frame, camera }: InTheWay): Hider | null {
  const eyes = { xMm: xMm[frame]!, yMm: yMm[frame]!, heightMm: subject.heightMm };
  let [nearest, by]: [number, Hider | null] = [Infinity, null];
  for (const item of still) {
    const at = meetsAt(item.solid, camera, eyes);
    if (at < nearest) [nearest, by] = [at, item.by];
  }
  for (const other of others) {
    const { id, widthMm } = other.subject;
    const place = { xMm: other.xMm[frame]!, yMm: other.yMm[frame]! };
    // who holds a thing, or is held, does not hide it; who is nowhere hides nobody
    if (!((place.xMm - eyes.xMm) ** 2 + (place.yMm - eyes.yMm) ** 2 > (widthMm / 2) ** 2)) continue;
    for (const solid of solidsOfSubject(other.subject, place)) {
      const at = meetsAt(solid, camera, eyes);
      if (at < nearest) [nearest, by] = [at, { kind: 'subject', id }];
    }
  }
  return by;
}
