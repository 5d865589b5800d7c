import type { Pace, Place } from './place.js';

/** A place at a time. Between two keys the camera moves; two keys at one place are a hold. */
export interface PathKey extends Place {
  readonly id: string;
  readonly timeS: number;
  /** Speed profile of the move from the previous key */
  readonly pace: Pace;
  /** Height of the lens here; null for the floor plan's `lensHeightMm` */
  readonly heightMm: number | null;
  /** How far the operator misses this place, along the move: one standard deviation; null for what is assumed of the support */
  readonly missSigmaMm: number | null;
}

/**
 * What the camera looks at: a subject (it follows the subject), a point at a height (null: the lens stays level), or a heading with a
 * tilt upwards (null: level).
 */
export type AimTarget =
  | { readonly kind: 'subject'; readonly subjectId: string }
  | { readonly kind: 'point'; readonly xMm: number; readonly yMm: number; readonly heightMm: number | null }
  | { readonly kind: 'heading'; readonly deg: number; readonly tiltDeg: number | null };

/** From `timeS` on, the camera looks at `at`. The pan to it is smooth at both ends. */
export interface AimKey {
  readonly id: string;
  readonly timeS: number;
  /** Duration of the pan from the previous aim; it ends at `timeS`. 0 for a cut */
  readonly panS: number;
  readonly at: AimTarget;
}

export const LANDMARK_SHAPES = ['post', 'box', 'wall', 'door', 'track'] as const;
export type LandmarkShape = (typeof LANDMARK_SHAPES)[number];

/** Media types allowed for the picture under the drawing. */
export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/svg+xml'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** Largest picture in bytes. A set plan scanned at 300 dpi is smaller. */
export const PICTURE_BYTES = 12 * 1024 * 1024;

/** A picture of the set under the drawing. Its place is its centre. */
export interface FloorPicture extends Place {
  /** Id of the stored file */
  readonly pictureId: string;
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turnedDeg: number;
  /** False until someone has drawn a known length on it: until then its size is a guess */
  readonly isScaled: boolean;
}

/** A fixed thing on the set: for orientation, or to focus on instead of a subject. */
export interface Landmark extends Place {
  readonly id: string;
  readonly name: string;
  readonly shape: LandmarkShape;
  /**
   * Width across and along. A post has its diameter in both. For a wall or door the second is the thickness, for dolly track
   * the gauge
   */
  readonly widthMm: number;
  readonly depthMm: number;
  /** From the floor up; 0 if it hides nobody */
  readonly tallMm: number;
  readonly turnedDeg: number;
}

/** The set from above: camera path, camera aims and landmarks. Where subjects go follows from their stays at marks. */
export interface FloorPlan {
  /** In order of time, at least one. The camera stands at the first key before it, and at the last key after it */
  readonly camera: readonly PathKey[];
  readonly lensHeightMm: number;
  /** In order of time, at least one */
  readonly aims: readonly AimKey[];
  readonly landmarks: readonly Landmark[];
  readonly picture: FloorPicture | null;
}
