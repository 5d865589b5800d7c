/** A shot whose capture rate differs from its delivery rate. */
export interface FrameRateFigures {
  /** Seconds on screen per second on the set */
  readonly stretch: number;
  /** Lowest playback speed relative to real time at which no frame is shown twice */
  readonly slowestSpeed: number;
  /**
   * Light lost to the shorter exposure, against capture at the delivery rate with equal shutter angle, in stops; negative for a
   * gain
   */
  readonly lightCostStops: number;
}

/**
 * Effects of the capture rate in the edit.
 *
 * @param captureFps, deliveryFps - > 0
 */
export function frameRateFigures(captureFps: number, deliveryFps: number): FrameRateFigures {
  const stretch = captureFps / deliveryFps;
  return { stretch, slowestSpeed: 1 / stretch, lightCostStops: Math.log2(stretch) };
}

/** Duration on screen at the delivery rate. */
export function screenTimeS(captureS: number, captureFps: number, deliveryFps: number): number {
  return (captureS * captureFps) / deliveryFps;
}

/** Sharp duration needed on the set for a duration on screen. */
export function captureForScreenS(wantedScreenS: number, captureFps: number, deliveryFps: number): number {
  return (wantedScreenS * deliveryFps) / captureFps;
}
