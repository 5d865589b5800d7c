import type { Easing, Hand } from '../hand/index.js';
import type { FloorPlan, Mark, RehearsalRun, Subject } from '../floor/index.js';
import { type Camera, circleMm, type Lens, pictureSize, type Rig, type Sharpness, type Wheel } from '../kit/index.js';
import type { SensorSize } from '../optics/index.js';
import type { Schedule, ShotGoals } from './goals.js';

/** Version of the saved form. A change of the form raises it and adds an upgrade. */
export const PLAN_SCHEMA = 13;

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

/** What a beat requires: sharp, deliberately soft, or nothing (the subject may be soft). */
export const REQUIREMENTS = ['sharp', 'soft', 'none'] as const;
export type Requirement = (typeof REQUIREMENTS)[number];

/** Two ways to shoot the same action in separate takes, for example with the talker or the listener sharp. */
export const ALTERNATES = ['A', 'B'] as const;
export type Alternate = (typeof ALTERNATES)[number];

/** A span of the shot and what is required of a subject in it. */
export interface Beat {
  readonly id: string;
  readonly subjectId: string;
  readonly requirement: Requirement;
  readonly fromS: number;
  /** Greater than `fromS`; the frame at this time is not part of the beat */
  readonly toS: number;
  /** Longest soft run, in frames, that does not count against it, except at the key moment */
  readonly toleratedFrames: number;
  /** Share of the beat's frames that must meet the requirement, above 0 up to 1 */
  readonly requiredShare: number;
  /** Minimum blur of a beat that must be soft, in percent of the picture's width */
  readonly blurPercent: number;
  /** The instant that must be perfect, whatever the required share; null for none */
  readonly keyMomentS: number | null;
  /** Alternate it belongs to; null for both */
  readonly alternate: Alternate | null;
  /** Purpose of the beat, in a word */
  readonly why: string;
}

/** Default values of a new beat. */
export const DEFAULT_BEAT = {
  requirement: 'sharp',
  toleratedFrames: 0,
  requiredShare: 1,
  blurPercent: 1,
  keyMomentS: null,
  alternate: null,
  why: '',
} as const satisfies Partial<Beat>;

/** A point of a course. */
export interface CoursePoint {
  readonly timeS: number;
  /** null for infinity */
  readonly distanceMm: number | null;
}

/**
 * Where focus goes, and what it does until the next pull. It holds at a mark, a distance or a blur, or it tracks a subject or a
 * course.
 */
export type FocusTarget =
  | { readonly kind: 'mark'; readonly markId: string }
  | { readonly kind: 'distance'; readonly distanceMm: number | null }
  /** Beside a mark, so far that it blurs to a share of the picture's width */
  | { readonly kind: 'blur'; readonly markId: string; readonly blurPercent: number; readonly towards: 'near' | 'far' }
  /** On a moving subject: at its place a number of seconds later, or earlier below 0 */
  | { readonly kind: 'subject'; readonly subjectId: string; readonly leadS: number }
  /** Through points in order of time, evenly in ring angle from each to the next */
  | { readonly kind: 'course'; readonly points: readonly CoursePoint[] };

/** What sets a pull off. */
export const CUE_TRIGGERS = ['clock', 'spoken-line', 'look', 'hand'] as const;
export type CueTrigger = (typeof CUE_TRIGGERS)[number];

/** Whether an event on the set, not the clock, sets a pull off. Such a pull can't start before its event. */
export function isTriggeredByEvent({ trigger }: { readonly trigger: CueTrigger }): boolean {
  return trigger !== 'clock';
}

/** A timed change of focus from the current ring angle to a target. */
export interface Pull {
  readonly id: string;
  readonly startS: number;
  readonly durationS: number;
  readonly easing: Easing;
  readonly target: FocusTarget;
  readonly trigger: CueTrigger;
  /** Words of the cue: which spoken line, whose look; empty for the clock */
  readonly cue: string;
  /** Duration of the count-in before the pull */
  readonly countInS: number;
  /** Timing spread of the trigger: one standard deviation, assumed until rehearsed */
  readonly cueSigmaS: number;
}

/** Default values of a new pull. */
export const DEFAULT_PULL = {
  easing: 'eased',
  trigger: 'clock',
  cue: '',
  countInS: 1,
  cueSigmaS: 0.1,
} as const satisfies Partial<Pull>;

/** Assumed timing spread of a trigger until rehearsed. Shown as an assumption. */
export const ASSUMED_CUE_SIGMA_S = DEFAULT_PULL.cueSigmaS;

/** The planned focus track: its start, and its pulls in order of time. Between pulls focus holds or tracks. */
export interface FocusTrackPlan {
  /** null until a first distance is known */
  readonly start: FocusTarget | null;
  readonly pulls: readonly Pull[];
}

