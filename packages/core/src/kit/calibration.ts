/** The farthest distance at which people work, in focal lengths and in close focuses of the lens. */
const WORKING_FOCAL_LENGTHS = 90;
const WORKING_CLOSE_FOCUSES = 8;

/** From here on tapes are read in coarser steps. */
const COARSE_FROM_MM = 2000;

/**
 * Tape distances at which to read a ring: those at which people work, each farther than the one before by the same factor, and rounded to
 * distances that are easy to tape.
 *
 * @param count - number of distances beyond close focus, at least 1
 * @param steps - fine up to two metres, coarse beyond: such as 100 and 500, or half a foot and a foot
 * @returns strictly decreasing, all beyond close focus
 * @example for a 65 mm lens from 0.65 m, 4 of them in tenths and halves of a metre: 6, 3.5, 2 and 1.1 m
 */
export function calibrationDistances(
  lens: { readonly focalLengthMm: number; readonly closeFocusMm: number },
  count: number,
  steps: { readonly fineMm: number; readonly coarseMm: number },
): number[] {
  const { focalLengthMm, closeFocusMm } = lens;
  const farthestMm = Math.max(WORKING_FOCAL_LENGTHS * focalLengthMm, WORKING_CLOSE_FOCUSES * closeFocusMm);
  const distances = Array.from({ length: count }, (_, k) => {
    const mm = closeFocusMm * (farthestMm / closeFocusMm) ** ((count - k) / count);
    const stepMm = mm < COARSE_FROM_MM ? steps.fineMm : steps.coarseMm;
    return Math.round(mm / stepMm) * stepMm;
  });
  return [...new Set(distances)].filter((mm) => mm > closeFocusMm);
}

/** Ring degrees of an arc along the ring's rim, as a strip of tape on the ring shows it. */
export function ringDegOfArc(arcMm: number, ringDiameterMm: number): number {
  return (arcMm / (Math.PI * ringDiameterMm)) * 360;
}
