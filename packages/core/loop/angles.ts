import { floorOf, within } from './arithmetic';
import { columns, real, whole } from './columns';

/** As in `zoneTables.ts`. */
export const ENTRIES = 2048;
/** Smallest distance of a subject after its error. */
export const NEAREST_MM: f64 = 1;
/** Tolerance for rounding at the exact edge of the zone. */
export const LOOSE: f64 = 1 + 1e-9;

/** Ring angle for an erroneous distance, between the hard stops. */
export function setDeg(mm: f64): f64 {
  return within(angleAt(mm), columns.lowDeg, columns.highDeg);
}

/** Ring angle for an erroneous distance, on the whole ring. */
export function angleAt(mm: f64): f64 {
  const angleDegs = columns.angleDegs;
  const stepDeg = columns.stepDeg;
  const lowDeg = columns.ringLowDeg;
  const at = within(columns.anglesPerPerMm / (mm > NEAREST_MM ? mm : NEAREST_MM), 0, ENTRIES);
  const entry = min(floorOf(at), ENTRIES - 1);
  const fromDeg = real(angleDegs, entry);
  const deg = fromDeg + (at - <f64>entry) * (real(angleDegs, entry + 1) - fromDeg);
  const setTo = stepDeg == 0 ? deg : lowDeg + Math.round((deg - lowDeg) / stepDeg) * stepDeg;
  return within(setTo, lowDeg, columns.ringHighDeg);
}

/** Ring angle of a tracking hold at a frame in this trial. */
export function trackingDegAt(hold: i32, frame: i32): f64 {
  const at = max(0, min(frame - whole(columns.lagFrames, hold), columns.frameCount - 1));
  const deg = real(columns.trackingDeg, whole(columns.trackingColumn, hold) + at);
  return within(deg + real(columns.offDeg, hold), columns.lowDeg, columns.highDeg);
}

/**
 * Whether a distance is within the zone of a lens that zooms or changes its stop: as `zoneLimits` computes it, from the focus distance at the
 * ring angle. A table for every state of the lens would be larger than the takes.
 */
export function isInMovingZone(perMm: f64, entry: i32, share: f64, frame: i32, blurMm: f64): bool {
  const fromPerMm = real(columns.focusPerMm, entry);
  const focusPerMm = fromPerMm + share * (real(columns.focusPerMm, entry + 1) - fromPerMm);
  const focalMm = real(columns.lensMm, frame);
  const spread = real(columns.lensStop, frame) * blurMm;
  const square = focalMm * focalMm;
  const separationMm = columns.separationMm;
  if (focusPerMm <= 0) return perMm * (square / spread + separationMm + focalMm) <= LOOSE;
  const reachMm = 1 / focusPerMm - separationMm;
  const root = reachMm * (reachMm - 4 * focalMm);
  const objectMm = (reachMm + Math.sqrt(root > 0 ? root : 0)) / 2;
  const toTapeMm = separationMm + focalMm + square / (objectMm - focalMm);
  const k = spread * (objectMm - focalMm);
  const nearMm = (objectMm * square) / (square + k) + toTapeMm;
  if (perMm * nearMm > LOOSE) return false;
  return k >= square || perMm * LOOSE * ((objectMm * square) / (square - k) + toTapeMm) >= 1;
}

/** Like `eased`, by index of the easing. */
export function easedShare(easing: i32, tau: f64): f64 {
  if (easing == 0) return jerk(tau);
  if (easing == 1) return 2 * jerk(tau / 2);
  if (easing == 2) return 1 - 2 * jerk((1 - tau) / 2);
  return tau;
}

export function jerk(tau: f64): f64 {
  return tau * tau * tau * (10 + tau * (6 * tau - 15));
}
