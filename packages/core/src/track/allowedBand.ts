/** Ring angles at which a subject is sharp. */
export interface SharpWindow {
  readonly lowDeg: number;
  readonly highDeg: number;
}

/** Allowed band: by frame at the capture rate, the ring angles that meet all requirements. */
export interface Tube {
  readonly lowDeg: Float64Array;
  /** Below `lowDeg` if no angle meets all of them */
  readonly highDeg: Float64Array;
  /** 1 for a frame in which something is required */
  readonly required: Uint8Array;
}
