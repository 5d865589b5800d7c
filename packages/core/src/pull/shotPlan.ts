import type { Mark, Subject } from '../floor/index.js';
import type { Camera, Lens } from '../kit/index.js';
import { circleOfConfusionMm } from '../optics/index.js';

/** The number of the saved form; a change of the form raises it and adds an upgrade. */
export const PLAN_SCHEMA = 1;

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

/** How sharp is sharp; with the camera it makes a `SharpnessStandard`. */
export type Sharpness =
  | { readonly kind: 'diagonal'; readonly divisor: number }
  | { readonly kind: 'photosite'; readonly count: number }
  | { readonly kind: 'viewer'; readonly viewingDistancePictureHeights: number };

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
}

/** The focus line: where it starts, and its racks in order of time. Between them it holds. */
export interface FocusLinePlan {
  /** null until a first distance is known */
  readonly start: LineTarget | null;
  readonly moves: readonly Rack[];
}

/** One shot, as planned: the document that is edited, undone, saved and restored as a whole. Lengths in mm, times in s. */
export interface ShotPlan {
  readonly schema: typeof PLAN_SCHEMA;
  readonly durationS: number;
  readonly captureFps: number;
  readonly deliveryFps: number;
  readonly method: Method;
  readonly optics: {
    readonly camera: Camera;
    readonly lens: Lens;
    /** On the lens's own scale */
    readonly stop: number;
    readonly sharpness: Sharpness;
  };
  readonly subjects: readonly Subject[];
  readonly marks: readonly Mark[];
  readonly beats: readonly Beat[];
  readonly line: FocusLinePlan;
  readonly notes: string;
}

/** The largest blur that passes for sharp in this shot, in millimetres on the sensor. */
export function planCircleMm({ camera, sharpness }: ShotPlan['optics']): number {
  const { sensorWidthMm, sensorHeightMm, photositesWide } = camera;
  switch (sharpness.kind) {
    case 'diagonal':
      return circleOfConfusionMm({ kind: 'diagonal', sensorWidthMm, sensorHeightMm, divisor: sharpness.divisor });
    case 'photosite':
      return circleOfConfusionMm({ kind: 'photosite', sensorWidthMm, photositesWide, count: sharpness.count });
    case 'viewer':
      return circleOfConfusionMm({
        kind: 'viewer',
        sensorHeightMm,
        viewingDistancePictureHeights: sharpness.viewingDistancePictureHeights,
      });
  }
}

/** When a rack lands. */
export function rackEndS(rack: Rack): number {
  return rack.startS + rack.durationS;
}
