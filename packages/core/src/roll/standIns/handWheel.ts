import { wheelDegOf, type Wheel } from '../../kit/index.js';

/** How far a stand-in wheel turns for what a hand does at a screen, in wheel degrees. Assumed; a hand gets used to any. */
export const WHEEL_DEG = { perPixel: 0.5, perScroll: 0.15, perKey: 1.5, perFastKey: 8 } as const;

/** A stand-in for a hand wheel. Simulated: labelled so wherever it is shown. */
export interface HandWheel {
  readonly ringDeg: number;
}

/**
 * Turns the wheel, as far as the ring goes.
 *
 * @param wheelDeg - in wheel degrees; above 0 in the direction in which the ring's angle grows
 * @param reach - where the ring's stops are, in ring degrees
 */
export function turnWheel(
  { ringDeg }: HandWheel,
  wheelDeg: number,
  wheel: Wheel | null,
  reach: { readonly lowDeg: number; readonly highDeg: number },
): HandWheel {
  const turned = ringDeg + wheelDeg / wheelDegOf(wheel, 1);
  return { ringDeg: Math.min(Math.max(turned, reach.lowDeg), reach.highDeg) };
}
