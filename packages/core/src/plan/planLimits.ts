import { MAX_UNCERTAINTY_MM } from '../floor/index.js';
import { KIT_LIMITS } from '../kit/index.js';

/**
 * Limits of plan values: the one declaration, used by the checker, the page's fields and the server's checks. Ranges are wide
 * on purpose: they reject typing errors, not unusual shots.
 */
export const PLAN_LIMITS = {
  ...KIT_LIMITS,
  durationS: { min: 0.5, max: 600 },
  deliveryFps: { min: 1, max: 240 },
  enlargedPercent: { min: 0, max: 200 },
  frameAspect: { min: 0.3, max: 4 },
  shutterAngleDeg: { min: 1, max: 360 },
  ndStops: { min: 0, max: 20 },
  uncertaintyMm: { min: 0, max: MAX_UNCERTAINTY_MM },
  readDeg: { min: -14_400, max: 14_400 },
  readingSigmaDeg: { min: 0.01, max: 90 },
  stripMm: { min: 0, max: 3000 },
  shareOfFigures: { min: 0, max: 1 },
  timeS: { min: 0, max: 600 },
  pullS: { min: 0.04, max: 600 },
  share: { min: 0.01, max: 1 },
  toleratedFrames: { min: 0, max: 240, whole: true },
  viewingMm: { min: 20, max: 10_000 },
  delayS: { min: 0, max: 2 },
  rightWayShare: { min: 0.5, max: 1 },
  drawnMm: { min: 0, max: 1_500_000 },
  placeMm: { min: -500_000, max: 500_000 },
  heightMm: { min: 0, max: 30_000 },
  sizeMm: { min: 20, max: 100_000 },
  headingDeg: { min: -720, max: 720 },
  tiltDeg: { min: -85, max: 85 },
  letter: { min: 1, max: 4 },
  detail: { max: 80 },
  cue: { max: 160 },
  countInS: { min: 0, max: 30 },
  blurPercent: { min: 0.02, max: 50 },
  screenTimeS: { min: 0.1, max: 7200 },
  leadS: { min: -10, max: 10 },
  maxHandDegPerS: { min: 10, max: 3000 },
  reactionS: { min: 0, max: 2 },
  perBitS: { min: 0.02, max: 2 },
  twoJobsFactor: { min: 1, max: 5 },
  steadyDeg: { min: 0, max: 20 },
  targetKeepRate: { min: 0.1, max: 0.99 },
  day: { min: 1, max: 400, whole: true },
  setUpMin: { min: 0, max: 1440 },
  betweenTakesS: { min: 0, max: 7200 },
  takes: { min: 1, max: 200, whole: true },
  cover: { max: 160 },
  coursePoints: { min: 1, max: 2000 },
  subjects: { max: 12 },
  marks: { max: 40 },
  stays: { max: 40 },
  // a pull makes a beat, in either alternate
  beats: { max: 120 },
  moves: { max: 60 },
  cameraKeys: { min: 1, max: 60 },
  aims: { min: 1, max: 60 },
  landmarks: { max: 80 },
  opticsChanges: { max: 20 },
  lightReadings: { max: 20 },
  toleranceStops: { min: 0.05, max: 5 },
  laterMethods: { max: 8 },
  markSigmaMm: { min: 0, max: 5000 },
  sigmaS: { min: 0, max: 10 },
  driftTimeS: { min: 0.05, max: 60 },
  allowanceMm: { min: 0, max: 10_000 },
  pose: { max: 160 },
  pictureMm: { min: 100, max: 1_000_000 },
  rehearsals: { max: 20 },
  taps: { max: 120 },
} as const;

/** A distance as a target of a plan holds it: null for infinity, and for what lies farther than a plan may hold. */
export function targetMm(distanceMm: number): number | null {
  return distanceMm > PLAN_LIMITS.distanceMm.max ? null : Math.max(distanceMm, PLAN_LIMITS.distanceMm.min);
}
