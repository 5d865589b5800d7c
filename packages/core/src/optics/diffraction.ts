import { assertInRange } from '../errors.js';

/** Green light, where the eye is most sensitive: the mercury e-line. */
const WAVELENGTH_MM = 0.000546;

/**
 * Diameter of the Airy disc on the sensor.
 *
 * @param fNumber - geometric, > 0
 * @param magnification - image size over subject size, at least 0; the working f-number is N (1 + m)
 * @returns millimetres to the first dark ring
 * Source: G. B. Airy, On the diffraction of an object-glass with circular aperture, 1835: 2.44 λ N.
 * @example airyDiameterMm(16, 0) is 0.02132
 */
export function airyDiameterMm(fNumber: number, magnification: number): number {
  assertInRange('fNumber', fNumber, { above: 0 });
  assertInRange('magnification', magnification, { min: 0 });
  return 2.44 * WAVELENGTH_MM * fNumber * (1 + magnification);
}