/** A change of stop or focal length while rolling, smooth at both ends. */
export interface OpticsChange {
  readonly id: string;
  readonly startS: number;
  readonly durationS: number;
  /** Final stop as engraved, or final focal length in mm */
  readonly to: number;
}

/** What a wheel or motor can turn. */
export const WHEEL_JOBS = ['focus', 'iris', 'zoom'] as const;
export type WheelJob = (typeof WHEEL_JOBS)[number];

/** Camera and lens of a shot, and their settings over time. */
export interface ShotOptics {
  readonly camera: Camera;
  readonly lens: Lens;
  /** At the start; the focal length of a prime */
  readonly focalLengthMm: number;
  /** In order of time, without overlap; empty for a prime */
  readonly zooms: readonly OpticsChange[];
  /** At the start, as engraved on the lens */
  readonly stop: number;
  /** In order of time, without overlap */
  readonly irisPulls: readonly OpticsChange[];
  readonly sharpness: Sharpness;
  /** How much larger the picture is shown after reframing or steadying in the edit, in percent; 0 for as it is */
  readonly enlargedPercent: number;
  /** Width over height of the delivered picture; null for all that is recorded */
  readonly frameAspect: number | null;
}

/** Kit items that the shot's gear was copied from; null for figures of its own. The shot keeps a copy: the kit may change. */
export interface KitSources {
  readonly camera: { readonly id: string; readonly modeId: string; readonly steadyingId: string | null } | null;
  readonly lensId: string | null;
  readonly wheelId: string | null;
  readonly rigId: string | null;
}

/** A method of a later part of the shot. It holds until the next one, or to the end. */
export interface LaterMethod {
  readonly id: string;
  /** > 0 */
  readonly fromS: number;
  readonly method: Method;
}

/** A meter reading on the way: at a time of the shot, or at a mark, where it holds while the mark's subject is there. */
export interface LightReading {
  readonly id: string;
  readonly at: { readonly kind: 'time'; readonly timeS: number } | { readonly kind: 'mark'; readonly markId: string };
  /** T-stop that the meter gives there for the shot's settings */
  readonly meteredStop: number;
}

/** Exposure settings apart from the stop. */
export interface ShotExposure {
  /** T-stop that the meter gives for these settings at the start; null until metered */
  readonly meteredStop: number | null;
  /** Where the light changes along the way; empty if it stays as it is at the start */
  readonly lightReadings: readonly LightReading[];
  /** How far the picture may be too bright or too dark, in stops */
  readonly toleranceStops: number;
  readonly iso: number;
  readonly shutterAngleDeg: number;
  /** Neutral-density filters in place, in stops */
  readonly ndStops: number;
}

/** How far the exposure of a new shot may be off, in stops. Assumed. */
export const DEFAULT_TOLERANCE_STOPS = 0.5;

/** Errors of the camera and its operator in a take, one standard deviation each. */
export interface CameraErrors {
  /** How early or late the camera is along its own path */
  readonly timingSigmaS: number;
  /** How far the camera misses the ends of its moves, along the move */
  readonly stopSigmaMm: number;
  /** Drift along the lens axis: a first-order random process with this spread */
  readonly driftSigmaMm: number;
  /** Time after which a drift is forgotten by a factor of e, > 0 */
  readonly driftTimeS: number;
}

/** What the puller looks at during a take. */
export const WATCHED = ['nothing', 'display', 'subject'] as const;

/** How softness is seen during a take, and corrected. */
export interface Watching {
  readonly on: (typeof WATCHED)[number];
  /** Diagonal of the display; null for that of the rig */
  readonly displayInches: number | null;
  /** From the eyes to the display */
  readonly distanceMm: number;
  /** How late its picture comes */
  readonly delayS: number;
  /** Share of corrections whose first turn goes the right way: a soft picture does not tell which way */
  readonly rightWayShare: number;
}

/** Until somebody says what is watched. The share is assumed until takes with tracks show it. */
export const DEFAULT_WATCHING: Watching = {
  on: 'nothing',
  displayInches: null,
  distanceMm: 500,
  delayS: 0.05,
  rightWayShare: 0.75,
};

