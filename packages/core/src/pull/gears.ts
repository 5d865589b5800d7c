import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import { ASSUMED_REGRIP_S, type Wheel, wheelDegOf } from '../kit/index.js';
import { ASSUMED_HAND, type Hand, handTimeS, pullDifficultyBits } from './difficulty.js';

/** A turn of the ring as a hand meets it at a wheel. Angles in wheel degrees. */
export interface WheelTurn {
  readonly travelDeg: number;
  /** Where the wheel may stand to have landed */
  readonly windowDeg: number;
  /** The window along the rim of the marking disc */
  readonly windowOnDiscMm: number;
  /** New grips on the way: a hand turns only so far in one go */
  readonly regrips: number;
  /** To land within the window: the larger of what aiming and what turning takes, and the new grips */
  readonly leastS: number;
  /** To turn from one hard stop to the other, where nothing need be aimed at; null without such stops */
  readonly betweenStopsS: number | null;
}

/**
 * What a gear does to a turn: it makes the window wider in the hand, and the way longer. The difficulty in bits stays; the time it takes does not
 * once the hand can't turn any faster, or has to take a new grip.
 *
 * @param travelRingDeg - at least 0
 * @param windowRingDeg - > 0
 * @param handDegPerS - how fast the hand turns at most
 * @throws {CoreError} as `pullDifficultyBits`
 */
export function wheelTurn(
  wheel: Wheel,
  travelRingDeg: number,
  windowRingDeg: number,
  handDegPerS: number,
  hand: Hand = ASSUMED_HAND,
): WheelTurn {
  const travelDeg = wheelDegOf(wheel, travelRingDeg);
  const windowDeg = wheelDegOf(wheel, windowRingDeg);
  const regrips = Math.max(0, Math.ceil(travelDeg / wheel.comfortableDeg - 1e-9) - 1);
  const peakDegPerS = Math.min(handDegPerS, wheel.fastestDegPerS ?? Infinity);
  const turnS = (MINIMUM_JERK_PEAK * travelDeg) / peakDegPerS;
  const regripS = regrips * ASSUMED_REGRIP_S;
  const aimS = travelDeg === 0 ? 0 : handTimeS(pullDifficultyBits(travelDeg, windowDeg), hand);
  return {
    travelDeg,
    windowDeg,
    windowOnDiscMm: (windowDeg / 360) * Math.PI * wheel.discDiameterMm,
    regrips,
    leastS: Math.max(aimS, turnS) + regripS,
    betweenStopsS: wheel.hasEndStops ? turnS + regripS : null,
  };
}
