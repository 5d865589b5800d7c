/** A shot that is captured faster, or slower, than it is shown. */
export interface RateFigures {
  /** Seconds on the screen for one on the set */
  readonly stretch: number;
  /** How much longer it may be drawn out in the edit before frames are shown twice: none beyond real-time capture */
  readonly slowestSpeed: number;
  /** Light that the shorter exposure costs against one captured at delivery rate with the same shutter angle, in stops; below 0 a gain */
  readonly lightCostStops: number;
}

/**
 * What a capture rate does in the edit.
 *
 * @param captureFps, deliveryFps - above 0
 */
export function rateFigures(captureFps: number, deliveryFps: number): RateFigures {
  const stretch = captureFps / deliveryFps;
  return { stretch, slowestSpeed: 1 / stretch, lightCostStops: Math.log2(stretch) };
}

/** How long something lasts on the screen, at delivery rate. */
export function screenS(captureS: number, captureFps: number, deliveryFps: number): number {
  return (captureS * captureFps) / deliveryFps;
}

/** How long must be sharp in one go on the set, to last so long on the screen. */
export function captureForScreenS(wantedScreenS: number, captureFps: number, deliveryFps: number): number {
  return (wantedScreenS * deliveryFps) / captureFps;
}
