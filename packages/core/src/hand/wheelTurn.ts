import { MINIMUM_JERK_PEAK } from '../floor/index.js';
import { ASSUMED_REGRIP_S, type Wheel, wheelDegOf } from '../kit/index.js';
import { ASSUMED_HAND, type Hand, handTimeS, pullDifficultyBits } from './difficulty.js';

/** A turn of the ring as the hand feels it at the wheel. Angles in wheel degrees. */
export interface WheelTurn {
  readonly travelDeg: number;
  /** Width of the landing window */
  readonly windowDeg: number;
  /** Width of the landing window along the rim of the marking disc */
  readonly windowOnDiscMm: number;
  /** Number of new grips: a hand turns only a limited angle in one go */
  readonly regrips: number;
  /** Minimum time to land in the window: the longer of aiming and turning, plus the new grips */
  readonly minTimeS: number;
  /** Time from one hard stop to the other, where no aiming is needed; null without hard stops */
  readonly betweenStopsS: number | null;
}

/** A turn of the ring. Angles in ring degrees. */
export interface RingTurn {
  /** At least 0 */
  readonly travelDeg: number;
  /** Width of the landing window, > 0 */
  readonly windowDeg: number;
}

/**
 * Effect of a gear on a turn: the window gets wider in the hand and the travel longer. The difficulty in bits is unchanged. The
 * time changes once the hand reaches its peak speed or needs a new grip.
 *
 * @param maxHandDegPerS - peak speed of the hand
 * @throws {CoreError} as `pullDifficultyBits`
 */
export function wheelTurn(wheel: Wheel, turn: RingTurn, maxHandDegPerS: number, hand: Hand = ASSUMED_HAND): WheelTurn {
  const travelDeg = wheelDegOf(wheel, turn.travelDeg);
  const windowDeg = wheelDegOf(wheel, turn.windowDeg);
  const regrips = Math.max(0, Math.ceil(travelDeg / wheel.comfortableDeg - 1e-9) - 1);
  const peakDegPerS = Math.min(maxHandDegPerS, wheel.fastestDegPerS ?? Infinity);
  const turnTimeS = (MINIMUM_JERK_PEAK * travelDeg) / peakDegPerS;
  const regripS = regrips * ASSUMED_REGRIP_S;
  const aimS = travelDeg === 0 ? 0 : handTimeS(pullDifficultyBits(travelDeg, windowDeg), hand);
  return {
    travelDeg,
    windowDeg,
    windowOnDiscMm: (windowDeg / 360) * Math.PI * wheel.discDiameterMm,
    regrips,
    minTimeS: Math.max(aimS, turnTimeS) + regripS,
    betweenStopsS: wheel.hasEndStops ? turnTimeS + regripS : null,
  };
}
