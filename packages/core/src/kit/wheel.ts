/** A hand wheel or a motor on the ring. */
export interface Wheel {
  readonly name: string;
  readonly kind: 'wheel' | 'motor';
  /** Degrees of the wheel for one degree of the ring, > 0 */
  readonly wheelPerRing: number;
  /** Whether the wheel turns as the ring does, or the other way round */
  readonly turns: 'same' | 'opposite';
  /** Of the marking disc: what a mark's width on it is measured at */
  readonly discDiameterMm: number;
  /** Whether two stops can be set that the wheel can't pass */
  readonly hasEndStops: boolean;
  /** How far a hand turns it in one go, without a new grip, in wheel degrees */
  readonly comfortableDeg: number;
  /** Fastest that it follows, in wheel degrees a second; null for no limit but the hand's */
  readonly fastestDegPerS: number | null;
  readonly notes: string;
}

/** A wheel known by its name alone, everything else as is usual: what a new one starts from. */
export function plainWheel(figures: Pick<Wheel, 'name'> & Partial<Wheel>): Wheel {
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

/** A hand's peak speed at a wheel. An assumption, shown as one, until the hand's own is measured. */
export const ASSUMED_PEAK_DEG_PER_S = 720;

/** What a new grip costs. An assumption, as above. */
export const ASSUMED_REGRIP_S = 0.3;

/** Wheel degrees of a turn of the ring: its size, whichever way it goes. */
export function wheelDegOf(wheel: Wheel | null, ringDeg: number): number {
  return ringDeg * (wheel?.wheelPerRing ?? 1);
}

/** Which way the wheel turns to focus nearer. */
export function wheelNearerTurns(
  wheel: Wheel | null,
  ringNearerTurns: 'clockwise' | 'anticlockwise',
): 'clockwise' | 'anticlockwise' {
  if (!wheel || wheel.turns === 'same') return ringNearerTurns;
  return ringNearerTurns === 'clockwise' ? 'anticlockwise' : 'clockwise';
}
