import type { Hand } from './difficulty.js';
import type { FloorPlan, Mark, RehearsalRun, Subject } from '../floor/index.js';
import { type Camera, circleMm, type Lens, pictureSize, type Rig, type Sharpness, type Wheel } from '../kit/index.js';
import type { Schedule, Wanted } from './wanted.js';

/** The number of the saved form; a change of the form raises it and adds an upgrade. */
export const PLAN_SCHEMA = 7;

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

/** What is asked of a subject for a span: to be sharp, to be soft on purpose, or nothing: it may drift, and nobody checks. */
export const BEAT_KINDS = ['sharp', 'soft', 'drift'] as const;
export type BeatKind = (typeof BEAT_KINDS)[number];

/** Two ways of shooting the same action in separate takes: the talker sharp in one, the listener in the other. */
export const ALTERNATES = ['A', 'B'] as const;
export type Alternate = (typeof ALTERNATES)[number];

/** A span of the shot in which something is asked of a subject. */
export interface Beat {
  readonly id: string;
  readonly subjectId: string;
  readonly kind: BeatKind;
  readonly fromS: number;
  /** After `fromS`; the frame at this time is not part of the beat */
  readonly toS: number;
  /** Share of the beat's frames that must be as asked, above 0 up to 1 */
  readonly requiredShare: number;
  /** Of one that must be soft: the least its blur may be, in percent of the picture's width */
  readonly blurPercent: number;
  /** The one instant that must be perfect, whatever the share; null for none */
  readonly keyS: number | null;
  /** In which of the alternates it is asked; null for both */
  readonly alternate: Alternate | null;
  /** What it is for, in a word */
  readonly why: string;
}

/** What a new beat asks for until it is said otherwise. */
export const PLAIN_BEAT = {
  kind: 'sharp',
  requiredShare: 1,
  blurPercent: 1,
  keyS: null,
  alternate: null,
  why: '',
} as const satisfies Partial<Beat>;

/** A point of a course. */
export interface CoursePoint {
  readonly timeS: number;
  /** null for infinity */
  readonly distanceMm: number | null;
}

/** Where the focus line goes, and what it does there until the next move: it stays, at a mark, a distance or a blur; or it goes on, with a subject or along a course. */
export type LineTarget =
  | { readonly kind: 'mark'; readonly markId: string }
  | { readonly kind: 'distance'; readonly distanceMm: number | null }
  /** Beside a mark, so far that it blurs to a share of the picture's width */
  | { readonly kind: 'blur'; readonly markId: string; readonly blurPercent: number; readonly towards: 'near' | 'far' }
  /** With someone; where they will be in so many seconds, or, below 0, were */
  | { readonly kind: 'subject'; readonly subjectId: string; readonly leadS: number }
  /** Through points in order of time, evenly in ring angle from each to the next */
  | { readonly kind: 'course'; readonly points: readonly CoursePoint[] };

/** How a move begins and ends: smooth at both ends, only as it begins, only as it lands, or at one speed. */
export const EASINGS = ['eased', 'ease-in', 'ease-out', 'steady'] as const;
export type Easing = (typeof EASINGS)[number];

/** What sets a move off. */
export const CUE_KINDS = ['clock', 'line', 'look', 'hand'] as const;
export type CueKind = (typeof CUE_KINDS)[number];

/** A timed move of the ring from wherever it stands to a target. */
export interface Rack {
  readonly id: string;
  readonly kind: 'rack';
  readonly startS: number;
  readonly durationS: number;
  readonly easing: Easing;
  readonly target: LineTarget;
  readonly cueKind: CueKind;
  /** What it is in this shot: which line, whose look; empty for the clock */
  readonly cue: string;
  /** How long before it starts the hand is counted in */
  readonly cueLeadS: number;
  /** How early or late it is set off: one standard deviation, assumed until it is rehearsed */
  readonly cueSigmaS: number;
}

/** What a new move is like until it is said otherwise. */
export const PLAIN_MOVE = {
  kind: 'rack',
  easing: 'eased',
  cueKind: 'clock',
  cue: '',
  cueLeadS: 1,
  cueSigmaS: 0.1,
} as const satisfies Partial<Rack>;

/** How well a pull is set off, until it is rehearsed: an assumption, shown as one. */
export const ASSUMED_CUE_SIGMA_S = PLAIN_MOVE.cueSigmaS;

/** The focus line: where it starts, and its moves in order of time. Between them it stays, or goes on with whom or what it came to. */
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
  /** Of the alternate that is shown, where there are two */
  readonly line: FocusLinePlan;
  /** null for a shot that is taken in one way */
  readonly alternates: { readonly shown: Alternate; readonly other: FocusLinePlan } | null;
  /** How fast whoever pulls is willing to turn what they hold, at its fastest */
  readonly handDegPerS: number;
  /** What it can do, and how it errs */
  readonly hand: Hand;
  /** Everything here is as it is shot, and will be played backwards in the edit */
  readonly isReversed: boolean;
  /** Runs of the action that were timed by tapping, the latest last */
  readonly rehearsals: readonly RehearsalRun[];
  readonly wanted: Wanted;
  readonly schedule: Schedule;
  readonly notes: string;
}

/** The largest blur that passes for sharp in this shot, in millimetres on the sensor. */
export function planCircleMm({ camera, sharpness }: Pick<ShotOptics, 'camera' | 'sharpness'>): number {
  return circleMm(camera, sharpness);
}

/** How wide the picture is on the sensor: what a blur in percent is a share of. */
export function pictureWidthMm({ camera }: Pick<ShotOptics, 'camera'>): number {
  return pictureSize(camera).sensorWidthMm;
}

/** The beats that hold in the alternate that is shown. */
export function beatsNow({ beats, alternates }: Pick<ShotPlan, 'beats' | 'alternates'>): readonly Beat[] {
  return beats.filter(({ alternate }) => alternate === null || alternates === null || alternate === alternates.shown);
}

/** What must be sharp at a time: the beats that ask it then, in the alternate that is shown. */
export function sharpBeatsAt(plan: Pick<ShotPlan, 'beats' | 'alternates'>, timeS: number): readonly Beat[] {
  return beatsNow(plan).filter(
    ({ kind, fromS, toS }) => kind === 'sharp' && timeS >= fromS - SAME_TIME_S && timeS < toS - SAME_TIME_S,
  );
}

/** Rounding forgiven between times: far below a frame. */
const SAME_TIME_S = 1e-6;

/** When a rack, or a change of stop or focal length, ends. */
export function rackEndS(move: { readonly startS: number; readonly durationS: number }): number {
  return move.startS + move.durationS;
}
