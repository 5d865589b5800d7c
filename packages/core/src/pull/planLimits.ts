import { KIT_LIMITS } from '../kit/index.js';

/**
 * What a plan may hold: the one declaration, used by the checker, by the fields of the page and by the server's checks.
 * Ranges are generous on purpose: they keep out slips of the hand and nonsense, not unusual kit.
 */
export const PLAN_LIMITS = {
  ...KIT_LIMITS,
  durationS: { min: 0.5, max: 600 },
  deliveryFps: { min: 1, max: 240 },
  shutterAngleDeg: { min: 1, max: 360 },
  ndStops: { min: 0, max: 20 },
  uncertaintyMm: { min: 0, max: 5000 },
  timeS: { min: 0, max: 600 },
  rackS: { min: 0.04, max: 600 },
  share: { min: 0.01, max: 1 },
  placeMm: { min: -500_000, max: 500_000 },
  heightMm: { min: 0, max: 30_000 },
  sizeMm: { min: 20, max: 100_000 },
  headingDeg: { min: -720, max: 720 },
  letter: { min: 1, max: 4 },
  detail: { max: 80 },
  cue: { max: 160 },
  subjects: { max: 12 },
  marks: { max: 40 },
  stays: { max: 40 },
  beats: { max: 60 },
  moves: { max: 60 },
  cameraKeys: { min: 1, max: 60 },
  aims: { min: 1, max: 60 },
  landmarks: { max: 80 },
  opticsMoves: { max: 20 },
  markSigmaMm: { min: 0, max: 5000 },
  sigmaS: { min: 0, max: 10 },
  allowanceMm: { min: 0, max: 10_000 },
  pose: { max: 160 },
  pictureMm: { min: 100, max: 1_000_000 },
  rehearsals: { max: 20 },
  taps: { max: 120 },
} as const;
