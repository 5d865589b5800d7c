import { CoreError } from '../errors.js';

/** Tolerance for rounding at the ends of the ring, relative. */
const END_TOLERANCE = 1e-9;

/** @throws {CoreError} `closer-than-close-focus`, `beyond-the-scale`, `not-a-number` */
export function assertReach(distanceMm: number, closeFocusMm: number, farthestMm: number): void {
  const refuse = (code: 'not-a-number' | 'closer-than-close-focus' | 'beyond-the-scale') =>
    new CoreError({ code, path: 'distanceMm', values: { given: String(distanceMm), min: closeFocusMm, max: farthestMm } });
  if (Number.isNaN(distanceMm)) throw refuse('not-a-number');
  if (distanceMm < closeFocusMm * (1 - END_TOLERANCE)) throw refuse('closer-than-close-focus');
  if (distanceMm > farthestMm * (1 + END_TOLERANCE)) throw refuse('beyond-the-scale');
}

/** @throws {CoreError} `outside-ring`, `not-a-number` */
export function assertOnRing(ringDeg: number, oneEndDeg: number, otherEndDeg: number): void {
  const lowDeg = Math.min(oneEndDeg, otherEndDeg);
  const highDeg = Math.max(oneEndDeg, otherEndDeg);
  const slackDeg = (highDeg - lowDeg) * END_TOLERANCE;
  if (ringDeg >= lowDeg - slackDeg && ringDeg <= highDeg + slackDeg) return;
  throw new CoreError({
    code: Number.isNaN(ringDeg) ? 'not-a-number' : 'outside-ring',
    path: 'ringDeg',
    values: { given: String(ringDeg), min: lowDeg, max: highDeg },
  });
}

/** The two ends of a ring and their angles. */
interface Ends {
  readonly closeFocusMm: number;
  readonly farthestMm: number;
  angleAt(distanceMm: number): number;
}

/** Sign of the ring angle towards near: 1 if it grows towards near, -1 if it grows towards far. */
export function nearSign(ring: Ends): 1 | -1 {
  return ring.angleAt(ring.closeFocusMm) >= ring.angleAt(ring.farthestMm) ? 1 : -1;
}

/** `ringDeg` clamped to the ring: a device may report angles slightly past the ends. */
export function heldOnRing(ring: Ends, ringDeg: number): number {
  const [nearDeg, farDeg] = [ring.angleAt(ring.closeFocusMm), ring.angleAt(ring.farthestMm)];
  return Math.min(Math.max(ringDeg, Math.min(nearDeg, farDeg)), Math.max(nearDeg, farDeg));
}
