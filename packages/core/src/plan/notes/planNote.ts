import type { Support } from '../../kit/index.js';
import type { HandClash, HandRelief } from '../handTasks.js';
import type { Method } from '../shotPlan.js';
import type { ExposureSpan } from '../lightAlong.js';
import type { CommonOffset } from '../readings.js';
import type { SecondJob } from '../secondJob.js';
import type { StaleCause } from '../staleMarks.js';
import type { StopScale } from '../../units/index.js';

/** Values of each note, by code. */
interface NoteValues {
  /** The ring answers to speed of turning: no mark on it holds */
  'ring-by-speed': object;
  /** The wheel's hard stops do not hold on such a ring */
  'no-end-stops': { readonly wheel: string };
  /** Marks that were measured before the lens or the camera changed */
  'stale-marks': { readonly letters: readonly string[]; readonly since: StaleCause };
  /** Marks whose reading does not lie on the ring of the shot */
  'off-the-ring': { readonly letters: readonly string[] };
  /** Marks that were read and measured are all off to one side of the scale */
  'readings-off': { readonly offset: CommonOffset };
  /** Marks whose distance follows from a reading of a ring without a scale */
  'assumed-ring': { readonly letters: readonly string[] };
  /** A mark inside a thing on the set that is taller than who is focused on there */
  'stands-inside': { readonly letter: string; readonly thing: string };
  /** A zoom opens less than is set: from when, the widest stop where it opens least, and the light lost there */
  'stop-limited': { readonly scale: StopScale; readonly fromS: number; readonly stop: number; readonly stopsLost: number };
  /** The shot zooms with a lens that is untested, or loses focus while zooming */
  'zoom-not-tested': { readonly drifts: boolean };
  'ring-in-steps': { readonly steps: number };
  /** Hard stops on a wheel, or a ring, that has none; `wheel` is null for the ring */
  'stops-without-wheel': { readonly letters: readonly string[]; readonly wheel: string | null };
  'too-many-stops': { readonly letters: readonly string[] };
  'stops-stale': object;
  /** Somebody does more than pull while pulls land, which makes these harder by a factor */
  'two-jobs': { readonly jobs: readonly SecondJob[]; readonly factor: number };
  /** Marks that the wheel does not reach between its hard stops */
  'outside-stops': { readonly letters: readonly string[]; readonly stops: readonly string[] };
  /** The shot is played backwards; `hasCues` if a cue comes after its pull */
  reversed: { readonly hasCues: boolean };
  'reversed-walk': object;
  'camera-moves': object;
  /** The hands are needed for something else; `isPulled` if the method needs one at the ring */
  'hands-needed': { readonly isPulled: boolean };
  /** Somebody would need a third hand: the first time, and how often */
  'hands-clash': { readonly clash: HandClash; readonly times: number; readonly relief: HandRelief | null };
  /** Pulls of a shot whose method makes none */
  'pulls-unused': { readonly pulls: number; readonly method: Method };
  /** The recording mode is slower than the shot */
  'rate-too-fast': { readonly captureFps: number; readonly fastestFps: number; readonly mode: string };
  /** The camera has no such frame rate */
  'rate-not-offered': { readonly captureFps: number; readonly frameRates: readonly number[]; readonly camera: string };
  /** Nobody can reach the ring on this support */
  'out-of-reach': { readonly support: Support };
  'licensed-people': { readonly support: Support };
  'hand-on-stabiliser': object;
  'zoom-on-stabiliser': object;
  walking: object;
  cable: object;
  heavy: { readonly weightKg: number };
  'missing-parts': { readonly rig: string; readonly parts: readonly string[] };
  /** The exposure leaves its tolerance: first where, worst by how much, and how many spans there are */
  'exposure-off': { readonly span: ExposureSpan; readonly times: number };
  /** Meter readings at marks to which nobody comes */
  'light-idle': { readonly letters: readonly string[] };
  diffraction: object;
  'other-shutter': { readonly shutterAngleDeg: number; readonly productionAngleDeg: number };
  squeezed: object;
  /** The camera must be told the focal length */
  'type-focal-length': { readonly focalLengthMm: number };
  'no-zoom-in-to-focus': object;
}

export type PlanNoteCode = keyof NoteValues;

/**
 * Something to know about this set-up before the camera rolls. A caution is about harm to people or gear, a warning about
 * focus.
 */
export type PlanNote = {
  [C in PlanNoteCode]: { readonly code: C; readonly kind: 'blocks' | 'warning' | 'caution' | 'hint' } & NoteValues[C];
}[PlanNoteCode];
