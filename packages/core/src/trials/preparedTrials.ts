import type { Easing } from '../hand/index.js';
import type { CameraErrors, Watching } from '../plan/index.js';
import type { DrawLayout } from './drawLayout.js';
import type { ErrorSource } from './errorSources.js';
import type { PreparedScene } from './prepareScene.js';
import type { AngleTable, FocusTable, ZoneTable } from './zoneTables.js';

/** A hold, or tracking, between two pulls. */
export interface PreparedHold {
  /** Ring angle by frame while tracking; null for a fixed hold */
  readonly degs: Float64Array | null;
  readonly stillDeg: number;
  /** Distance of its mark and the uncertainty of that distance; 0 if not measured */
  readonly mm: number;
  readonly measureSigmaMm: number;
  /** Which random number of the set-up its measurement draws; -1 if not measured */
  readonly setupMark: number;
  /** While tracking: steadiness of the hand, and lag in frames; 0 for a fixed hold */
  readonly followSigmaDeg: number;
  readonly lagSigmaFrames: number;
  /** Index of its first random number in a trial */
  readonly drawsAt: number;
}

/** A hard stop set by the same reading as its mark. */
export interface PreparedStop {
  readonly mm: number;
  readonly measureSigmaMm: number;
  /** Which random number of the set-up its measurement draws */
  readonly setupMark: number;
}

export interface PreparedPull {
  readonly startS: number;
  readonly durationS: number;
  readonly easing: Easing;
  readonly reactionS: number;
  readonly cueSigmaS: number;
  readonly ringSigmaDeg: number;
}

export interface PreparedSubject {
  readonly markSigmaMm: number;
  readonly timingSigmaS: number;
  readonly drawsAt: number;
}

export interface PreparedBeat {
  readonly beatId: string;
  readonly subjectId: string;
  readonly subject: number;
  readonly isSoft: boolean;
  readonly fromFrame: number;
  readonly toFrame: number;
  /** Number of frames that may be lost; -1 for a beat that no take keeps, because its key moment, or all of it, is hidden */
  readonly allowedLostFrames: number;
  /** Longest soft run that is not lost */
  readonly toleratedFrames: number;
  /** By frame, 1 where it counts neither way (see `SubjectFrames`): such a frame is never lost. null if all count */
  readonly unjudged: Uint8Array | null;
  /** -1 for none */
  readonly keyFrame: number;
  /** Whether the distance of its subject cannot change during the beat, however early or late anybody is */
  readonly isStill: boolean;
  /** Permitted blur on the sensor; for a beat that must be soft, the blur that it requires */
  readonly blurMm: number;
  /** null if the lens zooms or changes its stop */
  readonly zone: ZoneTable | null;
  /** Zone outside of which softness is noticed; null where `noticeBlurMm` tells, or nobody watches */
  readonly noticeZone: ZoneTable | null;
  readonly noticeBlurMm: number;
}

/** How softness that is seen is corrected. */
export interface PreparedWatching {
  /** From the first soft frame to the first sharp one, if the first turn goes the right way; at least 1 */
  readonly correctFrames: number;
  readonly rightWayShare: number;
}

/** The take in which everything goes as planned: its sharp time and the time that must be sharp, in s. */
export interface IdealTake {
  readonly sharpS: number;
  readonly requiredS: number;
}

/** State of a changing lens by frame, and what its ring is focused at. */
export interface MovingLens {
  readonly focalLengthMm: Float64Array;
  readonly fNumber: Float64Array;
  readonly separationMm: number;
  readonly focus: FocusTable;
}

/** Everything that is the same in all trials. */
export interface PreparedTrials {
  readonly ideal: IdealTake;
  readonly captureFps: number;
  readonly frameCount: number;
  /** Random numbers per trial, and per set-up */
  readonly drawCount: number;
  readonly setupDrawCount: number;
  readonly scene: PreparedScene;
  readonly cameraErrors: CameraErrors;
  /** Index of the camera's first random number in a trial */
  readonly cameraDrawsAt: number;
  /** First random number of its start; -1 if that is not missed */
  readonly cameraStartDrawsAt: number;
  /** A lens that zooms or changes its stop; null for one that stays as it is */
  readonly movingLens: MovingLens | null;
  /** Converts the erroneous distance of a mark to a ring angle */
  readonly angles: AngleTable;
  /** Ends of the ring without hard stops */
  readonly ringLowDeg: number;
  readonly ringHighDeg: number;
  /** Ends of the ring as planned, with hard stops where the marks were measured */
  readonly lowDeg: number;
  readonly highDeg: number;
  /** null for a continuous ring */
  readonly stepDeg: number | null;
  /** Hard stops whose mark is measured: they err with it. null for none */
  readonly lowStop: PreparedStop | null;
  readonly highStop: PreparedStop | null;
  readonly holds: readonly PreparedHold[];
  readonly pulls: readonly PreparedPull[];
  readonly subjects: readonly PreparedSubject[];
  readonly beats: readonly PreparedBeat[];
  /** null if the puller sees nothing */
  readonly watched: PreparedWatching | null;
}

export interface TakesOptions {
  /** Layout of the plan it is compared with; by default its own */
  readonly order?: DrawLayout | undefined;
  /** Error source to switch off; all other draws stay the same */
  readonly without?: ErrorSource | undefined;
  /** Errors of the camera; by default those of the plan */
  readonly camera?: CameraErrors | undefined;
  /** What the puller looks at; by default nothing */
  readonly watching?: Watching | undefined;
}
