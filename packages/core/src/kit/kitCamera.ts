import type { SensorSize } from '../optics/index.js';
import type { Camera, TestAnswer } from './camera.js';

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
    fastestFps: mode.fastestFps,
    frameRates: camera.frameRates,
    autofocusAreaPercent: camera.automaticAreaPercent,
    autofocusRolling: autofocusIn(camera, mode.id),
  };
}

/** It works if it does on any display: a display shows it, and does not do it. */
function autofocusIn({ tests }: KitCamera, modeId: string): TestAnswer {
  const answers = tests.filter((test) => test.aid === 'automatic-rolling' && test.modeId === modeId).map(({ works }) => works);
  if (answers.length === 0) return 'untested';
  return answers.includes(true) ? 'yes' : 'no';
}

/** Two frame rates nearer than this are the same: 23.98 and 23.976. */
const SAME_FPS = 0.05;

/** Whether a camera records a frame rate in a mode. A camera whose rates nobody has typed has all that the mode is fast enough for. */
export function offersRate({ fastestFps, frameRates }: Pick<Camera, 'fastestFps' | 'frameRates'>, fps: number): boolean {
  const isListed = frameRates.length === 0 || frameRates.some((rate) => Math.abs(rate - fps) <= SAME_FPS);
  return isListed && (fastestFps === null || fps <= fastestFps + SAME_FPS);
}

/**
 * What would allow a frame rate.
 *
 * @param modeId - the mode in use
 * @returns other modes that record it, and the nearest rate that this mode records; null if none is known
 */
export function modesForRate(
  camera: KitCamera,
  modeId: string,
  fps: number,
): { readonly isOffered: boolean; readonly modes: readonly RecordingMode[]; readonly nearestFps: number | null } {
  const { frameRates } = camera;
  const offering = camera.modes.filter(({ fastestFps }) => offersRate({ fastestFps, frameRates }, fps));
  const mode = camera.modes.find(({ id }) => id === modeId) ?? camera.modes[0]!;
  const possible = frameRates.filter((rate) => rate <= mode.fastestFps + SAME_FPS);
  const nearest = possible.reduce<number | null>(
    (best, rate) => (best === null || Math.abs(rate - fps) < Math.abs(best - fps) ? rate : best),
    null,
  );
  return {
    isOffered: offering.includes(mode),
    modes: offering.filter((one) => one !== mode),
    nearestFps: nearest ?? (frameRates.length === 0 ? mode.fastestFps : null),
  };
}
