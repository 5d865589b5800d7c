/** Errors of the camera in a take, one standard deviation each. */
export interface CameraErrors {
  /** How early or late the camera is along its own path */
  readonly timingSigmaS: number;
  /** Drift along the lens axis: a first-order random process with this spread */
  readonly driftSigmaMm: number;
  /** Time after which a drift is forgotten by a factor of e, > 0 */
  readonly driftTimeS: number;
}

/** A camera that is where the plan has it. */
export const STEADY_CAMERA: CameraErrors = { timingSigmaS: 0, driftSigmaMm: 0, driftTimeS: 1 };
