/** The focus ring: converts tape distance to ring angle and back. */
export interface LensRing {
  /**
   * Ring angle in degrees for a tape distance; Infinity allowed.
   *
   * @throws {CoreError} `closer-than-close-focus`, `beyond-the-scale`, `not-a-number`
   */
  angleAt(distanceMm: number): number;
  /**
   * Tape distance for a ring angle: the inverse of `angleAt`, to 1e-9 relative.
   *
   * @throws {CoreError} `outside-ring`, `not-a-number`
   */
  distanceAt(ringDeg: number): number;
  /** Turn between the two ends of the scale, in degrees. */
  readonly throwDeg: number;
  /** Nearest distance on the ring. */
  readonly closeFocusMm: number;
  /** Farthest distance on the ring: Infinity unless a scale table ends before it. */
  readonly farthestMm: number;
}

/** A point of a lens scale, engraved or taped. */
export interface RingPoint {
  /** Tape distance, > 0; null for infinity */
  readonly distanceMm: number | null;
  readonly ringDeg: number;
}
