import { assertInRange } from '../errors.js';

/** How the circle of confusion is derived: from the sensor diagonal, from photosites, or from what a viewer can resolve. */
export type SharpnessStandard =
  | { readonly kind: 'diagonal'; readonly sensorWidthMm: number; readonly sensorHeightMm: number; readonly divisor: number }
  | { readonly kind: 'photosite'; readonly sensorWidthMm: number; readonly photositesWide: number; readonly count: number }
  | { readonly kind: 'viewer'; readonly sensorHeightMm: number; readonly viewingDistancePictureHeights: number };

/** One minute of arc: what a normal eye resolves (visual acuity 1.0). */
const EYE_RESOLUTION_RAD = Math.PI / 180 / 60;

/**
 * Circle of confusion: the largest blur diameter on the sensor that counts as sharp.
 *
 * @returns millimetres
 * @throws {CoreError} `not-a-number`, `out-of-range`
 * @example circleOfConfusionMm({ kind: 'photosite', sensorWidthMm: 24, photositesWide: 4800, count: 2 }) is 0.01
 */
export function circleOfConfusionMm(standard: SharpnessStandard): number {
  switch (standard.kind) {
    case 'diagonal':
      assertInRange('sensorWidthMm', standard.sensorWidthMm, { above: 0 });
      assertInRange('sensorHeightMm', standard.sensorHeightMm, { above: 0 });
      assertInRange('divisor', standard.divisor, { above: 0 });
      return Math.hypot(standard.sensorWidthMm, standard.sensorHeightMm) / standard.divisor;
    case 'photosite':
      assertInRange('sensorWidthMm', standard.sensorWidthMm, { above: 0 });
      assertInRange('photositesWide', standard.photositesWide, { above: 0 });
      assertInRange('count', standard.count, { above: 0 });
      return (standard.sensorWidthMm / standard.photositesWide) * standard.count;
    case 'viewer':
      assertInRange('sensorHeightMm', standard.sensorHeightMm, { above: 0 });
      assertInRange('viewingDistancePictureHeights', standard.viewingDistancePictureHeights, { above: 0 });
      return standard.sensorHeightMm * standard.viewingDistancePictureHeights * Math.tan(EYE_RESOLUTION_RAD);
  }
}
