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
  letter: { min: 1, max: 4 },
  detail: { max: 80 },
  cue: { max: 160 },
  subjects: { max: 12 },
  marks: { max: 40 },
  stays: { max: 40 },
  beats: { max: 60 },
  moves: { max: 60 },
  opticsMoves: { max: 20 },
} as const;
