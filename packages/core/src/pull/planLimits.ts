import { FARTHEST_TYPED_MM } from '../units/index.js';

/**
 * What a plan may hold: the one declaration, used by the checker, by the fields of the page and by the server's checks.
 * Ranges are generous on purpose: they keep out slips of the hand and nonsense, not unusual kit.
 */
export const PLAN_LIMITS = {
  durationS: { min: 0.5, max: 600 },
  captureFps: { min: 1, max: 1000 },
  deliveryFps: { min: 1, max: 240 },
  sensorMm: { min: 2, max: 120 },
  photositesWide: { min: 320, max: 24000, whole: true },
  focalLengthMm: { min: 4, max: 1200 },
  stop: { min: 0.5, max: 64 },
  transmittance: { min: 0.3, max: 1 },
  closeFocusMm: { min: 20, max: 20_000 },
  principalSeparationMm: { min: -200, max: 200 },
  focusThrowDeg: { min: 10, max: 1440 },
  ringDeg: { min: -1440, max: 1440 },
  diagonalDivisor: { min: 300, max: 5000 },
  photositeCount: { min: 0.5, max: 20 },
  viewingDistancePictureHeights: { min: 0.5, max: 20 },
  distanceMm: { min: 20, max: FARTHEST_TYPED_MM },
  uncertaintyMm: { min: 0, max: 5000 },
  timeS: { min: 0, max: 600 },
  rackS: { min: 0.04, max: 600 },
  share: { min: 0.01, max: 1 },
  name: { min: 1, max: 80 },
  letter: { min: 1, max: 4 },
  detail: { max: 80 },
  cue: { max: 160 },
  note: { max: 400 },
  notes: { max: 4000 },
  id: { min: 1, max: 60 },
  subjects: { max: 12 },
  marks: { max: 40 },
  stays: { max: 40 },
  beats: { max: 60 },
  moves: { max: 60 },
  ringPoints: { max: 60 },
} as const;
