import type { Camera, Sharpness } from './camera.js';
import { compareSetups } from './compare.js';
import { focusShiftPerDegMm, type Lens, ringOf, widestStopAt } from './lens.js';

/** What all lenses are compared at. Tape distances in mm. */
export interface LensQuestion {
  readonly camera: Camera;
  readonly sharpness: Sharpness;
  /** The turn between these two is compared, in either order */
  readonly fromMm: number;
  readonly toMm: number;
  /** The room of the hand is compared here */
  readonly atMm: number;
  /** As engraved; a lens that does not open as far is compared at its widest. null for the widest of each */
  readonly stop: number | null;
}

/** How a lens handles. Angles in ring degrees. */
export interface LensFigures {
  readonly throwDeg: number;
  readonly closeFocusMm: number;
  /** Turn between the two distances; null if the ring does not reach one of them */
  readonly betweenDeg: number | null;
  /** How far focus shifts for a degree at the distance; null if the ring does not reach it */
  readonly shiftPerDegMm: number | null;
  /** How far the ring may be off at the distance before the subject leaves the zone; null if the ring does not reach it */
  readonly roomDeg: number | null;
  /** Stop that the room is told for, as engraved */
  readonly stop: number;
}

/** Figures of a lens at its shortest focal length, for a table of many. */
export function lensFigures(lens: Lens, { camera, sharpness, fromMm, toMm, atMm, stop: asked }: LensQuestion): LensFigures {
  const ring = ringOf(lens);
  const reaches = (mm: number) => mm >= ring.closeFocusMm && mm <= ring.farthestMm;
  const stop = Math.min(Math.max(asked ?? 0, widestStopAt(lens, lens.focalLengthMm)), lens.narrowestStop);
  const setup = { camera, lens, focalLengthMm: lens.focalLengthMm, stop, sharpness };
  const [at] = compareSetups([setup], { held: 'distance', distanceMm: atMm, backgroundBehindMm: 1000 });
  return {
    throwDeg: ring.throwDeg,
    closeFocusMm: ring.closeFocusMm,
    betweenDeg: reaches(fromMm) && reaches(toMm) ? Math.abs(ring.angleAt(fromMm) - ring.angleAt(toMm)) : null,
    shiftPerDegMm: reaches(atMm) ? focusShiftPerDegMm(lens, atMm) : null,
    roomDeg: at?.at?.windowDeg ?? null,
    stop,
  };
}