/** One shot as planned: the document that is edited, undone, saved and restored as a whole. Lengths in mm, times in s. */
export interface ShotPlan {
  readonly schema: typeof PLAN_SCHEMA;
  readonly durationS: number;
  readonly captureFps: number;
  readonly deliveryFps: number;
  /** From the start */
  readonly method: Method;
  /** Methods of later parts, in order of time; empty for a shot with one method */
  readonly laterMethods: readonly LaterMethod[];
  readonly optics: ShotOptics;
  readonly exposure: ShotExposure;
  /** On the focus ring; null for a hand at the ring */
  readonly wheel: Wheel | null;
  /** The wheel where it turns something else than focus: then a hand is at the focus ring, and `wheel` is null */
  readonly wheelElsewhere: { readonly turns: Exclude<WheelJob, 'focus'>; readonly wheel: Wheel } | null;
  /** null until one is chosen */
  readonly rig: Rig | null;
  readonly kit: KitSources;
  /** Floor plan; null if nothing is drawn and all distances are taped */
  readonly floor: FloorPlan | null;
  readonly subjects: readonly Subject[];
  readonly marks: readonly Mark[];
  readonly beats: readonly Beat[];
  /** Focus track of the alternate that is shown, if there are two */
  readonly focusTrack: FocusTrackPlan;
  /** null for a shot without alternates */
  readonly alternates: { readonly shown: Alternate; readonly other: FocusTrackPlan } | null;
  /** Highest speed at which the puller is willing to turn */
  readonly maxHandDegPerS: number;
  /** Speed, steadiness and errors of the hand */
  readonly hand: Hand;
  readonly watching: Watching;
  /** Errors of the camera and its operator; null for what is assumed of the support */
  readonly cameraErrors: CameraErrors | null;
  /** The shot is planned as it is filmed, and will be played backwards in the edit */
  readonly isReversed: boolean;
  /** The hands that would pull are needed for something else during the take */
  readonly areHandsNeeded: boolean;
  /** Rehearsal runs timed by taps, latest last */
  readonly rehearsals: readonly RehearsalRun[];
  readonly goals: ShotGoals;
  readonly schedule: Schedule;
  readonly notes: string;
}

/** Circle of confusion of this shot in mm on the sensor. */
export function planCircleMm({
  camera,
  sharpness,
  enlargedPercent,
}: Pick<ShotOptics, 'camera' | 'sharpness' | 'enlargedPercent'>): number {
  return circleMm(camera, sharpness, enlargedPercent);
}

/** Width on the sensor of the picture that is shown in the end: the reference for a blur in percent. */
export function pictureWidthMm({ camera, enlargedPercent }: Pick<ShotOptics, 'camera' | 'enlargedPercent'>): number {
  return pictureSize(camera).sensorWidthMm / (1 + enlargedPercent / 100);
}

/** Part of the recorded picture that is delivered, in mm on the sensor: as large as fits, unsqueezed in its shape. */
export function frameSize({ camera, lens, frameAspect }: Pick<ShotOptics, 'camera' | 'lens' | 'frameAspect'>): SensorSize {
  const { sensorWidthMm, sensorHeightMm } = pictureSize(camera);
  const recorded = (sensorWidthMm * lens.squeeze) / sensorHeightMm;
  if (frameAspect === null || frameAspect === recorded) return { sensorWidthMm, sensorHeightMm };
  return frameAspect > recorded
    ? { sensorWidthMm, sensorHeightMm: (sensorWidthMm * lens.squeeze) / frameAspect }
    : { sensorWidthMm: (sensorHeightMm * frameAspect) / lens.squeeze, sensorHeightMm };
}

/** Beats of the alternate that is shown. */
export function activeBeats({ beats, alternates }: Pick<ShotPlan, 'beats' | 'alternates'>): readonly Beat[] {
  return beats.filter(({ alternate }) => alternate === null || alternates === null || alternate === alternates.shown);
}

/** Beats that require sharpness at a time, in the alternate that is shown. */
export function sharpBeatsAt(plan: Pick<ShotPlan, 'beats' | 'alternates'>, timeS: number): readonly Beat[] {
  return activeBeats(plan).filter(
    ({ requirement: kind, fromS, toS }) =>
      kind === 'sharp' && timeS >= fromS - TIME_TOLERANCE_S && timeS < toS - TIME_TOLERANCE_S,
  );
}

/** What the wheel of a shot turns. */
export function wheelJob({ wheelElsewhere }: Pick<ShotPlan, 'wheelElsewhere'>): WheelJob {
  return wheelElsewhere?.turns ?? 'focus';
}

/** The wheel of a shot, whatever it turns; null if there is none. */
export function wheelOf({ wheel, wheelElsewhere }: Pick<ShotPlan, 'wheel' | 'wheelElsewhere'>): Wheel | null {
  return wheel ?? wheelElsewhere?.wheel ?? null;
}

/** Tolerance for rounding of times: far below a frame. */
const TIME_TOLERANCE_S = 1e-6;

/** End of a pull, iris pull or zoom. */
export function pullEndS(move: { readonly startS: number; readonly durationS: number }): number {
  return move.startS + move.durationS;
}
