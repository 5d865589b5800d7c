import { type Wheel, wheelDegOf } from '../../kit/index.js';

/** Wheel degrees by which the simulated wheel turns per input. Assumed values. */
export const WHEEL_DEG = { perPixel: 0.5, perScroll: 0.15, perKey: 1.5, perFastKey: 8 } as const;

/** State of a simulated hand wheel. The page labels it as simulated. */
export interface HandWheel {
  readonly ringDeg: number;
}

/**
 * Turns the wheel within the range of the ring.
 *
 * @param wheelDeg - turn in wheel degrees, positive in the direction of increasing ring angle
 * @param reach - hard stops of the ring, in ring degrees
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
