import type { SensorSize } from '../optics/index.js';
import type { Camera } from './camera.js';

/** Focus aids. A camera may lack one, or have it only on one display or only before rolling. */
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

/** A recording mode: sensor area, resolution and frame rates. */
export interface RecordingMode extends SensorSize {
  readonly id: string;
  readonly name: string;
  readonly photositesWide: number;
  readonly fastestFps: number;
}

/** A level of digital steadying: it crops this percentage of width and height. */
export interface SteadyingLevel {
  readonly id: string;
  readonly name: string;
  readonly cropPercent: number;
}

/** The owner's test of one aid on one display in one mode. An aid without a test is untested. */
export interface AidTest {
  readonly aid: Aid;
  readonly display: string;
  readonly modeId: string;
  readonly works: boolean;
  readonly note: string;
  /** YYYY-MM-DD */
  readonly testedOn: string;
  readonly testedBy: string;
  /** Camera software at the test: an update can change the result */
  readonly software: string;
}

/** A camera in the kit. */
export interface KitCamera {
  readonly name: string;
  readonly software: string;
  /** At least one */
  readonly modes: readonly RecordingMode[];
  readonly steadying: readonly SteadyingLevel[];
  /** Frame rates offered, increasing */
  readonly frameRates: readonly number[];
  /** Base sensitivities, increasing */
  readonly baseIsos: readonly number[];
  readonly displays: readonly string[];
  /** Width of the autofocus area in percent of the picture's width; null if unknown */
  readonly automaticAreaPercent: number | null;
  readonly tests: readonly AidTest[];
  /** Results older than this must be tested again; 0 for never */
  readonly retestAfterDays: number;
  /** Where functions are found: menu pages, buttons, levels */
  readonly notes: string;
}

/**
 * This camera as a shot stores it.
 *
 * @param modeId - the first mode is used if this id is unknown
 * @param steadyingId - no steadying if null or unknown
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
