import type { Pace, Place } from './place.js';

/** A place at a time. Between two of them one moves; two at one place are a hold. */
export interface PathKey extends Place {
  readonly id: string;
  readonly timeS: number;
  /** How one gets here from the key before */
  readonly pace: Pace;
}

/** What the camera looks at: someone, wherever they go; a point; or a heading. */
export type AimTarget =
  | { readonly kind: 'subject'; readonly subjectId: string }
  | { readonly kind: 'point'; readonly xMm: number; readonly yMm: number }
  | { readonly kind: 'heading'; readonly deg: number };

/** From a time on the camera looks there. Between two aims it pans over, smooth at both ends. */
export interface AimKey {
  readonly id: string;
  readonly timeS: number;
  /** The pan from the aim before takes this long and ends at `timeS`; 0 for a cut of the aim */
  readonly panS: number;
  readonly at: AimTarget;
}

export const LANDMARK_SHAPES = ['post', 'box', 'wall', 'door', 'track'] as const;
export type LandmarkShape = (typeof LANDMARK_SHAPES)[number];

/** Kinds of picture that may lie under a drawing, by their media type. */
export const PICTURE_TYPES = ['image/png', 'image/jpeg', 'image/svg+xml'] as const;
export type PictureType = (typeof PICTURE_TYPES)[number];

/** Largest picture, in bytes: a plan of a set scanned at 300 dpi stays under it. */
export const PICTURE_BYTES = 12 * 1024 * 1024;

/** A picture of the set that lies under the drawing. Its place is its middle. */
export interface FloorPicture extends Place {
  /** Of the stored file */
  readonly pictureId: string;
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly turnedDeg: number;
  /** Whether a known length was drawn on it; until then its size is a guess */
  readonly isScaled: boolean;
}

/** A thing on the set that does not move: to find one's way by, or to focus on while nobody stands there. */
export interface Landmark extends Place {
  readonly id: string;
  readonly name: string;
  readonly shape: LandmarkShape;
  /** Across and along; of a post both are its diameter, of a wall and a door the second is the thickness, of dolly track the gauge */
  readonly widthMm: number;
  readonly depthMm: number;
  readonly turnedDeg: number;
}

/** The set from above: where the camera goes, what it looks at, and what stands there. Where people go is told by their stays at marks. */
export interface FloorPlan {
  /** In order of time, at least one; before the first it stands there, after the last it stays */
  readonly camera: readonly PathKey[];
  readonly lensHeightMm: number;
  /** In order of time, at least one */
  readonly aims: readonly AimKey[];
  readonly landmarks: readonly Landmark[];
  readonly picture: FloorPicture | null;
}
