import type { SensorSize } from '../optics/index.js';
import type { Camera } from './camera.js';

/** What helps to see or to change focus, and may be missing, or be missing on one display, or while rolling. */
export const AIDS = [
  'magnify',
  'outlines',
  'focus-while-rolling',
  'magnify-while-rolling',
  'unsqueeze',
  'monochrome',
  'distance-shown',
  'automatic-rolling',
  'automatic-stills',
] as const;
export type Aid = (typeof AIDS)[number];

/** A way the camera records: how much of the sensor, how fine, how fast. */
export interface RecordingMode extends SensorSize {
  readonly id: string;
  readonly name: string;
  readonly photositesWide: number;
  readonly fastestFps: number;
}

/** A strength of digital steadying, and how much of width and height it cuts away, in percent. */
export interface SteadyingLevel {
  readonly id: string;
  readonly name: string;
  readonly cropPercent: number;
}

/** What its owner found when they tried an aid on a display in a mode. An aid without one is untested. */
export interface AidTest {
  readonly aid: Aid;
  readonly display: string;
  readonly modeId: string;
  readonly works: boolean;
  readonly note: string;
  /** YYYY-MM-DD */
  readonly testedOn: string;
  readonly testedBy: string;
  /** The camera's software then: an update can change the answer */
  readonly software: string;
}

/** A camera as its owner knows it. */
export interface KitCamera {
  readonly name: string;
  readonly software: string;
  /** At least one */
  readonly modes: readonly RecordingMode[];
  readonly steadying: readonly SteadyingLevel[];
  /** Frames a second it offers, increasing */
  readonly frameRates: readonly number[];
  /** Base sensitivities, increasing */
  readonly baseIsos: readonly number[];
  readonly displays: readonly string[];
  /** Share of the picture's width in which its automation looks, in percent; null when not known */
  readonly automaticAreaPercent: number | null;
  readonly tests: readonly AidTest[];
  /** Answers older than this are asked again; 0 for never */
  readonly retestAfterDays: number;
  /** Where functions are: menu pages, buttons, levels */
  readonly notes: string;
}

/**
 * This camera as a shot keeps it.
 *
 * @param modeId - the first mode when there is none of that id
 * @param steadyingId - no steadying when null or unknown
 */
export function cameraInMode(camera: KitCamera, modeId: string, steadyingId: string | null): Camera {
  const mode = camera.modes.find(({ id }) => id === modeId) ?? camera.modes[0]!;
  const steadying = camera.steadying.find(({ id }) => id === steadyingId);
  return {
    name: camera.name,
    mode: mode.name,
    sensorWidthMm: mode.sensorWidthMm,
    sensorHeightMm: mode.sensorHeightMm,
    photositesWide: mode.photositesWide,
    steadyingCropPercent: steadying?.cropPercent ?? 0,
  };
}
