import type { FloorPlan, Mark, RehearsalRun, Subject } from '../floor/index.js';
import { type Camera, circleMm, type Lens, type Rig, type Sharpness, type Wheel } from '../kit/index.js';

/** The number of the saved form; a change of the form raises it and adds an upgrade. */
export const PLAN_SCHEMA = 4;

/** How focus is found and kept during the take. */
export const METHODS = [
  'fixed',
  'constant-distance',
  'walk-in',
  'push-in',
  'follow',
  'rack',
  'acquire-then-lock',
  'automatic',
] as const;
export type Method = (typeof METHODS)[number];

/** A span of the shot in which a subject must be sharp. */
export interface Beat {
  readonly id: string;
  readonly subjectId: string;
  readonly fromS: number;
  /** After `fromS`; the frame at this time is not part of the beat */
  readonly toS: number;
  /** Share of the beat's frames that must be sharp, above 0 up to 1 */
  readonly requiredShare: number;
  /** What it is for, in a word */
  readonly why: string;
}

/** Where the focus line goes: to a mark, or to a distance of its own. */
export type LineTarget =
  { readonly kind: 'mark'; readonly markId: string } | { readonly kind: 'distance'; readonly distanceMm: number | null };

/** A timed move of the ring from wherever it stands to a target, smooth at both ends. */
export interface Rack {
  readonly id: string;
  readonly kind: 'rack';
  readonly startS: number;
  readonly durationS: number;
  readonly target: LineTarget;
  /** What sets it off: a line, a look, a hand; empty for the clock */
  readonly cue: string;
  /** How early or late it is set off: one standard deviation, assumed until it is rehearsed */
  readonly cueSigmaS: number;
}

/** How well a pull is set off, until it is rehearsed: an assumption, shown as one. */
export const ASSUMED_CUE_SIGMA_S = 0.1;

/** The focus line: where it starts, and its racks in order of time. Between them it holds. */
export interface FocusLinePlan {
  /** null until a first distance is known */
  readonly start: LineTarget | null;
  readonly moves: readonly Rack[];
}

/** A change of the stop or of the focal length while rolling, smooth at both ends. Between two of them it stays. */
export interface OpticsMove {
  readonly id: string;
  readonly startS: number;
  readonly durationS: number;
  /** The stop, or the focal length in millimetres, that it ends at */
  readonly to: number;
}

/** The camera and the lens of a shot, and how they are set from beginning to end. */
export interface ShotOptics {
  readonly camera: Camera;
  readonly lens: Lens;
  /** At the start; of a prime, the one it has */
  readonly focalLengthMm: number;
  /** In order of time, not overlapping; none for a prime */
  readonly zooms: readonly OpticsMove[];
  /** At the start, on the lens's own scale */
  readonly stop: number;
  /** In order of time, not overlapping */
  readonly stopPulls: readonly OpticsMove[];
  readonly sharpness: Sharpness;
}

/** Which items of the kit the shot's gear was taken from; null for figures of its own. The shot keeps a snapshot: the kit may change, or go. */
export interface KitSources {
  readonly camera: { readonly id: string; readonly modeId: string; readonly steadyingId: string | null } | null;
  readonly lensId: string | null;
  readonly wheelId: string | null;
  readonly rigId: string | null;
}

/** What decides the brightness of the picture besides the stop. */
export interface ShotExposure {
  /** T-stop that the meter gives for these settings; null until metered */
  readonly meteredStop: number | null;
  readonly iso: number;
  readonly shutterAngleDeg: number;
  /** Neutral-density filters in place, in stops */
  readonly ndStops: number;
}

/** One shot, as planned: the document that is edited, undone, saved and restored as a whole. Lengths in mm, times in s. */
export interface ShotPlan {
  readonly schema: typeof PLAN_SCHEMA;
  readonly durationS: number;
  readonly captureFps: number;
  readonly deliveryFps: number;
  readonly method: Method;
  readonly optics: ShotOptics;
  readonly exposure: ShotExposure;
  /** null for a hand at the ring itself */
  readonly wheel: Wheel | null;
  /** null until one is chosen */
  readonly rig: Rig | null;
  readonly kit: KitSources;
  /** The set from above; null while nothing is drawn, and all distances are taped */
  readonly floor: FloorPlan | null;
  readonly subjects: readonly Subject[];
  readonly marks: readonly Mark[];
  readonly beats: readonly Beat[];
  readonly line: FocusLinePlan;
  /** Runs of the action that were timed by tapping, the latest last */
  readonly rehearsals: readonly RehearsalRun[];
  readonly notes: string;
}

/** The largest blur that passes for sharp in this shot, in millimetres on the sensor. */
export function planCircleMm({ camera, sharpness }: Pick<ShotOptics, 'camera' | 'sharpness'>): number {
  return circleMm(camera, sharpness);
}

/** When a rack, or a change of stop or focal length, ends. */
export function rackEndS(move: { readonly startS: number; readonly durationS: number }): number {
  return move.startS + move.durationS;
}
