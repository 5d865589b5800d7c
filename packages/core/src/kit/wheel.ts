/** A hand wheel or a motor on the ring. */
export interface Wheel {
  readonly name: string;
  readonly kind: 'wheel' | 'motor';
  /** Wheel degrees per ring degree, > 0 */
  readonly wheelPerRing: number;
  /** Whether the wheel turns with the ring or against it */
  readonly turns: 'same' | 'opposite';
  /** Diameter of the marking disc, on which the width of a mark is measured */
  readonly discDiameterMm: number;
  /** Whether two hard stops can be set on the wheel */
  readonly hasEndStops: boolean;
  /** How far a hand turns the wheel without a new grip, in wheel degrees */
  readonly comfortableDeg: number;
  /** Highest speed the wheel's motor follows, in wheel degrees per second; null if only the hand limits it */
  readonly fastestDegPerS: number | null;
  readonly notes: string;
}

/** A wheel from a few figures, all else by default. */
export function defaultWheel(figures: Pick<Wheel, 'name'> & Partial<Wheel>): Wheel {
  return {
    kind: 'wheel',
    wheelPerRing: 1,
    turns: 'same',
    discDiameterMm: 80,
    hasEndStops: false,
    comfortableDeg: 160,
    fastestDegPerS: null,
    notes: '',
    ...figures,
  };
}

/** Peak speed of a hand at a wheel. Assumed, and shown as an assumption, until measured. */
export const ASSUMED_PEAK_DEG_PER_S = 720;

/** Time for a new grip. Assumed, as above. */
export const ASSUMED_REGRIP_S = 0.3;

/** Wheel degrees of a turn of the ring, as a magnitude. */
export function wheelDegOf(wheel: Wheel | null, ringDeg: number): number {
  return ringDeg * (wheel?.wheelPerRing ?? 1);
}

/** Direction in which the wheel turns to focus nearer. */
export function wheelNearerTurns(
  wheel: Wheel | null,
  ringNearerTurns: 'clockwise' | 'anticlockwise',
): 'clockwise' | 'anticlockwise' {
  if (!wheel || wheel.turns === 'same') return ringNearerTurns;
  return ringNearerTurns === 'clockwise' ? 'anticlockwise' : 'clockwise';
}
