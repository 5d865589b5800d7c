import { conjugates, tapeAtExtension } from '../optics/index.js';

/**
 * Tape distances at which to read a ring. They are spaced evenly over the turn of a helicoid and rounded to distances that are
 * easy to tape.
 *
 * @param count - number of distances between the two ends, at least 1
 * @param roundToMm - 100 for tenths of a metre, 152.4 for half feet
 * @returns strictly decreasing, all beyond close focus
 * @example for a 65 mm lens from 0.65 m, 4 of them in tenths of a metre: 2.7, 1.4, 1.0 and 0.8 m
 */
export function calibrationDistances(
  lens: { readonly focalLengthMm: number; readonly closeFocusMm: number; readonly principalSeparationMm: number },
  count: number,
  roundToMm: number,
): number[] {
  const { focalLengthMm, closeFocusMm, principalSeparationMm } = lens;
  const { extensionMm } = conjugates(focalLengthMm, closeFocusMm, principalSeparationMm);
  const distances = Array.from({ length: count }, (_, k) => {
    const mm = tapeAtExtension(focalLengthMm, (extensionMm * (k + 1)) / (count + 1), principalSeparationMm);
    return Math.round(mm / roundToMm) * roundToMm;
  });
  return [...new Set(distances)].filter((mm) => mm > closeFocusMm);
}

/** Ring degrees of an arc along the ring's rim, as a strip of tape on the ring shows it. */
export function ringDegOfArc(arcMm: number, ringDiameterMm: number): number {
  return (arcMm / (Math.PI * ringDiameterMm)) * 360;
}
